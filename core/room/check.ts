import type { RoomInput } from './input'
import type { Start } from './task'

/** What is wrong with a plan of a room, in its own arithmetic: nothing of the search is used. Empty when it holds; its sums beside. */
export function checkRoom(
  input: RoomInput,
  starts: readonly Start[],
): { wrong: string[]; finishMin: number; waitingMin: number; spreadMin: number } {
  const wrong: string[] = []
  const at = new Map(starts.map((s) => [`${s.piece} ${s.stage}`, s.atMin]))
  const all = input.pieces.flatMap((p) => {
    const { stages } = input.routes.find((r) => r.id === p.route)!
    return stages.map((s, k) => {
      const from = at.get(`${p.id} ${s.id}`)
      if (from === undefined) wrong.push(`${p.id} ${s.id} is missing`)
      return { p, s, k, from: from ?? 0, to: (from ?? 0) + (p.minutes?.[s.id] ?? s.minutes) }
    })
  })
  if (starts.length !== all.length) wrong.push(`${starts.length} starts for ${all.length} stages`)
  let waitingMin = 0
  const ends = new Map<string, number[]>()
  for (const [i, x] of all.entries()) {
    const before = x.k > 0 ? all[i - 1]! : undefined
    const ready = before ? before.to + (before.s.then?.leastMin ?? 0) : (x.p.fromMin ?? 0)
    const most = before?.s.then?.mostMin
    if (x.from < ready) wrong.push(`${x.p.id} ${x.s.id} begins before it is ready`)
    if (before && most !== null && most !== undefined && x.from > before.to + most) wrong.push(`${x.p.id} ${x.s.id} begins too late`)
    waitingMin += x.from - ready
    const pin = x.p.pins?.[x.s.id]
    if (pin !== undefined && pin !== x.from) wrong.push(`${x.p.id} ${x.s.id} is not at its pin`)
    if (x.s.attended && input.blocks.some((b) => x.from < b.toMin && x.to > b.fromMin)) wrong.push(`${x.p.id} ${x.s.id} meets a block`)
    if (all[i + 1]?.p !== x.p) ends.set(x.p.table, [...(ends.get(x.p.table) ?? []), x.to])
  }
  const most = (set: typeof all) => set.reduce((n, x) => Math.max(n, set.filter((y) => y.from <= x.from && y.to > x.from).length), 0)
  for (const s of input.stations)
    if (most(all.filter((x) => x.s.station === s.id)) > s.places) wrong.push(`more than ${s.places} at ${s.id}`)
  if (most(all.filter((x) => x.s.helper)) > input.helpers) wrong.push(`more than ${input.helpers} adults`)
  return {
    wrong,
    finishMin: Math.max(0, ...all.map((x) => x.to)),
    waitingMin,
    spreadMin: [...ends.values()].reduce((sum, e) => sum + Math.max(...e) - Math.min(...e), 0),
  }
}
