import { pictureLines } from './picturesEn'
import type { FindingValues, RemedyValues, SuitValues } from '#core/codes'
import type { Lines, LinesOf, Said } from '#core/language'

/** What is said of pictures, prints, what is allowed, and stages that go in turns. */
const said = (title: string, body = ''): Said => ({ title, body })
const lower = (x: string | number | undefined) => String(x).toLowerCase()
const whites: Record<string, string> = { clear: 'clear', surface: 'the surface’s colour', white: 'white' }

type CraftFinding =
  | keyof SuitValues
  | keyof typeof pictureLines
  | `${'heat' | 'blade'}-not-allowed`
  | 'spray-indoors'
  | 'pages-not-here'
  | 'pages-backwards'
  | 'station-missing'
  | 'station-queue'
  | 'pins-broken'
  | 'seam-on-face'
  | 'race'
  | 'done-for-them'
  | 'experiment-only'
  | 'newer-recipe'

export const craftFindings: LinesOf<Pick<FindingValues, CraftFinding>, Said> = {
  ...pictureLines,
  'printer-missing': (v) => said(`Needs an ${v.ink} print, and this house prints none`, 'The ink decides whether it lets go or stays.'),
  'wrong-ink': (v) =>
    v.ink === 'toner'
      ? said('Liquid ink runs', 'The paper comes off with water, and inkjet ink goes with it. Toner is a powder and stays.')
      : said('Toner does not let go', 'This method lifts liquid ink off; toner is fused to its sheet.'),
  'pages-not-here': (v) =>
    said(
      `A magazine page is no print for ${lower(v.method)}`,
      'Its paper is filled and its ink sits high: it tears or smears. Clear film takes inside pages.',
    ),
  'pages-backwards': () => said('Lettering on a page comes out backwards', 'It is laid face down, and a page cannot be mirrored.'),
  'smear-failed': () => said('The smear test failed', 'The ink moves under a wet finger: it would run. A photocopy of the print is toner.'),
  'smear-test': () =>
    said('Rub a wet finger over a corner first', 'Inkjet goes only when the smear test passes on a print dried for a day.'),
  coated: () => said('Coated paper does not rub off', 'Photo and glossy paper and magazine covers keep the water out.'),
  'paper-heavy': (v) => said(`${v.gsm} g/m² is slow to rub off`, `Copy paper up to ${v.most} g/m² goes more easily; plan another round.`),
  'paper-thick': (v) => said(`${v.gsm} g/m² is card`, 'It takes the ink with it before it lets go.'),
  'whites-vanish': (v) =>
    said('The pale parts will vanish', `Whites become ${whites[String(v.whites)]}: skies, wedding dresses and white lettering are lost.`),
  'whites-wish': (v) => said(`Whites become ${whites[String(v.whites)]}`, `You asked for ${whites[String(v.wished)]}.`),
  soft: (v) => said(`Soft at this size: ${v.dpi} pixels an inch`, 'From 200 on it looks sharp, 150 is fair.'),
  blurred: (v) => said(`Poor at this size: ${v.dpi} pixels an inch`, 'Below 100 the pixels show.'),
  fair: (v) => said(`Fair at this size: ${v.dpi} pixels an inch`, 'From 200 on it looks sharp.'),
  'fine-lost': (v, say) =>
    said('Fine detail gets lost at this size', `${say.length(v.side)} is sticker size: hairlines go with the paper.`),
  faces: () => said('Faces are where damage hurts', 'Go lightest there; a spare print of each patches a hole.'),
  precious: () => said('Copy it first', 'Originals and precious papers do not come back from this.'),
  'spray-indoors': (v) =>
    said(`${v.stage} in class ${v.session} is sprayed`, 'Sprays are for outdoors or an extracted place, by an adult.'),
  'heat-not-allowed': (v) => said(`${v.stage} needs a heat tool`, 'The house does not allow one in this class.'),
  'blade-not-allowed': (v) => said(`${v.stage} needs a blade`, 'The house does not allow one in this class.'),
  'station-missing': (v) => said(`No ${v.one} for ${lower(v.stage)}`, `Class ${v.session} needs one at the least.`),
  'station-queue': (v, say) =>
    said(
      `${v.have} ${Number(v.have) === 1 ? v.one : v.station}: ${v.wait} ${Number(v.wait) === 1 ? 'waits' : 'wait'}, up to ${say.minutes(v.minutes)}`,
      `In class ${v.session}, which fits all the same.`,
    ),
  'pins-broken': (v) => said(`What you pinned in class ${v.session} cannot hold`, 'It is planned without the pins.'),
  'seam-on-face': (v, say) => said('A seam crosses a face or lettering', `${say.length(v.mm)} of it, and it cannot be shifted off.`),
  race: (v, say) =>
    said(
      `${v.people} children race the coat in ${v.turns} turns`,
      `${v.stage} comes ${Number(v.least) > 0 ? `${v.least} to ${v.most}` : `within ${v.most}`} min. ${v.adults} ${Number(v.adults) === 1 ? 'adult leads' : 'adults lead'} as many as the age allows; the last begin ${say.minutes(v.extra)} after the first.`,
    ),
  'done-for-them': (v, say) =>
    said(
      `${v.stage}: adults do it for ${v.people} children`,
      `${v.adults} at it, ${say.minutes(v.each)} a piece: the last begins ${say.minutes(v.extra)} after the first.`,
    ),
  'experiment-only': (v) => said('An experiment, not for a group', `${v.recipe} ${v.below}. Try it on a sample.`),
  'newer-recipe': (v) => said(`${v.recipe} has a newer version`, `Planned with version ${v.version}; version ${v.newest} is there.`),
}

type CraftRemedy =
  | 'take-material'
  | 'take-piece'
  | 'take-option'
  | 'prints-from-elsewhere'
  | 'add-printer'
  | 'reprint'
  | 'photocopy'
  | 'smear-passed'
  | 'smear-did-fail'
  | 'plain-paper'
  | 'any-whites'
  | 'copied'
  | 'print-it'
  | 'picture-middle'
  | 'picture-whole'
  | 'hold-in-class'
  | 'do-at-home'
  | 'arrange'
  | 'more-hands'
  | 'bring-station'
  | 'larger-paper'
  | 'tile-it'
  | 'house-stands-in'
  | 'one-copy'
  | 'copies-for-sure'
  | 'newest-recipe'

export const craftRemedies: LinesOf<Pick<RemedyValues, CraftRemedy>, string> = {
  'take-material': (v) => `Make it of ${v.material}`,
  'take-piece': (v) => `Make ${v.piece} instead`,
  'take-option': (v) => `${v.question}: ${v.option}`,
  'prints-from-elsewhere': (v) => `${v.ink} prints from elsewhere`,
  'add-printer': (v) => `This house has an ${v.ink} printer`,
  reprint: (v) => `Print with ${v.ink}`,
  photocopy: () => 'Photocopy the prints',
  'smear-passed': () => 'It passed',
  'smear-did-fail': () => 'It smeared',
  'plain-paper': () => 'Plain copy paper, 80 g/m²',
  'any-whites': () => 'Any whites will do',
  copied: () => 'A copy is used',
  'print-it': () => 'Print own pictures instead',
  'picture-middle': () => 'Put it in the middle',
  'picture-whole': () => 'As large as the piece',
  'hold-in-class': () => 'Hold it in class',
  'do-at-home': (v) => `${v.stage} at home`,
  arrange: (v) => (v.hazard === 'spray' ? 'Arranged outdoors, by an adult' : `Allow ${lower(v.hazard)} here`),
  'more-hands': (v) => `${v.more} more ${Number(v.more) === 1 ? 'helper' : 'helpers'}`,
  'bring-station': (v) => `Bring ${v.more} more ${v.what}`,
  'larger-paper': (v) => `Print on ${v.paper}`,
  'tile-it': () => 'Print it in tiles',
  'house-stands-in': () => 'House pictures stand in',
  'one-copy': () => 'One copy of each',
  'copies-for-sure': (v) => `${v.copies} of each: ${v.sure} % sure`,
  'newest-recipe': (v) => `Take version ${v.newest}`,
}

/** "Possible if …": a way out as a condition. What is not listed is said as something that you do. */
export const conditionLines: Lines['conditions'] = {
  'take-option': (v) => `the ${lower(v.question)} is ${v.option}`,
  'longer-session': (v, say) => `the class is ${say.minutes(v.minutes)} longer`,
  'fewer-rounds': (v) => `${v.rounds} rounds are enough`,
  'smear-passed': () => 'the smear test passes',
  'more-hands': (v) => `${v.more} more ${Number(v.more) === 1 ? 'helper comes' : 'helpers come'}`,
  'believe-shorter': (v) => `${v.option} is enough`,
  'bring-station': (v) => `${v.more} more ${v.what} ${Number(v.more) === 1 ? 'is' : 'are'} brought`,
  'do-ahead': (v) => `${lower(v.stage)} is done ahead, by staff`,
  'do-at-home': (v) => `${lower(v.stage)} is done at home`,
  'prepare-ahead': (v) => (v.stages ? `${v.stages} are done ahead` : 'the work is spread over the classes'),
  'smaller-piece': (v, say) => `the picture is ${say.length(v.widthMm)} × ${say.length(v.heightMm)}`,
  arrange: (v) =>
    v.hazard === 'spray' ? 'spraying is arranged outdoors, by an adult' : `a ${v.hazard === 'heat' ? 'heat tool' : 'blade'} is allowed`,
}
