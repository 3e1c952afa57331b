import { clockOf, type House } from '#core/house'
import { t } from '#core/language'
import { errandsDue, shelfPieces, shelfPlaces, type OnShelf, type Plan } from '#core/plan'
import type { Place } from '#core/shelf'
import { addMinutes, dateOf, minutesBetween, sayClock, sayDay, type Zoned } from '#core/time'
import type { Workshop } from '#core/workshop'
import { listMarkdown } from './markdown'
import { phrases } from './phrases'

/** An errand of one of a house's workshops, in words. */
export interface AheadErrand {
  workshop: string
  title: string
  errand: string
  what: string
  body: string
  by: string
  /** At what time of its day, begun or finished by then. */
  at: string
  /** Below 0 when it is late, in minutes. */
  left: number
  done: boolean
  /** What comes of it when it is late, and the way out. */
  late: { title: string; body: string } | null
}
/** What of a workshop lies on the shelf together. */
export interface AheadShelf {
  workshop: string
  title: string
  pieces: number
  /** Of them, the spares and samples. */
  spares: number
  samples: number
  /** "A-1 to B-4". */
  places: string
  from: Zoned
  to: Zoned
  laid: string
  never: string
  better: string
  lifted: string
  /** Pieces are laid there already; the others are planned. */
  there: number
  /** How many find no place. */
  without: number
  lies: (OnShelf & { place: Place | undefined })[]
}
export interface AheadText {
  title: string
  about: string
  days: { day: string; date: string; errands: AheadErrand[] }[]
  /** Done lately. */
  done: AheadErrand[]
  shelf: AheadShelf[]
}

interface Planned {
  workshop: Workshop
  plan: Plan
}

/** So long something done stays on the list, in minutes. */
const keepDone = 2 * 1440

/** Everything a house has to do and what lies on its shelf, for all of its workshops together: errands by day, late ones first with what
 *  comes of them; each workshop's places, from when to when, and when its pieces may be rubbed. */
export function aheadText(house: House, planned: readonly Planned[], now: Zoned): AheadText {
  const list = planned.flatMap((p) => errandsOf(p, house, now))
  list.sort((a, b) => minutesBetween(b.by, a.by) || (a.title < b.title ? -1 : 1))
  const days = new Map<string, AheadErrand[]>()
  for (const e of list.filter((x) => !x.done)) {
    const key = e.left < 0 ? 'late' : dateOf(e.by)
    days.set(key, [...(days.get(key) ?? []), e])
  }
  const shelf = shelfOf(house, planned, now)
  const open = list.filter((e) => !e.done).length
  return {
    title: t('Errands and shelf, {0}', house.name),
    about: t(
      '{0}, {1} to do, {2} pieces on the shelf.',
      sayDay(now),
      open,
      shelf.reduce((n, s) => n + s.there, 0),
    ),
    days: [...days]
      .sort(([a], [b]) => (a === 'late' ? -1 : b === 'late' ? 1 : a < b ? -1 : 1))
      .map(([date, errands]) => ({ date, day: date === 'late' ? t('Late') : dayWord(errands[0]!.by, now), errands })),
    done: list.filter((e) => e.done).reverse(),
    shelf,
  }
}

function dayWord(at: Zoned, now: Zoned): string {
  if (dateOf(at) === dateOf(now)) return t('Today')
  return dateOf(at) === dateOf(addMinutes(now, 1440)) ? t('Tomorrow') : sayDay(at)
}

function errandsOf({ workshop, plan }: Planned, house: House, now: Zoned): AheadErrand[] {
  const say = phrases(house, now)
  const clock = clockOf(house)
  const due = errandsDue(plan, now)
  const done = plan.errands
    .filter((e) => e.state === 'done' && minutesBetween(e.by, now) <= keepDone)
    .map((e) => ({ e, left: minutesBetween(now, e.by) }))
  return [...due, ...done]
    .filter(({ e }) => e.code !== 'set-up')
    .map(({ e, left }) => {
      const said = say.errand(e)
      const finding =
        e.state === 'late' ? plan.findings.find((f) => f.code === `late-${e.code}` && 'by' in f.values && f.values.by === e.by) : undefined
      return {
        ...{ workshop: workshop.id, title: workshop.title, errand: e.id, what: said.title, body: said.body, by: e.by, left },
        at: e.startBy ? t('begin by {0}', sayClock(e.by, clock)) : t('by {0}', sayClock(e.by, clock)),
        done: e.state === 'done',
        late: finding ? say.finding(finding) : null,
      }
    })
}

/** What lies or will lie on a house's shelf, each workshop's by its places; what was lifted is gone. */
function shelfOf(house: House, planned: readonly Planned[], now: Zoned): AheadShelf[] {
  const all = planned.map((p) => ({ p, pieces: shelfPieces(p.workshop, p.plan) })).filter((x) => x.pieces.length > 0)
  const places = shelfPlaces(
    house,
    all.flatMap((x) => x.pieces),
  )
  const say = phrases(house, now)
  return all
    .filter(({ pieces }) => minutesBetween(now, pieces[0]!.to) > 0)
    .map(({ p, pieces }) => {
      const lies = pieces.map((x) => ({ ...x, place: places.get(x.id) }))
      const placed = lies.flatMap((x) => x.place ?? [])
      const from = pieces.reduce((a, b) => (minutesBetween(a, b.from) < 0 ? b.from : a), pieces[0]!.from)
      // The last one laid is ready last: the shelf waits for it.
      const last = pieces.reduce((a, b) => (minutesBetween(a.from, b.from) > 0 ? b : a))
      return {
        workshop: p.workshop.id,
        title: p.workshop.title,
        pieces: pieces.length,
        spares: pieces.filter((x) => x.what === 'spare').length,
        samples: pieces.filter((x) => x.what === 'sample').length,
        places: spanOf(placed.map((x) => x.label)),
        from,
        to: pieces[0]!.to,
        laid: say.at(from),
        never: say.at(last.neverBefore),
        better: say.at(last.tellAt),
        lifted: say.at(pieces[0]!.to),
        there: minutesBetween(from, now) >= 0 ? pieces.filter((x) => minutesBetween(x.from, now) >= 0).length : 0,
        without: lies.length - placed.length,
        lies,
      }
    })
    .sort((a, b) => minutesBetween(b.from, a.from))
}

/** Labels of one board after another, from the first to the last of each. */
function spanOf(labels: readonly string[]): string {
  const boards = new Map<string, number[]>()
  for (const l of labels) {
    const [, board, n] = /^(?:(.*)-)?(\d+)$/.exec(l)!
    boards.set(board ?? '', [...(boards.get(board ?? '') ?? []), Number(n)])
  }
  return [...boards]
    .flatMap(([board, numbers]) => {
      const name = (n: number) => (board ? `${board}-${n}` : String(n))
      const sorted = numbers.sort((a, b) => a - b)
      const runs: [number, number][] = []
      for (const n of sorted) {
        const run = runs.at(-1)
        if (run && run[1] === n - 1) run[1] = n
        else runs.push([n, n])
      }
      return runs.map(([a, b]) => (a === b ? name(a) : t('{0} to {1}', name(a), name(b))))
    })
    .join(', ')
}

/** The same as Markdown. */
export const aheadMarkdown = (a: AheadText): string =>
  [
    `# ${a.title}`,
    a.about,
    ...a.days.map(
      (d) =>
        `## ${d.day}\n\n${listMarkdown(
          d.errands.map((e) => [e.what, e.body, e.at, e.title, e.late ? `${e.late.title}. ${e.late.body}` : ''].filter(Boolean).join(', ')),
        )}`,
    ),
    ...(a.shelf.length > 0 ? [`## ${t('Shelf')}\n\n${listMarkdown(a.shelf.map(shelfLine))}`] : []),
  ].join('\n\n') + '\n'

/** A workshop's pieces on the shelf in a line: where, from when, and when they may be rubbed. */
export const shelfLine = (s: AheadShelf): string =>
  [
    t('{0}: {1} pieces on {2}', s.title, s.pieces, s.places || '–'),
    t('laid {0}', s.laid),
    t('never before {0}', s.never),
    t('better from {0}', s.better),
    t('lifted {0}', s.lifted),
    ...(s.without ? [t('{0} without a place', s.without)] : []),
  ].join(' · ')

/** A label that lies with a piece on the shelf. */
export interface ShelfLabel {
  place: string
  who: string
  title: string
  never: string
  better: string
}

/** Labels for what of a workshop lies on the shelf, in the order of its places. */
export function shelfLabels(house: House, planned: readonly Planned[], now: Zoned, workshop: string): ShelfLabel[] {
  const mine = planned.find((p) => p.workshop.id === workshop)
  if (!mine) return []
  const say = phrases(house, now)
  const places = shelfPlaces(
    house,
    planned.flatMap((p) => shelfPieces(p.workshop, p.plan)),
  )
  const names = new Map(mine.workshop.group.participants.map((p) => [p.id, p.name ?? t('Seat {0}', mine.plan.seats[p.id] ?? p.seat)]))
  return shelfPieces(mine.workshop, mine.plan).map((x) => ({
    place: places.get(x.id)?.label ?? '–',
    who: x.participant ? names.get(x.participant)! : x.what === 'spare' ? t('Spare {0}', x.number) : t('Sample {0}', x.number),
    title: mine.workshop.title,
    never: t('Never before {0}', say.at(x.neverBefore)),
    better: t('better from {0}', say.at(x.tellAt)),
  }))
}
