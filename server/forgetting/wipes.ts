import { noteWithout } from '#core/day'
import { many, run, type Db } from '../db/query'

/** What a table that holds something of people gives up: everybody's names in a workshop, and one picture of it. Each table with
 *  personal data stands here once; a test looks for what was planted in every table, listed or not. */
export interface Wipe {
  table: string
  names?: (db: Db, workshopId: string) => Promise<void>
  picture?: (db: Db, workshopId: string, pictureId: string) => Promise<void>
}

export const wipes: readonly Wipe[] = [
  {
    // First, while the names are known: what somebody noted on the day may say one.
    table: 'day_event',
    names: wipeNotes,
  },
  {
    table: 'participant_name',
    names: (db, workshopId) => run(db, 'delete from participant_name where workshop_id = $1', [workshopId]),
  },
  {
    table: 'command_name',
    names: (db, workshopId) =>
      run(
        db,
        `update command_name set name = null
          where command_id in (select id from command where subject_kind = 'workshop' and subject_id = $1)`,
        [workshopId],
      ),
  },
  {
    // What is left of a command cannot be held against a repeated one: it may have said a name, or the picture.
    table: 'command',
    names: (db, workshopId) => run(db, `update command set wiped = true where subject_kind = 'workshop' and subject_id = $1`, [workshopId]),
    picture: wipeCommands,
  },
  {
    table: 'picture',
    names: (db, workshopId) => run(db, `update picture set name = 'picture' where workshop_id = $1`, [workshopId]),
    picture: (db, workshopId, id) => run(db, 'delete from picture where workshop_id = $1 and id = $2', [workshopId, id]), // picture_file goes with it
  },
  {
    // Printed jobs show names on their tabs, and pictures.
    table: 'print_job',
    names: (db, workshopId) =>
      run(
        db,
        `update print_job
            set pdf = null,
                sheets = (select jsonb_agg(s || jsonb_build_object('labels', s -> 'prints') order by n)
                            from jsonb_array_elements(sheets) with ordinality t (s, n))
          where workshop_id = $1`,
        [workshopId],
      ),
    picture: (db, workshopId, id) =>
      run(db, 'update print_job set pdf = null where workshop_id = $1 and pictures @> array[$2]', [workshopId, id]),
  },
]

/** Takes names, as they are and as they ever were, out of a class's notes: their taps keep everything else. */
async function wipeNotes(db: Db, workshopId: string): Promise<void> {
  const known = await many<{ name: string }>(
    db,
    `select name from participant_name where workshop_id = $1
     union
     select n.name from command_name n join command c on c.id = n.command_id
      where c.subject_kind = 'workshop' and c.subject_id = $1 and n.name is not null`,
    [workshopId],
  )
  const notes = await many<{ id: string; text: string }>(
    db,
    `select id, body -> 'value' ->> 'text' as text from day_event where workshop_id = $1 and kind = 'note'`,
    [workshopId],
  )
  await run(db, `select set_config('imprenta.wiping', 'names', true)`)
  for (const { id, text } of notes) {
    const without = noteWithout(
      text,
      known.map((k) => k.name),
    )
    if (without !== text)
      await run(db, `update day_event set body = jsonb_set(body, '{value,text}', to_jsonb($2::text)) where id = $1`, [id, without])
  }
  await run(db, `select set_config('imprenta.wiping', '', true)`)
}

interface Kept {
  id: string
  changes: { path: string; before: unknown; after: unknown }[]
}

/** Takes a picture out of what commands remember: changes of it, and its entry in changes of the whole workshop. */
async function wipeCommands(db: Db, workshopId: string, id: string): Promise<void> {
  const { rows } = await db.query<Kept>(
    `select id, changes from command where subject_kind = 'workshop' and subject_id = $1 and position($2 in changes::text) > 0`,
    [workshopId, id],
  )
  const without = (doc: unknown): unknown => {
    if (typeof doc !== 'object' || doc === null || !('pictures' in doc)) return doc
    return { ...doc, pictures: (doc.pictures as { id: string }[]).filter((p) => p.id !== id) }
  }
  for (const row of rows) {
    const changes = row.changes
      .filter((c) => c.path !== `pictures/${id}` && !c.path.startsWith(`pictures/${id}/`))
      .map((c) => (c.path === '' ? { ...c, before: without(c.before), after: without(c.after) } : c))
    await run(db, 'update command set changes = $2, wiped = true where id = $1', [row.id, JSON.stringify(changes)])
  }
}
