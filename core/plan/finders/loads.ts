import { ledId, splitsOf, type Crowd } from '#core/sessions'
import { moveSession } from '#core/workshop'
import type { PlannedDesign } from '../design'
import { classLoad } from '../loads'
import type { ClassLoad, DesignPlan, Figured, Finding, Remedy } from '../shapes'
import type { Situation } from '../situation'
import { splitChange } from './cure'
import { moreHelpers } from './people'
import { bring, countedIn, mostBrought } from './stations'
import { choiceChange, fewest, finding, remedy, type FindAll } from './ways'

/** So many helpers more are proposed at the most. */
const mostHelpers = 6

/** A class that takes longer than it has, all designs together; every way out has been planned in the room, or is a longer class. */
export const loads: FindAll = (parts, plan) => plan.loads.filter((l) => !l.fits).map((l) => tooShort(parts, plan, l))

function tooShort(parts: readonly PlannedDesign[], plan: Figured, l: ClassLoad): Finding {
  const session = plan.sessions.find((x) => x.id === l.sessionId)!
  const { s } = parts[0]!
  const holds = (otherwise: (c: Crowd) => Crowd) => classLoad(parts, session, otherwise)!.fits
  const own = l.parts.flatMap((part) => {
    const { s, d } = parts.find((p) => p.d.design === part.design)!
    const ways = [...betterSplit(s, d), ...fewerRounds(s)]
    // Of several designs each offers its first two, and says whose they are.
    return l.parts.length === 1 ? ways : ways.slice(0, 2).map((r) => ({ ...r, of: part.name }))
  })
  const values = { session: session.number, needed: l.neededMin, available: l.availableMin, over: l.neededMin - l.availableMin }
  return {
    ...finding('does-not-fit', 'stop', 'sessions', values, [
      ...countedIn(l.room).flatMap(({ station, have }) => {
        const enough = fewest(have + 1, have + mostBrought, (n) => holds((c) => ({ ...c, places: { ...c.places, [station.id]: n } })))
        return enough ? [bring(s, station, have, enough)] : []
      }),
      ...own,
      ...hands(s, l, holds),
      longer(s, l),
    ]),
    mark: 'E' as const,
  }
}

/** The fewest helpers more with which a class fits, where adults lead or do something in it. */
function hands(s: Situation, l: ClassLoad, holds: (otherwise: (c: Crowd) => Crowd) => boolean): Remedy[] {
  const led = l.room.input.stations.some((x) => x.id === ledId) || l.room.input.routes.some((r) => r.stages.some((x) => x.helper))
  const more = led ? fewest(1, mostHelpers, (n) => holds((c) => ({ ...c, adults: c.adults + n }))) : undefined
  return more ? [moreHelpers(s.workshop, more)] : []
}

function betterSplit(s: Situation, plan: DesignPlan): Remedy[] {
  const { setting } = s
  const laying = s.resolved.stages.find((x) => x.makes === 'laid')?.id
  const isHome = (split: Record<string, string>) => Object.values(split).includes('home')
  const [inClass] = splitsOf(setting, (split) => !isHome(split))
  const [atHome] = splitsOf(setting, (split) => isHome(split) && (!laying || split[laying] === plan.split.split[laying]))
  return [
    ...(inClass
      ? [remedy('prepare-ahead', splitChange(s, setting, inClass), { stages: moved(plan.split.split, inClass.split, 'ahead', s) })]
      : []),
    ...(atHome ? [remedy('finish-at-home', splitChange(s, setting, atHome), { state: atHome.goesHome })] : []),
  ]
}

const moved = (from: Record<string, string>, to: Record<string, string>, place: string, s: Situation): string =>
  s.resolved.stages
    .filter((x) => to[x.id] === place && from[x.id] !== place)
    .map((x) => x.name.toLowerCase())
    .join(', ')

/** The next fewer rounds of a method that has a school of them. */
export function fewerRounds(s: Situation): Remedy[] {
  const school = s.recipe.schools.find((x) => x.id === 'rounds')
  const fewer = school?.options.filter((o) => o.effects.some((e) => e.kind === 'rounds' && e.rounds < s.resolved.rounds)).at(-1)
  return school && fewer
    ? [
        remedy('fewer-rounds', [choiceChange(s, 'rounds', fewer.id)], {
          rounds: fewer.id,
        }),
      ]
    : []
}

function longer(s: Situation, l: ClassLoad): Remedy {
  const session = s.workshop.sessions.find((x) => x.id === l.sessionId)!
  const needed = Math.ceil(l.neededMin / 15) * 15
  const placed = s.sessions.find((x) => x.id === l.sessionId)!
  const change = moveSession(session, placed.from, needed)
  return remedy('longer-session', change, { minutes: needed - l.availableMin })
}
