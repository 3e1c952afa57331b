import type { Task } from './task'

const runsOf = (t: Task, p: number) => t.firstRun[p + 1]! - t.firstRun[p]!

/** Lists of pieces to begin with (each occurrence is a piece's next run): those with pins first, then piece by piece, wave by wave, the
 *  longest work first, table by table. */
export function* usualLists(t: Task): Generator<Int32Array> {
  const all = Array.from({ length: t.pieces }, (_, p) => p)
  const work = all.map((p) => t.dur.subarray(t.first[p]!, t.first[p + 1]!).reduce((a, b) => a + b, 0))
  const pins = all.map((p) => Number(!t.pin.subarray(t.first[p]!, t.first[p + 1]!).some((x) => x >= 0)))
  const orders = [
    [...all].sort((a, b) => pins[a]! - pins[b]! || t.from[a]! - t.from[b]! || a - b),
    [...all].sort((a, b) => pins[a]! - pins[b]! || t.from[a]! - t.from[b]! || work[b]! - work[a]!),
    [...all].sort((a, b) => pins[a]! - pins[b]! || t.table[a]! - t.table[b]! || a - b),
  ]
  const most = Math.max(...all.map((p) => runsOf(t, p)))
  for (const order of orders) {
    yield pieceByPiece(t, order)
    yield Int32Array.from(Array.from({ length: most }, (_, k) => order.filter((p) => runsOf(t, p) > k)).flat())
  }
}

/** All runs of a piece, then all of the next. */
export const pieceByPiece = (t: Task, order: readonly number[]): Int32Array =>
  Int32Array.from(order.flatMap((p) => Array.from({ length: runsOf(t, p) }, () => p)))

/** Any order. */
export function shuffledList(t: Task, random: () => number): Int32Array {
  const list = pieceByPiece(
    t,
    Array.from({ length: t.pieces }, (_, p) => p),
  )
  for (let i = list.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1))
    ;[list[i], list[j]] = [list[j]!, list[i]!]
  }
  return list
}
