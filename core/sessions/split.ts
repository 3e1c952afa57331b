import { cure, type Cure, type Reading } from '#core/cure'
import type { Figures } from '#core/figures'
import type { Place, PieceState, ResolvedRecipe, Stage } from '#core/recipe'
import { addMinutes, minutesBetween, type Zoned } from '#core/time'
import { classRoom, stageKey, type ClassRoom, type Crowd, type Work } from './classRoom'
import type { PlacedSession } from './place'
import { stageEnds, wayOf, type WayStage } from './way'

/** Where each stage is done: "ahead", a session's id or "home". */
export type Split = Record<string, string>

/** What a class asks of whoever is done last: their way through it, minute by minute. */
export interface SessionLoad {
  sessionId: string
  stages: WayStage[]
  showMin: number
  /** Set-up, showing, the room's plan and clean-up. */
  neededMin: number
  availableMin: number
  fits: boolean
  /** Who does what when, in minutes from the class's start. */
  room: ClassRoom
}

export type LagProblem = { kind: 'too-soon' | 'risky' | 'broken'; after: string; before: string; sessionId: string }

/** A split with its consequences. */
export interface Judged {
  split: Split
  loads: SessionLoad[]
  cure?: Cure & { laidIn: string; rubIn: string; laidAt: Zoned }
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

/** What splits are tried in: a design, its stages, the classes, who comes to them, and how many each makes. */
export interface Setting {
  design: string
  resolved: ResolvedRecipe
  sessions: readonly PlacedSession[]
  climate: { celsius: number; humidityPct: number }
  figures: Figures
  crowd: Crowd
  /** How many pieces somebody makes. */
  each: (person: string) => number
  /** Prints of one piece. */
  printsEach?: number
  /** What was read of the air where pieces lie. */
  air?: readonly Reading[]
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
    const best = splitsOf(
      setting,
      (split) =>
        sessions.every((x) => Object.values(split).includes(x.id)) &&
        resolved.stages.every((s) => s.mayBe[0] !== 'home' || split[s.id] === 'home'),
    ).next()
    if (!best.done) return best.value
  }
  const at = new Map(sittings.flatMap((stages, i) => stages.map((s) => [s.id, sessions[i]?.id ?? 'home'] as const)))
  const split = Object.fromEntries(resolved.stages.map((s) => [s.id, usual(s.mayBe[0]!, at.get(s.id))]))
  return judgeSplit(split, setting)
}

/** Where a stage goes that is not moved: what prefers to be done ahead or at home is, the rest in its sitting. */
const usual = (prefers: Place, sitting: string | undefined) => (prefers === 'session' ? (sitting ?? 'home') : prefers)

/** So many splits are looked at closely, at the most, before a search for one that holds ends. */
const mostClose = 24

/** The splits that hold, of those that a wish allows, best first: finished in class, then as preferred, then slack. Each is looked at from
 *  afar first: what takes too long even with a room to each person, or is too soon even for whoever is first, is left out. Places never go
 *  back in time. Exhaustive over blocks; at most 5 sessions keep it below a thousand. */
export function* splitsOf(setting: Setting, wish: (split: Split) => boolean = () => true): Generator<Judged> {
  const from = everySplit(setting.resolved, setting.sessions)
    .filter(wish)
    .map((split) => ({ split, seen: seenFromAfar(split, setting) }))
    .filter((x) => x.seen.spare.every((n) => n >= 0))
    .sort((a, b) => b.seen.inClass - a.seen.inClass || a.seen.against - b.seen.against || b.seen.slackMin - a.seen.slackMin)
  for (const { split } of from.slice(0, mostClose)) {
    const judged = judgeSplit(split, setting)
    if (judged.feasible) yield judged
  }
}

/** Every split that a method's stages and so many sessions allow. */
export function everySplit(resolved: Pick<ResolvedRecipe, 'stages'>, sessions: readonly { id: string }[]): Split[] {
  const blocks = blocksOf(resolved.stages)
  const order = ['ahead', ...sessions.map((s) => s.id), 'home']
  const found: Split[] = []
  const visit = (i: number, from: number, split: Split) => {
    if (i === blocks.length) {
      found.push(split)
      return
    }
    for (let p = from; p < order.length; p++) {
      const kind = placeKind(order[p]!)
      if (!blocks[i]!.every((s) => s.mayBe.includes(kind))) continue
      visit(i + 1, p, { ...split, ...Object.fromEntries(blocks[i]!.map((s) => [s.id, order[p]!])) })
    }
  }
  visit(0, 0, {})
  return found
}

/** What a split is ranked by, and what no room could make shorter: each session's minutes to spare if nobody ever waited for anything. */
function seenFromAfar(split: Split, { resolved, sessions, figures, printsEach = 1 }: Setting) {
  const spare = sessions.flatMap((x) => {
    const mine = resolved.stages.filter((s) => split[s.id] === x.id)
    if (mine.length === 0) return []
    const alone = mine.reduce(
      (sum, s, i) =>
        sum + s.minutes.value * (s.attended && s.per === 'print' ? printsEach : 1) + (mine[i + 1] && s.then ? s.then.least.value : 0),
      0,
    )
    return [x.minutes - figures('set-up').value - resolved.recipe.show.value - alone - figures('clean-up').value]
  })
  return { spare, ...standing(split, resolved), slackMin: spare.length ? Math.min(...spare) : 0 }
}

/** How much of a split is done in class, and how far it is from what the recipe prefers. */
const standing = (split: Split, resolved: ResolvedRecipe) => ({
  inClass: resolved.stages.filter((s) => s.attended && split[s.id] !== 'home').length,
  against: resolved.stages.reduce((sum, s) => sum + Math.max(0, s.mayBe.indexOf(placeKind(split[s.id] ?? 'home'))), 0),
})

/** What a split means: each session's room against its booking, each wait between stages, what goes home. */
export function judgeSplit(split: Split, setting: Setting): Judged {
  const { resolved, sessions } = setting
  const loads = sessions.flatMap((s) => ownLoad(s, split, setting) ?? [])
  const { problems, cured } = waits(split, setting, loads)
  const spare = loads.map((l) => l.availableMin - l.neededMin)
  return {
    split,
    loads,
    ...(cured && { cure: cured }),
    problems,
    feasible: loads.every((l) => l.fits) && problems.every((p) => p.kind === 'risky'),
    ...standing(split, resolved),
    slackMin: spare.length ? Math.min(...spare) : 0,
    goesHome: stateAtHome(split, resolved),
  }
}

/** What of a design is worked in a session. */
export const workOf = ({ design, resolved, each, printsEach }: Setting, split: Split, session: string): Work => ({
  design,
  resolved,
  stages: resolved.stages.filter((s) => split[s.id] === session),
  each,
  ...(printsEach !== undefined && { printsEach }),
})

const ownLoads = new WeakMap<Crowd, Map<string, SessionLoad>>()
/** A session's load with what a split does of one design in it: many splits have sessions in common. */
function ownLoad(session: PlacedSession, split: Split, setting: Setting): SessionLoad | undefined {
  const known = ownLoads.get(setting.crowd) ?? new Map<string, SessionLoad>()
  ownLoads.set(setting.crowd, known)
  const work = workOf(setting, split, session.id)
  const key = `${session.id} ${session.from} ${session.minutes} ${setting.design} ${work.stages.map((s) => s.id).join()}`
  const found = known.get(key) ?? load(session, [work], setting)
  if (found) known.set(key, found)
  return found
}

/** A session's load with what is worked in it; undefined where that is nothing. */
export function load(
  session: PlacedSession,
  works: readonly Work[],
  { crowd, figures }: Pick<Setting, 'crowd' | 'figures'>,
): SessionLoad | undefined {
  const done = works.filter((w) => w.stages.length > 0)
  if (done.length === 0) return undefined
  const room = classRoom(session, done, crowd, figures)
  const neededMin = room.plan.finishMin + room.cleanUpMin
  return {
    sessionId: session.id,
    stages: wayOf(room),
    showMin: room.showMin,
    neededMin,
    availableMin: session.minutes,
    fits: neededMin <= session.minutes,
    room,
  }
}

const instants = new WeakMap<ClassRoom, Map<string, Zoned>>()
/** When a stage of a design is over for the last of a class, by its room's plan; undefined where it is not done there. */
export function endsAt(session: PlacedSession, room: ClassRoom, design: string, stage: string): Zoned | undefined {
  const known = instants.get(room) ?? new Map<string, Zoned>()
  instants.set(room, known)
  const key = stageKey(design, stage)
  const end = stageEnds(room).get(key)
  if (end !== undefined && !known.has(key)) known.set(key, addMinutes(session.from, end))
  return known.get(key)
}

/** Before a cure, the stage with which a piece is laid. */
export function layingBefore(stages: readonly Stage[], cures: number): Stage {
  for (let i = cures; i >= 0 && (i === cures || !stages[i]!.then?.cures); i--) if (stages[i]!.makes === 'laid') return stages[i]!
  return stages[cures]!
}

function waits(
  split: Split,
  { design, resolved, sessions, climate, figures, laidAt, air }: Setting,
  loads: readonly SessionLoad[],
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
      const room = loads.find((l) => l.sessionId === a.id)?.room
      const laid = laidAt ?? (room && endsAt(a, room, design, layingBefore(resolved.stages, i).id)) ?? a.to
      const c = cure({ laidAt: laid, rubAt: b.from, ...minutes, climate, coat: resolved.coat, surface: resolved.surface }, figures, air)
      // Of two cures the one that holds least is told; both holding, the first.
      if (!cured || rank(c.verdict) > rank(cured.verdict)) cured = { ...c, laidIn: a.id, rubIn: b.id, laidAt: laid }
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
