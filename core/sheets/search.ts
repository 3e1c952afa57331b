import { construct, Look, many, type Spot, type Task } from './look'
import { copyPart, leaf, listParts, piecesOf, putIn, takeOut, type Part } from './part'
import { seeded } from './seeded'

/** A room or a sheet and what lies on it. `turn` numbers the step that made this copy: only that step may change it. */
interface Board {
  w: number
  h: number
  root: Part | undefined
  /** Share of a whole sheet that its pieces cover, and that it has. */
  area: number
  room: number
  turn: number
}

export interface Arrangement {
  rooms: (Part | undefined)[]
  sheets: Part[]
}

/** How often a better spot is passed over, how many steps back a worse answer may look, how much is taken out at most. Found
 *  on the practice instances. */
const tuning = { blink: 0.03, history: 60, share: 0.25, pieces: 18 }
/** A piece covers at most what is left, a hair forgiven. */
const hair = 1e-9
/** What bits of room count beside pieces left out: room in one lump takes more later. */
const lump = 0.02

/** Fewest sheets by ruin and recreation over what straight cuts can take apart.
 *
 *  A step takes a few parts out of one to four sheets and puts their pieces back one by one, each where it leaves the most in
 *  large rectangles; the goal is one sheet fewer than the best, and pieces without a place are left out. A step is kept when
 *  it leaves out no more than the answer so many steps ago did (late acceptance). As soon as nothing is left out there is a
 *  better answer and the next goal. Along the way it keeps the answer whose left-out pieces are the least and fit on one
 *  sheet: that is the last sheet.
 *
 *  Heuristic; deterministic for a seed and a number of steps. A step costs O(parts x pieces taken out).
 *  Sources: G. Schrimpf, J. Schneider, H. Stamm-Wilbrandt, G. Dueck, "Record breaking optimization results using the ruin and
 *  recreate principle", J. Comput. Phys. 159 (2000); J. Gardeyn, T. Wauters, "A goal-driven ruin and recreate heuristic for the
 *  2D variable-sized bin packing problem with guillotine constraints", Eur. J. Oper. Res. 301 (2022); E. K. Burke, Y. Bykov,
 *  "The late acceptance hill-climbing heuristic", Eur. J. Oper. Res. 258 (2017). Growing parts in place of fixed cells is our
 *  own: a part takes from its sheet what its pieces need, so an insertion may widen the rows it stands in. */
export class Search {
  private readonly rnd: () => number
  private readonly areas: number[]
  private readonly longs: number[]
  private boards: Board[] = []
  /** Pieces without a place. */
  private out: number[] = []
  private turn = 0
  private history: number[] = []
  private cost = 0
  /** What lies on the last sheet, as a share of a sheet. */
  leastLeft = Infinity
  best: Arrangement = { rooms: [], sheets: [] }
  /** Steps taken. */
  steps = 0

  constructor(
    private readonly task: Task,
    seed: number,
    public lowerBound: number,
  ) {
    this.rnd = seeded(seed)
    const full = task.sheet.w * task.sheet.h
    this.areas = task.pieces.map((p) => (p.w * p.h) / full)
    this.longs = task.pieces.map((p) => Math.max(p.w / task.sheet.w, p.h / task.sheet.h))
    this.build()
    this.aim()
  }

  /** No fewer sheets are possible. */
  get fewest(): boolean {
    return this.best.sheets.length <= this.lowerBound
  }
  /** Nothing is left to look for: no sheet at all, or one that holds everything. */
  get done(): boolean {
    return this.boards.length === 0
  }

  /** Takes another arrangement of everything over where it needs fewer sheets. */
  offer(sheets: readonly Part[]): void {
    if (sheets.length >= this.best.sheets.length) return
    this.best = { rooms: this.task.rooms.map(() => undefined), sheets: [...sheets] }
    this.aim()
  }

  private board(w: number, h: number): Board {
    return { w, h, root: undefined, area: 0, room: (w * h) / (this.task.sheet.w * this.task.sheet.h), turn: this.turn }
  }

  /** Everything placed, largest first by four meanings of large; the fewest sheets of the four. */
  private build(): void {
    const { pieces, rooms, sheet } = this.task
    const meanings = [this.areas, this.longs, pieces.map((p) => p.w), pieces.map((p) => p.h)]
    // Very many pieces: one meaning has to do, so that an answer is there at once.
    for (const large of pieces.length > many ? meanings.slice(0, 1) : meanings) {
      this.boards = rooms.map((r) => this.board(r.w, r.h))
      const order = pieces.map((_, i) => i).sort((a, b) => large[b]! - large[a]! || a - b)
      for (const piece of order) {
        if (this.place(piece, 0)) continue
        this.boards.push(this.board(sheet.w, sheet.h))
        if (!this.place(piece, 0)) throw new Error(`piece ${piece} is larger than a sheet`)
      }
      if (this.best.rooms.length + this.best.sheets.length === 0 || this.boards.length - rooms.length < this.best.sheets.length)
        this.keep([])
    }
  }

  private keep(last: Part[]): void {
    const roots = this.boards.map((b) => b.root && copyPart(b.root))
    const n = this.task.rooms.length
    this.best = { rooms: roots.slice(0, n), sheets: [...roots.slice(n).filter((r) => r !== undefined), ...last] }
  }

  /** One sheet fewer than the best: the emptiest is cleared, its pieces are left out. */
  private aim(): void {
    const { sheet, rooms } = this.task
    const filled = (w: number, h: number, root: Part | undefined): Board => {
      const made = this.board(w, h)
      made.root = root && copyPart(root)
      made.area = this.areaOf(root)
      return made
    }
    const sheets = this.best.sheets.map((r) => filled(sheet.w, sheet.h, r))
    const emptiest = sheets.reduce((least, s, i) => (s.area < sheets[least]!.area ? i : least), 0)
    const cleared = sheets.splice(emptiest, 1)[0]
    this.boards = [...rooms.map((r, i) => filled(r.w, r.h, this.best.rooms[i])), ...sheets]
    this.out = piecesOf(cleared?.root)
    this.leastLeft = cleared?.area ?? 0
    this.cost = this.costNow()
    this.history = Array.from({ length: tuning.history }, () => this.cost)
    if (this.out.length === 0) this.boards = []
  }

  areaOf(root: Part | undefined): number {
    return piecesOf(root).reduce((sum, p) => sum + this.areas[p]!, 0)
  }
  private bySize(pieces: readonly number[]): number[] {
    return [...pieces].sort((a, b) => this.areas[b]! - this.areas[a]! || a - b)
  }
  private left(): number {
    return this.out.reduce((sum, p) => sum + this.areas[p]!, 0)
  }
  private costNow(): number {
    return this.left() - lump * this.boards.reduce((sum, b) => sum + (b.room - b.area) ** 2, 0)
  }

  /** One ruin and one recreation. */
  step(): void {
    if (this.done) return
    this.steps++
    this.turn++
    const before = { boards: [...this.boards], out: this.out }
    this.ruin()
    this.recreate()
    if (this.out.length === 0) {
      this.keep([])
      this.aim()
      return
    }
    const cost = this.costNow()
    const at = this.steps % this.history.length
    if (cost <= this.history[at]! || cost <= this.cost) {
      this.cost = cost
      this.keepLast()
    } else {
      this.boards = before.boards
      this.out = before.out
    }
    this.history[at] = Math.min(this.history[at]!, this.cost)
  }

  /** Less is left out than ever with this many sheets: if it fits on one sheet, it is the last sheet. */
  private keepLast(): void {
    const left = this.left()
    if (left > this.leastLeft - hair) return
    const { sheet } = this.task
    const last = construct(this.task, this.bySize(this.out), sheet.w, sheet.h)
    if (!last) return
    this.leastLeft = left
    this.keep([last])
  }

  private ruin(): void {
    const { rnd } = this
    const most = Math.max(2, Math.min(tuning.pieces, Math.floor(this.areas.length * tuning.share)))
    let wanted = 1 + Math.floor(rnd() * most)
    const near = 1 + Math.floor(rnd() * Math.min(4, this.boards.length))
    const chosen = Array.from({ length: near }, () => Math.floor(rnd() * this.boards.length))
    this.out = [...this.out]
    for (let tries = 0; wanted > 0 && tries < 12; tries++) {
      const i = chosen[Math.floor(rnd() * chosen.length)]!
      if (!this.boards[i]!.root) continue
      const mine = this.mine(i)
      const parts = listParts(mine.root!)
      const part = parts[Math.floor(rnd() * parts.length)]!
      const gone = piecesOf(part)
      if (gone.length > wanted + 2) continue
      for (const p of gone) {
        this.out.push(p)
        mine.area -= this.areas[p]!
      }
      wanted -= gone.length
      mine.root = takeOut(mine.root!, part)
    }
  }

  /** A copy of a board that this step may change. */
  private mine(i: number): Board {
    const b = this.boards[i]!
    if (b.turn === this.turn) return b
    const made = { ...b, root: b.root && copyPart(b.root), turn: this.turn }
    this.boards[i] = made
    return made
  }

  private recreate(): void {
    const way = this.rnd()
    const large = new Map(
      this.out.map((p) => [p, way < 0.5 ? this.areas[p]! : way < 0.75 ? this.longs[p]! : this.areas[p]! * (0.4 + this.rnd())]),
    )
    const order = [...this.out].sort((a, b) => large.get(b)! - large.get(a)!)
    this.out = order.filter((piece) => !this.place(piece, tuning.blink))
  }

  /** Puts a piece where it leaves the most in large rectangles; false where there is no place. */
  private place(piece: number, blink: number): boolean {
    const { w, h, turn } = this.task.pieces[piece]!
    const area = this.areas[piece]!
    const spot: Spot = { board: -1, at: undefined, how: 'wrap', beside: true, turned: false, score: Infinity }
    const look = new Look(spot, blink, this.rnd)
    for (let i = 0; i < this.boards.length; i++) {
      const b = this.boards[i]!
      if (b.area + area > b.room + hair) continue
      look.over(b, i, w, h, false)
      if (turn && w !== h) look.over(b, i, h, w, true)
    }
    if (spot.board < 0) return false
    const at = spot.at && listParts(this.boards[spot.board]!.root!).indexOf(spot.at)
    const mine = this.mine(spot.board)
    const made = spot.turned ? leaf(piece, h, w) : leaf(piece, w, h)
    mine.root = at === undefined ? made : putIn(mine.root!, listParts(mine.root!)[at]!, spot.how, spot.beside, made)
    mine.area += area
    return true
  }
}
