import { asPractised } from '#core/figures'
import type { AgeBand, ResolvedRecipe } from '#core/recipe'
import type { SessionRun } from '#core/workshop'
import type { PlacedSession } from './place'
import type { Setting } from './split'

/** A setting for tests: so many people of an age at tables of four, each making one. */
export function trialSetting(
  resolved: ResolvedRecipe,
  sessions: readonly PlacedSession[],
  crowd: {
    people?: number | { age: AgeBand; people: number }[]
    age?: AgeBand
    adults?: number
    places?: Record<string, number>
    each?: number
    runs?: Record<string, SessionRun>
    misses?: Record<string, string[]>
  } = {},
): Setting {
  const { people = 18, age = 'adult', adults = 2, places = {}, each = 1, runs = {}, misses = {} } = crowd
  const ages = (typeof people === 'number' ? [{ age, people }] : people).flatMap((x) => Array.from({ length: x.people }, () => x.age))
  return {
    design: 'd',
    resolved,
    sessions,
    climate: { celsius: 21, humidityPct: 50 },
    figures: asPractised,
    crowd: {
      people: ages.map((a, i) => ({
        id: `p${i}`,
        table: 'ABCDEFGHIJKLMNOPQRSTUVWXYZ'[Math.floor(i / 4)]!,
        age: a,
        misses: misses[`p${i}`] ?? [],
      })),
      adults,
      places,
      runs,
    },
    each: () => each,
  }
}
