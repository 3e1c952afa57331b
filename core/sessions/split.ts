import { cure, type Cure } from '#core/cure'
import type { Figures } from '#core/figures'
import type { Place, PieceState, ResolvedRecipe, Stage } from '#core/recipe'
import { minutesBetween, type Zoned } from '#core/time'
import type { PlacedSession } from './place'

/** Where each stage is done: "ahead", a session's id or "home". */
export type Split = Record<string, string>

export interface SessionLoad {
  sessionId: string
  stages: { id: string; name: string; minutes: number; attended: boolean; wait: number; turns: number; queue: number }[]
  showMin: number
  neededMin: number
  availableMin: number
  fits: boolean
}

export type LagProblem = { kind: 'too-soon' | 'risky' | 'broken'; after: string; before: string; sessionId: string }

/** A split with its consequences. Queues in the room are not counted. */
export interface Judged {
  split: Split
  loads: SessionLoad[]
  cure?: Cure & { laidIn: string; rubIn: string }
  problems: LagProblem[]
  feasible: boolean
  /** Attended stages that are done before people go home. */
  inClass: number
  /** How far the split is from the recipe's preferred places; 0 is as preferred. */
  against: number
  /** The tightest session's minutes to spare. */
  slackMin: number
  /** What pieces are when they go home. */
  goesHome: PieceState
}

/** What splits are tried in. `extraMin` is what turns add to a stage. */
export interface Setting {
  resolved: ResolvedRecipe
  sessions: readonly PlacedSession[]
  climate: { celsius: number; humidityPct: number }
  extraMin?: Record<string, number>
  figures: Figures
  /** How many pieces are worked on, how many by one person at the most, and places by station, where they are counted: what a stage
   *  there takes at the least. */
  people: number
  each?: number
  /** Prints of one piece. */
  printsEach?: number
  places: Readonly<Record<string, number>>
  /** When the last of the pieces was really laid. */
  laidAt?: Zoned
}

const placeKind = (place: string): Place => (place === 'ahead' || place === 'home' ? place : 'session')

/** Stages that belong together in one go: a new block starts where work may stop, or the place may change. */
function blocksOf(stages: readonly Stage[]): Stage[][] {
  const blocks: Stage[][] = []
  stages.forEach((s, i) => {
    if (i === 0 || stages[i - 1]!.mayStop) blocks.push([s])
    else blocks.at(-1)!.push(s)
  })
  return blocks
}

/** The stages of each sitting: a new one begins after a stage that cures. Stages that are only ever ahead are left out. */
export function sittingsOf(resolved: Pick<ResolvedRecipe, 'stages'>): Stage[][] {
  const sittings: Stage[][] = [[]]
  for (const s of resolved.stages) {
    if (s.mayBe.includes('session')) sittings.at(-1)!.push(s)
    if (s.then?.cures) sittings.push([])
  }
  return sittings.filter((s) => s.length > 0)
}

/** The split an instructor means by so many sessions: a sitting each, what is left over at home. With more sessions than
 *  sittings, the best that uses them all. Stages go where the recipe prefers them. */
export function intendedSplit(setting: Setting): Judged {
  const { resolved, sessions } = setting
  const sittings = sittingsOf(resolved)
  if (sessions.length > sittings.length) {
    const all = enumerateSplits(setting).filter(
      (j) => j.loads.length === sessions.length && resolved.stages.every((s) => s.mayBe[0] !== 'home' || j.split[s.id] === 'home'),
    )
    if (all[0]?.feasible) return all[0]
  }
  const at = new Map(sittings.flatMap((stages, i) => stages.map((s) => [s.id, sessions[i]?.id ?? 'home'] as const)))
  const split = Object.fromEntries(resolved.stages.map((s) => [s.id, usual(s.mayBe[0]!, at.get(s.id))]))
  return judgeSplit(split, setting)
}

/** Where a stage goes that is not moved: what prefers to be done ahead or at home is, the rest in its sitting. */
const usual = (prefers: Place, sitting: string | undefined) => (prefers === 'session' ? (sitting ?? 'home') : prefers)

/** Every split that the method's stages allow, best first: feasible, then finished in class, then as preferred, then slack.
 *  Places never go back in time. Exhaustive over blocks; at most 5 sessions keep it below a thousand. */
export function enumerateSplits(setting: Setting): Judged[] {
  const blocks = blocksOf(setting.resolved.stages)
  const order = ['ahead', ...setting.sessions.map((s) => s.id), 'home']
  const found: Judged[] = []
  const visit = (i: number, from: number, split: Split) => {
    if (i === blocks.length) {
      found.push(judgeSplit(split, setting))
      return
    }
    for (let p = from; p < order.length; p++) {
      const kind = placeKind(order[p]!)
      if (!blocks[i]!.every((s) => s.mayBe.includes(kind))) continue
      visit(i + 1, p, { ...split, ...Object.fromEntries(blocks[i]!.map((s) => [s.id, order[p]!])) })
    }
  }
  visit(0, 0, {})
  return found.sort(
    (a, b) => Number(b.feasible) - Number(a.feasible) || b.inClass - a.inClass || a.against - b.against || b.slackMin - a.slackMin,
  )
}

/** What a split means: each session's load against its booking, each wait between stages, what goes home. */
export function judgeSplit(split: Split, setting: Setting): Judged {
  const { resolved, sessions } = setting
  const loads = sessions.map((s) => load(s, split, setting)).filter((l) => l.stages.length > 0)
  const { problems, cured } = waits(split, setting)
  const spare = loads.map((l) => l.availableMin - l.neededMin)
  const inClass = resolved.stages.filter((s) => s.attended && split[s.id] !== 'home').length
  return {
    split,
    loads,
    ...(cured && { cure: cured }),
    problems,
    feasible: loads.every((l) => l.fits) && problems.every((p) => p.kind === 'risky'),
    inClass,
    against: resolved.stages.reduce((sum, s) => sum + Math.max(0, s.mayBe.indexOf(placeKind(split[s.id] ?? 'home'))), 0),
    slackMin: spare.length ? Math.min(...spare) : 0,
    goesHome: stateAtHome(split, resolved),
  }
}

/** Minutes of a stage in one person's hands, for one piece. */
const onePiece = (s: Stage, printsEach = 1): number => s.minutes.value * (s.per === 'print' ? printsEach : 1)

function load(
  session: PlacedSession,
  split: Split,
  { resolved, extraMin, figures, people, each = 1, printsEach, places }: Setting,
): SessionLoad {
  const mine = resolved.stages.filter((s) => split[s.id] === session.id)
  const stages = mine.map((s, i) => {
    const next = mine[i + 1]
    return {
      id: s.id,
      name: s.name,
      minutes: s.attended ? onePiece(s, printsEach) * each : s.minutes.value,
      attended: s.attended,
      wait: next && s.then ? s.then.least.value : 0,
      turns: extraMin?.[s.id] ?? 0,
      queue: Math.max(0, queueMin(s, people, each, places) - (extraMin?.[s.id] ?? 0)),
    }
  })
  const showMin = stages.length ? resolved.recipe.show.value : 0
  const neededMin = stages.length
    ? figures('set-up').value +
      showMin +
      stages.reduce((sum, s) => sum + s.minutes + s.wait + s.turns + s.queue, 0) +
      figures('clean-up').value
    : 0
  return { sessionId: session.id, stages, showMin, neededMin, availableMin: session.minutes, fits: neededMin <= session.minutes }
}

/** What every piece's turn at so many places adds to one person's: nothing where places are not counted, or enough. */
function queueMin(s: Stage, people: number, each: number, places: Readonly<Record<string, number>>): number {
  const n = s.station === undefined ? undefined : places[s.station]
  return n && s.attended ? Math.max(0, Math.ceil(people / n) - each) * s.minutes.value : 0
}

function waits(
  split: Split,
  { resolved, sessions, climate, figures, laidAt }: Setting,
): { problems: LagProblem[]; cured?: Judged['cure'] } {
  const problems: LagProblem[] = []
  let cured: Judged['cure']
  resolved.stages.forEach((s, i) => {
    const next = resolved.stages[i + 1]
    const [from, to] = [split[s.id], next && split[next.id]]
    if (!s.then || !next || from === to) return
    const a = sessions.find((x) => x.id === from)
    const b = sessions.find((x) => x.id === to)
    if (s.then.most && (!a || !b || minutesBetween(a.to, b.from) > s.then.most.value))
      problems.push({ kind: 'broken', after: s.id, before: next.id, sessionId: to ?? 'home' })
    if (!a || !b) return
    if (s.then.cures && resolved.cure) {
      const minutes = { minimumMin: resolved.cure.minimum.value, recommendedMin: resolved.cure.recommended.value }
      const c = cure(
        { laidAt: laidAt ?? a.to, rubAt: b.from, ...minutes, climate, coat: resolved.coat, surface: resolved.surface },
        figures,
      )
      // Of two cures the one that holds least is told; both holding, the first.
      if (!cured || rank(c.verdict) > rank(cured.verdict)) cured = { ...c, laidIn: a.id, rubIn: b.id }
      if (c.verdict !== 'ready')
        problems.push({ kind: c.verdict === 'risky' ? 'risky' : 'too-soon', after: s.id, before: next.id, sessionId: b.id })
    } else if (minutesBetween(a.to, b.from) < s.then.least.value)
      problems.push({ kind: 'too-soon', after: s.id, before: next.id, sessionId: b.id })
  })
  return { problems, ...(cured && { cured }) }
}

const rank = (v: Cure['verdict']) => ['ready', 'risky', 'too soon'].indexOf(v)

function stateAtHome(split: Split, resolved: ResolvedRecipe): PieceState {
  return resolved.stages.reduce<PieceState>((state, s) => (split[s.id] !== 'home' && s.makes ? s.makes : state), 'to-print')
}
