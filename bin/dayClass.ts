import { uuidv7 } from 'uuidv7'
import { demoWorkshops } from '../core/demo'

/** The moment at which a demo server's clock is fixed. */
export const fixedNow = '2026-05-15T15:00:00-04:00[America/New_York]'

const crowd = (people: number) =>
  Array.from({ length: people }, (_, i) => ({ id: `q${i}`, seat: i + 1, name: `Name ${i + 1}`, age: 'adult' as const, misses: [] }))

/** Puts up a copy of the demo's moths whose second class is today: begun 40 minutes ago, its id the workshop's and "-2". Of `people`, where
 *  it says how many. */
export async function createDayClass(url: string, id: string, people?: number): Promise<void> {
  const moths = demoWorkshops('2026-05-15')[0]!
  const sessions = moths.sessions.map((s, i) =>
    i === 1 ? { ...s, id: `${id}-2`, date: '2026-05-15', start: '14:20', end: '17:05', room: '' } : { ...s, id: `${id}-1`, room: '' },
  )
  const group = people === undefined ? {} : { group: { ...moths.group, tables: null, participants: crowd(people) }, pieces: [] }
  const after = { ...moths, id, title: id, sessions, pictures: [], ...group }
  const subject = { kind: 'workshop', id }
  const changes = [{ path: '', before: null, after }]
  const res = await fetch(`${url}/api/commands`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify([{ id: uuidv7(), subject, baseVersion: 0, kind: 'new', changes, guards: [], actor: '', at: fixedNow }]),
  })
  const { outcomes } = (await res.json()) as { outcomes: { status: string }[] }
  if (outcomes[0]!.status !== 'applied') throw new Error(`the class was not taken: ${JSON.stringify(outcomes)}`)
}
