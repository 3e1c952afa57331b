import { ageBands, mayTouch, type AgeBand, type Hazard } from '#core/recipe'
import type { Turns } from '#core/sessions'
import { change, inWorkshop, type Workshop } from '#core/workshop'
import type { Finding, Remedy } from '../shapes'
import type { Situation } from '../situation'
import { finding, inChoices, remedy, type Find, type FindAll } from './ways'

export const group: FindAll = (_parts, plan) => (plan.people === 0 ? [finding('no-people', 'stop', 'group')] : [])

const doAhead = (s: Situation, stage: string): Remedy =>
  remedy('do-ahead', [change(s.workshop, inChoices(s).split(stage), 'ahead')], {
    stage: stageName(s, stage),
  })

export const stageName = (s: Situation, id: string) => s.resolved.stages.find((x) => x.id === id)?.name ?? id

/** The ages in a group that must not touch a hazard, youngest first. */
const barred = (hazard: Hazard, byAge: readonly { age: AgeBand }[]): AgeBand[] =>
  ageBands.filter((a) => mayTouch[hazard][a] === 'no' && byAge.some((b) => b.age === a))

export const adults: FindAll = (parts, plan) => {
  const { workshop } = parts[0]!.s
  const found: Finding[] = []
  const short = plan.adults.needed - plan.adults.coming
  if (short > 0)
    found.push({
      ...finding('adults-short', 'look', 'room', { short, needed: plan.adults.needed }, [
        remedy('ask-helper', [change(workshop, inWorkshop.group.helpers, workshop.group.helpers + short)], {
          short,
        }),
      ]),
      mark: 'E',
    })
  const small = plan.adults.atHazards.filter((h) => plan.adults.byAge.some((b) => mayTouch[h.hazard][b.age] === 'no'))
  for (const h of small) {
    const { s } = parts.find((p) => p.d.design === h.design)!
    const ahead = s.resolved.stages.find((x) => x.id === h.stage)?.mayBe.includes('ahead')
    found.push({
      ...finding(
        'too-young',
        'look',
        'group',
        { hazard: h.hazard, stage: stageName(s, h.stage), ages: barred(h.hazard, plan.adults.byAge).join() },
        ahead ? [doAhead(s, h.stage)] : [],
      ),
      mark: 'E',
    })
  }
  return found
}

/** What goes in turns: a drying coat does not wait for 24 children, and what they may not touch is done for them. What it adds is how long
 *  after the first the last begins, by the room's plan. */
export const inTurns: Find = (s, plan) =>
  plan.turns
    .filter((t) => t.turns > 1)
    .map((t) => {
      const ahead = t.why === 'adults-only' && s.resolved.stages.find((x) => x.id === t.stages[0])?.mayBe.includes('ahead')
      return {
        ...finding(
          t.why === 'race' ? 'race' : 'done-for-them',
          'look',
          'room',
          {
            stage: stageName(s, t.stages.at(-1)!),
            turns: t.turns,
            people: t.people,
            adults: t.adults,
            extra: t.apartMin,
            each: t.minutesEach,
            least: t.window?.least ?? 0,
            most: t.window?.most ?? 0,
          },
          ahead ? [doAhead(s, t.stages[0]!)] : [moreHelpers(s.workshop, helpersFor(t))],
        ),
        mark: 'E' as const,
      }
    })

/** As many helpers more as make one turn of a race, six at the most; two more hands for what only adults may touch. */
const helpersFor = (t: Turns): number => Math.min(t.why === 'race' ? 6 : 2, t.adults * (t.turns - 1))

export const moreHelpers = (w: Workshop, more: number, values: { until?: string } = {}): Remedy =>
  remedy('more-hands', [change(w, inWorkshop.group.helpers, w.group.helpers + more)], { more, ...values })
