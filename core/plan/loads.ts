import type { SessionLoad } from '#core/sessions'
import { takesKit } from '#core/workshop'
import type { PlannedDesign } from './design'
import type { ClassLoad } from './shapes'

/** Each class with all its designs: everybody does theirs one after the other, so whoever makes most sets the time. What is shown is
 *  shown for each design; set-up and clean-up are done once. */
export function classLoads(parts: readonly PlannedDesign[]): ClassLoad[] {
  const { sessions, figures, workshop } = parts[0]!.s
  const around = figures('set-up').value + figures('clean-up').value
  return sessions.flatMap((session) => {
    const mine = parts.flatMap(({ d }) => {
      const load = d.split.loads.find((l) => l.sessionId === session.id)
      return load ? [{ d, load }] : []
    })
    if (mine.length === 0) return []
    const work = (l: SessionLoad) => l.neededMin - l.showMin - around
    const of = (person: string) => mine.filter((x) => x.d.makers.includes(person))
    const busiest = workshop.group.participants
      .filter((p) => !takesKit(workshop, p))
      .map((p) => of(p.id))
      .reduce((a, b) => (sum(b.map((x) => work(x.load))) > sum(a.map((x) => work(x.load))) ? b : a), mine.length === 1 ? mine : [])
    const showMin = sum(mine.map((x) => x.load.showMin))
    const neededMin = around + showMin + sum(busiest.map((x) => work(x.load)))
    return [
      {
        sessionId: session.id,
        showMin,
        neededMin,
        availableMin: session.minutes,
        fits: neededMin <= session.minutes,
        parts: mine.map((x) => ({ design: x.d.design, name: x.d.pieceName, busiest: busiest.includes(x), load: x.load })),
      },
    ]
  })
}

const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0)
