import { clockOf, type House } from '#core/house'
import { planOf, stopsOf, type Plan } from '#core/plan'
import type { Mark } from '#core/reasons'
import { blankMaterial, pieceKind, type PieceState } from '#core/recipe'
import type { TakeHomeSheet } from '#core/takehome'
import { minutesBetween, readInstant, sayClock, sayDay, type Zoned } from '#core/time'
import type { Workshop } from '#core/workshop'
import { phrases, sayMinutes } from './phrases'
import { stateWord } from './words'

export type Wording = 'few' | 'more' | 'large'

/** A take-home sheet as text, the same for paper, PDF, Markdown and screen. */
export interface SheetText {
  who: string
  what: string
  house: string
  workshop: string
  date: string
  /** "Ready to rub", and when in large letters; or what is left to do when nothing has to wait. */
  headline: string
  when: string
  never: string
  why: string
  mark: Mark | null
  chain: { state: PieceState; word: string; done: boolean }[]
  /** What is left to do; for a finished piece how it was made, so that it can be done again: `stepsTitle` says so. */
  steps: { title: string; text: string }[]
  stepsTitle: string
  bag: string[]
  faults: { seen: string; now: string }[]
  cautions: string[]
  care: string
  ask: string
}

/** "B3": the seat of a sheet's person. */
export const seatOf = (plan: Plan, sheet: Pick<TakeHomeSheet, 'participant' | 'seat'>): string =>
  plan.seats[sheet.participant] ?? `${sheet.seat}`

/** What a sheet says, for this house and in so many words. Pure; instants are said in the house's zone. */
export function sheetText(sheet: TakeHomeSheet, whole: Plan, workshop: Workshop, house: House, wording: Wording): SheetText {
  const plan = planOf(whole, sheet.design)
  const last = plan.sessions.at(-1)
  return {
    who: sheet.name?.trim() || `Seat ${seatOf(plan, sheet)}`,
    what: [plan.pieceName, pieceMaterial(workshop, sheet.design), sheet.number > 1 && `piece ${sheet.number}`].filter(Boolean).join(', '),
    house: house.name,
    workshop: workshop.title,
    date: last ? sayDay(last.from) : '',
    ...(doubt(sheet, plan, house) ?? headline(sheet, workshop, plan, house)),
    chain: sheet.chain.map((state, i) => ({ state, word: stateWord(state, plan.recipe.words, plan.rounds), done: i < sheet.done })),
    ...(sheet.group === 'finished' && sheet.steps.length === 0
      ? { stepsTitle: 'How it was made, to do it again', steps: howMade(plan, house) }
      : { stepsTitle: '', steps: sheet.steps.map((s) => ({ title: s.title, text: wording === 'few' ? s.few : s.more })) }),
    bag: sheet.bag,
    faults: sheet.faults.map((f) => ({ seen: f.seen, now: f.now })),
    cautions: sheet.cautions,
    care: sheet.care.join(' '),
    ask: house.contact ? `Stuck? Ask ${house.contact}.` : `Stuck? Ask at ${house.name}.`,
  }
}

/** The recipe as this group made it: what one piece takes, then each step with its minutes, its cue and its wait. */
function howMade(plan: Plan, house: House): SheetText['steps'] {
  const say = phrases(house, plan.now)
  const takes = plan.kit
    .filter((l) => !l.durable && l.each && l.unit !== 'count' && l.material !== 'baking-paper')
    .map((l) => `${l.name.toLowerCase()} ${say.amount(l.each!, l.unit)}`)
  const print =
    plan.print.prints === 0
      ? []
      : [`a ${plan.ink === 'any' ? '' : `${plan.ink} `}print, ${plan.print.mirrored ? 'mirrored' : 'not mirrored'}, on ${plan.print.stock}`]
  const first = [...print, ...takes].join('; ')
  return [
    { title: 'For one', text: `${first[0]?.toUpperCase() ?? ''}${first.slice(1)}.` },
    ...plan.stages
      .filter((s) => s.id !== 'print')
      .map((s) => {
        const wait = s.then?.cures
          ? ` Then ${sayMinutes(plan.figures['cure-better']?.value as number)}, never under ${sayMinutes(plan.figures['cure-least']?.value as number)}.`
          : s.then && s.then.least.value > 0
            ? ` Then ${sayMinutes(s.then.least.value)} at least.`
            : s.then?.most && s.then.most.value <= 10
              ? ` Go on within ${sayMinutes(s.then.most.value)}.`
              : ''
        return {
          title: s.attended ? s.name : `${s.name}, ${sayMinutes(s.minutes.value)}`,
          text: `${s.pass}${plan.figures['cure-least'] || !s.then?.cures ? wait : ''}`,
        }
      }),
  ]
}

const pieceMaterial = (workshop: Workshop, id: string) => {
  const design = workshop.designs.find((d) => d.id === id)!
  const material = blankMaterial(design.material)?.name ?? design.material
  return material === pieceKind(design.kind).name || material.endsWith(pieceKind(design.kind).name) ? '' : material
}

/** A plan that does not hold hands nothing out as if it did: its sheets say so, but for pieces whose state is known, and for those that
 *  are told the true time at which they may be rubbed. */
function doubt(sheet: TakeHomeSheet, plan: Plan, house: House): ReturnType<typeof headline> | undefined {
  // What stands against another design is not this piece's.
  const stops = stopsOf(plan).filter((f) => !f.design || f.design.id === sheet.design)
  if (stops.length === 0 || sheet.known || (sheet.ready && stops.every((f) => f.code === 'too-soon'))) return undefined
  const why = phrases(house, plan.now).finding(stops[0]!).title
  return {
    headline: 'Not to hand out yet',
    when: 'This plan does not hold',
    never: '',
    why: `${why}. Once that is settled, print it again.`,
    mark: null,
  }
}

/** The next class that somebody comes to. */
function nextClass(sheet: TakeHomeSheet, workshop: Workshop, plan: Plan): Plan['sessions'][number] | undefined {
  const misses = workshop.group.participants.find((p) => p.id === sheet.participant)?.misses ?? []
  return plan.sessions.find((s) => !misses.includes(s.id) && minutesBetween(plan.now, s.to) > 0)
}

function headline(
  sheet: TakeHomeSheet,
  workshop: Workshop,
  plan: Plan,
  house: House,
): Pick<SheetText, 'headline' | 'when' | 'never' | 'why' | 'mark'> {
  const clock = clockOf(house)
  const { ready } = sheet
  if (ready) {
    return {
      headline: 'Ready to rub',
      when: `${sayDay(ready.tellAt)}, after ${sayHour(ready.tellAt, clock)}`,
      never: `Never before ${sayDay(ready.neverBefore)}, ${sayClock(ready.neverBefore, clock)}.`,
      why: `Glued ${sayDay(ready.laidAt)} at ${sayClock(ready.laidAt, clock)}. It wants ${sayMinutes(ready.recommendedMin)} flat, face up, with nothing on top.`,
      mark: ready.mark,
    }
  }
  const nothing = { never: '', why: '', mark: null }
  switch (sheet.group) {
    case 'not-laid':
      return { ...nothing, ...notLaid(nextClass(sheet, workshop, plan), plan, house) }
    case 'finished':
      return {
        ...nothing,
        headline: 'What it is now',
        when: isSoft(plan) ? `${stateWord(sheet.state, plan.recipe.words)}, still soft` : stateWord(sheet.state, plan.recipe.words),
        why: isSoft(plan) ? 'Keep it open and flat until it no longer feels cool; then it is done.' : 'Nothing is left to do.',
      }
    case 'seal-at-home':
      return {
        ...nothing,
        headline: 'Left to do',
        when: 'Seal it once it is dry',
        why: 'Rubbed clean. Dry it through first, or the coat clouds.',
      }
    default:
      return { ...nothing, headline: 'Left to do', when: sheet.steps[0]?.title ?? '', why: 'It goes on from here; no need to wait.' }
  }
}

/** Nothing is laid yet: when and where it is, or whom to ask. */
function notLaid(next: Plan['sessions'][number] | undefined, plan: Plan, house: House): Pick<SheetText, 'headline' | 'when' | 'why'> {
  const ask = house.contact ? `Ask ${house.contact}` : `Ask at ${house.name}`
  if (plan.sessions.length === 0) return { headline: 'Not begun yet', when: 'No date is set', why: `${ask} when it is.` }
  if (!next)
    return { headline: 'Not begun yet', when: 'A piece waits for you', why: `The classes are over and yours has still to be laid. ${ask}.` }
  const clock = clockOf(house)
  return {
    headline: 'Not begun yet',
    when: `${sayDay(next.from)}, ${sayClock(next.from, clock)}`,
    why: `Yours is laid then, in ${next.room}, class ${next.number} of ${plan.sessions.length}. A piece waits for you.`,
  }
}

/** A coat that has just gone on is soft for a while; film, tissue and paper are not. */
const isSoft = (plan: Plan) => plan.stages.some((s) => s.makes === 'sealed' && s.lays)

/** "5 in the afternoon", "17:00". */
function sayHour(at: Zoned, clock: 12 | 24): string {
  if (clock === 24) return sayClock(at, 24)
  const { hour, minute } = readInstant(at)
  if (minute !== 0) return sayClock(at, 12)
  if (hour === 0) return 'midnight'
  if (hour === 12) return 'noon'
  return `${hour % 12} ${hour < 12 ? 'in the morning' : hour < 18 ? 'in the afternoon' : 'in the evening'}`
}
