import type { Figures } from '#core/figures'
import { because, from, keysOf, weakest, type Because, type Input } from '#core/reasons'
import { childrenToAdult, hazardOf, mayTouch, type AgeBand, type ResolvedRecipe, type Stage } from '#core/recipe'

/** Stages that not everybody can do at once, and how many turns they take. */
export interface Turns {
  why: 'race' | 'adults-only'
  /** The stages of one turn, in order. */
  stages: string[]
  turns: number
  /** Minutes of one turn, its shortest waits included. */
  minutesEach: number
  /** What it adds to the class: all turns but the first. */
  extraMin: number
  /** The window in which the last step has to begin after the one before it, where it is a race. */
  window?: { least: number; most: number; mark: 'P' | 'E' | 'Y'; why: string }
  people: number
  adults: number
  because: Because
}

export interface Crowd {
  ages: { age: AgeBand; people: number }[]
  /** Adults in the room who teach or help. */
  adults: number
  figures: Figures
}

/** Races against a drying coat are led table by table: an adult leads as many children at once as the age band allows (E);
 *  from 13 on people race alone. What children may not touch is done for them, piece by piece, by all adults but one, who
 *  watches. Own rule. */
export function turnsOf(resolved: ResolvedRecipe, crowd: Crowd): Turns[] {
  return [...races(resolved).map((block) => raceTurns(block, crowd)), ...resolved.stages.flatMap((s) => forThem(s, crowd))].filter(
    (t) => t.turns > 0,
  )
}

/** So many of an age, and how many of them go to one adult. */
export const atRatio = (age: AgeBand, people: number, figures: Figures): Input => {
  const ratio = childrenToAdult(age, figures)
  return { name: `age-${age}`, value: `${people} at 1 to ${ratio.value}`, mark: ratio.mark, ...(ratio.key && { key: ratio.key }) }
}

/** Runs of stages joined by waits that are races. */
function races(resolved: ResolvedRecipe): Stage[][] {
  const blocks: Stage[][] = []
  resolved.stages.forEach((s, i) => {
    const joined = i > 0 && resolved.stages[i - 1]!.then?.race
    if (joined) blocks.at(-1)!.push(s)
    else if (s.then?.race && resolved.stages[i + 1]) blocks.push([s])
  })
  return blocks
}

const leastOf = (s: Stage, last: boolean) => (last ? 0 : (s.then?.least.value ?? 0))

function raceTurns(block: Stage[], { ages, adults, figures }: Crowd): Turns {
  const led = ages.filter((a) => a.age === 'under-8' || a.age === '8-12')
  const people = ages.reduce((sum, a) => sum + a.people, 0)
  const groups = led.reduce((sum, a) => sum + a.people / childrenToAdult(a.age, figures).value, 0)
  const turns = people === 0 ? 0 : Math.max(1, Math.ceil(groups / Math.max(1, adults) - 1e-9))
  const minutesEach = block.reduce((sum, s, i) => sum + s.minutes.value + leastOf(s, i === block.length - 1), 0)
  const tightest = block.slice(0, -1).reduce((a, b) => (b.then!.most!.value < a.then!.most!.value || b.then!.least.value > 0 ? b : a))
  const { least, most, why } = tightest.then!
  return {
    why: 'race',
    stages: block.map((s) => s.id),
    turns,
    minutesEach,
    extraMin: Math.max(0, turns - 1) * minutesEach,
    window: { least: least.value, most: most!.value, mark: most!.mark, why },
    people: led.reduce((sum, a) => sum + a.people, 0),
    adults,
    because: because('race-turns', [
      ...led.map((a) => atRatio(a.age, a.people, figures)),
      { name: 'adults', value: adults },
      {
        name: 'turn-minutes',
        value: minutesEach,
        unit: 'min' as const,
        mark: weakest(block.map((s) => s.minutes.mark)),
        rests: keysOf(block.flatMap((s) => [s.minutes, ...(s.then ? [s.then.least] : [])])),
      },
    ]),
  }
}

/** A stage with something in it that some of the group may not touch at all. */
function forThem(stage: Stage, { ages, adults }: Crowd): Turns[] {
  const hazard = stage.cautions.map(hazardOf).find((h) => h !== undefined)
  if (!hazard || !stage.attended) return []
  // A spray is done for everybody, outdoors, all in a row.
  const barred = ages.filter((a) => hazard === 'spray' || mayTouch[hazard][a.age] === 'no').reduce((sum, a) => sum + a.people, 0)
  if (barred === 0) return []
  const hands = hazard === 'spray' ? 1 : Math.max(1, adults - 1)
  const turns = Math.ceil(barred / hands)
  return [
    {
      why: 'adults-only',
      stages: [stage.id],
      turns,
      minutesEach: stage.minutes.value,
      extraMin: (turns - 1) * stage.minutes.value,
      people: barred,
      adults: hands,
      because: because('adults-only-turns', [
        { name: 'barred', value: barred, mark: 'P' },
        { name: 'hands', value: hands },
        from('turn-minutes', stage.minutes),
      ]),
    },
  ]
}

/** Minutes that turns add, by the stage they begin with. */
export const extraMinutes = (turns: readonly Turns[]): Record<string, number> =>
  Object.fromEntries(turns.filter((t) => t.extraMin > 0).map((t) => [t.stages[0]!, t.extraMin]))
