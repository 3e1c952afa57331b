import type { Surface } from '#core/cure'

/** What a blank is made of, and how its bare surface behaves. */
export interface BlankMaterial {
  id: string
  name: string
  surface: Surface
  note: string
}

export const woods: BlankMaterial[] = [
  { id: 'plywood', name: 'plywood', surface: 'porous', note: 'the most forgiving' },
  { id: 'pine', name: 'pine', surface: 'porous', note: 'good' },
  { id: 'cedar', name: 'cedar', surface: 'porous', note: 'wrinkles the print' },
  { id: 'canvas', name: 'primed canvas', surface: 'porous', note: 'ready primed; coat generously' },
  { id: 'slate', name: 'smooth stone', surface: 'stone', note: 'washed with soap and dried' },
  { id: 'glass', name: 'glass', surface: 'sealed', note: 'clean and dry' },
  { id: 'card', name: 'card', surface: 'porous', note: 'heavier than copy paper' },
  { id: 'paper', name: 'backing sheet', surface: 'sealed', note: 'used sticker backing or baking paper' },
]

export const blankSurface = (material: string): Surface => woods.find((w) => w.id === material)?.surface ?? 'porous'

/** A kind of thing people make. Sizes in mm, of the face that takes the picture. */
export interface PieceKind {
  id: string
  name: string
  plural: string
  materials: string[]
  widthMm: number
  heightMm: number
  thicknessMm: number
  /** Hangs on a cord. */
  hangs: boolean
  /** The print is looked at through the piece. */
  seenThrough: boolean
  recipe: string
  goesHome: string
}

export const pieceKinds: PieceKind[] = [
  { id: 'plaque', name: 'plaque', plural: 'plaques', materials: ['plywood', 'pine', 'cedar'], widthMm: 177.8, heightMm: 127, thicknessMm: 6, hangs: true, seenThrough: false, recipe: 'medium-transfer', goesHome: 'a tray' },
  { id: 'block', name: 'block', plural: 'blocks', materials: ['pine', 'plywood'], widthMm: 127, heightMm: 127, thicknessMm: 38, hangs: false, seenThrough: false, recipe: 'medium-transfer', goesHome: 'a tray' },
  { id: 'coaster', name: 'coaster', plural: 'coasters', materials: ['plywood', 'pine', 'slate'], widthMm: 101.6, heightMm: 101.6, thicknessMm: 6, hangs: false, seenThrough: false, recipe: 'medium-transfer', goesHome: 'a tray' },
  { id: 'ornament', name: 'ornament', plural: 'ornaments', materials: ['plywood', 'pine'], widthMm: 76.2, heightMm: 76.2, thicknessMm: 4, hangs: true, seenThrough: false, recipe: 'medium-transfer', goesHome: 'a tray' },
  { id: 'stone', name: 'stone', plural: 'stones', materials: ['slate'], widthMm: 76.2, heightMm: 63.5, thicknessMm: 20, hangs: false, seenThrough: false, recipe: 'medium-transfer', goesHome: 'a box' },
  { id: 'canvas', name: 'canvas', plural: 'canvases', materials: ['canvas'], widthMm: 203.2, heightMm: 152.4, thicknessMm: 18, hangs: true, seenThrough: false, recipe: 'medium-transfer', goesHome: 'a tray' },
  { id: 'jar', name: 'jar', plural: 'jars', materials: ['glass'], widthMm: 88.9, heightMm: 63.5, thicknessMm: 80, hangs: false, seenThrough: false, recipe: 'tape-film', goesHome: 'a box' },
  { id: 'glass-block', name: 'glass block', plural: 'glass blocks', materials: ['glass'], widthMm: 101.6, heightMm: 101.6, thicknessMm: 38, hangs: false, seenThrough: true, recipe: 'tape-film', goesHome: 'a box' },
  { id: 'card', name: 'card', plural: 'cards', materials: ['card'], widthMm: 127, heightMm: 88.9, thicknessMm: 1, hangs: false, seenThrough: false, recipe: 'tape-film', goesHome: 'an envelope' },
  { id: 'stickers', name: 'sticker', plural: 'stickers', materials: ['paper'], widthMm: 60, heightMm: 44, thicknessMm: 1, hangs: false, seenThrough: false, recipe: 'tape-film', goesHome: 'an envelope' },
]

export const pieceKind = (id: string): PieceKind => pieceKinds.find((k) => k.id === id) ?? pieceKinds[0]!
