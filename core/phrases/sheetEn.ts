import { clockOf, type House } from '#core/house'
import { catalogue, t } from '#core/language'
import { planOf, stopsOf, type Finding, type Plan } from '#core/plan'
import type { Mark } from '#core/reasons'
import { blankMaterial, pieceKind, type PieceState } from '#core/recipe'
import type { TakeHomeSheet } from '#core/takehome'
import { minutesBetween, readInstant, sayClock, sayDay, type Zoned } from '#core/time'
import type { Workshop } from '#core/workshop'
import { kitSteps } from './kitSteps'
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
  /** What is left to do; for a finished piece how it was made, so that it can be done again, for one that is not begun what will be done:
   *  `stepsTitle` says so. */
  steps: { title: string; text: string; state?: PieceState }[]
  stepsTitle: string
  bag: string[]
  faults: { seen: string; now: string }[]
  cautions: string[]
  care: string
  ask: string
  /** What stands over the blocks, and what the mark means. */
  titles: { bag: string; whatIf: string; care: string; mark: string }
}

/** "B3": the seat of a sheet's person. */
export const seatOf = (plan: Plan, sheet: Pick<TakeHomeSheet, 'participant' | 'seat'>): string =>
  plan.seats[sheet.participant] ?? `${sheet.seat}`

const legend: Record<Mark, string> = { P: 'P practitioners agree', E: 'E our estimate', Y: 'Y measured here' }

/** What a sheet says, for this house and in so many words. Pure; instants are said in the house's zone. */
export function sheetText(sheet: TakeHomeSheet, whole: Plan, workshop: Workshop, house: House, wording: Wording): SheetText {
  const plan = planOf(whole, sheet.design)
  const last = plan.sessions.at(-1)
  const head = doubt(sheet, plan, house) ?? headline(sheet, workshop, plan, house)
  return {
    who: sheet.name?.trim() || t('Seat {0}', seatOf(plan, sheet)),
    what: [t(plan.pieceName), t(pieceMaterial(workshop, sheet.design)), sheet.number > 1 && t('piece {0}', sheet.number)]
      .filter(Boolean)
      .join(', '),
    house: house.name,
    workshop: workshop.title,
    date: last ? sayDay(last.from) : '',
    ...head,
    chain: sheet.chain.map((state, i) => ({ state, word: stateWord(state, plan.recipe.words, plan.rounds), done: i < sheet.done })),
    ...(sheet.group === 'finished' && sheet.steps.length === 0
      ? { stepsTitle: t('How it was made, to do it again'), steps: howMade(plan, house) }
      : sheet.group === 'not-laid' && sheet.steps.length === 0
        ? { stepsTitle: t('What will be done'), steps: howMade(plan, house) }
        : {
            stepsTitle: '',
            steps: sheet.steps
              .map((x) => inWords(x, plan.recipe))
              .map((s) => ({ title: t(s.title), text: stepText(s, sheet, wording), ...(s.makes && { state: s.makes }) })),
          }),
    bag: sheet.bag.map((b) => inPot(b, sheet, plan, house)),
    faults: sheet.faults.map((f) => ({ seen: t(f.seen), now: t(f.now) })),
    cautions: sheet.cautions.map((c) => t(c)),
    care: sheet.care.map((c) => t(c)).join(' '),
    ask: house.contact ? t('Stuck? Ask {0}.', house.contact) : t('Stuck? Ask at {0}.', house.name),
    titles: { bag: t('In the bag'), whatIf: t('What if'), care: t('Take care'), mark: head.mark ? t(legend[head.mark]) : '' },
  }
}

/** A step that is otherwise done in class, in words for somebody who has never done it; a recipe of the house has those of its method. */
function inWords(s: TakeHomeSheet['steps'][number], recipe: Plan['recipe']): TakeHomeSheet['steps'][number] {
  const said = s.stage === undefined ? undefined : kitSteps[recipe.from ?? recipe.id]?.[s.stage]
  return said ? { ...s, ...said } : s
}

/** A step in so many words; of a kit to go with what must not be, the line for the time at which it is laid, and its wait. */
function stepText(s: TakeHomeSheet['steps'][number], sheet: TakeHomeSheet, wording: Wording): string {
  const waits = sheet.wait
  return [
    t(wording === 'few' ? s.few : s.more),
    s.not !== undefined && t('Not: {0}', t(s.not)),
    s.laid &&
      waits &&
      t(
        'Laid on ____________ at ________. Then {0} flat, never under {1}.',
        sayMinutes(waits.recommendedMin),
        sayMinutes(waits.requiredMin),
      ),
    s.leastMin !== undefined && t('Then {0} at least.', sayMinutes(s.leastMin)),
    s.mostMin !== undefined && t('Go on within {0}.', sayMinutes(s.mostMin)),
  ]
    .filter(Boolean)
    .join(' ')
}

/** A thing in the bag; of a kit to go what is measured says how much is in its pot. */
function inPot(bag: string, sheet: TakeHomeSheet, plan: Plan, house: House): string {
  const material = plan.materials.find((m) => m.bag === bag && sheet.things.includes(m.material))?.material
  const line = sheet.group === 'all-at-home' ? plan.kit.find((l) => l.material === material) : undefined
  return line?.pot === undefined ? t(bag) : t('{0}: {1}', t(bag), phrases(house, plan.now).amount(line.pot, 'ml'))
}

/** The recipe as this group made it: what one piece takes, then each step with its minutes, its cue and its wait. */
function howMade(plan: Plan, house: House): SheetText['steps'] {
  const say = phrases(house, plan.now)
  const takes = plan.kit
    .filter((l) => !l.durable && l.each && l.unit !== 'count' && l.material !== 'baking-paper')
    .map((l) => `${t(l.name).toLowerCase()} ${say.amount(l.each!, l.unit)}`)
  const print =
    plan.print.prints === 0
      ? []
      : [
          t(
            plan.print.mirrored ? 'a {0}, mirrored, on {1}' : 'a {0}, not mirrored, on {1}',
            t(plan.ink === 'any' ? 'print' : `${plan.ink} print`),
            t(plan.print.stock),
          ),
        ]
  const first = [...print, ...takes].join('; ')
  return [
    { title: t('For one'), text: `${first[0]?.toUpperCase() ?? ''}${first.slice(1)}.` },
    ...plan.stages
      .filter((s) => s.id !== 'print')
      .map((s) => {
        const wait = s.then?.cures
          ? ` ${t('Then {0}, never under {1}.', sayMinutes(plan.figures['cure-better']?.value as number), sayMinutes(plan.figures['cure-least']?.value as number))}`
          : s.then && s.then.least.value > 0
            ? ` ${t('Then {0} at least.', sayMinutes(s.then.least.value))}`
            : s.then?.most && s.then.most.value <= 10
              ? ` ${t('Go on within {0}.', sayMinutes(s.then.most.value))}`
              : ''
        return {
          title: s.attended ? t(s.name) : `${t(s.name)}, ${sayMinutes(s.minutes.value)}`,
          text: `${t(s.pass)}${plan.figures['cure-least'] || !s.then?.cures ? wait : ''}`,
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
  // Nor what stands against the classes somebody's who does it all at home.
  const ofClass = (f: Finding) => sheet.group === 'all-at-home' && ['sessions', 'room', 'group'].includes(f.decision)
  const stops = stopsOf(plan).filter((f) => (!f.design || f.design.id === sheet.design) && !ofClass(f))
  if (stops.length === 0 || sheet.known || (sheet.ready && stops.every((f) => f.code === 'too-soon'))) return undefined
  const why = phrases(house, plan.now).finding(stops[0]!).title
  return {
    headline: t('Not to hand out yet'),
    when: t('This plan does not hold'),
    never: '',
    why: t('{0}. Once that is settled, print it again.', why),
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
  if (sheet.group === 'all-at-home') return kitToGo(sheet)
  if (ready) {
    return {
      headline: t('Ready to rub'),
      when: t('{0}, after {1}', sayDay(ready.tellAt), sayHour(ready.tellAt, clock)),
      never: t('Never before {0}, {1}.', sayDay(ready.neverBefore), sayClock(ready.neverBefore, clock)),
      why: t(
        'Glued {0} at {1}. It wants {2} flat, face up, with nothing on top.',
        sayDay(ready.laidAt),
        sayClock(ready.laidAt, clock),
        sayMinutes(ready.recommendedMin),
      ),
      mark: ready.mark,
    }
  }
  if (sheet.wait) {
    const { recommendedMin, requiredMin, mark } = sheet.wait
    return {
      headline: t('Ready to rub'),
      when: t('{0} after it was laid', sayMinutes(recommendedMin)),
      never: t('Never before {0}.', sayMinutes(requiredMin)),
      why: t('Nobody noted when that was. Count from when the glue went on; if that is not known, from now.'),
      mark,
    }
  }
  const nothing = { never: '', why: '', mark: null }
  switch (sheet.group) {
    case 'not-laid':
      return { ...nothing, ...notLaid(nextClass(sheet, workshop, plan), plan, house) }
    case 'finished':
      return {
        ...nothing,
        headline: t('What it is now'),
        when: isSoft(plan) ? t('{0}, still soft', stateWord(sheet.state, plan.recipe.words)) : stateWord(sheet.state, plan.recipe.words),
        why: t(isSoft(plan) ? 'Keep it open and flat until it no longer feels cool; then it is done.' : 'Nothing is left to do.'),
      }
    case 'seal-at-home':
      return {
        ...nothing,
        headline: t('Left to do'),
        when: t('Seal it once it is dry'),
        why: t('Rubbed clean. Dry it through first, or the coat clouds.'),
      }
    default:
      return {
        ...nothing,
        headline: t('Left to do'),
        when: t(sheet.steps[0]?.title ?? ''),
        why: t('It goes on from here; no need to wait.'),
      }
  }
}

/** All of it at home: nobody knows when it will be laid, so the wait is told as a rule. */
function kitToGo({ wait }: TakeHomeSheet): Pick<SheetText, 'headline' | 'when' | 'never' | 'why' | 'mark'> {
  const headline = t('A kit to go')
  if (!wait)
    return {
      headline,
      when: t('All in one go, when it suits you'),
      never: '',
      why: t('Read all steps first. Table, bowl, warm water and scissors are yours.'),
      mark: null,
    }
  const lasts = sayMinutes(wait.recommendedMin)
  return {
    headline,
    when: wait.recommendedMin >= 720 ? t('Lay it one day, rub it the next: {0} after', lasts) : t('Rub it {0} after you laid it', lasts),
    never: t('Never before {0}.', sayMinutes(wait.requiredMin)),
    why: t('Count from when the glue went on, and write it down. Table, bowl, warm water and scissors are yours.'),
    mark: wait.mark,
  }
}

/** Nothing is laid yet: when and where it is, or whom to ask. */
function notLaid(next: Plan['sessions'][number] | undefined, plan: Plan, house: House): Pick<SheetText, 'headline' | 'when' | 'why'> {
  const ask = house.contact ? t('Ask {0}', house.contact) : t('Ask at {0}', house.name)
  if (plan.sessions.length === 0) return { headline: t('Not begun yet'), when: t('No date is set'), why: t('{0} when it is.', ask) }
  if (!next)
    return {
      headline: t('Not begun yet'),
      when: t('A piece waits for you'),
      why: t('The classes are over and yours has still to be laid. {0}.', ask),
    }
  const clock = clockOf(house)
  return {
    headline: t('Not begun yet'),
    when: `${sayDay(next.from)}, ${sayClock(next.from, clock)}`,
    why: t('Yours is laid then, in {0}, class {1} of {2}. A piece waits for you.', next.room, next.number, plan.sessions.length),
  }
}

/** A coat that has just gone on is soft for a while; film, tissue and paper are not. */
const isSoft = (plan: Plan) => plan.stages.some((s) => s.makes === 'sealed' && s.lays)

/** "5 in the afternoon", "17:00". */
function sayHour(at: Zoned, clock: 12 | 24): string {
  if (clock === 24) return sayClock(at, 24)
  const { hour, minute } = readInstant(at)
  if (minute !== 0) return sayClock(at, 12)
  if (hour === 0) return t('midnight')
  if (hour === 12) return t('noon')
  const n = hour % 12
  if (hour < 12) return t(n === 1 ? '1 in the morning' : '{0} in the morning', n)
  // The evening begins at six in English, and where a language says so.
  if (hour < (catalogue() ? 20 : 18)) return t(n === 1 ? '1 in the afternoon' : '{0} in the afternoon', n)
  return t('{0} in the evening', n)
}

/** A sheet in two languages: each thing in the one, then in the other; what is the same in both stands once. */
export function inBoth(a: SheetText, b: SheetText): SheetText {
  const join = (x: string, y: string, long: string) => (x === y || !y ? x : `${x}${x.length + y.length < 44 ? ' · ' : long}${y}`)
  const both = (x: string, y: string) => join(x, y, '\n')
  const item = (x: string, y: string) => join(x, y, ' / ')
  const each = (x: readonly string[], y: readonly string[]) => x.map((s, i) => item(s, y[i] ?? ''))
  return {
    ...a,
    who: both(a.who, b.who),
    what: item(a.what, b.what),
    date: both(a.date, b.date),
    headline: both(a.headline, b.headline),
    when: both(a.when, b.when),
    never: both(a.never, b.never),
    why: both(a.why, b.why),
    chain: a.chain.map((c, i) => ({ ...c, word: both(c.word, b.chain[i]!.word) })),
    steps: a.steps.map((s, i) => ({ ...s, title: both(s.title, b.steps[i]!.title), text: `${s.text}\n${b.steps[i]!.text}` })),
    stepsTitle: both(a.stepsTitle, b.stepsTitle),
    bag: each(a.bag, b.bag),
    faults: a.faults.map((f, i) => ({ seen: item(f.seen, b.faults[i]!.seen), now: item(f.now, b.faults[i]!.now) })),
    cautions: each(a.cautions, b.cautions),
    care: both(a.care, b.care),
    ask: both(a.ask, b.ask),
    titles: {
      bag: both(a.titles.bag, b.titles.bag),
      whatIf: both(a.titles.whatIf, b.titles.whatIf),
      care: both(a.titles.care, b.titles.care),
      mark: both(a.titles.mark, b.titles.mark),
    },
  }
}
