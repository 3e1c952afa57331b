import type { PictureFinding } from '#core/pictures'
import { t } from '#core/language'
import type { FindingValues, PictureValues } from '#core/codes'
import type { LinesOf, Said } from '#core/language'

const said = (title: string, body = ''): Said => ({ title, body })
const many = (v: { count: number }, one: string, more: string) => (v.count === 1 ? one : more)

/** What is said of pictures that are in, and of those that are not; `names` are their owners. */
type OfPictures = Extract<keyof FindingValues, `picture-${string}`> | 'pictures-missing' | 'many-copies'
export const pictureLines: LinesOf<Pick<FindingValues, OfPictures>, Said> = {
  'many-copies': (v) =>
    said(
      `${v.copies} copies of each picture`,
      `${v.prints} prints: one to lay, one to patch or start again. Everybody has a good one, ${v.sure} % sure. With a printer in the room one is enough.`,
    ),
  'pictures-missing': (v) =>
    said(
      Number(v.missing) === Number(v.people) ? 'No picture is in yet' : `${v.missing} of ${v.people} pictures are not in`,
      Number(v.missing) === Number(v.people) ? 'Drop a folder of them; names are matched to people.' : `${v.names}. Their prints wait.`,
    ),
  'picture-reads-backwards': (v) => said(`Lettering would read backwards: ${v.names}`, 'The print setting was changed by hand.'),
  'picture-lettering-perhaps': (v) =>
    said(
      `${v.names}: ${v.sure === 'likely' ? 'this is probably lettering' : 'this may be lettering'}`,
      'Say whether it is; lettering that was not seen can be marked by hand.',
    ),
  'picture-poor': (v) => said(`${v.names} ${many(v, 'prints', 'print')} poor`, `${pixels(v)}; below 100 an inch the pixels show.`),
  'picture-soft': (v) => said(`${v.names} ${many(v, 'prints', 'print')} soft`, `${pixels(v)}; 150 is fair, 200 looks sharp.`),
  'picture-whites-go': (v) =>
    said(
      `${v.names} ${many(v, 'loses its', 'lose their')} whites`,
      `${v.share} % of the picture is nearly white and becomes ${v.whites === 'clear' ? 'clear' : 'the surface’s colour'}.`,
    ),
  'picture-face-seam': (v, say) =>
    said(`A seam crosses a face or lettering: ${v.names}`, `${say.length(v.mm)} of it, and it cannot be shifted off.`),
  'picture-cut-away': (v) =>
    said(`${v.names}: ${v.share} % is cut away`, 'The piece has another shape than the picture. Place the crop by hand.'),
  'picture-mark-cut': (v) =>
    said(`${v.names}: a face or lettering runs over the edge`, `${v.share} % of it is off the piece. Place the crop by hand.`),
  'picture-detail-lost': (v, say) =>
    said(`${v.names}: faces and lettering at sticker size`, `${say.length(v.side)} is small: hairlines go with the paper.`),
  'picture-not-permitted': (v) =>
    said(
      `May ${/house pictures?$/.test(String(v.names)) ? String(v.names).replace(/^A/, 'a') : `${v.names}’s ${many(v, 'picture', 'pictures')}`} be used?`,
      'Ask its owner, or a child’s guardian, and note the answer.',
    ),
}

const pixels = (v: FindingValues['picture-soft']) =>
  v.blurred ? `${v.dpi} pixels an inch, blurred as if it had ${v.real}` : `${v.dpi} pixels an inch at this size`

/** A finding in two words, under a picture. */
export const pictureWord = (f: Pick<PictureFinding, 'code' | 'values'>): string => pictureWords[f.code](f.values as never)
const pictureWords: { [C in keyof PictureValues]: (v: PictureValues[C]) => string } = {
  'reads-backwards': () => t('backwards'),
  'lettering-perhaps': () => t('lettering?'),
  poor: (v) => `${v.real} dpi`,
  soft: (v) => `${v.real} dpi`,
  'whites-go': () => t('whites go'),
  'face-seam': () => t('seam on it'),
  'cut-away': (v) => t('{0} % cut', v.share),
  'mark-cut': () => t('cut off'),
  'detail-lost': () => t('too fine'),
  'not-permitted': () => t('may it?'),
  mirrored: () => t('mirrored'),
}
