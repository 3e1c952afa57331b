import { decide, type Answered, type Problem } from '#core/desk'
import type { House } from '#core/house'
import {
  below,
  inWorkshop,
  pathText,
  separateNames,
  summaryOf,
  type Change,
  type Command,
  type NamePlace,
  type Workshop,
} from '#core/workshop'
import { many, run, type Db } from '../db/query'
import { namesOfRow, sinceBody, wholeOf } from './documents'
import { namesChanged, saysTheSame, withoutNames, writeNames } from './names'

/** A document as commands find and leave it; `mark` is the row's own stamp, which every change of the row renews. */
export interface Held {
  kind: 'workshop' | 'house'
  id: string
  version: number
  /** The version that the row's body is of; it is written anew every {@link mostBehind} changes. */
  bodyVersion: number
  body: House | Workshop | null
  mark: string
}

export interface Applied {
  outcomes: Answered[]
  /** The documents as they are now, by key. */
  held: Map<string, Held>
}

/** So many changes the body of a workshop's row may be behind. */
const mostBehind = 40

export const keyOf = (s: Command['subject']): string => `${s.kind}/${s.id}`

/** Waits until nobody else in a transaction has these keys; taken in one order everywhere, so that nobody waits in a circle. A
 *  workshop's row is held as well: what is saved at once (below) takes no other lock. */
export async function lock(db: Db, keys: readonly string[]): Promise<void> {
  const workshops = keys.filter((k) => k.startsWith('workshop/')).map((k) => k.slice('workshop/'.length))
  // Asked for together: what is asked for next on this connection sees all that was done before the locks were got.
  await all([
    run(db, 'select pg_advisory_xact_lock(hashtextextended(k, 0)) from unnest($1::text[]) k', [[...keys].sort()]),
    run(db, 'select 1 from workshop where id = any($1) order by id for update', [workshops.sort()]),
  ])
}

interface Known {
  id: string
  version: number
  wiped: boolean
  subject: string
  changes: Change[]
  names: { place: string; name: string | null }[] | null
}

/** Applies commands in their order, inside a transaction: known already, in conflict, refused for what they would make, or applied.
 *  All that is read is read after the locks are held; `seen` are documents as an earlier transaction left them, used when their
 *  row has not changed since. One statement each way, however many commands: on a pipelined connection two round trips in all. */
export async function applyCommands(
  db: Db,
  commands: readonly Command[],
  receivedAt: string,
  seen: ReadonlyMap<string, Held> = new Map(),
): Promise<Applied> {
  const keys = [...new Set(commands.map((c) => keyOf(c.subject)))]
  const [, held, known, declined, erased] = await all([
    lock(db, keys),
    loadHeld(db, keys, seen),
    many<Known>(
      db,
      `select id, version, wiped, subject_kind || '/' || subject_id as subject, changes,
              (select jsonb_agg(jsonb_build_object('place', place, 'name', name)) from command_name where command_id = id) as names
         from command where id = any($1::uuid[])`,
      [commands.map((c) => c.id)],
    ),
    many<{ id: string }>(db, 'select id from command_declined where id = any($1::uuid[])', [commands.map((c) => c.id)]),
    erasedAmong(db, commands),
  ])
  await goOnFromLast(db, keys, held)
  const work = new Work(held, known, new Set(declined.map((d) => d.id)), erased, receivedAt)
  const outcomes = commands.map((c) => work.take(c))
  await work.write(db)
  return { outcomes, held: work.held }
}

/** Saves commands on workshops that are remembered, in one statement and no transaction around it, when nothing stands against any
 *  of them: the row's mark shows that it is still as remembered, or nothing is written at all. Undefined when that cannot be done;
 *  then {@link applyCommands} decides. Throws what the database throws. */
export async function applyAtOnce(
  db: Db,
  commands: readonly Command[],
  receivedAt: string,
  seen: ReadonlyMap<string, Held>,
): Promise<Applied | undefined> {
  const held = new Map<string, Held>()
  for (const c of commands) {
    const remembered = seen.get(keyOf(c.subject))
    if (!remembered?.body || remembered.kind !== 'workshop' || c.changes.some(ofPictures)) return undefined
    if (remembered.version - remembered.bodyVersion >= mostBehind) return undefined
    held.set(keyOf(c.subject), remembered)
  }
  const work = new Work(held, [], new Set(), new Set(), receivedAt)
  const outcomes = commands.map((c) => work.take(c))
  if (outcomes.some((o) => o.status !== 'applied')) return undefined
  return (await work.writeAtOnce(db)) ? { outcomes, held: work.held } : undefined
}

/** Waits for all, failed ones too, so that nothing is still on its way when the first failure is told. */
async function all<T extends unknown[]>(promises: { [K in keyof T]: Promise<T[K]> }): Promise<T> {
  const settled = await Promise.allSettled(promises)
  const failed = settled.find((s) => s.status === 'rejected')
  if (failed) throw failed.reason
  return settled.map((s) => (s as PromiseFulfilledResult<unknown>).value) as T
}

async function loadHeld(db: Db, keys: readonly string[], seen: ReadonlyMap<string, Held>): Promise<Map<string, Held>> {
  const [workshops, houses] = (['workshop', 'house'] as const).map((kind) =>
    keys.filter((k) => k.startsWith(`${kind}/`)).map((k) => k.slice(kind.length + 1)),
  ) as [string[], string[]]
  const marks = (kind: string, ids: string[]) => ids.map((id) => seen.get(`${kind}/${id}`)?.mark ?? '')
  type Row = Omit<Held, 'kind'> & { names?: Record<string, string> | null; since?: Change[][] | null }
  const [ofWorkshops, ofHouses] = await all([
    workshops.length
      ? many<Row>(
          db,
          `select w.id, w.version, w.body_version as "bodyVersion", w.xmin::text as mark,
                  case when w.xmin::text <> k.mark then w.body end as body,
                  case when w.xmin::text <> k.mark then ${sinceBody} end as since,
                  case when w.xmin::text <> k.mark then ${namesOfRow} end as names
             from unnest($1::text[], $2::text[]) k (id, mark) join workshop w on w.id = k.id`,
          [workshops, marks('workshop', workshops)],
        )
      : Promise.resolve([]),
    houses.length
      ? many<Row>(
          db,
          `select h.id, h.version, h.version as "bodyVersion", h.xmin::text as mark, case when h.xmin::text <> k.mark then h.body end as body
             from unnest($1::text[], $2::text[]) k (id, mark) join house h on h.id = k.id`,
          [houses, marks('house', houses)],
        )
      : Promise.resolve([]),
  ])
  const held = new Map<string, Held>()
  for (const r of ofWorkshops) {
    const key = `workshop/${r.id}`
    const body = r.body ? wholeOf(r as Parameters<typeof wholeOf>[0]) : seen.get(key)!.body
    held.set(key, { kind: 'workshop', id: r.id, version: r.version, bodyVersion: r.bodyVersion, body, mark: r.mark })
  }
  for (const r of ofHouses) {
    const key = `house/${r.id}`
    held.set(key, {
      kind: 'house',
      id: r.id,
      version: r.version,
      bodyVersion: r.version,
      body: r.body ?? seen.get(key)!.body,
      mark: r.mark,
    })
  }
  return held
}

/** Versions of a document that was removed and comes back go on where they stopped. */
async function goOnFromLast(db: Db, keys: readonly string[], held: Map<string, Held>): Promise<void> {
  const missing = keys.filter((k) => !held.has(k))
  if (missing.length === 0) return
  const last = await many<{ key: string; version: number }>(
    db,
    `select k as key, max(c.version) as version from unnest($1::text[]) k
       join command c on c.subject_kind = split_part(k, '/', 1) and c.subject_id = split_part(k, '/', 2) group by k`,
    [missing],
  )
  for (const key of missing) {
    const [kind, id] = key.split('/') as ['workshop' | 'house', string]
    const version = last.find((l) => l.key === key)?.version ?? 0
    held.set(key, { kind, id, version, bodyVersion: version, body: null, mark: '' })
  }
}

/** Ids of pictures that these commands bring in and that were erased before. */
async function erasedAmong(db: Db, commands: readonly Command[]): Promise<Set<string>> {
  const ids = commands.flatMap((c) => c.changes.flatMap(picturesIn))
  if (ids.length === 0) return new Set()
  const rows = await many<{ id: string }>(db, 'select picture_id as id from picture_erased where picture_id = any($1)', [ids])
  return new Set(rows.map((r) => r.id))
}

/** What concerns pictures is written whole: they are looked for in the rows when they are due. */
const ofPictures = (c: Change): boolean => c.path === pathText(inWorkshop) || below(c.path, inWorkshop.pictures) !== undefined

const picturesIn = (c: Change): string[] => {
  if (c.path === pathText(inWorkshop)) return ((c.after as Workshop | null)?.pictures ?? []).map((p) => String(p.id))
  const [id] = below(c.path, inWorkshop.pictures) ?? []
  return id !== undefined && c.after !== null ? [id] : []
}

/** What {@link Work.writeAtOnce} says to the database, the body left as it is: $1 documents, $2 commands, $3 when, then names. last the commands' ids. A row that is not as
 *  remembered, or a command that was declined before, makes it divide by nothing: all or none. */
const atOnce = (named: boolean): string => `
  with d as materialized (
    select * from jsonb_to_recordset($1::jsonb) n (id text, house text, version int, summary jsonb, mark text, note text)
  ), w as (
    update workshop w set house_id = d.house, version = d.version, summary = d.summary
      from d where w.id = d.id and w.xmin::text = d.mark
    returning w.id, w.xmin::text as mark
  ), c as (
    insert into command (id, house_id, subject_kind, subject_id, base_version, version, kind, changes, guards, actor, at, received_at)
    select x."commandId", x.house, x.subject ->> 'kind', x.subject ->> 'id', x."baseVersion", x.version, x.kind, x.changes, x.guards, x.actor, x.at,
           $3::timestamptz
      from jsonb_to_recordset($2::jsonb) x ("commandId" uuid, house text, subject jsonb, "baseVersion" int, version int, kind text,
                                            changes jsonb, guards jsonb, actor text, at text)
  ), ${
    named
      ? `p as (insert into participant_name (workshop_id, participant_id, house_id, name)
           select * from jsonb_to_recordset($4::jsonb) x ("workshopId" text, "participantId" text, "houseId" text, name text)
           on conflict (workshop_id, participant_id) do update set name = excluded.name, house_id = excluded.house_id),
         g as (delete from participant_name n using jsonb_to_recordset($5::jsonb) x ("workshopId" text, "participantId" text)
           where n.workshop_id = x."workshopId" and n.participant_id = x."participantId"),
         s as (insert into command_name (command_id, house_id, place, name)
           select * from jsonb_to_recordset($6::jsonb) x (id uuid, "houseId" text, place text, name text)),`
      : ''
  } t as (select pg_notify('imprenta', note) from d)
  select (select jsonb_agg(jsonb_build_array(id, mark)) from w) as marks,
         1 / (case when (select count(*) from w) = (select count(*) from d)
                        and not exists (select 1 from command_declined x where x.id = any($${named ? 7 : 4}::uuid[])) then 1 else 0 end) as whole, (select count(*) from t) as told`

const reused: Problem = { what: 'the id of another change', path: 'id', remedy: 'Make a new id for each change.' }
const gone: Problem = { what: 'this picture was erased', path: 'pictures', remedy: 'Bring the picture in again.' }

/** One transaction's commands on the documents it holds. */
class Work {
  private readonly known: Map<string, Known>
  private readonly began: Map<string, Held>
  private readonly declining: string[] = []
  private readonly rows: { command: Command; version: number; houseId: string; changes: Change[]; names: NamePlace[] }[] = []

  constructor(
    readonly held: Map<string, Held>,
    known: Known[],
    private readonly declined: Set<string>,
    private readonly erased: ReadonlySet<string>,
    private readonly receivedAt: string,
  ) {
    this.known = new Map(known.map((k) => [k.id, k]))
    this.began = new Map(held)
  }

  take(asked: Command): Answered {
    const key = keyOf(asked.subject)
    const known = this.known.get(asked.id)
    if (known) {
      const again =
        known.subject === key && (known.wiped || saysTheSame({ changes: known.changes, names: known.names ?? [] }, asked.changes))
      return again ? { id: asked.id, status: 'applied', version: known.version } : { id: asked.id, status: 'refused', error: reused }
    }
    const command = this.withoutErased(asked)
    if (!command) return { id: asked.id, status: 'refused', error: gone }
    const doc = this.held.get(key)!
    const decision = decide(doc.body, command, this.declined.has(command.id))
    if (decision.status !== 'applied') this.declining.push(command.id)
    if (decision.status === 'conflict') return { id: command.id, status: 'conflict', version: doc.version, clashes: decision.clashes }
    if (decision.status === 'refused') return { id: command.id, ...decision }
    const version = doc.version + 1
    this.held.set(key, { ...doc, version, body: decision.after })
    const { changes, names } = separateNames(command.changes)
    this.rows.push({ command, version, houseId: houseOf(command, decision.after ?? doc.body), changes, names })
    this.known.set(command.id, { id: command.id, version, wiped: false, subject: key, changes, names })
    return { id: command.id, status: 'applied', version }
  }

  /** A command that says nothing of erased pictures; undefined when that is all it says. */
  private withoutErased(c: Command): Command | undefined {
    if (this.erased.size === 0) return c
    const kept = c.changes.flatMap((x) => {
      if (x.path !== '') return picturesIn(x).some((id) => this.erased.has(id)) ? [] : [x]
      const after = x.after as Workshop | null
      return [{ ...x, after: after && { ...after, pictures: (after.pictures ?? []).filter((p) => !this.erased.has(p.id)) } }]
    })
    return kept.length > 0 ? { ...c, changes: kept } : undefined
  }

  async write(db: Db): Promise<void> {
    const declined = this.declining.filter((id) => !this.declined.has(id))
    if (declined.length > 0)
      await run(db, 'insert into command_declined (id, at) select x, $2 from unnest($1::uuid[]) x on conflict do nothing', [
        declined,
        this.receivedAt.replace(/\[.*/, ''),
      ])
    if (this.rows.length === 0) return
    const changed = [...this.held].filter(([key, h]) => h !== this.began.get(key)).map(([, h]) => h)
    const workshops = changed.flatMap((h) => (h.kind === 'workshop' && h.body ? [h as Held & { body: Workshop }] : []))
    const houses = changed.filter((h) => h.kind === 'house')
    const removed = changed.filter((h) => h.kind === 'workshop' && !h.body)
    const before = (h: Held) => this.began.get(`workshop/${h.id}`)!.body as Workshop | null
    const [marks] = await all([
      this.writeDocuments(db, workshops, houses),
      removed.length ? run(db, 'delete from workshop where id = any($1)', [removed.map((h) => h.id)]) : Promise.resolve(),
      writeNames(
        db,
        workshops.map((h) => namesChanged(before(h), h.body)),
      ),
      this.writeCommands(db),
      run(db, `select pg_notify('imprenta', n) from unnest($1::text[]) n`, [
        changed.map((h) => JSON.stringify({ kind: h.kind, id: h.id, version: h.version })),
      ]),
    ])
    for (const { key, mark } of marks) {
      const h = this.held.get(key)!
      this.held.set(key, { ...h, mark, bodyVersion: h.version })
    }
  }

  /** All of it in one statement that changes nothing unless every row is as it is remembered. */
  async writeAtOnce(db: Db): Promise<boolean> {
    const changed = [...this.held].filter(([key, h]) => h !== this.began.get(key)).map(([, h]) => h as Held & { body: Workshop | null })
    if (changed.some((h) => !h.body)) return false
    const names = changed.map((h) => namesChanged(this.began.get(`workshop/${h.id}`)!.body as Workshop, h.body!))
    const [set, gone] = [names.flatMap((n) => n.set), names.flatMap((n) => n.gone)]
    const said = this.rows.flatMap((r) => r.names.map((n) => ({ ...n, id: r.command.id, houseId: r.houseId })))
    const named = set.length + gone.length + said.length > 0
    const documents = changed.map((h) => ({
      id: h.id,
      house: h.body!.houseId,
      version: h.version,
      summary: summaryOf(h.body!),
      mark: h.mark,
      note: JSON.stringify({ kind: h.kind, id: h.id, version: h.version }),
    }))
    const commands = this.rows.map((r) => ({
      ...r.command,
      commandId: r.command.id,
      house: r.houseId,
      version: r.version,
      changes: r.changes,
    }))
    const values: unknown[] = [JSON.stringify(documents), JSON.stringify(commands), this.receivedAt.replace(/\[.*/, '')]
    if (named) values.push(JSON.stringify(set), JSON.stringify(gone), JSON.stringify(said))
    values.push(this.rows.map((r) => r.command.id))
    const query = { name: named ? 'save-with-names' : 'save', text: atOnce(named), values }
    const { rows } = await db.query<{ marks: [string, string][] | null }>(query)
    for (const [id, mark] of rows[0]!.marks ?? []) this.held.set(`workshop/${id}`, { ...this.held.get(`workshop/${id}`)!, mark })
    return true
  }

  private async writeDocuments(db: Db, workshops: (Held & { body: Workshop })[], houses: Held[]): Promise<{ key: string; mark: string }[]> {
    type Mark = { key: string; mark: string }
    const lists = await all([
      workshops.length
        ? many<Mark>(
            db,
            `insert into workshop (id, house_id, version, body_version, body, summary)
               select id, house, version, version, body, summary
                 from unnest($1::text[], $2::text[], $3::int[], $4::jsonb[], $5::jsonb[]) n (id, house, version, body, summary)
             on conflict (id) do update
               set house_id = excluded.house_id, version = excluded.version, body_version = excluded.body_version, body = excluded.body,
                   summary = excluded.summary
             returning 'workshop/' || id as key, xmin::text as mark`,
            [
              workshops.map((h) => h.id),
              workshops.map((h) => h.body.houseId),
              workshops.map((h) => h.version),
              workshops.map((h) => JSON.stringify(withoutNames(h.body))),
              workshops.map((h) => JSON.stringify(summaryOf(h.body))),
            ],
          )
        : Promise.resolve([]),
      houses.length
        ? many<Mark>(
            db,
            `insert into house (id, version, body) select * from unnest($1::text[], $2::int[], $3::jsonb[])
             on conflict (id) do update set version = excluded.version, body = excluded.body
             returning 'house/' || id as key, xmin::text as mark`,
            [houses.map((h) => h.id), houses.map((h) => h.version), houses.map((h) => JSON.stringify(h.body))],
          )
        : Promise.resolve([]),
    ])
    return lists.flat()
  }

  /** The rows of the log, column by column. */
  private commandColumns(): unknown[] {
    const col = <T>(of: (r: (typeof this.rows)[number]) => T) => this.rows.map(of)
    return [
      col((r) => r.command.id),
      col((r) => r.houseId),
      col((r) => r.command.subject.kind),
      col((r) => r.command.subject.id),
      col((r) => r.command.baseVersion),
      col((r) => r.version),
      col((r) => r.command.kind),
      col((r) => JSON.stringify(r.changes)),
      col((r) => JSON.stringify(r.command.guards)),
      col((r) => r.command.actor),
      col((r) => r.command.at),
      this.receivedAt.replace(/\[.*/, ''),
    ]
  }

  private async writeCommands(db: Db): Promise<void> {
    const names = this.rows.flatMap((r) => r.names.map((n) => ({ ...n, id: r.command.id, houseId: r.houseId })))
    await all([
      run(
        db,
        `insert into command (id, house_id, subject_kind, subject_id, base_version, version, kind, changes, guards, actor, at, received_at)
           select *, $12::timestamptz from unnest($1::uuid[], $2::text[], $3::text[], $4::text[], $5::int[], $6::int[], $7::text[], $8::jsonb[], $9::jsonb[], $10::text[], $11::text[])`,
        this.commandColumns(),
      ),
      names.length
        ? run(
            db,
            'insert into command_name (command_id, house_id, place, name) select * from unnest($1::uuid[], $2::text[], $3::text[], $4::text[])',
            [names.map((n) => n.id), names.map((n) => n.houseId), names.map((n) => n.place), names.map((n) => n.name)],
          )
        : Promise.resolve(),
    ])
  }
}

const houseOf = ({ subject }: Command, doc: House | Workshop | null): string =>
  subject.kind === 'house' || !doc || !('houseId' in doc) ? subject.id : doc.houseId
