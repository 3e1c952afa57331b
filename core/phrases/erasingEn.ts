import { t } from '#core/language'
import { keptDays } from '#core/pictures'

/** Why a picture is erased on its day. */
export const erasedBecause = (from: 'set' | 'class' | 'added'): string =>
  ({
    set: t('as somebody set it'),
    class: t('{0} days after the last class, whenever that is', keptDays.afterClass),
    added: t('no class yet: {0} days after it came in', keptDays.withoutClass),
  })[from]

/** What is asked before everybody's name is erased for good. */
export const forgetNamesText = (named: number) => ({
  title: t('Take out all names?'),
  goes: t(
    '{0}, in the workshop, its history, its pictures’ file names and the printed jobs with names on their tabs.',
    named === 1 ? t('one name') : t('{0} names', named),
  ),
  stays: t('seats, ages, pieces, pictures, and what is on paper already.'),
  noWayBack: t('There is no way back.'),
  undo: t('Undo does not bring them back.'),
  keep: t('Keep them'),
  erase: t('Erase the names'),
})
