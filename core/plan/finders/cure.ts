import { coldLimitCelsius } from '#core/cure'
import { latestRecipe, pieceKinds, takesMaterial, type Recipe } from '#core/recipe'
import { intendedSplit, splitsOf, type Judged } from '#core/sessions'
import { minutesBetween } from '#core/time'
import { change, moveSession, type Change } from '#core/workshop'
import type { Figured, Remedy } from '../shapes'
import type { Situation } from '../situation'
import { stageName } from './people'
import { choiceChange, finding, inChoices, remedy, takeMethod, takePiece, type Find, type FindAll } from './ways'

/** Another method, and a piece that it suits, when the present piece is none. */
export function quicker(s: Situation, suits: (r: Recipe) => boolean = () => true): Remedy[] {
  return s.recipes
    .filter((r) => !r.cure && r.id !== s.recipe.id && latestRecipe(r.id, s.recipes) === r && suits(r))
    .filter((r) => r.print.ink === 'any' || s.printers.includes(r.print.ink))
    .map((r) => {
      if (takesMaterial(r, s.design.material)) return { ...takeMethod(s, r.id), to: r }
      const kind = pieceKinds.find((k) => k.recipe === r.id)!
      return { ...takePiece(s, kind, r), to: r }
    })
    .sort((a, b) => Number(b.code === 'take-method') - Number(a.code === 'take-method'))
    .slice(0, 2)
    .map(({ to: _to, ...way }) => way)
}

export const cold: FindAll = (parts) => {
  const s = parts.find((p) => p.s.resolved.stages.some((x) => x.lays))?.s
  return s && s.house.climate.celsius < coldLimitCelsius.value
    ? [
        {
          ...finding('too-cold', 'stop', 'sessions', { celsius: s.house.climate.celsius, least: coldLimitCelsius.value }, [
            { code: 'warm-room', values: { least: coldLimitCelsius.value }, changes: [], link: 'house' },
            ...quicker(s, (r) => !r.stages.some((x) => x.lays)),
          ]),
          mark: coldLimitCelsius.mark,
        },
      ]
    : []
}

export const curing: Find = (s, plan) => {
  const { cure } = plan.split
  if (!cure || cure.verdict === 'ready') return []
  const values = {
    session: s.sessions.find((x) => x.id === cure.rubIn)!.number,
    laid: minutesBetween(cure.laidAt, s.sessions.find((x) => x.id === cure.rubIn)!.from),
    least: cure.requiredMin,
    better: cure.recommendedMin,
    earliestAt: cure.earliestAt,
    recommendedAt: cure.recommendedAt,
  }
  const level = cure.verdict === 'too soon' ? 'stop' : 'look'
  const ways = [...moves(s, plan), ...homeSplits(s, plan), ...(cure.verdict === 'too soon' ? quicker(s) : shorterWait(s))]
  return [
    {
      ...finding(cure.verdict === 'too soon' ? 'too-soon' : 'risky', level, 'sessions', values, ways),
      mark: plan.figures['earliest']!.because.mark,
    },
  ]
}

function moves(s: Situation, plan: Figured): Remedy[] {
  const id = plan.split.cure!.rubIn
  const session = s.workshop.sessions.find((x) => x.id === id)!
  const { minutes } = s.sessions.find((x) => x.id === id)!
  const { earliest, better } = plan.proposals
  const move = (at: string, verdict: 'ready' | 'risky') =>
    remedy(`move-session-${verdict}`, moveSession(session, at, minutes), { at, session: s.sessions.find((x) => x.id === id)!.number })
  const soon = plan.split.cure!.verdict === 'too soon' && earliest && earliest !== better ? [move(earliest, 'risky')] : []
  return [...(better ? [move(better, 'ready')] : []), ...soon]
}

/** "12 h is enough": the school that brings the recommended time down to the least. */
function shorterWait(s: Situation): Remedy[] {
  const school = s.recipe.schools.find((x) => x.options.some((o) => o.effects.some((e) => e.kind === 'recommended-cure')))
  const option = school?.options.find((o) => o.effects.some((e) => e.kind === 'recommended-cure'))
  const now = s.resolved.chosen.find((c) => c.school.id === school?.id)?.option.id
  if (!school || !option || now === option.id) return []
  return [remedy('believe-shorter', [choiceChange(s, school.id, option.id)], { option: option.name })]
}

/** The best feasible split that ends at home, where the present one does not hold. */
export function homeSplits(s: Situation, plan: Figured): Remedy[] {
  const { setting } = s
  const laying = s.resolved.stages.find((x) => x.makes === 'laid')?.id
  const same = laying ? plan.split.split[laying] : undefined
  const home = [...splitsOf(setting, (x) => Object.values(x).includes('home') && (!laying || x[laying] === same))].find(
    (j) => j.problems.length === 0,
  )
  return home ? [remedy('finish-at-home', splitChange(s, setting, home), { state: home.goesHome })] : []
}

export function splitChange(s: Situation, setting: Parameters<typeof intendedSplit>[0], to: Judged): Change[] {
  const intended = intendedSplit(setting).split
  const wish = Object.fromEntries(Object.entries(to.split).filter(([stage, place]) => intended[stage] !== place))
  return [change(s.workshop, inChoices(s).split, wish)]
}

export const brokenWaits: Find = (s, plan) =>
  plan.split.problems
    .filter((p) => p.kind === 'broken')
    .map((p) =>
      finding(
        'wait-broken',
        'stop',
        'sessions',
        { after: stageName(s, p.after), before: stageName(s, p.before) },
        plan.splitChosen ? [remedy('drop-split', [change(s.workshop, inChoices(s).split, {})])] : [],
      ),
    )
