import { setTimeout as wait } from 'node:timers/promises'
import type pg from 'pg'
import * as v from 'valibot'
import { uuidv7 } from 'uuidv7'
import { correctedMs, dayEvent, dayRoom, factsOf, foldDay, type DayEvent } from '#core/day'
import { BadInput, readInput } from '#core/reasons'
import type { Clock } from '../clock'
import { inTransaction, many, maybeOne, run, type Db } from '../db/query'
import { loadWorkshop } from '../desk/documents'
import { planOfDesk } from '../desk/planning'
import type { Saver } from '../desk/saver'

export interface Taken {
  /** What is here now, whether it came now or before. */
  taken: string[]
  /** What cannot be taken, with what is wrong; the others are. */
  refused: { id: string | null; what: string; path: string; remedy: string }[]
}

interface Row {
  at: string
  body: DayEvent
}

/** Of one workshop's taps, one hand at a time, until the end of the transaction. */
export const lockDay = (db: Db, workshop: string): Promise<void> =>
  run(db, `select pg_advisory_xact_lock(hashtextextended('day/' || $1, 0))`, [workshop])

/** Keeps taps, each once, in whatever order and however often they come. One that is no event, or whose workshop is gone, is refused by
 *  itself. Those of one workshop come after one another, so that who asks for what came after a number misses none. `knows` has of each workshop the
 *  version at which its names were erased, as far as the sender heard: who has not heard of the last one may say such a name in a note, which is neither
 *  taken nor refused; it is sent again without them. */
export async function takeEvents(
  pool: pg.Pool,
  raw: readonly unknown[],
  knows?: Readonly<Record<string, number>>,
): Promise<Taken & { of: { workshop: string; session: string }[] }> {
  const refused: Taken['refused'] = []
  const events = raw.flatMap((r): DayEvent[] => {
    try {
      return [readInput(dayEvent, r) as unknown as DayEvent]
    } catch (e) {
      if (!(e instanceof BadInput)) throw e
      const id = (r as { id?: unknown } | null)?.id
      refused.push({ id: typeof id === 'string' ? id : null, what: e.what, path: e.path, remedy: e.remedy })
      return []
    }
  })
  const taken: string[] = []
  const by = new Map<string, DayEvent[]>()
  for (const e of events) by.set(e.workshop, [...(by.get(e.workshop) ?? []), e])
  for (const [workshop, all] of [...by].sort(([a], [b]) => (a < b ? -1 : 1)))
    await inTransaction(pool, async (db) => {
      await lockDay(db, workshop)
      const there = await maybeOne<{ erased: number }>(db, 'select names_erased as erased from workshop where id = $1 for share', [
        workshop,
      ])
      if (!there) {
        for (const e of all)
          refused.push({
            id: e.id,
            what: 'This workshop is not here any more.',
            path: 'workshop',
            remedy: 'Keep the list of taps as a file.',
          })
        return
      }
      const heard = knows === undefined || there.erased <= (knows[workshop] ?? 0)
      const mine = heard ? all : all.filter((e) => e.kind !== 'note')
      await run(
        db,
        `insert into day_event (id, workshop_id, session_id, kind, body, happened, never_before, early)
         select (e ->> 'id')::uuid, e ->> 'workshop', e ->> 'session', e ->> 'kind', e - 'ms' - 'never',
                to_timestamp((e ->> 'ms')::float8 / 1000), to_timestamp((e ->> 'never')::float8 / 1000),
                coalesce((e ->> 'ms')::float8 < (e ->> 'never')::float8, false)
           from jsonb_array_elements($1::jsonb) with ordinality x (e, i) order by i
         on conflict (id) do nothing`,
        [JSON.stringify(mine.map((e) => ({ ...e, ms: correctedMs(e), never: neverMs(e) })))],
      )
      for (const session of new Set(mine.map((e) => e.session)))
        await run(db, `select pg_notify('imprenta', $1)`, [JSON.stringify({ kind: 'day', id: workshop, session })])
      taken.push(...mine.map((e) => e.id))
    })
  const of = [...new Map(events.map((e) => [`${e.workshop} ${e.session}`, { workshop: e.workshop, session: e.session }])).values()]
  return { taken, refused, of }
}

const neverMs = (e: DayEvent): number | null =>
  e.kind === 'said' && e.value.neverBefore ? Date.parse(e.value.neverBefore.replace(/\[.*$/, '')) : null

/** The taps of a class that came after a number, in the order in which they came; and the last number. */
export async function eventsAfter(
  pool: pg.Pool,
  workshop: string,
  session: string,
  after: number,
): Promise<{ last: number; events: DayEvent[] }> {
  const rows = await many<Row>(
    pool,
    'select n::text as at, body from day_event where workshop_id = $1 and session_id = $2 and n > $3 order by n limit 5000',
    [workshop, session, after],
  )
  return { last: rows.length > 0 ? Number(rows.at(-1)!.at) : after, events: rows.map((r) => r.body) }
}

/** Every tap of a class, however many, in the order in which they came. */
export async function allEvents(pool: pg.Pool, workshop: string, session: string): Promise<DayEvent[]> {
  const all: DayEvent[] = []
  for (let after = 0; ;) {
    const { last, events } = await eventsAfter(pool, workshop, session, after)
    if (events.length === 0) return all
    all.push(...events)
    after = last
  }
}

/** So long taps are gathered before they are written into the workshop. */
const gatherMs = 300

/** Writes what happened into the workshop's document, so that cures, ready times, sheets and shelf count from it; as often as something new
 *  has come, one after another for each class. */
export class Facts {
  private readonly waiting = new Map<string, { workshop: string; session: string }>()
  private working: Promise<void> | undefined

  constructor(
    private readonly pool: pg.Pool,
    private readonly clock: Clock,
    private readonly saver: Saver,
    private readonly failed: (e: unknown) => void,
  ) {}

  changed(list: readonly { workshop: string; session: string }[]): void {
    for (const x of list) this.waiting.set(`${x.workshop} ${x.session}`, x)
    this.working ??= this.work().finally(() => (this.working = undefined))
  }

  /** Until nothing waits any more. */
  async settled(): Promise<void> {
    while (this.working) await this.working
  }

  private async work(): Promise<void> {
    // Taps come in swarms: they are gathered, and hands that wait for an answer go first.
    await wait(gatherMs)
    for (const [key, x] of this.waiting) {
      this.waiting.delete(key)
      try {
        await this.write(x.workshop, x.session)
      } catch (e) {
        this.failed(e)
      }
    }
  }

  private async write(id: string, session: string): Promise<void> {
    for (let again = 0; again < 3; again++) {
      const stored = await loadWorkshop(this.pool, id)
      if (!stored) return
      const { plan } = await planOfDesk(this.pool, this.clock, id)
      const room = dayRoom(stored.body, plan, session)
      if (!room) return
      const events = await allEvents(this.pool, id, session)
      const changes = factsOf(stored.body, foldDay(room, events), session)
      if (changes.length === 0) return
      const command = {
        ...{ id: uuidv7(), subject: { kind: 'workshop', id }, baseVersion: stored.version, kind: 'day', changes, guards: [] },
        ...{ actor: 'the day', at: this.clock.now() },
      }
      const { outcomes } = await this.saver.save([command], this.clock.now())
      if (outcomes[0]?.status === 'applied') return
    }
  }
}

/** What a batch of taps looks like from outside. */
export const dayBatch = v.object({
  events: v.pipe(v.array(v.unknown(), 'not a list of taps | Send a list.'), v.maxLength(500, 'more than 500 taps | Send 500 at a time.')),
  /** By workshop, the version at which its names were erased last, as far as the sender heard. */
  knows: v.optional(v.record(v.string(), v.number())),
})
