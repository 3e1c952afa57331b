import { keptDays } from '#core/pictures'

/** Why a picture is erased on its day. */
export const erasedBecause = (from: 'set' | 'class' | 'added'): string =>
  ({
    set: 'as somebody set it',
    class: `${keptDays.afterClass} days after the last class, whenever that is`,
    added: `no class yet: ${keptDays.withoutClass} days after it came in`,
  })[from]

/** What is asked before everybody's name is erased for good. */
export const forgetNamesText = (named: number) => ({
  title: 'Take out all names?',
  goes: `${named === 1 ? 'one name' : `${named} names`}, in the workshop, its history, its pictures’ file names and the printed jobs with names on their tabs.`,
  stays: 'seats, ages, pieces, pictures, and what is on paper already.',
  noWayBack: 'There is no way back.',
  undo: 'Undo does not bring them back.',
  keep: 'Keep them',
  erase: 'Erase the names',
})
