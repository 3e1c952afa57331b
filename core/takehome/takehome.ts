import { cure, type Reading } from '#core/cure'
import { weakest, type Mark } from '#core/reasons'
import { cautions, pieceStates, type Fault, type HomeStep, type PieceState, type ResolvedRecipe, type Stage } from '#core/recipe'
import { endsAt, type Judged, type PlacedSession } from '#core/sessions'
import type { Figures } from '#core/figures'
import { minutesBetween, roundUpToHour, wakingFrom, type Hours, type Zoned } from '#core/time'
import type { Participant, Piece } from '#core/workshop'

/** The states in which pieces go home, in the order of the work. */
export const homeGroups = ['not-laid', 'all-at-home', 'rub-at-home', 'rub-on', 'seal-at-home', 'finish-at-home', 'finished'] as const
export type HomeGroup = (typeof homeGroups)[number]

/** A sheet that is true for one person's piece. Instants in the house's zone. */
export interface TakeHomeSheet {
  participant: string
  /** The design of the piece, which of this person's pieces of it it is, and what it is called. */
  design: string
  number: number
  piece: string
  name: string | null
  seat: number
  group: HomeGroup
  state: PieceState
  /** Whether state and time are this piece's own or the plan's. */
  known: boolean
  /** When it may be rubbed; absent when nothing has to be waited for. `tellAt` is what people are told. */
  ready?: {
    laidAt: Zoned
    recommendedAt: Zoned
    tellAt: Zoned
    neverBefore: Zoned
    recommendedMin: number
    requiredMin: number
    mark: Mark
  }
  /** When it was or will be laid in class, and from when on it may be rubbed, whatever is left of it by then. */
  cures?: NonNullable<TakeHomeSheet['ready']>
  /** How long it wants, where it was laid but nobody noted when. */
  wait?: { recommendedMin: number; requiredMin: number; mark: Mark }
  steps: HomeStep[]
  /** The states of this recipe in order, and how many of them are behind. */
  chain: PieceState[]
  done: number
  bag: string[]
  /** The materials in it, by id. */
  things: string[]
  faults: Fault[]
  cautions: string[]
  care: string[]
}

export interface TakeHomeInput {
  design: string
  /** They have kits to go: everything is done at home. */
  toGo?: boolean
  /** Who makes the design, and how many pieces of it. */
  participants: readonly Participant[]
  makes: (p: Participant) => number
  /** What is known of a piece. */
  known: (participant: string, number: number) => Piece | undefined
  resolved: ResolvedRecipe
  judged: Judged
  sessions: readonly PlacedSession[]
  climate: { celsius: number; humidityPct: number }
  /** What was read where pieces lie. */
  air?: readonly Reading[]
  hours: Hours
  figures: Figures
  pieceName: string
  now: Zoned
  kind: string
  /** The house's own, beside the craft's. */
  ownCautions?: { where: string; text: string; stage: string | null }[]
}

/** A sheet for each piece that people make, by seat. What a piece's own entry says goes before the plan; somebody who misses the session
 *  in which it would have been done is not told that it is. Nobody is told a time before the recommended one. */
export function takeHomeSheets(input: TakeHomeInput): TakeHomeSheet[] {
  const known = new Map<Zoned, TakeHomeSheet['ready']>()
  const readyFrom = (at: Zoned) => {
    if (!known.has(at)) known.set(at, readyTimes(at, input))
    return known.get(at)
  }
  const i = { ...input, readyFrom }
  return [...i.participants]
    .sort((a, b) => a.seat - b.seat)
    .flatMap((p) => Array.from({ length: i.makes(p) }, (_, n) => sheet(p, n + 1, i)))
}

/** What somebody who works at home needs and takes along, by material, and how many do. */
export interface HomeNeeds {
  people: number
  /** Of them, who has a kit to go. */
  kits: number
  materials: Record<string, number>
  /** What goes into kits to go, beside that. */
  inKits: Record<string, number>
}

/** What goes home in bags, from the sheets: how many take work home, and each thing that their stages ask for. */
export function homeNeeds(sheets: readonly TakeHomeSheet[]): HomeNeeds {
  const working = sheets.filter((s) => s.things.length > 0)
  const kits = working.filter((s) => s.group === 'all-at-home')
  return {
    people: working.length,
    kits: kits.length,
    materials: thingsOf(working.filter((s) => s.group !== 'all-at-home')),
    inKits: thingsOf(kits),
  }
}

function thingsOf(sheets: readonly TakeHomeSheet[]): Record<string, number> {
  const things: Record<string, number> = {}
  for (const s of sheets) for (const m of s.things) things[m] = (things[m] ?? 0) + 1
  return things
}

/** The input, with the ready times of each laid time worked out once. */
type Sheeting = TakeHomeInput & { readyFrom: (at: Zoned) => TakeHomeSheet['ready'] }

function sheet(p: Participant, number: number, i: Sheeting): TakeHomeSheet {
  const own = i.known(p.id, number)
  const asIs = own?.asIs || (own && i.toGo)
  const { state, next, laid } = asIs ? { state: own.state, next: nextAfter(own.state, i), laid: undefined } : goingHome(p, own, i)
  const left = rank(state) < rank('laid') && !i.toGo ? [] : i.resolved.stages.slice(next).filter((s) => !i.toGo || s.mayBe.includes('home'))
  // A second transfer waits for its own cure, whatever the first has come to.
  const again = next > 0 && i.resolved.stages[next - 1]!.then?.cures === true && next - 1 > firstCure(i)
  const group = again ? 'rub-at-home' : groupOf(state, left, i)
  const steps = left.flatMap((s) => (s.home ? [s.home] : []))
  const ready = group === 'rub-at-home' ? whenReady(again ? laid : (own?.laidAt ?? laidAt(p, i)), i) : undefined
  const cures = i.toGo ? undefined : whenReady(own?.laidAt ?? laidAt(p, i), i)
  const unknown = (state === 'laid' && group === 'rub-at-home' && !ready) || group === 'all-at-home'
  const wait = unknown ? i.readyFrom(i.now) : undefined
  const chain = statesOf(i.resolved)
  const things =
    group === 'not-laid'
      ? []
      : thingsFor(
          left.map((x) => x.id),
          i,
        )
  return {
    participant: p.id,
    design: i.design,
    number,
    piece: i.pieceName,
    name: p.name,
    seat: p.seat,
    group,
    state,
    known: own !== undefined,
    ...(ready && { ready }),
    ...(cures && { cures }),
    ...(wait && { wait: { recommendedMin: wait.recommendedMin, requiredMin: wait.requiredMin, mark: wait.mark } }),
    steps,
    chain,
    done: chain.filter((s) => rank(s) <= rank(state)).length,
    bag: group === 'not-laid' ? [] : [`Your ${i.pieceName}`, ...new Set(things.map((m) => inBag(m, group)))],
    things: things.map((m) => m.material),
    faults: steps.length > 0 ? i.resolved.recipe.faults : [],
    cautions: [
      ...cautionLines([...left.flatMap((s) => s.cautions), ...(i.toGo ? (['household'] as const) : [])], p, steps.length > 0),
      ...(i.ownCautions ?? [])
        .filter((c) => steps.length > 0 && (c.stage === null || left.some((s) => s.id === c.stage)))
        .map((c) => `${c.where}: ${c.text}`),
    ],
    care: i.resolved.recipe.care,
  }
}

const rank = (state: PieceState) => pieceStates.indexOf(state)
const statesOf = (resolved: ResolvedRecipe) =>
  pieceStates.filter((s) => rank(s) >= rank('laid') && resolved.stages.some((x) => x.makes === s || x.then?.makes === s))

const firstCure = (i: TakeHomeInput): number => i.resolved.stages.findIndex((s) => s.then?.cures)

/** How far a piece will have come when it goes home: its state, the first stage that is left, and when what cures then was laid. */
interface Going {
  state: PieceState
  next: number
  laid: Zoned | undefined
}

/** From what it is now (or from nothing), stage by stage through the sessions that its owner attends and, when it is already begun, that
 *  are not over; stopping where it would be rubbed too early. */
function goingHome(p: Participant, own: Piece | undefined, i: Sheeting): Going {
  const { stages } = i.resolved
  const begun = own ? nextAfter(own.state, i) : 0
  const going: Going = { state: own?.state ?? 'to-print', next: begun, laid: own?.laidAt ?? laidAt(p, i) }
  for (let k = begun; k < stages.length; k++) {
    const s = stages[k]!
    const place = i.judged.split[s.id]!
    const session = i.sessions.find((x) => x.id === place)
    if (place === 'home') break
    // What somebody missed and caught up with is done, up to where it cures.
    // Who comes at an hour of their own to rub does there what comes after the cure.
    const later = p.misses.includes(place) && k > firstCure(i) ? p.rubsAt : undefined
    const missed = p.misses.includes(place) && !later && !(p.catchUp && k <= firstCure(i))
    const cannot = missed || (own && (!session || minutesBetween(i.now, later ?? session.to) <= 0))
    if (cannot && own && !s.makes) continue
    if (cannot) break
    if (session && s.makes !== 'laid' && isTooEarly(k, going.laid, later ?? session.from, i)) break
    if (s.makes) going.state = s.makes
    if (s.makes === 'laid') going.laid ??= session && lastOf(session, s.id, i)
    if (s.then?.cures && k > firstCure(i)) going.laid = session && lastOf(session, s.id, i)
    going.next = k + 1
  }
  return going
}

/** Whether a stage right after a cure would come before the piece's own least time. */
function isTooEarly(k: number, laid: Zoned | undefined, from: Zoned, i: Sheeting): boolean {
  if (!i.resolved.stages.slice(0, k).some((s) => s.then?.cures)) return false
  const times = whenReady(laid, i)
  return times !== undefined && minutesBetween(times.neverBefore, from) < 0
}

function groupOf(state: PieceState, left: readonly Stage[], i: TakeHomeInput): HomeGroup {
  if (rank(state) < rank('laid')) return i.toGo ? 'all-at-home' : 'not-laid'
  const todo = left.filter((s) => s.home)
  if (todo.length === 0) return 'finished'
  if (todo.some((s) => s.round)) return rank(state) < rank('rub-1') ? 'rub-at-home' : 'rub-on'
  return todo.some((s) => s.lays) ? 'seal-at-home' : 'finish-at-home'
}

/** The first stage that is left in a state. */
function nextAfter(state: PieceState, i: TakeHomeInput): number {
  let last = -1
  i.resolved.stages.forEach((s, k) => {
    if ([s.makes, s.then?.makes].some((made) => made && rank(made) <= rank(state))) last = k
  })
  return last + 1
}

function laidAt(p: Participant, i: TakeHomeInput): Zoned | undefined {
  const laying = i.resolved.stages.find((s) => s.makes === 'laid')
  const place = laying && i.judged.split[laying.id]
  if (place !== undefined && p.misses.includes(place) && p.catchUp) return p.catchUp.at
  const session = i.sessions.find((s) => s.id === place && !p.misses.includes(s.id))
  return session && laying && lastOf(session, laying.id, i)
}

/** When the last of the class is done with a stage, by the plan of its room. */
const lastOf = (session: PlacedSession, stage: string, i: TakeHomeInput): Zoned => {
  const room = i.judged.loads.find((l) => l.sessionId === session.id)?.room
  return (room && endsAt(session, room, i.design, stage)) ?? session.to
}

const whenReady = (at: Zoned | undefined, i: Sheeting) => (at === undefined ? undefined : i.readyFrom(at))

function readyTimes(at: Zoned, i: TakeHomeInput): TakeHomeSheet['ready'] {
  const limits = i.resolved.cure
  if (!limits) return undefined
  const { minimum, recommended } = limits
  const c = cure(
    {
      laidAt: at,
      rubAt: at,
      minimumMin: minimum.value,
      recommendedMin: recommended.value,
      climate: i.climate,
      coat: i.resolved.coat,
      surface: i.resolved.surface,
    },
    i.figures,
    i.air,
  )
  return {
    laidAt: at,
    recommendedAt: c.recommendedAt,
    tellAt: wakingFrom(roundUpToHour(c.recommendedAt), i.hours),
    neverBefore: c.earliestAt,
    recommendedMin: c.recommendedMin,
    requiredMin: c.requiredMin,
    mark: weakest([recommended.mark, c.factor > 1 ? 'E' : undefined]),
  }
}

/** What a thing is called in a bag: of a kit to go the print is not the spare one alone. */
const inBag = (m: ResolvedRecipe['materials'][number], group: HomeGroup): string =>
  m.basis === 'print' && group === 'all-at-home' ? 'Your print and a spare, cut' : m.bag!

/** What the bag holds for these stages. */
function thingsFor(stagesAtHome: readonly string[], i: TakeHomeInput): ResolvedRecipe['materials'] {
  return i.resolved.materials.filter(
    (m) =>
      (m.bag ?? (i.toGo && m.basis === 'print')) &&
      !(i.toGo && m.material === 'blank') &&
      (!m.onlyFor || m.onlyFor.includes(i.kind)) &&
      (m.basis === 'print' ? stagesAtHome.length > 0 : m.stages.some((s) => stagesAtHome.includes(s))),
  )
}

function cautionLines(ids: (keyof typeof cautions)[], p: Participant, works: boolean): string[] {
  const lines = ids.flatMap((id) => {
    const c = cautions[id]
    return 'paper' in c && c.paper ? [c.paper] : []
  })
  return [...new Set(works && p.age !== 'adult' ? [...lines, cautions.adult.paper] : lines)]
}

/** Sheets of several designs, by seat, each person's in the order of the designs. */
export const bySeat = (sheets: readonly TakeHomeSheet[]): TakeHomeSheet[] => [...sheets].sort((a, b) => a.seat - b.seat)

/** Names a sheet among the others. */
export const sheetKey = (s: Pick<TakeHomeSheet, 'participant' | 'design' | 'number'>): string => `${s.participant}.${s.design}.${s.number}`
