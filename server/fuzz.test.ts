import fc from 'fast-check'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { uuidv7 } from 'uuidv7'
import { fixed, startServer } from './testing/start'

let server: Awaited<ReturnType<typeof startServer>>
beforeAll(async () => {
  server = await startServer('fuzz')
})
afterAll(() => server.stop())

/** What clients send in the place of an id, a name, a number or a body: sound, odd and hostile. */
const ids = fc.constantFrom(
  'moths-of-the-marsh',
  'lighthouse-blocks',
  'saltbox',
  'nothing',
  '%00',
  '%25',
  '%',
  '..%2f..',
  "'; drop table house; --",
  'a'.repeat(300),
  '%F0%9F%A6%8B',
  '*',
  'A_B',
  '-',
  ' ',
)
const odd = fc.constantFrom<unknown>(
  '',
  '\0',
  '\ud800',
  'x'.repeat(5000),
  -1,
  0,
  1e99,
  null,
  true,
  [],
  {},
  [[]],
  { id: 1 },
  ['a'],
  3e9,
  '1-9999',
  '0',
  '1,,2',
)
const leaf = fc.oneof(odd, fc.string(), fc.integer(), fc.double({ noNaN: true, noDefaultInfinity: true }))
const path = fc.constantFrom(
  '',
  'title',
  'group',
  'group/helpers',
  'group/participants',
  'group/participants/x/name',
  'pieces/a',
  'pictures/b',
  'errandsDone/x',
  'sessions/s/date',
  'designs',
  'locks/l',
  '__proto__/x',
  'constructor/y',
  'a/b/c/d',
  'hours/mon',
  'recipes/r',
  'closedDays/d',
)
const kind = fc.constantFrom('workshop', 'house', 'server', 1)
const anyCommand = fc.record(
  {
    id: fc.oneof({ weight: 4, arbitrary: fc.constant(0).map(() => uuidv7()) }, { weight: 1, arbitrary: leaf }),
    subject: fc.oneof({ weight: 4, arbitrary: fc.record({ kind, id: fc.oneof(ids, leaf) }) }, { weight: 1, arbitrary: leaf }),
    baseVersion: fc.oneof(fc.integer(), leaf),
    kind: fc.oneof(fc.constant('fuzz'), leaf),
    changes: fc.oneof(
      {
        weight: 5,
        arbitrary: fc.array(fc.record({ path: fc.oneof(path, leaf), before: leaf, after: leaf, place: leaf }, { requiredKeys: ['path'] }), {
          maxLength: 3,
        }),
      },
      { weight: 1, arbitrary: leaf },
    ),
    guards: fc.oneof(fc.constant([]), fc.array(fc.record({ path, count: fc.oneof(fc.integer(), leaf) }), { maxLength: 2 }), leaf),
    actor: fc.oneof(fc.constant('Noor'), leaf),
    at: fc.oneof(fc.constant(fixed), leaf),
  },
  { requiredKeys: [] },
)
const body = fc.oneof(
  fc.array(anyCommand, { maxLength: 4 }),
  fc.dictionary(fc.constantFrom('text', 'answers', 'ink', 'letIt', 'refill', 'paper', 'steps', 'sheets', 'prints', 'id', 'actor'), leaf),
  leaf,
)

const gets = (a: string, b: string) => [
  `/api/workshops/${a}`,
  `/api/houses/${a}`,
  `/api/desk?with=${a},${b}`,
  `/api/workshops?ids=${a}`,
  `/api/workshops/${a}/pictures`,
  `/api/workshops/${a}/pictures/${b}/thumb.jpg`,
  `/api/workshops/${a}/pictures/${b}/${a}`,
  `/api/workshops/${a}/print-jobs`,
  `/api/workshops/${a}/print-jobs/${b}.pdf`,
  `/api/workshops/${a}/prints/${b}.png?steps=${b}`,
  `/api/workshops/${a}/prints.pdf?sheets=${b}&steps=${a}&proof=${b}`,
  ...[
    'workshop.json',
    'plan.json',
    'roster.csv',
    'kit.csv',
    'sessions.ics',
    'before.md',
    'before.pdf',
    'take-home.md',
    'take-home.pdf',
  ].map((f) => `/api/workshops/${a}/${f}?who=${b}&wording=${a}&paper=${b}`),
]
const posts = (a: string, b: string) => [
  '/api/commands',
  `/api/workshops/${a}/erase-names`,
  '/api/imports/roster',
  '/api/imports/workshop',
  '/api/imports/recipe',
  `/api/workshops/${a}/print-jobs`,
  `/api/workshops/${a}/print-jobs/${b}/redo`,
  `/api/houses/${a}/printer`,
  `/api/houses/${a}/printer/smear`,
  `/api/workshops/${a}/pictures/${b}`,
]

/** Every answer is below 500, in time, and says what, where and the way out when it is no good. */
async function sound(res: { status: number; body: { error?: { what: string; path: string; remedy: string } } }): Promise<void> {
  expect(res.status).toBeLessThan(500)
  if (res.status >= 400) expect([res.body.error?.what, res.body.error?.remedy].every((t) => typeof t === 'string' && t !== '')).toBe(true)
}

it('reading: no address breaks the server', async () => {
  await fc.assert(
    fc.asyncProperty(ids, ids, fc.nat(), async (a, b, n) => {
      const list = gets(a, b)
      const at = list[n % list.length]!
      const res = await server.api.get(at).timeout(15_000)
      await sound(res)
    }),
    { seed: 9, numRuns: 250 },
  )
}, 120_000)
it('writing: no body breaks the server, and nothing of it is stored that a workshop or house cannot be', async () => {
  await fc.assert(
    fc.asyncProperty(ids, ids, fc.nat(), body, async (a, b, n, sent) => {
      const list = posts(a, b)
      const at = n % 3 === 0 ? list[0]! : list[n % list.length]!
      const res = await server.api.post(at).set('content-type', 'application/json').send(JSON.stringify(sent)).timeout(15_000)
      await sound(res)
    }),
    { seed: 10, numRuns: 700 },
  )
  const desk = (await server.api.get('/api/desk?with=moths-of-the-marsh,lighthouse-blocks')).body
  expect([desk.houses.length, desk.workshops.length]).toEqual([2, 2])
  expect((await server.api.get('/api/workshops/moths-of-the-marsh/plan.json')).status).toBe(200)
}, 180_000)
it('deleting: no address breaks the server', async () => {
  await fc.assert(
    fc.asyncProperty(ids, ids, async (a, b) => sound(await server.api.delete(`/api/workshops/${a}/pictures/${b}`).timeout(15_000))),
    { seed: 11, numRuns: 60 },
  )
}, 60_000)
