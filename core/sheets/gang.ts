import * as v from 'valibot'
import { isRefusal, refuse, type Refusal } from '#core/reasons'
import { decimal, fromMicro, micro, whole } from '#core/units'
import { areaBound } from './bound'
import { cutLockedSheet, cutSheet, type GangedSheet, type Place } from './cuts'
import { cutAround, roomsOf, type Around, type Box, type LockedBox } from './locked'
import { piecesOf, type Part } from './part'
import { fillByPatterns, sheetsFrom, type Kind } from './patterns'
import { drawTogether, wholeLeft, type Task } from './look'
import { Search } from './search'

const longest = 5000
/** So many prints are ganged at once. */
export const mostPrints = 4000
const mm = (limits: { min?: number; above?: number }) => v.pipe(decimal({ ...limits, max: longest }), v.transform(micro))

/** Lengths in mm, decimals of up to 6 places and at most 5 m, held as whole millionths. At most 400 pictures, 4000 prints. */
export const sheetsInput = v.object({
  sheet: v.pipe(
    v.object({ widthMm: mm({ above: 0 }), heightMm: mm({ above: 0 }), marginMm: mm({ min: 0 }) }),
    v.check(
      (s) => 2 * s.marginMm < Math.min(s.widthMm, s.heightMm),
      'nothing of the sheet is printable | Give a margin below half the shorter side.',
    ),
  ),
  gutterMm: mm({ min: 0 }),
  pictures: v.pipe(
    v.array(
      v.object({
        id: v.pipe(v.string(), v.minLength(1, 'empty | Name the picture.'), v.maxLength(200, 'longer than 200 letters | Shorten it.')),
        widthMm: mm({ above: 0 }),
        heightMm: mm({ above: 0 }),
        count: whole({ min: 0, max: mostPrints }),
        mayTurn: v.boolean('not yes or no | Say true or false.'),
      }),
      'not a list of pictures | Give a list of {id, widthMm, heightMm, count, mayTurn}.',
    ),
    v.maxLength(400, 'more than 400 pictures | Gang them in several goes.'),
    v.check((list) => new Set(list.map((p) => p.id)).size === list.length, 'two pictures have one id | Give each an id of its own.'),
    v.check(
      (list) => list.reduce((sum, p) => sum + p.count, 0) <= mostPrints,
      `more than ${mostPrints} prints | Gang them in several goes.`,
    ),
  ),
})
export type SheetsInput = v.InferOutput<typeof sheetsInput>

/** Prints on sheets: where each lies, how the sheets are cut, and how few are possible. */
export interface Ganged {
  sheets: GangedSheet[]
  /** No arrangement that straight cuts take apart has fewer sheets. */
  lowerBound: number
  /** Steps of the search behind this answer. */
  steps: number
  /** The step at which it was found: so many give the same answer again. */
  foundAt: number
  /** Share of the last sheet that stays whole, in one rectangle. */
  wholeLeft: number
}

/** Steps without anything better after which an answer on the fewest sheets is left alone. */
const settledAfter = 400
/** Steps that an answer gets when nobody says. */
export const usualSteps = 1500

/** A print that stays where it was put by hand: on which sheet, and where. Lengths in mm. */
export interface Lock {
  sheet: number
  id: string
  copy: number
  xMm: number
  yMm: number
  turned: boolean
}

/** A sheet with locked prints, how it is cut round them, and which rooms of the search are its own. */
interface LockedSheet {
  number: number
  around: Around
  places: Place[]
  rooms: { first: number; count: number }
}

/** A ganging under way: an answer at once, better ones as steps are taken. Deterministic for a seed and its steps; never
 *  worse with more. The owner of the clock decides how many. Sheets with locked prints keep their number. */
export class Ganging {
  private readonly search: Search
  private readonly task: Task
  private readonly owners: { id: string; copy: number }[]
  private readonly byKind: Kind[]
  private readonly ofKind: number[][]
  private improvedAt = 0
  private known = ''

  private constructor(
    private readonly input: SheetsInput,
    private readonly locked: LockedSheet[],
    rooms: Box[],
    locks: readonly Lock[],
    seed: number,
  ) {
    const { sheet, gutterMm: g, pictures } = input
    const taken = new Set(locks.map((l) => nameOf(l)))
    const prints = pictures.flatMap((p) => Array.from({ length: p.count }, (_, copy) => ({ p, copy })))
    const free = prints.filter(({ p, copy }) => !taken.has(nameOf({ id: p.id, copy })))
    const sized = (list: typeof prints) => list.map(({ p }) => ({ w: p.widthMm + g, h: p.heightMm + g, turn: p.mayTurn }))
    this.task = {
      sheet: { w: sheet.widthMm - 2 * sheet.marginMm + g, h: sheet.heightMm - 2 * sheet.marginMm + g },
      rooms: rooms.map(({ w, h }) => ({ w, h })),
      pieces: sized(free),
    }
    this.owners = free.map(({ p, copy }) => ({ id: p.id, copy }))
    ;({ kinds: this.byKind, pieces: this.ofKind } = kindsOf(this.task.pieces))
    const bound = areaBound(kindsOf(sized(prints)).kinds, this.task.sheet)
    this.search = new Search(this.task, seed, Math.max(0, bound - locked.length))
  }

  /** Refuses locked prints that cannot stay: outside, too near to each other, or with no straight cut between. */
  static begin(input: SheetsInput, { seed = 1, locks = [] }: { seed?: number; locks?: readonly Lock[] } = {}): Ganging | Refusal {
    const rooms: Box[] = []
    const locked: LockedSheet[] = []
    for (const n of [...new Set(locks.map((l) => l.sheet))].sort((a, b) => a - b)) {
      const made = lockedSheet(
        input,
        locks.filter((l) => l.sheet === n),
      )
      if (isRefusal(made)) return made
      locked.push({ ...made, number: n, rooms: { first: rooms.length, count: roomsOf(made.around).length } })
      rooms.push(...roomsOf(made.around))
    }
    return new Ganging(input, locked, rooms, locks, seed)
  }

  /** Takes so many steps; the first weighs all patterns of a sheet where kinds are few. Returns whether there is more to find. */
  step(count: number): boolean {
    if (this.search.steps === 0 && this.byKind.length <= fewKinds && this.locked.length === 0) this.weighPatterns()
    for (let i = 0; i < count && !this.settled; i++) {
      this.search.step()
      const key = `${this.search.best.sheets.length} ${this.search.leastLeft}`
      if (key !== this.known) [this.known, this.improvedAt] = [key, this.search.steps]
    }
    return !this.settled
  }

  /** The fewest sheets are reached, and the last one has not become emptier for long. */
  get settled(): boolean {
    return this.search.done || (this.search.fewest && this.search.steps - this.improvedAt >= settledAfter)
  }

  /** Sheets of the best so far. */
  get sheets(): number {
    return this.locked.length + this.search.best.sheets.length
  }

  get steps(): number {
    return this.search.steps
  }

  private weighPatterns(): void {
    const filling = fillByPatterns(this.byKind, this.task.sheet)
    if (!filling) return
    this.search.lowerBound = Math.max(this.search.lowerBound, filling.bound)
    const areas = this.byKind.map((k) => k.w * k.h)
    this.search.offer(sheetsFrom(filling, this.ofKind, areas))
  }

  /** The best so far: sheets with locked prints at their number, the emptiest last and drawn together. */
  answer(): Ganged {
    const { sheets, rooms } = this.search.best
    const areaOf = (root: Part) => this.search.areaOf(root)
    const order = [...sheets].sort((a, b) => areaOf(b) - areaOf(a))
    const last = order.pop()
    const together = last && drawTogether(this.task, last)
    const free = together ? [...order, together] : []
    const inOrder = this.inPlace(free)
    const cutting = { ...this.input, named: this.namer(inOrder.flatMap((x) => ('root' in x ? [x.root] : roomRoots(x.locked, rooms)))) }
    return {
      sheets: inOrder.map((x) =>
        'root' in x ? cutSheet(x.root, cutting) : cutLockedSheet(x.locked.around, x.locked.places, roomRoots(x.locked, rooms), cutting),
      ),
      lowerBound: Math.max(this.locked.length, this.search.lowerBound + this.locked.length),
      steps: this.search.steps,
      foundAt: this.improvedAt,
      wholeLeft: together ? wholeLeft(this.task, together) / (this.task.sheet.w * this.task.sheet.h) : 0,
    }
  }

  /** Sheets with locked prints stay at their own number where there are so many; the others fill up. */
  private inPlace(free: readonly Part[]): ({ root: Part } | { locked: LockedSheet })[] {
    const left = free.map((root) => ({ root }))
    const made: ({ root: Part } | { locked: LockedSheet })[] = []
    for (const locked of this.locked) {
      while (made.length < locked.number && left.length > 0) made.push(left.shift()!)
      made.push({ locked })
    }
    return [...made, ...left]
  }

  /** Copies of a picture are alike: they are numbered in the order of the sheets. */
  private namer(roots: readonly (Part | undefined)[]) {
    const { owners, task } = this
    const inOrder = roots.flatMap((r) => piecesOf(r))
    const free = new Map<string, number[]>()
    for (const o of owners) free.set(o.id, [...(free.get(o.id) ?? []), o.copy])
    const copyOf = new Map(inOrder.map((piece) => [piece, free.get(owners[piece]!.id)!.shift()!]))
    return (piece: number, w: number, h: number) => {
      const size = task.pieces[piece]!
      return { id: owners[piece]!.id, copy: copyOf.get(piece)!, turned: w !== size.w || h !== size.h }
    }
  }
}

const roomRoots = (s: LockedSheet, rooms: readonly (Part | undefined)[]) => rooms.slice(s.rooms.first, s.rooms.first + s.rooms.count)
const nameOf = (x: { id: string; copy: number }) => `${x.id}\u0000${x.copy}`

function lockedSheet(input: SheetsInput, locks: readonly Lock[]): Omit<LockedSheet, 'rooms' | 'number'> | Refusal {
  const { sheet, gutterMm: g, pictures } = input
  const boxes = locks.map((l): LockedBox => {
    const p = pictures.find((x) => x.id === l.id)!
    const [w, h] = l.turned ? [p.heightMm, p.widthMm] : [p.widthMm, p.heightMm]
    return { id: l.id, x: Math.round(l.xMm * 1e6), y: Math.round(l.yMm * 1e6), w: w + g, h: h + g }
  })
  const area = {
    x: sheet.marginMm,
    y: sheet.marginMm,
    w: sheet.widthMm - 2 * sheet.marginMm + g,
    h: sheet.heightMm - 2 * sheet.marginMm + g,
  }
  const around = cutAround(boxes, area)
  if (isRefusal(around)) return around
  return { around, places: locks.map(({ id, copy, xMm, yMm, turned }) => ({ id, copy, xMm, yMm, turned, locked: true })) }
}

/** Beyond so many sizes patterns are not weighed. */
const fewKinds = 12

function kindsOf(pieces: Task['pieces']): { kinds: Kind[]; pieces: number[][] } {
  const by = new Map<string, { kind: Kind; pieces: number[] }>()
  pieces.forEach((p, i) => {
    const [w, h] = p.turn && p.w < p.h ? [p.h, p.w] : [p.w, p.h]
    const key = `${w} ${h} ${p.turn}`
    const now = by.get(key) ?? { kind: { w, h, turn: p.turn, count: 0 }, pieces: [] }
    now.kind.count++
    now.pieces.push(i)
    by.set(key, now)
  })
  const all = [...by.values()]
  return { kinds: all.map((x) => x.kind), pieces: all.map((x) => x.pieces) }
}

/** Pictures that no sheet holds, each way they may lie. */
export function tooLarge({ sheet, pictures }: SheetsInput): string[] {
  const [w, h] = [sheet.widthMm - 2 * sheet.marginMm, sheet.heightMm - 2 * sheet.marginMm]
  const fits = (a: number, b: number) => a <= w && b <= h
  return pictures.filter((p) => p.count > 0 && !fits(p.widthMm, p.heightMm) && !(p.mayTurn && fits(p.heightMm, p.widthMm))).map((p) => p.id)
}

/** Prints of several sizes on as few sheets as possible, inside the printable area, a gutter apart, each sheet cuttable by
 *  straight cuts from edge to edge; then as much of the last sheet whole as can be. Refuses pictures larger than the printable
 *  area each way they may lie. Fewest sheets by patterns (few sizes) and by ruin and recreation; see `search.ts` and
 *  `patterns.ts` for sources. `enough` is asked now and then, and ends the search. Deterministic for a seed and steps. */
export function gangSheets(
  input: SheetsInput,
  {
    steps = usualSteps,
    seed = 1,
    enough = () => false,
    locks = [],
  }: { steps?: number; seed?: number; enough?: () => boolean; locks?: readonly Lock[] } = {},
): Ganged | Refusal {
  const large = tooLarge(input)
  if (large.length > 0)
    return refuse(
      `${large.length === 1 ? 'a picture is' : `${large.length} pictures are`} larger than the sheet prints: ${large.join(', ')}`,
      `printable are ${fromMicro(input.sheet.widthMm - 2 * input.sheet.marginMm)} x ${fromMicro(input.sheet.heightMm - 2 * input.sheet.marginMm)} mm`,
      ['make them smaller', 'tile them across sheets with an overlap', 'take larger paper'],
    )
  const ganging = Ganging.begin(input, { seed, locks })
  if (isRefusal(ganging)) return ganging
  while (ganging.steps < steps && !enough() && ganging.step(Math.min(batch, steps - ganging.steps)));
  return ganging.answer()
}
const batch = 16
