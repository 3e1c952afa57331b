import { t } from '#core/language'
import type { AgeBand, PieceState, Recipe } from '#core/recipe'
import type { HomeGroup } from '#core/takehome'

const states: Record<PieceState, string> = {
  'to-print': 'To print',
  printed: 'Printed',
  laid: 'Laid',
  cured: 'Cured',
  'rub-1': 'Rub 1',
  'rub-2': 'Rub 2',
  sealed: 'Sealed',
}

/** A state in the ramp's words, or the recipe's own. A third round keeps Rub 2's token; its word becomes Rub 3. */
export const stateWord = (state: PieceState, words: Recipe['words'] = {}, rounds = 2): string =>
  t(words[state] ?? (state === 'rub-2' && rounds > 2 ? 'Rub 3' : states[state]))

const groups: Record<HomeGroup, string> = {
  'not-laid': 'No piece yet',
  'all-at-home': 'A kit to go',
  'rub-at-home': 'Rub it at home',
  'rub-on': 'Rub on at home',
  'seal-at-home': 'Seal it at home',
  'finish-at-home': 'Finish it at home',
  finished: 'Finished, care only',
}
export const homeGroupName = (group: HomeGroup): string => t(groups[group])

const ages: Record<AgeBand, string> = { 'under-8': 'under 8', '8-12': '8 to 12', '13-17': '13 to 17', adult: 'adult' }
export const ageName = (age: AgeBand): string => t(ages[age])

/** "a", "a and b", "a, b and c". */
export const sayList = (things: readonly string[]): string =>
  things.length < 2 ? (things[0] ?? '') : t('{0} and {1}', things.slice(0, -1).join(', '), things.at(-1))
