export { englishLines, phrases, sayPlan, type Phrases } from './phrases'
export type { Said } from '#core/language'
export { stateWord, homeGroupName, ageName } from './words'
export { icsSummary } from './calendarWords'
export { inBoth, sheetText, seatOf, type SheetText, type Wording } from './sheetEn'
export { sheetMarkdown } from './markdown'
export { beforeMarkdown, beforeText, type BeforeText } from './beforeClass'
export { sayMinutes } from './phrases'
export { figureName } from './figuresEn'
export { recipeCard } from './recipeCard'
export { pictureWord } from './picturesEn'
export { erasedBecause, forgetNamesText } from './erasingEn'
export { sayField, sayValue } from './fieldsEn'
export {
  aheadMarkdown,
  aheadText,
  shelfLabels,
  shelfLine,
  type AheadErrand,
  type AheadShelf,
  type AheadText,
  type ShelfLabel,
} from './ahead'
export { runLineName, runMarkdown, runHelpers, runText, tableLetters, type RunFor, type RunText } from './runSheet'
