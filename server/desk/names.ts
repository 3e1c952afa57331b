import { same, separateNames, type Change, type Workshop } from '#core/workshop'
import { many, run, type Db } from '../db/query'

/** A workshop without its participants' names, as its row keeps it. */
export const withoutNames = (w: Workshop): Workshop => ({
  ...w,
  group: { ...w.group, participants: w.group.participants.map((p) => (p.name === null ? p : { ...p, name: null })) },
})

/** A workshop with its names, by participant. */
export const withNames = (w: Workshop, names: Readonly<Record<string, string>>): Workshop => ({
  ...w,
  group: { ...w.group, participants: w.group.participants.map((p) => ({ ...p, name: names[p.id] ?? null })) },
})

export interface NameRow {
  workshopId: string
  participantId: string
  houseId: string
  name: string
}
export interface NamesChanged {
  set: NameRow[]
  gone: { workshopId: string; participantId: string }[]
}

/** Which names differ between two states of a workshop: those to write, and those to take out. */
export function namesChanged(before: Workshop | null, after: Workshop): NamesChanged {
  const were = new Map((before?.group.participants ?? []).flatMap((p) => (p.name === null ? [] : [[p.id, p.name] as const])))
  const set: NameRow[] = []
  for (const p of after.group.participants) {
    if (p.name !== null && were.get(p.id) !== p.name)
      set.push({ workshopId: after.id, participantId: p.id, houseId: after.houseId, name: p.name })
    if (p.name !== null) were.delete(p.id)
  }
  return { set, gone: [...were.keys()].map((participantId) => ({ workshopId: after.id, participantId })) }
}

/** Writes what has changed of names, of any number of workshops. */
export async function writeNames(db: Db, changed: readonly NamesChanged[]): Promise<void> {
  const [set, gone] = [changed.flatMap((c) => c.set), changed.flatMap((c) => c.gone)]
  const removed = gone.length
    ? run(
        db,
        'delete from participant_name n using unnest($1::text[], $2::text[]) t (w, p) where n.workshop_id = t.w and n.participant_id = t.p',
        [gone.map((g) => g.workshopId), gone.map((g) => g.participantId)],
      )
    : undefined
  const written = set.length
    ? run(
        db,
        `insert into participant_name (workshop_id, participant_id, house_id, name)
           select * from unnest($1::text[], $2::text[], $3::text[], $4::text[])
         on conflict (workshop_id, participant_id) do update set name = excluded.name, house_id = excluded.house_id`,
        [set.map((s) => s.workshopId), set.map((s) => s.participantId), set.map((s) => s.houseId), set.map((s) => s.name)],
      )
    : undefined
  await Promise.all([removed, written])
}

/** A workshop's names, by participant. */
export async function namesOf(db: Db, workshopId: string): Promise<Record<string, string>> {
  const rows = await many<{ participantId: string; name: string }>(
    db,
    'select participant_id as "participantId", name from participant_name where workshop_id = $1',
    [workshopId],
  )
  return Object.fromEntries(rows.map((r) => [r.participantId, r.name]))
}

/** Whether a command that came again says what it said the first time; names that have been erased since are not held against it. */
export function saysTheSame(
  first: { changes: Change[]; names: { place: string; name: string | null }[] },
  now: readonly Change[],
): boolean {
  const said = separateNames(now)
  const kept = new Map(first.names.map((n) => [n.place, n.name]))
  return (
    same(first.changes, said.changes) &&
    said.names.every((n) => !kept.has(n.place) || kept.get(n.place) === null || kept.get(n.place) === n.name)
  )
}
