import { leaf, piecesOf, putIn, type Part } from './part'

/** Pieces and rooms as whole numbers, the gutter added to both. Rooms are places on sheets that are there anyway (beside what
 *  is locked); beyond them as many whole sheets are taken as are needed. */
export interface Task {
  sheet: { w: number; h: number }
  rooms: { w: number; h: number }[]
  pieces: { w: number; h: number; turn: boolean }[]
}

/** Where a piece would go, and how well. */
export interface Spot {
  board: number
  at: Part | undefined
  how: 'child' | 'wrap'
  beside: boolean
  turned: boolean
  score: number
}

/** From so many pieces on a start is made once, and a sheet drawn together in fewer trials. */
export const many = 300

/** Looks for the best spot of one piece. */
export class Look {
  private board = 0
  private w = 0
  private h = 0
  private turned = false
  constructor(
    private readonly spot: Spot,
    private readonly blink: number,
    private readonly rnd: () => number,
  ) {}

  over(b: { w: number; h: number; root: Part | undefined }, board: number, w: number, h: number, turned: boolean): void {
    if (w > b.w || h > b.h) return
    this.board = board
    this.w = w
    this.h = h
    this.turned = turned
    if (!b.root) return this.offer(lost(b.w, b.h, w, h), undefined, 'wrap', true)
    this.scan(b.root, b.w - b.root.w, b.h - b.root.h, b.w - b.root.w, b.h - b.root.h)
  }

  /** What a part may grow by without its parent growing (`nearX`, `nearY`), and with everything growing (`x`, `y`). */
  private scan(p: Part, nearX: number, nearY: number, x: number, y: number): void {
    const { w, h } = this
    // A row takes one more child; a piece, or a whole sheet, is wrapped in a new row that crosses the one it stands in.
    const single = p.piece >= 0
    if (w <= x && h <= p.h + y && (single ? !p.parent?.beside : p.beside || !p.parent)) {
      const deep = h <= p.h ? p.h : h - p.h <= nearY ? p.h + nearY : p.h + y
      this.offer(lost(w <= nearX ? nearX : x, deep, w, h), p, !single && p.beside ? 'child' : 'wrap', true)
    }
    if (h <= y && w <= p.w + x && (single ? !p.parent || p.parent.beside : !p.beside || !p.parent)) {
      const deep = w <= p.w ? p.w : w - p.w <= nearX ? p.w + nearX : p.w + x
      this.offer(lost(deep, h <= nearY ? nearY : y, w, h), p, !single && !p.beside ? 'child' : 'wrap', false)
    }
    for (const k of p.kids) {
      if (p.beside) this.scan(k, 0, p.h - k.h, x, y + p.h - k.h)
      else this.scan(k, p.w - k.w, 0, x + p.w - k.w, y)
    }
  }

  private offer(score: number, at: Part | undefined, how: Spot['how'], beside: boolean): void {
    const { spot } = this
    if (score >= spot.score || (this.blink > 0 && this.rnd() < this.blink)) return
    spot.board = this.board
    spot.at = at
    spot.how = how
    spot.beside = beside
    spot.turned = this.turned
    spot.score = score
  }
}

/** What a rectangle loses when w x h goes into its corner: its square less the squares of the two that stay, cut the better
 *  way. Small rectangles are used up first, large ones stay whole. */
function lost(x: number, y: number, w: number, h: number): number {
  const one = ((x - w) * y) ** 2 + (w * (y - h)) ** 2
  const two = (x * (y - h)) ** 2 + ((x - w) * h) ** 2
  return (x * y) ** 2 - Math.max(one, two)
}

/** A sheet's pieces put together so that a large rectangle of it stays whole: the sheet is narrowed or lowered step by step.
 *  Constructive; the sheet as it was where nothing better is found. */
export function drawTogether(task: Task, root: Part): Part {
  const { w, h } = task.sheet
  const order = piecesOf(root).sort((a, b) => sizeOf(task, b) - sizeOf(task, a) || a - b)
  let best = root
  const trials = order.length > many / 3 ? 6 : 24
  for (let k = trials; k > 0; k--)
    for (const [bw, bh] of [
      [w, (h * k) / trials],
      [(w * k) / trials, h],
    ] as const) {
      const made = construct(task, order, bw, bh)
      if (made && wholeLeft(task, made) > wholeLeft(task, best)) best = made
    }
  return best
}
const sizeOf = ({ pieces }: Task, i: number) => pieces[i]!.w * pieces[i]!.h

/** The larger rectangle that stays whole beside or above everything on a sheet. */
export const wholeLeft = ({ sheet }: Pick<Task, 'sheet'>, root: Part): number =>
  Math.max((sheet.w - root.w) * sheet.h, sheet.w * (sheet.h - root.h))

/** Pieces put on one sheet of this size one by one, each where it leaves the most in large rectangles. */
export function construct(task: Task, order: readonly number[], w: number, h: number): Part | undefined {
  let root: Part | undefined
  for (const piece of order) {
    const p = task.pieces[piece]!
    const spot: Spot = { board: -1, at: undefined, how: 'wrap', beside: true, turned: false, score: Infinity }
    const look = new Look(spot, 0, () => 1)
    look.over({ w, h, root }, 0, p.w, p.h, false)
    if (p.turn && p.w !== p.h) look.over({ w, h, root }, 0, p.h, p.w, true)
    if (spot.board < 0) return undefined
    const made = spot.turned ? leaf(piece, p.h, p.w) : leaf(piece, p.w, p.h)
    root = root && spot.at ? putIn(root, spot.at, spot.how, spot.beside, made) : made
  }
  return root
}
