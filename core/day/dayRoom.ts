import type { Plan } from '#core/plan'
import { pieceStates, type PieceState, type Stage } from '#core/recipe'
import type { RoomInput } from '#core/room'
import { addMinutes, minutesBetween, type Zoned } from '#core/time'
import { designOf, makes, pieceOf, sparesUsed, tableName, type Workshop } from '#core/workshop'

/** A stage on somebody's way through the class, with what the day needs of it. */
export interface DayStage {
  /** "design.stage", as rooms and events name it. */
  id: string
  design: string
  name: string
  /** What to look for: right, wrong. */
  pass: string
  fail: string
  attended: boolean
  minutes: number
  station: string | null
  /** An adult does it with them: young hands may not touch it. */
  helper: boolean
  /** What the piece is when it is done, and after the wait that follows. */
  makes: PieceState | undefined
  thenMakes: PieceState | undefined
  leastMin: number
  mostMin: number | null
  /** It rubs what has cured, or comes after that: never before the piece's own time. */
  afterCure: boolean
  lays: boolean
  /** Work may stop after it until another day, and the piece go home so. */
  mayStop: boolean
  /** The round of rubbing it belongs to. */
  round: number | null
}
export interface DayPerson {
  id: string
  seat: string
  table: string
  /** Their stages here, in order. */
  route: DayStage[]
  /** Their pieces, "participant.design.number". */
  pieces: {
    id: string
    design: string
    number: number
    state: PieceState
    laidAt: Zoned | null
    neverBefore: Zoned | null
    requiredMin: number
  }[]
  /** Expected in this class. */
  expected: boolean
  /** They said that they come later: not before. */
  comesAt: Zoned | null
}
/** A class as the day begins with it: who sits where, what they do, what is known of their pieces. */
export interface DayRoom {
  workshop: string
  session: string
  number: number
  from: Zoned
  to: Zoned
  setUpMin: number
  showMin: number
  cleanUpMin: number
  people: DayPerson[]
  tables: string[]
  stations: { id: string; places: number }[]
  helpers: number
  /** Spares that other classes used, by design. */
  sparesUsed: Record<string, number>
  input: RoomInput
  /** When each stage begins by the run sheet, in minutes from the class's begin, by "person stage". */
  planned: ReadonlyMap<string, number>
}

/** The room of a class for its day; undefined where the workshop has no such class. People who are not expected have the way that most have. */
export function dayRoom(workshop: Workshop, plan: Plan, session: string): DayRoom | undefined {
  const placed = plan.sessions.find((s) => s.id === session)
  const load = plan.loads.find((l) => l.sessionId === session)
  if (!placed) return undefined
  const room = load?.room
  const routes = new Map(room?.input.routes.map((r) => [r.id, r.stages.map((s) => dayStage(plan, room.stages[s.id]!, s))]) ?? [])
  const of = new Map(room?.input.pieces.map((p) => [p.id, p]) ?? [])
  const late = workshop.sessions.find((s) => s.id === session)?.late ?? {}
  const counts = new Map<string, number>()
  for (const p of of.values()) counts.set(p.route, (counts.get(p.route) ?? 0) + 1)
  const usual = [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? room?.input.routes[0]?.id
  /** Where more than a quarter of a design were noted as laid, their class was noted: what was not, was not laid. A few noted for themselves say nothing of
   *  the others, nor does a spare. */
  const noted = new Set(
    workshop.designs
      .filter((d) => {
        const laid = workshop.pieces.filter((x) => designOf(workshop, x) === d.id && x.laidAt && !x.spares).length
        return 4 * laid > workshop.group.participants.reduce((sum, p) => sum + makes(workshop, p, d), 0)
      })
      .map((d) => d.id),
  )
  const people = workshop.group.participants.flatMap((p): DayPerson[] => {
    const mine = of.get(p.id)
    const route = routes.get(mine?.route ?? usual ?? '') ?? []
    const seat = plan.seats[p.id] ?? String(p.seat)
    const laysHere = new Set(route.filter((s) => s.lays).map((s) => s.design))
    const pieces = workshop.designs.flatMap((d) =>
      Array.from({ length: makes(workshop, p, d) }, (_, i) => {
        const sheet = plan.takeHome.find((t) => t.participant === p.id && t.design === d.id && t.number === i + 1)
        const known = pieceOf(workshop, p.id, d.id, i + 1)
        const begun = room?.begun[d.id] ?? 'printed'
        // A piece that somebody says is a print still is one, whatever the plan has made of it.
        const print = known !== undefined && rank(known.state) < rank('laid')
        const unlaid = laysHere.has(d.id) || print || (noted.has(d.id) && !known?.laidAt && !p.catchUp)
        return {
          id: `${p.id}.${d.id}.${i + 1}`,
          design: d.id,
          number: i + 1,
          // A spare of this very class is given by its tap.
          state:
            known && !(unlaid && known.spares?.[session])
              ? lesser(known.state, begun)
              : sheet?.group === 'not-laid' || unlaid
                ? lesser('printed', begun)
                : begun,
          // What is laid in this very class is laid by its taps.
          laidAt: unlaid ? null : (sheet?.cures?.laidAt ?? known?.laidAt ?? null),
          neverBefore: unlaid ? null : (sheet?.cures?.neverBefore ?? null),
          requiredMin: sheet?.cures?.requiredMin ?? plan.designs.find((x) => x.design === d.id)?.split.cure?.requiredMin ?? 0,
        }
      }),
    )
    const comesAt = mine && late[p.id] ? addMinutes(placed.from, late[p.id]!) : null
    return [
      {
        id: p.id,
        seat,
        table: mine?.table ?? seat.replace(/\d+$/, ''),
        route,
        pieces,
        expected: mine !== undefined || (of.size === 0 && !p.misses.includes(session)),
        comesAt,
      },
    ]
  })
  return {
    ...{ workshop: workshop.id, session, number: placed.number, from: placed.from, to: placed.to },
    ...{ setUpMin: room?.setUpMin ?? 0, showMin: room?.showMin ?? 0, cleanUpMin: room?.cleanUpMin ?? 0 },
    people,
    tables: plan.seating.map((_, i) => tableName(i)),
    stations: room?.input.stations ?? [],
    helpers: room?.input.helpers ?? 1,
    sparesUsed: Object.fromEntries(workshop.designs.map((d) => [d.id, sparesUsed(workshop, d.id, session)])),
    planned: new Map(room?.plan.starts.map((s) => [`${s.piece} ${s.stage}`, s.atMin]) ?? []),
    input: room?.input ?? {
      routes: [],
      stations: [],
      helpers: 1,
      pieces: [],
      blocks: [],
      minutes: Math.max(1, minutesBetween(placed.from, placed.to)),
    },
  }
}

/** A piece comes into a class as the class begins with it, or as less: what its taps made of it since is folded anew. */
const lesser = (a: PieceState, b: PieceState): PieceState => (rank(a) < rank(b) ? a : b)
const rank = (s: PieceState): number => pieceStates.indexOf(s)

function dayStage(
  plan: Plan,
  { design, stage }: { design: string; stage: Stage },
  s: RoomInput['routes'][number]['stages'][number],
): DayStage {
  const all = plan.designs.find((d) => d.design === design)?.stages ?? []
  const cures = all.findIndex((x) => x.then?.cures)
  return {
    ...{
      id: s.id,
      design,
      name: stage.name,
      pass: stage.pass,
      fail: stage.fail,
      attended: s.attended,
      minutes: s.minutes,
      station: s.station,
      helper: s.helper,
    },
    makes: stage.makes,
    thenMakes: stage.then?.makes,
    leastMin: s.then?.leastMin ?? 0,
    mostMin: s.then?.mostMin ?? null,
    afterCure: cures >= 0 && all.findIndex((x) => x.id === stage.id) > cures,
    lays: stage.makes === 'laid',
    mayStop: stage.mayStop === true,
    round: stage.round ?? null,
  }
}
