import type { Change, Workshop } from '#core/workshop'
import { many, run, type Db } from '../db/query'

/** A workshop without its participants' names, as its row keeps it. */
export const withoutNames = (w: Workshop): Workshop => ({
  ...w,
  group: { ...w.group, participants: w.group.participants.map((p) => ({ ...p, name: null })) },
})

export const withNames = (w: Workshop, names: ReadonlyMap<string, string>): Workshop => ({
  ...w,
  group: { ...w.group, participants: w.group.participants.map((p) => ({ ...p, name: names.get(p.id) ?? null })) },
})

/** Participants' names by workshop, then by participant. */
export async function namesOf(db: Db, workshopIds: string[]): Promise<Map<string, Map<string, string>>> {
  const rows = await many<{ workshopId: string; participantId: string; name: string }>(
    db,
    `select workshop_id as "workshopId", participant_id as "participantId", name
       from participant_name where workshop_id = any($1)`,
    [workshopIds],
  )
  const byWorkshop = new Map(workshopIds.map((id) => [id, new Map<string, string>()]))
  for (const r of rows) byWorkshop.get(r.workshopId)?.set(r.participantId, r.name)
  return byWorkshop
}

export async function storeNames(db: Db, w: Workshop): Promise<void> {
  const named = w.group.participants.filter((p) => p.name !== null)
  await run(db, 'delete from participant_name where workshop_id = $1', [w.id])
  await run(
    db,
    `insert into participant_name (workshop_id, participant_id, house_id, name)
       select $1, p, $2, n from unnest($3::text[], $4::text[]) as t (p, n)`,
    [w.id, w.houseId, named.map((p) => p.id), named.map((p) => p.name)],
  )
}

/** Takes names out of a command's changes: what is left may be kept for good, the names go to erasable rows. */
export function separateNames(changes: readonly Change[]): { changes: Change[]; names: { place: string; name: string }[] } {
  const names: { place: string; name: string }[] = []
  const strip = (value: unknown, path: string, place: string): unknown => {
    if (typeof value === 'string' && /^group\/participants\/[^/]+\/name$/.test(path)) {
      names.push({ place, name: value })
      return null
    }
    if (typeof value !== 'object' || value === null) return value
    if (Array.isArray(value)) return value.map((x: { id?: string }, i) => strip(x, `${path}/${x.id ?? i}`, `${place}/${x.id ?? i}`))
    return Object.fromEntries(Object.entries(value).map(([k, x]) => [k, strip(x, path === '' ? k : `${path}/${k}`, `${place}/${k}`)]))
  }
  const kept = changes.map((c, i) => ({
    path: c.path,
    before: strip(c.before, c.path, `${i}/before`),
    after: strip(c.after, c.path, `${i}/after`),
  }))
  return { changes: kept, names }
}

/** Forgets everybody's name in a workshop: in its rows and commands, in its pictures' file names, and in the out-tray, whose PDFs
 *  carry names on their tabs. */
export async function eraseNames(db: Db, workshopId: string): Promise<void> {
  await run(db, 'delete from participant_name where workshop_id = $1', [workshopId])
  await run(
    db,
    `update command_name set name = null where command_id in (select id from command where subject_kind = 'workshop' and subject_id = $1)`,
    [workshopId],
  )
  await run(db, `update picture set name = 'picture' where workshop_id = $1`, [workshopId])
  await run(
    db,
    `update print_job
        set pdf = null,
            sheets = (select jsonb_agg(s || jsonb_build_object('labels', s -> 'prints') order by n)
                        from jsonb_array_elements(sheets) with ordinality t (s, n))
      where workshop_id = $1`,
    [workshopId],
  )
}
