import type { Db } from '../db/query'
import { run } from '../db/query'

/** What a table that holds something of people gives up: everybody's names in a workshop, and one picture of it. Each table with
 *  personal data stands here once; a test looks for what was planted in every table, listed or not. */
export interface Wipe {
  table: string
  names?: (db: Db, workshopId: string) => Promise<void>
  picture?: (db: Db, workshopId: string, pictureId: string) => Promise<void>
}

export const wipes: readonly Wipe[] = [
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
