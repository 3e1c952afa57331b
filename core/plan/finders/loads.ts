import { roomStations } from '#core/recipe'
import { enumerateSplits, type Judged } from '#core/sessions'
import { moveSession } from '#core/workshop'
import type { ClassLoad, DesignPlan, Remedy } from '../shapes'
import type { Situation } from '../situation'
import { splitChange } from './cure'
import { helpersFor } from './people'
import { bring, mostBrought } from './stations'
import { choiceChange, finding, remedy, type FindAll } from './ways'

/** A class that takes longer than it has, all designs together; every way out is one of a design's, or a longer class. */
export const loads: FindAll = (parts, plan) =>
  plan.loads
    .filter((l) => !l.fits)
    .map((l) => {
      const number = plan.sessions.find((x) => x.id === l.sessionId)!.number
      const over = l.neededMin - l.availableMin
      const ways = l.parts.flatMap((part) => {
        const { s, d } = parts.find((p) => p.d.design === part.design)!
        const alone = { ...part.load, neededMin: l.neededMin }
        const own = [...morePlaces(s, alone), ...betterSplit(s, d), ...moreHands(s, part.load), ...fewerRounds(s)]
        // Of several designs each offers its first two, and says whose they are.
        return l.parts.length === 1 ? own : own.slice(0, 2).map((r) => ({ ...r, of: part.name }))
      })
      return {
        ...finding('does-not-fit', 'stop', 'sessions', { session: number, needed: l.neededMin, available: l.availableMin, over }, [
          ...ways,
          longer(parts[0]!.s, l),
        ]),
        mark: 'E' as const,
      }
    })

/** The fewest places more with which a class fits whose queues alone make it too long. */
function morePlaces(s: Situation, l: Judged['loads'][number]): Remedy[] {
  const over = l.neededMin - l.availableMin
  return l.stages.flatMap((x) => {
    const stage = s.resolved.stages.find((y) => y.id === x.id)!
    const have = stage.station === undefined ? undefined : s.setting.places[stage.station]
    const station = roomStations.find((r) => r.id === stage.station)
    if (!have || !station || x.queue < over) return []
    const queue = (n: number) => Math.max(0, Math.ceil(s.pieces / n) - s.each) * stage.minutes.value
    const enough = Array.from({ length: mostBrought }, (_, i) => have + 1 + i).find((n) => x.queue - queue(n) >= over)
    return enough ? [bring(s, station, have, enough)] : []
  })
}

/** More helpers, so that what goes in turns goes in one. */
function moreHands(s: Situation, l: Judged['loads'][number]): Remedy[] {
  const turns = s.turns.filter((t) => t.extraMin > 0 && l.stages.some((x) => x.id === t.stages[0]))
  return turns.slice(0, 1).map((t) => helpersFor(s, t))
}

function betterSplit(s: Situation, plan: DesignPlan): Remedy[] {
  const { setting } = s
  const feasible = enumerateSplits(setting).filter((j) => j.feasible)
  const inClass = feasible.find((j) => !Object.values(j.split).includes('home'))
  const laying = s.resolved.stages.find((x) => x.makes === 'laid')?.id
  const atHome = feasible.find((j) => Object.values(j.split).includes('home') && (!laying || j.split[laying] === plan.split.split[laying]))
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

function fewerRounds(s: Situation): Remedy[] {
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
