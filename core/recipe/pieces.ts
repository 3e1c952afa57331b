import type { Surface } from '#core/cure'
import type { Outline } from './outline'
import type { CautionId } from './cautions'
import type { MaterialUse } from './shapes'
import { figure, type Figure, type Mark } from '#core/reasons'

/** What a blank is made of: how its bare surface behaves, what a hand should know of it, and its colour when drawn. */
export interface BlankMaterial {
  id: string
  name: string
  surface: Surface
  note: string
  /** Before anything is laid on it. */
  prepare: string
  /** Sanded or wiped it can be used again after a failed transfer. */
  survives?: true
  /** Light enough that lost whites hardly show. */
  white: boolean
  /** Minded wherever a hand holds it. */
  caution?: CautionId
  colour: string
  mark: Mark
}

export const woods: BlankMaterial[] = [
  { id: 'plywood', name: 'plywood', surface: 'porous', survives: true, note: 'the most forgiving', prepare: 'Sand, dust; paint it white if grain and stains should not show.', white: false, colour: '#E6D2AC', mark: 'P' },
  { id: 'pine', name: 'pine', surface: 'porous', survives: true, note: 'good', prepare: 'Sand, dust; knots show through.', white: false, colour: '#E9D7B4', mark: 'P' },
  { id: 'cedar', name: 'cedar', surface: 'porous', survives: true, note: 'wrinkles the print', prepare: 'Sand and dust; press while wet and look again.', white: false, colour: '#CDA77B', mark: 'P' },
  { id: 'panel', name: 'porous panel', surface: 'porous', note: 'prepared, drinks the medium', prepare: 'Buy it prepared for painting; dust it.', white: true, colour: '#F1ECE0', mark: 'P' },
  { id: 'canvas', name: 'primed canvas', surface: 'porous', note: 'ready primed; coat generously', prepare: 'Ready primed; nothing but dusting.', white: true, colour: '#F3EFE6', mark: 'P' },
  { id: 'muslin', name: 'muslin', surface: 'porous', note: 'bare cloth: work the coat in, sometimes twice', prepare: 'Iron it flat, tape it to a board.', white: true, colour: '#EFE8D8', mark: 'P' },
  { id: 'slate', name: 'smooth stone', surface: 'stone', survives: true, note: 'washed with soap and dried', prepare: 'Wash with soap, dry; only chalk paint under it.', white: false, colour: '#8A8A86', mark: 'P' },
  { id: 'mat-board', name: 'mat board', surface: 'porous', note: 'flat and thirsty', prepare: 'Cut to size, dust.', white: true, colour: '#F2EEE4', mark: 'P' },
  { id: 'kraft', name: 'kraft page', surface: 'porous', note: 'brown: whites need a ground', prepare: 'A spare sheet under it.', white: false, colour: '#B98E5E', mark: 'P' },
  { id: 'journal', name: 'journal page', surface: 'porous', note: 'a spare sheet under it', prepare: 'Baking paper under the page.', white: true, colour: '#F5F1E6', mark: 'P' },
  { id: 'card', name: 'card', surface: 'porous', note: 'heavier than copy paper', prepare: 'Nothing.', white: true, colour: '#F5F1E6', mark: 'P' },
  { id: 'smooth-paper', name: 'smooth paper', surface: 'porous', note: 'grips: lift promptly', prepare: 'Heavy enough to be wetted through.', white: true, colour: '#F7F4EC', mark: 'P' },
  { id: 'glossy-paper', name: 'glossy paper', surface: 'sealed', note: 'for prints on plain paper', prepare: 'Nothing.', white: true, colour: '#FBF9F4', mark: 'P' },
  { id: 'glass', name: 'glass', surface: 'sealed', survives: true, caution: 'glass', note: 'clean and dry', prepare: 'Wash, dry, no finger marks.', white: false, colour: '#D4E4E6', mark: 'P' },
  { id: 'candle', name: 'pillar candle', surface: 'sealed', note: 'pale wax, smooth, wide', prepare: 'Wipe it dry; no dents.', white: true, colour: '#F4EAD2', mark: 'P' },
  { id: 'paper', name: 'backing sheet', surface: 'sealed', survives: true, note: 'used sticker backing or baking paper', prepare: 'Nothing.', white: true, colour: '#EFE9DB', mark: 'P' },
]

export const blankMaterial = (id: string): BlankMaterial | undefined => woods.find((w) => w.id === id)
export const blankSurface = (material: string): Surface => blankMaterial(material)?.surface ?? 'porous'

/** How the picture's size follows from what is measured: the face itself; the flat part of a stone; once round a candle of
 *  that diameter; a panel of an accordion book inside its cover's border. */
export type Measure =
  | { by: 'face' }
  | { by: 'flat'; share: Figure }
  | { by: 'wrap'; overlap: Figure }
  | { by: 'panels'; border: Figure; usual: Figure }

/** A kind of thing people make. Sizes in mm, of what is measured (`measure`). */
export interface PieceKind {
  id: string
  name: string
  plural: string
  materials: string[]
  widthMm: number
  heightMm: number
  thicknessMm: number
  measure: Measure
  /** What its face can look like from above; the first is usual. */
  outlines: readonly Outline[]
  /** Boards, cards and pages can stand in for each other; an object is what it is. */
  form: 'flat' | 'object'
  /** What the first size is called. */
  widthName: string
  heightName: string
  /** Hangs on a cord. */
  hangs: boolean
  /** The print is looked at through the piece. */
  seenThrough: boolean
  recipe: string
  /** How it lies while it dries. */
  dries: string
  /** Kept free around it on the shelf, at each side (E). */
  spacing: Figure
  goesHome: string
  /** Pictures on each: the covers of a book have two. Left out, one. */
  pictures?: number
  /** What the kind itself needs beside its method. */
  extras: MaterialUse[]
}

const face: Measure = { by: 'face' }
const apart = figure(15, 'mm', 'E')
const straight: readonly Outline[] = ['straight']
const cutOut: readonly Outline[] = ['straight', 'round']
const base = { measure: face, outlines: straight, form: 'flat' as const, widthName: 'Width', heightName: 'Height', hangs: false, seenThrough: false, dries: 'flat, face up', spacing: apart, goesHome: 'a tray', extras: [] }

export const pieceKinds: PieceKind[] = [
  { ...base, outlines: cutOut, id: 'plaque', name: 'plaque', plural: 'plaques', materials: ['plywood', 'pine', 'cedar', 'panel'], widthMm: 177.8, heightMm: 127, thicknessMm: 6, hangs: true, recipe: 'medium-transfer' },
  { ...base, id: 'block', name: 'block', plural: 'blocks', materials: ['pine', 'plywood', 'cedar'], widthMm: 127, heightMm: 127, thicknessMm: 38, recipe: 'medium-transfer' },
  { ...base, outlines: cutOut, id: 'coaster', name: 'coaster', plural: 'coasters', materials: ['plywood', 'pine', 'slate', 'panel'], widthMm: 101.6, heightMm: 101.6, thicknessMm: 6, recipe: 'medium-transfer' },
  { ...base, outlines: cutOut, id: 'ornament', name: 'ornament', plural: 'ornaments', materials: ['plywood', 'pine'], widthMm: 76.2, heightMm: 76.2, thicknessMm: 4, hangs: true, recipe: 'medium-transfer' },
  { ...base, outlines: ['stone', 'round'], form: 'object', id: 'stone', name: 'stone', plural: 'stones', materials: ['slate'], widthMm: 101.6, heightMm: 76.2, thicknessMm: 20, measure: { by: 'flat', share: figure(0.8, 'share', 'E') }, recipe: 'medium-transfer', goesHome: 'a box' },
  { ...base, outlines: cutOut, id: 'canvas', name: 'canvas', plural: 'canvases', materials: ['canvas', 'muslin'], widthMm: 203.2, heightMm: 152.4, thicknessMm: 18, hangs: true, recipe: 'medium-transfer' },
  { ...base, outlines: cutOut, id: 'panel', name: 'art panel', plural: 'art panels', materials: ['panel', 'mat-board'], widthMm: 203.2, heightMm: 152.4, thicknessMm: 6, hangs: true, recipe: 'quick-peel' },
  { ...base, form: 'object', id: 'jar', name: 'jar', plural: 'jars', materials: ['glass'], widthMm: 88.9, heightMm: 63.5, thicknessMm: 80, recipe: 'tape-film', dries: 'film on the rack, sticky side up', goesHome: 'a box' },
  { ...base, form: 'object', id: 'glass-block', name: 'glass block', plural: 'glass blocks', materials: ['glass'], widthMm: 101.6, heightMm: 101.6, thicknessMm: 38, seenThrough: true, recipe: 'tape-film', dries: 'film on the rack, sticky side up', goesHome: 'a box' },
  { ...base, form: 'object', id: 'candle', name: 'candle', plural: 'candles', materials: ['candle'], widthMm: 76.2, heightMm: 101.6, thicknessMm: 76, measure: { by: 'wrap', overlap: figure(5, 'mm', 'E') }, widthName: 'Diameter', heightName: 'Picture height', recipe: 'wax-tissue', dries: 'standing, until the wax is hard', goesHome: 'a box' },
  { ...base, id: 'card', name: 'card', plural: 'cards', materials: ['card', 'smooth-paper', 'mat-board', 'glossy-paper'], widthMm: 127, heightMm: 88.9, thicknessMm: 1, recipe: 'tape-film', goesHome: 'an envelope' },
  { ...base, id: 'page', name: 'journal page', plural: 'journal pages', materials: ['journal', 'kraft', 'smooth-paper'], widthMm: 127, heightMm: 177.8, thicknessMm: 1, recipe: 'gesso-ground', dries: 'open, a spare sheet under the page', goesHome: 'a tray' },
  { ...base, outlines: cutOut, id: 'stickers', name: 'sticker', plural: 'stickers', materials: ['paper'], widthMm: 60, heightMm: 44, thicknessMm: 1, recipe: 'tape-film', dries: 'sticky side up', goesHome: 'an envelope' },
  { ...base, form: 'object', id: 'accordion', name: 'accordion book', plural: 'accordion books', materials: ['canvas', 'muslin'], widthMm: 101.6, heightMm: 101.6, thicknessMm: 12, measure: { by: 'panels', border: figure(3.175, 'mm', 'P'), usual: figure(6, 'count', 'P') }, widthName: 'Cover width', heightName: 'Cover height', recipe: 'gesso-ground', pictures: 2, extras: [
    { material: 'book-strip', note: 'plain paper, folded, an even number of panels', basis: 'panels', amount: figure(1, 'count', 'P'), stages: ['coat'] },
    { material: 'cover-board', note: 'front and back', basis: 'blank', amount: figure(2, 'count', 'P'), stages: ['coat'] },
    { material: 'glue-stick', note: 'holds the folded strip', basis: 'person', amount: figure(1, 'count', 'E'), stages: ['coat'], share: { by: 'pair', options: ['each', 'pair', 'table'] } },
    { material: 'closing-band', note: 'round the closed book', basis: 'length', per: 'piece', amount: figure(350, 'mm', 'E'), stages: ['coat'] },
  ] },
  { ...base, outlines: ['straight', 'round', 'stone'], form: 'object', id: 'custom', name: 'piece', plural: 'pieces', materials: woods.map((w) => w.id), widthMm: 127, heightMm: 127, thicknessMm: 6, recipe: 'medium-transfer' },
]

/** A piece's outline: as chosen where its kind can have it, else the kind's usual one. */
export const outlineOf = (kind: PieceKind, chosen: Outline | undefined): Outline =>
  chosen && kind.outlines.includes(chosen) ? chosen : kind.outlines[0]!

export const pieceKind = (id: string): PieceKind => pieceKinds.find((k) => k.id === id) ?? pieceKinds[0]!

/** The picture's size in mm, from what was measured. A motif is as wide as its candle's front; a
 *  full wrap (`wrap`) goes round once: pi x diameter + overlap. The
 *  picture of an accordion book is on its covers. Only the flat part of a stone takes a picture. */
export function pictureSize(
  kind: PieceKind,
  measured: { widthMm: number; heightMm: number },
  wrap = false,
): { widthMm: number; heightMm: number } {
  const { measure } = kind
  const at = (widthMm: number, heightMm: number) => ({ widthMm: Number(widthMm.toFixed(3)), heightMm: Number(heightMm.toFixed(3)) })
  if (measure.by === 'flat') return at(measured.widthMm * measure.share.value, measured.heightMm * measure.share.value)
  if (measure.by === 'wrap' && wrap) return at(Math.PI * measured.widthMm + measure.overlap.value, measured.heightMm)
  return at(measured.widthMm, measured.heightMm)
}

/** A panel of an accordion book, mm: its cover less the border at both sides. */
export const panelMm = (kind: PieceKind, coverMm: number): number =>
  kind.measure.by === 'panels' ? Math.max(1, coverMm - 2 * kind.measure.border.value) : coverMm

/** The folded strip of an accordion book in mm: an even number of panels side by side. */
export const accordionStrip = (panelMm: number, panels: number): { panels: number; lengthMm: number } => {
  const even = Math.max(2, 2 * Math.ceil(panels / 2))
  return { panels: even, lengthMm: Number((even * panelMm).toFixed(3)) }
}
