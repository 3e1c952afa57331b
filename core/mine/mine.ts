import {
  earliestNext,
  routesOf,
  sayNext,
  type DayRoom,
  type DayStage,
  type DayState,
  type Outcome,
  type PersonDay,
  type PieceDay,
  type Replan,
} from '#core/day'
import { clockOf, type House } from '#core/house'
import { t } from '#core/language'
import { planOf, type Plan } from '#core/plan'
import { eraseDay } from '#core/pictures'
import { outlineOf, pieceKind, type Outline, type PieceState } from '#core/recipe'
import type { TakeHomeSheet } from '#core/takehome'
import { addMinutes, minutesBetween, placeLocal, roundUpToHour, sayClock, sayDay, sayMinute, sayShortDay, type Zoned } from '#core/time'
import { changed, inWorkshop, newPiece, pieceOf, takesKit, type Change, type Drawing, type Piece, type Workshop } from '#core/workshop'
import { sheetText, stateWord } from '#core/phrases'

/** What holds from a moment on, until the next phase begins: a phone without net goes from one to the next by itself. */
export interface Phase {
  /** Null: from the beginning. */
  from: Zoned | null
  title: string
  words: string
  /** Counted down to, with what stands over the count; null where nothing is waited for. */
  until: Zoned | null
  counts: string
}
/** One piece on a participant's phone. Everything in it is said: nothing has to be known to show it. */
export interface MinePiece {
  /** "participant.design.number". */
  id: string
  what: string
  kind: string
  drawing: Drawing
  outline: Outline
  /** It hangs by a cord. */
  hangs: boolean
  state: PieceState
  stateWord: string
  chain: { state: PieceState; word: string; done: boolean; when: string }[]
  phases: Phase[]
  /** The wait in its three parts: never, risky, ready; absent where nothing cures any more. */
  wait: { laidAt: Zoned; neverBefore: Zoned; tellAt: Zoned; never: string; ready: string } | null
  never: string
  mark: string
  /** How to know that it is right, and that it is not. */
  cue: { stage: string; right: string; wrong: string } | null
  steps: { title: string; text: string }[]
  stepsTitle: string
  whatIf: { seen: string; now: string }[]
  care: string[]
  /** Of a kit to go whose picture cures: its person may say that it was laid just now, or that this was wrong. */
  lay: 'ask' | 'said' | null
  /** Its person may say how it came out. */
  asks: boolean
  outcome: Outcome | null
}
/** A participant's page: first name or seat, their pieces, when it goes. */
export interface MinePage {
  now: Zoned
  who: string
  title: string
  house: string
  pieces: MinePiece[]
  ask: string
  gone: string
  /** The class is running: the page looks again soon. */
  running: boolean
  labels: Record<MineLabel, string>
}
export const mineLabels = {
  now: 'Now',
  estimate: 'our estimate',
  never: 'never yet',
  risky: 'risky: ink lifts',
  cue: 'How to know',
  whatIf: 'What if',
  laidNow: 'I laid it just now',
  layWhy: 'Tap it when the picture lies on the piece: its wait is counted from then. Tapped later, it waits longer, never shorter.',
  layWrong: 'That was wrong: it is not laid yet',
  keep: 'Keep it well',
  came: 'How did it come out?',
  tap: 'one tap',
  kept: 'Noted for this piece, without your name.',
  notSent: 'No net: kept on this phone, sent when there is one.',
  away: 'No net: counting on since {0}',
  hours: '{0} hours',
  minutes: '{0} minutes',
  minute: 'one minute',
  less: 'less than a minute',
  good: 'good',
  hazy: 'hazy',
  bald: 'bald',
  torn: 'torn',
  redone: 'redone',
} as const
export type MineLabel = keyof typeof mineLabels

/** The day after which a participant's page is not there any more: the keeping date of the workshop's pictures. Date. */
export const mineEnds = (workshop: Workshop): string => eraseDay(workshop, { deleteOn: null }).date

/** A class's day as far as somebody's page needs it: the one that runs, else the one to come, else the last that ran. */
export interface MineDay {
  room: DayRoom
  state: DayState
  left: Replan
}

/** Somebody's page as it is at `now`; undefined where nobody of that id is in the workshop. Instants in the house's zone. No phase, count or word
 *  proposes a rub before the piece's own time. */
export function minePage({ workshop, house, plan }: All, participant: string, day: MineDay | undefined, now: Zoned): MinePage | undefined {
  const sheets = plan.takeHome.filter((s) => s.participant === participant)
  if (!workshop.group.participants.some((p) => p.id === participant)) return undefined
  const running = !!day && isRunning(day)
  const texts = sheets.map((s) => sheetText(s, plan, workshop, house, 'few'))
  const first = texts[0]
  const name = workshop.group.participants.find((p) => p.id === participant)!.name?.trim()
  return {
    now,
    // The first name, or the seat.
    who: name?.split(/\s+/)[0] || t('Seat {0}', plan.seats[participant] ?? ''),
    title: workshop.title,
    house: house.name,
    pieces: sheets.map((s) => piece({ workshop, house, plan }, s, day, now)),
    ask: first?.ask ?? (house.contact ? t('Stuck? Ask {0}.', house.contact) : t('Stuck? Ask at {0}.', house.name)),
    gone: t(
      'Only your own piece, no account; gone on {0}.',
      sayDay(placeLocal({ date: mineEnds(workshop), time: '12:00' }, house.timeZone).at),
    ),
    running,
    labels: Object.fromEntries(Object.entries(mineLabels).map(([k, text]) => [k, t(text)])) as Record<MineLabel, string>,
  }
}

function piece(all: All, sheet: TakeHomeSheet, ofClass: MineDay | undefined, now: Zoned): MinePiece {
  const { workshop, house, plan } = all
  const toGo = isToGo(workshop, sheet.participant)
  // What is made at home follows no class.
  const day = toGo ? undefined : ofClass
  const text = sheetText(sheet, plan, workshop, house, 'few')
  const own = planOf(plan, sheet.design)
  const design = workshop.designs.find((d) => d.id === sheet.design)!
  const id = `${sheet.participant}.${sheet.design}.${sheet.number}`
  const there = day?.state.pieces.find((p) => p.id === id)
  const person = day?.state.people.find((p) => p.id === sheet.participant)
  // As it is, not as the plan has it at the end of a class that is still to come.
  const state = there?.state ?? sheet.state
  const clock = clockOf(house)
  const lies = there && day ? lying(there, sheet, now) : state === 'laid' ? sheet.ready : undefined
  const stepping = day && person && there && isRunning(day) && !there.home ? stepOf(day, person, now) : undefined
  const coming = day && !isRunning(day) && day.state.endedAt === null ? day.room : undefined
  const waits =
    lies && (!stepping || stepping.kind === 'waits' || (stepping.kind === 'next' && isAhead(lies.neverBefore, now))) ? lies : undefined
  const times = timesOf(day, person, sheet)
  const at = text.chain.findIndex((c) => c.state === state)
  // What a sheet says of a piece that is not through yet is said of its end: the page has the steps only where it goes on at home.
  const home = !stepping && !coming
  return {
    ...{
      id,
      what: text.what,
      kind: design.kind,
      drawing: workshop.drawing,
      outline: outlineOf(pieceKind(design.kind), own.outline),
      state,
    },
    hangs: pieceKind(design.kind).hangs,
    stateWord: stateWord(state, own.recipe.words, own.rounds),
    chain: text.chain.map((c, i) => {
      const when = times.get(c.state)
      const said = when && (when.slice(0, 10) === now.slice(0, 10) ? sayMinute(when, clock) : sayShortDay(when))
      return { state: c.state, word: c.word, done: i <= at, when: i <= at && said ? said : '' }
    }),
    phases: stepping ? livePhases(stepping, sheet, lies, all, now) : stillPhases({ sheet, lies, coming, text, state }, all, now),
    wait: waits
      ? {
          ...{ laidAt: waits.laidAt, neverBefore: waits.neverBefore, tellAt: waits.tellAt },
          never: `${sayShortDay(waits.neverBefore)} ${sayClock(waits.neverBefore, clock)}`,
          ready: `${sayShortDay(waits.tellAt)} ${sayClock(waits.tellAt, clock)}`,
        }
      : null,
    never: waits ? t('Never before {0}, {1}.', sayDay(waits.neverBefore), sayClock(waits.neverBefore, clock)) : '',
    mark: waits?.mark ?? '',
    cue: stepping?.stage
      ? { stage: stepping.stage.id.split('.').at(-1)!, right: t(stepping.stage.pass), wrong: t(stepping.stage.fail) }
      : lies
        ? rubCue(own)
        : null,
    steps: home ? text.steps.map(({ title, text: words }) => ({ title, text: unruled(words) })) : [],
    stepsTitle: home && text.steps.length > 0 ? text.stepsTitle || t('Step by step') : '',
    whatIf: text.faults,
    care: [text.care, ...text.cautions].filter(Boolean),
    lay: toGo ? layOf(workshop, sheet, own) : null,
    asks: !!there && !!day && day.state.endedAt !== null && !lies && state !== 'to-print' && state !== 'printed',
    outcome: there?.outcome ?? null,
  }
}

/** A sheet has a line to write on; a phone has none. */
const unruled = (words: string): string => words.replace(/[^.]*_{3,}[^.]*\.\s*/g, ' ').trim()

const isToGo = (workshop: Workshop, participant: string): boolean => {
  const person = workshop.group.participants.find((p) => p.id === participant)
  return person !== undefined && takesKit(workshop, person)
}

function layOf(workshop: Workshop, sheet: TakeHomeSheet, own: Plan['designs'][number]): MinePiece['lay'] {
  const cures = own.stages.findIndex((s) => s.then?.cures)
  if (cures < 0 || cures === own.stages.length - 1) return null
  const known = pieceOf(workshop, sheet.participant, sheet.design, sheet.number)
  if (!known || known.laidAt === null) return sheet.group === 'all-at-home' ? 'ask' : null
  return known.state === 'laid' ? 'said' : null
}

/** What its person says of a piece of a kit to go: laid just now, or not laid after all; as a change of the workshop. Undefined where neither is asked
 *  of it. */
export function laidAtHome(
  { workshop, plan }: Pick<All, 'workshop' | 'plan'>,
  participant: string,
  id: string,
  laid: boolean,
  now: Zoned,
): Change | undefined {
  const sheet = plan.takeHome.find((s) => s.participant === participant && `${s.participant}.${s.design}.${s.number}` === id)
  if (!sheet || !isToGo(workshop, participant)) return undefined
  if (layOf(workshop, sheet, planOf(plan, sheet.design)) !== (laid ? 'ask' : 'said')) return undefined
  const was = pieceOf(workshop, participant, sheet.design, sheet.number) ?? null
  const of = { participant, designId: sheet.design, number: sheet.number, state: 'laid' as const }
  const after: Piece | null = laid ? { ...(was ?? newPiece(workshop, of)), state: 'laid', laidAt: now } : null
  return changed(inWorkshop.pieces((was ?? after)!.id), was, after)
}

interface All {
  workshop: Workshop
  house: House
  plan: Plan
}
type Cures = NonNullable<TakeHomeSheet['cures']>
const isAhead = (at: Zoned, now: Zoned) => minutesBetween(now, at) > 0
const isRunning = (day: MineDay) => day.state.begunAt !== null && day.state.endedAt === null

/** The wait of a piece that lies, by when it was laid as the day knows it; what it wants is its sheet's. */
function lying(there: PieceDay, sheet: TakeHomeSheet, now: Zoned): Cures | undefined {
  if (there.state !== 'laid' && there.state !== 'cured') return undefined
  const { cures } = sheet
  if (!cures || !there.laidAt || !there.neverBefore || isAhead(there.laidAt, now)) return undefined
  if (there.laidAt === cures.laidAt) return cures
  const moved = minutesBetween(cures.laidAt, there.laidAt)
  const tellAt = roundUpToHour(addMinutes(there.laidAt, cures.recommendedMin))
  return { ...cures, laidAt: there.laidAt, neverBefore: there.neverBefore, recommendedAt: addMinutes(cures.recommendedAt, moved), tellAt }
}

/** How to know that what has cured may be rubbed: the cue of the first step after the cure. */
function rubCue(own: Plan['designs'][number]): MinePiece['cue'] {
  const cures = own.stages.findIndex((s) => s.then?.cures)
  const next = own.stages[cures + 1]
  return cures >= 0 && next ? { stage: next.id, right: t(next.pass), wrong: t(next.fail) } : null
}

/** When the piece came into each state, as far as taps say; when it was laid, from wherever it is known. */
function timesOf(day: MineDay | undefined, person: PersonDay | undefined, sheet: TakeHomeSheet): Map<PieceState, Zoned> {
  const times = new Map<PieceState, Zoned>()
  if (sheet.cures && sheet.done > 0) times.set('laid', sheet.cures.laidAt)
  for (const s of day?.room.people.find((p) => p.id === sheet.participant)?.route ?? []) {
    const at = person?.done[s.id]?.doneAt
    if (at && s.design === sheet.design && s.makes) times.set(s.makes, at)
  }
  return times
}

interface Stepping {
  kind: 'doing' | 'dries' | 'next' | 'waits' | 'through'
  stage: DayStage | null
  until: Zoned | null
}
function stepOf(day: MineDay, person: PersonDay, now: Zoned): Stepping | undefined {
  if (person.presence === 'absent' || person.presence === 'left') return undefined
  const route = routesOf(day.room, day.state).get(person.id) ?? []
  const stage = route[person.at]
  if (!stage) return route.length > 0 ? { kind: 'through', stage: null, until: null } : undefined
  if (person.doing && person.since)
    return { kind: stage.attended ? 'doing' : 'dries', stage, until: addMinutes(person.since, stage.minutes) }
  const own = earliestNext(person, route, day.state, now)
  if (sayNext(day.room, day.state, day.left, now).notYet.some((n) => n.person === person.id))
    return { kind: 'waits', stage, until: own?.at ?? null }
  const planned = day.left.starts.get(`${person.id} ${stage.id}`)
  return { kind: 'next', stage, until: planned && own && minutesBetween(own.at, planned) > 0 ? planned : (own?.at ?? null) }
}

function livePhases(s: Stepping, sheet: TakeHomeSheet, lies: Cures | undefined, all: All, now: Zoned): Phase[] {
  const stage = s.stage && t(s.stage.name)
  const clock = clockOf(all.house)
  const word = {
    from: s.until,
    title: t('Look at it, then wait for the word'),
    words: s.stage ? t(s.stage.pass) : '',
    until: null,
    counts: '',
  }
  switch (s.kind) {
    case 'doing':
      return [{ from: null, title: stage!, words: t(s.stage!.pass), until: s.until, counts: t('about so long') }, word]
    case 'dries':
      return [
        { from: null, title: stage!, words: t('It dries by itself. Hands off.'), until: s.until, counts: t('it takes about') },
        { ...word, title: t('Wait for the word') },
      ]
    case 'through':
      return [{ from: null, title: t('Done for today'), words: t('Leave it flat and open; nothing on top.'), until: null, counts: '' }]
    case 'waits':
      return lies
        ? waiting(lies, all, now, sheet)
        : [{ from: null, title: t('Ask the instructor'), words: t('Nobody knows when this piece was laid.'), until: null, counts: '' }]
    case 'next': {
      const about =
        s.until && minutesBetween(now, s.until) > 0
          ? t('Then: {0}, about {1}.', stage!, sayMinute(s.until, clock))
          : t('Then: {0}.', stage!)
      const bound =
        s.stage!.afterCure && lies && minutesBetween(now, lies.neverBefore) > 0
          ? [t('Never before {0}.', sayMinute(lies.neverBefore, clock))]
          : []
      return [
        { from: null, title: t('Wait for the word'), words: [about, ...bound].join(' '), until: s.until, counts: t('about in') },
        { ...word, title: t('Wait for the word') },
      ]
    }
  }
}

/** The three parts of a wait, one after another. */
function waiting(cures: Cures, { workshop, house, plan }: All, now: Zoned, sheet: TakeHomeSheet): Phase[] {
  const misses = workshop.group.participants.find((p) => p.id === sheet.participant)?.misses ?? []
  // What goes home is rubbed there.
  const next = sheet.ready ? undefined : plan.sessions.find((s) => !misses.includes(s.id) && minutesBetween(now, s.from) > 0)
  const clock = clockOf(house)
  const inClass = next && t('It is rubbed in class, {0}, {1}.', sayDay(next.from), sayClock(next.from, clock))
  const counts = inClass ? t('It is ready in') : t('It may be rubbed in')
  return [
    {
      from: null,
      title: t('Let it lie'),
      words: [t('Flat, face up, nothing on top, no corner lifted.'), inClass].filter(Boolean).join(' '),
      until: cures.tellAt,
      counts,
    },
    {
      from: cures.neverBefore,
      title: t('Better let it lie'),
      words: [t('Rubbed now, ink may lift with the paper.'), inClass].filter(Boolean).join(' '),
      until: cures.tellAt,
      counts,
    },
    {
      from: cures.tellAt,
      ...(inClass
        ? { title: t('It waits for class'), words: inClass }
        : sheet.ready
          ? { title: t('It may be rubbed'), words: t('Wet it through first, then rub softly.') }
          : { title: t('It waits for you'), words: t('It lies where the class was. Ask when you may come.') }),
      until: null,
      counts: '',
    },
  ]
}

/** Outside a running class: what lies waits; what the coming class goes on with says when that is; the rest is its sheet. */
function stillPhases(
  {
    sheet,
    lies,
    coming,
    text,
    state,
  }: { sheet: TakeHomeSheet; lies: Cures | undefined; coming: DayRoom | undefined; text: ReturnType<typeof sheetText>; state: PieceState },
  all: All,
  now: Zoned,
): Phase[] {
  const still = { from: null, until: null, counts: '' }
  if (lies) return waiting(lies, all, now, sheet)
  if (coming) {
    const title = t('{0}, {1}', sayDay(coming.from), sayClock(coming.from, clockOf(all.house)))
    const begun = state !== 'to-print' && state !== 'printed'
    return [
      {
        ...still,
        title,
        words: begun ? t('It goes on then, in class {0}.', coming.number) : t('It is begun then, in class {0}.', coming.number),
      },
    ]
  }
  return [
    { ...still, title: text.when || text.headline, words: [text.when ? text.headline + '.' : '', text.why].filter(Boolean).join(' ') },
  ]
}
