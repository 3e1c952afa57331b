import { load, workOf, type Crowd, type PlacedSession } from '#core/sessions'
import type { PlannedDesign } from './design'
import type { ClassLoad } from './shapes'

/** Each class with all its designs, in one room: everybody does theirs one after the other. What is shown is shown for each design; set-up
 *  and clean-up are done once. */
export const classLoads = (parts: readonly PlannedDesign[]): ClassLoad[] =>
  parts[0]!.s.sessions.flatMap((session) => {
    const together = parts.length === 1 ? parts[0]!.d.split.loads.find((l) => l.sessionId === session.id) : classLoad(parts, session)
    if (!together) return []
    const lastMakes = new Set(together.stages.map((x) => x.design))
    return [
      {
        ...together,
        parts: parts.flatMap(({ d }) => {
          const own = d.split.loads.find((l) => l.sessionId === session.id)
          return own ? [{ design: d.design, name: d.pieceName, busiest: lastMakes.has(d.design), load: own }] : []
        }),
      },
    ]
  })

/** A class's room with all designs that are worked in it; `otherwise` changes who comes or what is at hand, to see what it would save. */
export function classLoad(parts: readonly PlannedDesign[], session: PlacedSession, otherwise: (c: Crowd) => Crowd = (c) => c) {
  const { setting } = parts[0]!.s
  // What any of the designs brings is there for all.
  const here = Object.assign({}, ...parts.map(({ s }) => s.setting.crowd.drawn?.[session.id])) as Crowd['places']
  const works = parts.map(({ s, d }) => workOf(s.setting, d.split.split, session.id))
  return load(session, works, { ...setting, crowd: otherwise({ ...setting.crowd, drawn: { [session.id]: here } }) })
}
