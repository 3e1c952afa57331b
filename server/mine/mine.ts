import { randomBytes } from 'node:crypto'
import type pg from 'pg'
import * as v from 'valibot'
import { dayRoom, foldDay, outcomes, replan, type DayEvent } from '#core/day'
import { inLanguage, languages, t, type Language } from '#core/language'
import { laidAtHome, mineEnds, minePage, type MineDay, type MinePage } from '#core/mine'
import { minutesBetween } from '#core/time'
import type { Workshop } from '#core/workshop'
import { uuidv7 } from 'uuidv7'
import type { Clock } from '../clock'
import { allEvents, takeEvents } from '../day/day'
import { many, maybeOne, run, type Db } from '../db/query'
import { loadHouse, loadWorkshop } from '../desk/documents'
import { planOfDesk, type Planned } from '../desk/planning'
import type { Saver } from '../desk/saver'
import { NotFound } from '../errors'

/** What a page that is not there says, whether it ever was or not: nobody learns which addresses there are. */
const notThere = () => new NotFound('This page has ended, or never was. Ask at the library.')

/** An address for everybody in a workshop that has none yet: 128 random bits each. Answers with the addresses by participant; of who is not in the
 *  workshop any more they go. */
export async function addressesOf(db: Db, workshop: Workshop): Promise<Map<string, string>> {
  const people = workshop.group.participants.map((p) => p.id)
  await run(db, 'delete from piece_address where workshop_id = $1 and not participant_id = any($2)', [workshop.id, people])
  await run(
    db,
    `insert into piece_address (token, workshop_id, participant_id)
     select x.token, $1, x.participant from unnest($2::text[], $3::text[]) x (token, participant)
     on conflict (workshop_id, participant_id) do nothing`,
    [workshop.id, people.map(() => randomBytes(16).toString('base64url')), people],
  )
  const rows = await many<{ token: string; participant: string }>(
    db,
    'select token, participant_id as participant from piece_address where workshop_id = $1',
    [workshop.id],
  )
  return new Map(rows.map((r) => [r.participant, r.token]))
}

/** Lets go of the addresses of classes whose keeping date is over. Answers with how many. */
export async function sweepAddresses(pool: pg.Pool, clock: Clock): Promise<number> {
  const of = await many<{ id: string }>(pool, 'select distinct workshop_id as id from piece_address')
  let gone = 0
  for (const { id } of of) {
    const workshop = (await loadWorkshop(pool, id))?.body
    const house = workshop && (await loadHouse(pool, workshop.houseId))?.body
    if (workshop && house && mineEnds(workshop) > clock.now(house.timeZone).slice(0, 10)) continue
    gone += (await pool.query('delete from piece_address where workshop_id = $1', [id])).rowCount ?? 0
  }
  return gone
}

interface Mine extends Planned {
  participant: string
}
async function find(pool: pg.Pool, clock: Clock, token: string): Promise<Mine> {
  const known = /^[\w-]{22}$/.test(token)
    ? await maybeOne<{ id: string; participant: string }>(
        pool,
        'select workshop_id as id, participant_id as participant from piece_address where token = $1',
        [token],
      )
    : undefined
  if (!known) throw notThere()
  const planned = await planOfDesk(pool, clock, known.id)
  if (planned.plan.now.slice(0, 10) >= mineEnds(planned.workshop)) throw notThere()
  return { ...planned, participant: known.participant }
}

/** So long after its end a class that nobody ended is over all the same, in minutes. */
const overAfter = 12 * 60

/** The class that runs, else the next that somebody comes to, else the last that ran: its day as its taps have it. */
async function dayOf(pool: pg.Pool, { workshop, plan, participant }: Mine): Promise<MineDay | undefined> {
  const misses = workshop.group.participants.find((p) => p.id === participant)?.misses ?? []
  const { now } = plan
  let coming: MineDay | undefined
  let ran: MineDay | undefined
  for (const s of plan.sessions) {
    const room = dayRoom(workshop, plan, s.id)
    if (!room) continue
    const events = await allEvents(pool, workshop.id, s.id)
    const state = foldDay(room, events)
    const day = { room, state, left: replan(room, state, now) }
    const isOver = minutesBetween(s.to, now) > overAfter
    if (state.begunAt && !state.endedAt && !isOver) return day
    if (state.begunAt) ran = { ...day, state: { ...state, endedAt: state.endedAt ?? s.to } }
    else if (!coming && minutesBetween(now, s.to) > 0 && !misses.includes(s.id)) coming = day
  }
  return coming ?? ran
}

export const mineQuery = v.object({
  language: v.optional(v.picklist(languages, `not a language | Say one of ${languages.join(', ')}.`)),
})

/** A participant's page; throws {@link NotFound} for an address that is not there or has ended. */
export async function pageOf(
  pool: pg.Pool,
  clock: Clock,
  token: string,
  asked?: Language,
): Promise<MinePage & { language: Language; other: Language }> {
  const mine = await find(pool, clock, token)
  const language = asked ?? mine.house.language ?? 'en'
  const day = await dayOf(pool, mine)
  const page = inLanguage(language, () => minePage(mine, mine.participant, day, mine.plan.now))
  if (!page) throw notThere()
  return { ...page, language, other: language === 'en' ? 'es' : 'en' }
}

export const cameOut = v.object({
  piece: v.pipe(v.string(), v.maxLength(300)),
  how: v.picklist(outcomes, `not a way to come out | Say one of ${outcomes.join(', ')}.`),
})

/** Its person says how a piece came out: a tap of the class's day like any other, and the last word on it. Answers with the class it is of. */
export async function saysHow(
  pool: pg.Pool,
  clock: Clock,
  token: string,
  { piece, how }: v.InferOutput<typeof cameOut>,
): Promise<{ workshop: string; session: string }> {
  const mine = await find(pool, clock, token)
  const day = await dayOf(pool, mine)
  const page = inLanguage('en', () => minePage(mine, mine.participant, day, mine.plan.now))
  const own = page?.pieces.find((p) => p.id === piece)
  if (!day || !own?.asks) throw new NotFound(inLanguage(mine.house.language ?? 'en', () => t('Nothing is asked of this piece now.')))
  const at = mine.plan.now
  const event = {
    ...{ id: uuidv7(), workshop: mine.workshop.id, session: day.room.session, subject: { kind: 'piece' as const, id: piece } },
    ...{
      kind: 'outcome' as const,
      value: { how },
      at,
      // Nothing of the address: taps are read by every tablet.
      device: `phone-${mine.participant}`.slice(0, 64),
      seq: Date.now(),
      skew: 0,
      actor: 'whose piece it is',
    },
  } satisfies DayEvent
  const { refused } = await takeEvents(pool, [event])
  if (refused.length > 0) throw new Error(`a phone's answer was refused: ${refused[0]!.what}`)
  return { workshop: mine.workshop.id, session: day.room.session }
}

export const laidNow = v.object({ piece: v.pipe(v.string(), v.maxLength(300)), laid: v.boolean('not yes or no | Say true or false.') })

/** The person with a kit to go says that its picture was laid just now, or that this was wrong; kept in the workshop as anybody's word is. Throws
 *  {@link NotFound} where nothing of the kind is asked. */
export async function saysLaid(
  pool: pg.Pool,
  clock: Clock,
  saver: Saver,
  token: string,
  { piece, laid }: v.InferOutput<typeof laidNow>,
): Promise<void> {
  // Somebody else may write the same workshop just then.
  for (let again = 0; again < 3; again++) {
    const mine = await find(pool, clock, token)
    const change = laidAtHome(mine, mine.participant, piece, laid, mine.plan.now)
    const stored = await loadWorkshop(pool, mine.workshop.id)
    if (!change || !stored) throw new NotFound(inLanguage(mine.house.language ?? 'en', () => t('Nothing is asked of this piece now.')))
    const subject = { kind: 'workshop' as const, id: mine.workshop.id }
    const command = {
      ...{ id: uuidv7(), subject, baseVersion: stored.version, kind: 'laid-at-home', changes: [change], guards: [] },
      ...{ actor: 'whose piece it is', at: clock.now() },
    }
    const { outcomes } = await saver.save([command], clock.now())
    if (outcomes[0]?.status === 'applied') return
  }
  throw new Error('a phone’s word was not taken')
}
