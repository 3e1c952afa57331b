import type { ClassRoom } from './classRoom'

/** Who waits for a station, for adults, or while something is shown, in minutes from the class's start. */
export interface Queue {
  /** A station of the room; `adults` for hands, `show` while something is shown or nothing is in the way but the plan's order. */
  at: string
  /** Places, or hands; null where there is nothing to count. */
  places: number | null
  waits: { person: string; stage: string; fromMin: number; toMin: number }[]
  longestMin: number
  totalMin: number
  /** The tightest moment: so many wait at once, the first time they do. */
  most: number
  mostAtMin: number
}

/** Where people wait in a class's plan, the longest waits first. Nobody's wait is in two queues. */
export function queuesOf({ input, plan }: ClassRoom): Queue[] {
  const routes = new Map(input.routes.map((r) => [r.id, r]))
  const at = new Map(plan.starts.map((s) => [`${s.piece} ${s.stage}`, s.atMin]))
  const found = new Map<string, Queue['waits']>()
  for (const p of input.pieces) {
    let ready = p.fromMin ?? 0
    for (const s of routes.get(p.route)!.stages) {
      const start = at.get(`${p.id} ${s.id}`)!
      const where = s.station ?? (s.helper ? 'adults' : 'show')
      if (start > ready) found.set(where, [...(found.get(where) ?? []), { person: p.id, stage: s.id, fromMin: ready, toMin: start }])
      ready = start + s.minutes + (s.then?.leastMin ?? 0)
    }
  }
  return [...found]
    .map(([where, waits]): Queue => {
      const tight = tightest(waits)
      return {
        at: where,
        places: where === 'adults' ? input.helpers : (input.stations.find((s) => s.id === where)?.places ?? null),
        waits,
        longestMin: Math.max(...waits.map((w) => w.toMin - w.fromMin)),
        totalMin: waits.reduce((sum, w) => sum + w.toMin - w.fromMin, 0),
        most: tight.most,
        mostAtMin: tight.atMin,
      }
    })
    .sort((a, b) => b.longestMin - a.longestMin || b.totalMin - a.totalMin)
}

/** The first moment at which most things last at once. */
export function tightest(spans: readonly { fromMin: number; toMin: number }[]): { most: number; atMin: number } {
  const edges = spans.flatMap((w) => [
    { at: w.fromMin, d: 1 },
    { at: w.toMin, d: -1 },
  ])
  edges.sort((a, b) => a.at - b.at || a.d - b.d)
  let [now, most, atMin] = [0, 0, 0]
  for (const e of edges) {
    now += e.d
    if (now > most) [most, atMin] = [now, e.at]
  }
  return { most, atMin }
}
