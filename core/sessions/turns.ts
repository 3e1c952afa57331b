import { because, keysOf, weakest, type Because } from '#core/reasons'
import { atRatio, doneFor, handsOf, isLed, isSprayed, ledAtOnce, racesOf } from './hands'
import type { Judged, Setting } from './split'

/** Stages of a class that not everybody can do at once, because adults lead them or do them: how many at a time, and what the room's plan
 *  comes to by it. */
export interface Turns {
  why: 'race' | 'adults-only'
  sessionId: string
  /** The stages of one turn, in order. */
  stages: string[]
  /** Whom it concerns, how many of them at once, and by how many adults. */
  people: number
  atOnce: number
  adults: number
  turns: number
  /** Minutes of one turn, its shortest waits included. */
  minutesEach: number
  /** From when the first begins until the last does, by the plan. */
  apartMin: number
  /** The window in which the last step has to begin after the one before it, where it is a race. */
  window?: { least: number; most: number; mark: 'P' | 'E' | 'Y'; why: string }
  because: Because
}

/** What goes in turns in a judged split: races led by adults, and what children may not touch and all adults but one do for them. */
export function turnsOf(judged: Judged, { design, resolved, crowd, each, figures }: Setting): Turns[] {
  const makers = crowd.people.filter((p) => each(p.id) > 0)
  return judged.loads.flatMap((load) => {
    const here = makers.filter((p) => !p.misses.includes(load.sessionId))
    const apart = (stage: string) => {
      const starts = load.room.plan.starts.filter((s) => s.stage === `${design}.${stage}`).map((s) => s.atMin)
      return starts.length === 0 ? 0 : Math.max(...starts) - Math.min(...starts)
    }
    const isHere = (stage: string) => judged.split[stage] === load.sessionId
    const races = racesOf(resolved)
      .filter((block) => isHere(block[0]!.id))
      .map((block): Turns => {
        const led = here.filter((p) => isLed(p.age))
        const atOnce = ledAtOnce(
          here.map((p) => p.age),
          crowd.adults,
          figures,
        )
        const minutesEach = block.reduce(
          (sum, s, i) => sum + s.minutes.value + (i === block.length - 1 ? 0 : (s.then?.least.value ?? 0)),
          0,
        )
        const tightest = block.slice(0, -1).reduce((a, b) => (b.then!.most!.value < a.then!.most!.value || b.then!.least.value > 0 ? b : a))
        const { least, most, why } = tightest.then!
        const ages = [...new Set(led.map((p) => p.age))]
        return {
          why: 'race',
          sessionId: load.sessionId,
          stages: block.map((s) => s.id),
          people: led.length,
          atOnce,
          adults: crowd.adults,
          turns: here.length === 0 ? 0 : Math.max(1, Math.ceil(led.length / atOnce)),
          minutesEach,
          apartMin: apart(block[0]!.id),
          window: { least: least.value, most: most!.value, mark: most!.mark, why },
          because: because('race-turns', [
            ...ages.map((age) => atRatio(age, led.filter((p) => p.age === age).length, figures)),
            { name: 'adults', value: crowd.adults },
            {
              name: 'turn-minutes',
              value: minutesEach,
              unit: 'min' as const,
              mark: weakest(block.map((s) => s.minutes.mark)),
              rests: keysOf(block.flatMap((s) => [s.minutes, ...(s.then ? [s.then.least] : [])])),
            },
          ]),
        }
      })
    const forThem = resolved.stages
      .filter((s) => isHere(s.id))
      .flatMap((stage): Turns[] => {
        const people = here.filter((p) => doneFor(stage, p.age)).length
        if (people === 0) return []
        const hands = isSprayed(stage) ? 1 : handsOf(crowd.adults)
        return [
          {
            why: 'adults-only',
            sessionId: load.sessionId,
            stages: [stage.id],
            people,
            atOnce: hands,
            adults: hands,
            turns: Math.ceil(people / hands),
            minutesEach: stage.minutes.value,
            apartMin: apart(stage.id),
            because: because('adults-only-turns', [
              { name: 'barred', value: people, mark: 'P' },
              { name: 'hands', value: hands },
              { name: 'turn-minutes', value: stage.minutes.value, unit: 'min', mark: stage.minutes.mark, rests: keysOf([stage.minutes]) },
            ]),
          },
        ]
      })
    return [...races, ...forThem].filter((t) => t.turns > 0)
  })
}
