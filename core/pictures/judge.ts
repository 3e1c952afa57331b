import type { Coded, OfPictures, PictureValues } from '#core/codes'
import type { Mark } from '#core/reasons'
import { isRefusal } from '#core/reasons'
import type { Outline, Whites } from '#core/recipe'
import { fairAtPercent, losesWhites, sharpness, stickerSize } from '#core/suitability'
import { layStrips, tapeInput } from '#core/tape'
import type { Size } from '#core/units'
import type { Picture } from '#core/workshop'
import * as v from 'valibot'
import { lostByCrop, offPiece, onPrint, placed } from './place'

/** What a picture is judged against. */
export interface PictureContext {
  /** The picture's size on the piece. */
  print: Size
  /** What the piece's face looks like from above. */
  outline: Outline
  whites: Whites
  surfaceIsWhite: boolean
  /** The finished picture reads right with the print setting as it is. */
  readsRight: boolean
  mirrored: boolean
  /** Where the picture goes under strips of tape. */
  tape?: { widthMm: number; overlapMm: number; marginMm: number } | undefined
}
export type PictureFinding = Coded<PictureValues> & {
  level: 'stop' | 'look' | 'note' | 'fine'
  mark: Mark
}

/** From this share of nearly white on a picture is said to lose it; and so much cut away by the crop is worth a look (E). */
const paleShare = 0.25
const cutShare = 0.3
/** From this share of a face or lettering beyond the piece's edge on it is said (E). */
const overShare = 0.1

/** What to look at in one picture at its printed size, the worst first. Accepted findings come as notes. A picture that is judged
 *  again against the same is not judged anew: strips of tape are laid for each mark, and plans are made at every change. */
export function judgePicture(picture: Picture, c: PictureContext): readonly PictureFinding[] {
  const against = JSON.stringify(c)
  const known = judged.get(picture)
  if (known?.against === against) return known.found
  const found = judge(picture, c)
  judged.set(picture, { against, found })
  return found
}
const judged = new WeakMap<Picture, { against: string; found: readonly PictureFinding[] }>()

function judge(picture: Picture, c: PictureContext): PictureFinding[] {
  const found = [
    ...reading(picture, c),
    ...sharp(picture, c),
    ...whites(picture, c),
    ...seams(picture, c),
    ...cut(picture, c),
    ...care(picture),
  ]
  const accepted = new Set(picture.accepted ?? [])
  const rank = { stop: 0, look: 1, note: 2, fine: 3 }
  return found
    .map((f): PictureFinding => (accepted.has(f.code) && f.level === 'look' ? { ...f, level: 'note' } : f))
    .sort((x, y) => rank[x.level] - rank[y.level])
}

const say = <C extends keyof PictureValues>(
  code: C,
  level: PictureFinding['level'],
  mark: Mark,
  ...[values]: Record<never, never> extends PictureValues[C] ? [] : [values: PictureValues[C]]
): PictureFinding => ({ code, level, values: values ?? {}, mark }) as PictureFinding

function reading(p: Picture, c: PictureContext): PictureFinding[] {
  return [...suggested(p, c), ...marked(p, c)]
}

/** Lettering that nobody has confirmed. Where the print reads right and no seam can cross it, it changes nothing: a note. */
function suggested(p: Picture, c: PictureContext): PictureFinding[] {
  if (!p.suggested?.length) return []
  const sure = p.suggested.some((s) => s.sure === 'likely') ? 'likely' : 'perhaps'
  return [say('lettering-perhaps', c.readsRight && !c.tape ? 'note' : 'look', 'E', { sure })]
}

function marked(p: Picture, c: PictureContext): PictureFinding[] {
  if (!p.marks?.some((m) => m.what === 'lettering')) return []
  if (!c.readsRight) return [say('reads-backwards', 'stop', 'P')]
  return c.mirrored ? [say('mirrored', 'fine', 'P')] : []
}

/** Pixels an inch at the printed size; where a blur was measured, only what is detail counts. */
function sharp(p: Picture, c: PictureContext): PictureFinding[] {
  const { dpi, real } = placed(p, c.print)
  if (real >= sharpness.fair.value) return detail(p, c)
  const values = { dpi, real, percent: fairAtPercent(real), blurred: Number(real < dpi) }
  return [say(real >= sharpness.soft.value ? 'soft' : 'poor', 'look', 'E', values), ...detail(p, c)]
}
function detail(p: Picture, c: PictureContext): PictureFinding[] {
  const side = stickerSize(c.print)
  return side !== undefined && (p.marks?.length ?? 0) > 0 ? [say('detail-lost', 'look', 'E', { side })] : []
}

function whites(p: Picture, c: PictureContext): PictureFinding[] {
  return losesWhites(c.whites, c.surfaceIsWhite) && (p.pale ?? 0) >= paleShare
    ? [say('whites-go', 'look', 'E', { share: Math.round((p.pale ?? 0) * 100), whites: c.whites })]
    : []
}

/** Seams that cannot be shifted off this picture's faces and lettering. */
function seams(p: Picture, c: PictureContext): PictureFinding[] {
  if (!c.tape || !p.marks?.length) return []
  const mm = (n: number) => Number(n.toFixed(3))
  const keepClear = p.marks.flatMap((m) => {
    const b = onPrint(m, p, c.print)
    return b ? [{ xMm: b.xMm, yMm: b.yMm, widthMm: b.widthMm, lengthMm: b.heightMm }] : []
  })
  const read = v.safeParse(tapeInput, {
    picture: { widthMm: mm(c.print.widthMm), lengthMm: mm(c.print.heightMm) },
    tape: { widthMm: c.tape.widthMm, overlapMm: c.tape.overlapMm },
    marginMm: c.tape.marginMm,
    keepClear,
  })
  const laid = read.success ? layStrips(read.output) : undefined
  return laid && !isRefusal(laid) && laid.seamOnKeepClearMm > 0 ? [say('face-seam', 'look', 'P', { mm: laid.seamOnKeepClearMm })] : []
}

function cut(p: Picture, c: PictureContext): PictureFinding[] {
  const lost = lostByCrop(p, c.print)
  const over = Math.max(0, ...(p.marks ?? []).map((m) => offPiece(m, p, c.print, c.outline)))
  return [
    ...(over >= overShare ? [say('mark-cut', 'look', 'E', { share: Math.round(over * 100) })] : []),
    ...(lost > cutShare && !p.edit?.crop ? [say('cut-away', 'look', 'E', { share: Math.round(lost * 100) })] : []),
  ]
}

const care = (p: Picture): PictureFinding[] => [...(p.permitted ? [] : [say('not-permitted', 'look', 'P')])]

/** Findings of all pictures, by code, worst level first: which pictures have them, and each one's own. */
export function pictureFindings(
  pictures: readonly Picture[],
  c: PictureContext,
): { finding: PictureFinding; pictures: Picture[]; each: PictureFinding[] }[] {
  const by = new Map<string, { finding: PictureFinding; pictures: Picture[]; each: PictureFinding[] }>()
  for (const p of pictures)
    for (const f of judgePicture(p, c)) {
      const key = `${f.code} ${f.level}`
      const now = by.get(key) ?? { finding: f, pictures: [], each: [] }
      now.pictures.push(p)
      now.each.push(f)
      by.set(key, now)
    }
  return [...by.values()]
}

/** What was found of so many pictures, as the plan says it, with whose they are; nothing where all is well. */
export function asOfPictures(f: PictureFinding, owners: { names: string; count: number }): Coded<OfPictures> | undefined {
  return f.code === 'mirrored' ? undefined : ({ code: `picture-${f.code}`, values: { ...f.values, ...owners } } as Coded<OfPictures>)
}
