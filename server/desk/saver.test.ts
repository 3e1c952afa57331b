import { afterAll, beforeAll, describe, expect, it, test } from 'vitest'
import { uuidv7 } from 'uuidv7'
import { newWorkshop, setHeadcount, type Change, type Summary, type Workshop } from '#core/workshop'
import { inTransaction } from '../db/query'
import { command, fixed, freshDatabase, startServer } from '../testing/start'
import { applyCommands } from './commands'
import { loadSummaries, loadWorkshop, type Stored } from './documents'
import { Saver } from './saver'
import { seedDemo } from './seed'

const id = 'moths-of-the-marsh'
let server: Awaited<ReturnType<typeof startServer>>
beforeAll(async () => {
  server = await startServer('saver')
})
afterAll(() => server.stop())
const post = (commands: unknown[]) => server.api.post('/api/commands').send(commands as object[])
const send = async (...commands: unknown[]) => (await post(commands)).body.outcomes
const stored = async (which = id) => (await loadWorkshop(server.pool, which))!
const title = async (after: string) => command(id, [{ path: 'title', before: (await stored()).body.title, after }])

describe('one bad command', () => {
  const good = async () => title(`Moths ${Math.random()}`)
  const bad: [string, (c: ReturnType<typeof command>) => unknown, string][] = [
    ['with a NUL', (c) => ({ ...c, changes: [{ path: 'title', before: 'x', after: 'a\0b' }] }), 'changes'],
    ['with half a pair of surrogates', (c) => ({ ...c, changes: [{ path: 'title', before: 'x', after: 'a\ud800b' }] }), 'changes'],
    ['with a NUL in its author', (c) => ({ ...c, actor: 'a\0' }), 'changes'],
    ['with a version beyond the column', (c) => ({ ...c, baseVersion: 3e9 }), 'baseVersion'],
    ['with a count beyond the column', (c) => ({ ...c, guards: [{ path: 'pieces', count: 3e9 }] }), 'guards.0.count'],
    ['without a value', (c) => ({ ...c, changes: [{ path: 'title', before: 'x' }] }), 'changes.0.after'],
    ['that is no command', () => 1, '(input)'],
    ['with another kind of subject', (c) => ({ ...c, subject: { kind: 'server', id: 'x' } }), 'subject.kind'],
    [
      'nested without end',
      (c) => {
        let deep: unknown = 1
        for (let i = 0; i < 4000; i++) deep = [deep]
        return { ...c, changes: [{ path: 'title', before: 'x', after: deep }] }
      },
      'changes',
    ],
    [
      'of a house that is not here',
      (c) => {
        const w = newWorkshop({ id: 'nowhere', design: 'd', participants: [] }, 'no-house', 'N', fixed)
        return { ...c, subject: { kind: 'workshop', id: 'nowhere' }, changes: [{ path: '', before: null, after: w }] }
      },
      'houseId',
    ],
    ['with a field nobody knows', (c) => ({ ...c, changes: [{ path: 'shoes', before: null, after: 'red' }] }), 'shoes'],
    [
      'that takes a house away',
      (c) => ({ ...c, subject: { kind: 'house', id: 'tidewater' }, changes: [{ path: '', before: houses.tidewater, after: null }] }),
      '',
    ],
    [
      'that makes a workshop under a house’s name',
      (c) => ({
        ...c,
        subject: { kind: 'house', id: 'fresh' },
        changes: [{ path: '', before: null, after: newWorkshop({ id: 'fresh', design: 'd', participants: [] }, 'saltbox', 'N', fixed) }],
      }),
      '',
    ],
  ]
  const houses: Record<string, unknown> = {}
  beforeAll(async () => {
    houses['tidewater'] = (await server.api.get('/api/houses/tidewater')).body.body
  })
  test.each(bad)('%s is refused by name, and the others of its lot go on', async (_name, spoil, path) => {
    const { status, body } = await post([
      await good(),
      spoil(command(id, [{ path: 'title', before: 'x', after: 'y' }])),
      command(id, [{ path: 'group/tables', before: null, after: 5 }]),
    ])
    expect(status).toBe(200)
    expect(body.outcomes.map((o: { status: string }) => o.status)).toEqual([
      'applied',
      'refused',
      expect.stringMatching(/applied|conflict/),
    ])
    expect(body.outcomes[1].error.path).toContain(path)
    expect(body.outcomes[1].error.what).not.toBe('')
    expect(body.outcomes[1].error.remedy).not.toBe('')
  })
  it('leaves no trace', async () => {
    const { rows } = await server.pool.query(`select 1 from house where id = 'fresh' union all select 1 from workshop where id = 'nowhere'`)
    expect(rows).toEqual([])
    expect((await stored()).body).not.toHaveProperty('shoes')
  })
})

describe('an id', () => {
  it('with other content is refused, and what it was first stays', async () => {
    const first = await title('First')
    const [a] = await send(first)
    const [b] = await send({ ...first, changes: [{ ...first.changes[0]!, after: 'Second' }] })
    expect([a.status, b.status, b.error.path]).toEqual(['applied', 'refused', 'id'])
    expect((await stored()).body.title).toBe('First')
  })
  it('of another subject is refused', async () => {
    const first = await title('Third')
    await send(first)
    const [b] = await send({ ...command('kelp-coasters', [{ path: 'group/helpers', before: 1, after: 2 }]), id: first.id })
    expect(b).toMatchObject({ status: 'refused', error: { path: 'id' } })
  })
  it('twice in one lot, and twice at the same moment, is taken once', async () => {
    const before = (await stored()).version
    const c = await title('Fourth')
    const [a, b] = await send(c, c)
    expect([a, b]).toEqual([a, a])
    const d = await title('Fifth')
    const both = await Promise.all([send(d), send(d)])
    expect(both[0]).toEqual(both[1])
    expect((await stored()).version).toBe(before + 2)
  })
})

it('a command that was declined is never taken later, however often the network repeats it', async () => {
  const now = (await stored()).body.title
  const mine = command(id, [{ path: 'title', before: 'Was never so', after: 'Mine' }])
  expect((await send(mine))[0]).toMatchObject({ status: 'conflict', clashes: [{ stored: now, yours: 'Mine' }] })
  await send(command(id, [{ path: 'title', before: now, after: 'Was never so' }]))
  expect((await send(mine))[0]).toMatchObject({ status: 'conflict', clashes: [{ path: 'title', stored: 'Was never so', yours: 'Mine' }] })
  expect((await stored()).body.title).toBe('Was never so')
})

describe('what is gone', () => {
  it('takes no change below it: a name for a removed seat is a conflict', async () => {
    const last = (await stored()).body.group.participants.at(-1)!
    const [went] = await send(
      command(id, [{ path: `group/participants/${last.id}`, before: last, after: null }, ...takenAlong(await stored(), last.id)]),
    )
    expect(went.status).toBe('applied')
    const [late] = await send(command(id, [{ path: `group/participants/${last.id}/name`, before: null, after: 'Late' }]))
    expect(late).toMatchObject({ status: 'conflict', clashes: [{ stored: null, yours: 'Late' }] })
  })
  it('nor does a removed workshop; nothing is applied, nothing answers 500', async () => {
    const w = newWorkshop({ id: 'removed', design: 'd', participants: ['p'] }, 'saltbox', 'N', fixed)
    await send(command(w.id, [{ path: '', before: null, after: w }]), command(w.id, [{ path: '', before: w, after: null }]))
    const late: Change[][] = [
      [{ path: 'group/participants/p/name', before: null, after: 'Late' }],
      [{ path: 'archivedAt', before: null, after: fixed }],
      [{ path: 'group/helpers', before: 1, after: 2 }],
    ]
    for (const changes of late) expect((await send(command(w.id, changes)))[0].status).toBe('conflict')
    expect(await loadWorkshop(server.pool, w.id)).toBeUndefined()
  })
  it('somebody who has a piece meanwhile does not go without it', async () => {
    const { body } = await stored()
    const piece = body.pieces[0]!
    const p = body.group.participants.find((x) => x.id === piece.participant)
    const [outcome] = await send(command(id, [{ path: `group/participants/${p!.id}`, before: p!, after: null }]))
    expect(outcome).toMatchObject({ status: 'conflict', clashes: [{ path: `pieces/${piece.id}`, yours: null }] })
  })
})
const takenAlong = ({ body }: { body: Workshop }, person: string): Change[] =>
  body.pieces.filter((x) => x.participant === person).map((x) => ({ path: `pieces/${x.id}`, before: x, after: null }))

describe('the answer', () => {
  it('carries a document only to who cannot know it', async () => {
    const { version, body } = await stored()
    const names = body.group.participants.map((p) => p.name)
    expect(names.filter(Boolean).length).toBeGreaterThan(10)
    const inStep = { ...(await title('Sixth')), baseVersion: version }
    expect((await post([inStep])).body.documents).toEqual([])
    const behind = { ...(await title('Seventh')), baseVersion: version }
    const { documents } = (await post([behind])).body
    expect(documents).toMatchObject([{ kind: 'workshop', id, version: version + 2, body: { title: 'Seventh' } }])
    expect(documents[0].body.group.participants.map((p: { name: string | null }) => p.name)).toEqual(names)
    const conflict = (await post([command(id, [{ path: 'title', before: 'Nothing', after: 'Mine' }])])).body
    expect([conflict.outcomes[0].status, conflict.documents[0].body.title]).toEqual(['conflict', 'Seventh'])
  })
})

describe('two servers on one database', () => {
  it('and a transaction between them never lose a change or write over one another', async () => {
    const { pool, url, close } = await freshDatabase('two_savers')
    await seedDemo(pool, '2026-05-15')
    const [a, b] = [new Saver(url), new Saver(url)]
    const people = (await loadWorkshop(pool, id))!.body.group.participants
    const one = async (saver: Saver, i: number, after: 'adult' | '13-17', before: 'adult' | '13-17') =>
      (await saver.save([command(id, [{ path: `group/participants/${people[i]!.id}/age`, before, after }])], fixed)).outcomes[0]!.status
    // Each has the workshop in mind; the other changes it; again and again, all at once.
    const all: Promise<string>[] = []
    for (let round = 0; round < 30; round++)
      for (const [s, saver] of [a, b].entries()) {
        all.push(one(saver, s, round % 2 ? 'adult' : '13-17', round % 2 ? '13-17' : 'adult'))
        if (round % 10 === 5)
          all.push(
            inTransaction(pool, async (db) => {
              const n = round + s
              const c = command(id, [{ path: `errandsDone/e${n}`, before: null, after: `e${n}` }])
              return (await applyCommands(db, [c], fixed)).outcomes[0]!.status
            }),
          )
      }
    expect(new Set(await Promise.all(all))).toEqual(new Set(['applied']))
    const after = (await loadWorkshop(pool, id))!
    expect(after.body.group.participants.slice(0, 2).map((p) => p.age)).toEqual(['adult', 'adult'])
    expect(after.body.errandsDone.filter((e) => /^e\d+$/.test(e)).sort()).toEqual(['e15', 'e16', 'e25', 'e26', 'e5', 'e6'])
    const { rows } = await pool.query<{ version: number }>(`select version from command where subject_id = $1 order by version`, [id])
    expect(rows.map((r) => r.version)).toEqual(Array.from({ length: rows.length }, (_, i) => i + 2))
    expect(after.version).toBe(rows.length + 1)
    await Promise.all([a.close(), b.close()])
    await close()
  })
})

describe('a body that is some commands behind', () => {
  it('is brought up to date in reading, with names, and written anew now and then; its summary is never behind', async () => {
    const { pool, url, close } = await freshDatabase('behind')
    await seedDemo(pool, '2026-05-15')
    const saver = new Saver(url)
    const person = (await loadWorkshop(pool, id))!.body.group.participants[0]!
    let name = person.name
    for (let n = 0; n < 60; n++) {
      const next = `Edda ${n}`
      const changes: Change[] = [
        { path: `group/participants/${person.id}/name`, before: name, after: next },
        { path: 'title', before: n ? `T${n - 1}` : 'Moths of the marsh', after: `T${n}` },
      ]
      expect((await saver.save([command(id, changes)], fixed)).outcomes[0]!.status).toBe('applied')
      name = next
      if (n === 30 || n === 59) {
        const found = (await loadWorkshop(pool, id))!
        expect([found.version, found.body.title, found.body.group.participants[0]!.name]).toEqual([n + 2, `T${n}`, next])
        expect((JSON.parse(await loadSummaries(pool)) as Stored<Summary>[]).find((s) => s.body.id === id)!.body.title).toBe(`T${n}`)
      }
    }
    const { rows } = await pool.query<{ behind: number }>('select version - body_version as behind from workshop where id = $1', [id])
    expect(rows[0]!.behind).toBeLessThan(45)
    const more = setHeadcount((await loadWorkshop(pool, id))!.body, 20, ['x', 'y'])
    expect((await saver.save([command(id, more.changes, more.guards)], fixed)).outcomes[0]!.status).toBe('applied')
    expect((JSON.parse(await loadSummaries(pool)) as Stored<Summary>[]).find((s) => s.body.id === id)!.body.people).toBe(20)
    await saver.close()
    await close()
  })
})

it('fifty waiting commands of one device are taken in their order, in one go', async () => {
  const before = (await stored()).body.title
  const names = [before, ...Array.from({ length: 50 }, (_, i) => `Order ${i}`)]
  const lot = names.slice(1).map((after, i) => ({ ...command(id, [{ path: 'title', before: names[i]!, after }]), id: uuidv7() }))
  const outcomes = await send(...lot)
  expect(outcomes.every((o: { status: string }) => o.status === 'applied')).toBe(true)
  expect((await stored()).body.title).toBe('Order 49')
})
