import type { Figure } from '#core/reasons'

/** A pack on sale: its size in the material's unit, its price in minor units, and what it is called. All E. */
export interface Pack {
  size: number
  priceMinor: number
  noun: string
  plural?: string
  /** Its price as it holds in a house, with its key. */
  price?: Figure
}

export interface Material {
  name: string
  unit: 'count' | 'ml' | 'mm' | 'strips'
  icon: 'board' | 'print' | 'bottle' | 'brush' | 'cloth' | 'roll' | 'tool' | 'basin' | 'cover'
  packs: Pack[]
}

const pack = (size: number, priceMinor: number, noun = 'pack', plural?: string): Pack => ({
  size,
  priceMinor,
  noun,
  ...(plural && { plural }),
})

/** What a kit is made of. Prices and pack sizes are estimates (E): a house knows its own shops. */
export const materials: Record<string, Material> = {
  blank: { name: 'Blanks', unit: 'count', icon: 'board', packs: [pack(12, 1680), pack(5, 890)] },
  print: { name: 'Prints', unit: 'count', icon: 'print', packs: [] },
  'decoupage-glue': {
    name: 'Decoupage glue',
    unit: 'ml',
    icon: 'bottle',
    packs: [pack(236, 900, 'bottle'), pack(473, 1500, 'bottle'), pack(946, 2500, 'bottle')],
  },
  'white-paint': { name: 'White paint', unit: 'ml', icon: 'bottle', packs: [pack(59, 220, 'bottle'), pack(236, 650, 'bottle')] },
  'clear-spray': { name: 'Clear spray', unit: 'ml', icon: 'bottle', packs: [pack(300, 950, 'can')] },
  'gloss-medium': { name: 'Gloss medium', unit: 'ml', icon: 'bottle', packs: [pack(118, 750, 'bottle'), pack(236, 1200, 'bottle')] },
  'foam-brush': { name: 'Foam brushes', unit: 'count', icon: 'brush', packs: [pack(12, 540), pack(30, 1080)] },
  cup: { name: 'Cups', unit: 'count', icon: 'basin', packs: [pack(20, 240, 'sleeve')] },
  sandpaper: { name: 'Sandpaper', unit: 'count', icon: 'cloth', packs: [pack(5, 450, 'pack')] },
  'press-card': { name: 'Press cards', unit: 'count', icon: 'tool', packs: [pack(10, 400)] },
  trimmer: { name: 'Paper trimmer', unit: 'count', icon: 'tool', packs: [pack(1, 3200, 'trimmer')] },
  'baking-paper': { name: 'Baking paper', unit: 'mm', icon: 'roll', packs: [pack(10_000, 260, 'roll')] },
  cloth: { name: 'Cloths', unit: 'count', icon: 'cloth', packs: [pack(10, 620)] },
  basin: { name: 'Basins', unit: 'count', icon: 'basin', packs: [pack(1, 300, 'basin')] },
  'pulp-bin': { name: 'Bins for pulp', unit: 'count', icon: 'basin', packs: [pack(1, 350, 'bin')] },
  cord: { name: 'Cord', unit: 'mm', icon: 'roll', packs: [pack(10_000, 320, 'roll')] },
  apron: { name: 'Aprons', unit: 'count', icon: 'cover', packs: [pack(10, 1900)] },
  'table-cover': { name: 'Table covers', unit: 'count', icon: 'cover', packs: [pack(4, 500)] },
  'clear-tape': { name: 'Clear packing tape', unit: 'strips', icon: 'roll', packs: [pack(50_000, 380, 'roll'), pack(66_000, 460, 'roll')] },
  scissors: { name: 'Scissors', unit: 'count', icon: 'tool', packs: [pack(6, 1100)] },
  'bone-folder': { name: 'Bone folders', unit: 'count', icon: 'tool', packs: [pack(6, 900)] },
  towel: { name: 'Towels', unit: 'count', icon: 'cloth', packs: [pack(6, 800)] },
  'acrylic-gel': {
    name: 'Acrylic gel medium',
    unit: 'ml',
    icon: 'bottle',
    packs: [pack(118, 780, 'bottle'), pack(236, 1280, 'bottle'), pack(473, 2100, 'bottle')],
  },
  gesso: { name: 'White gesso', unit: 'ml', icon: 'bottle', packs: [pack(236, 820, 'bottle'), pack(473, 1350, 'bottle')] },
  varnish: { name: 'Acrylic varnish', unit: 'ml', icon: 'bottle', packs: [pack(118, 690, 'bottle'), pack(236, 1100, 'bottle')] },
  squeegee: { name: 'Squeegees', unit: 'count', icon: 'tool', packs: [pack(6, 1080)] },
  timer: { name: 'Timers', unit: 'count', icon: 'tool', packs: [pack(1, 600, 'timer')] },
  mister: { name: 'Misters', unit: 'count', icon: 'bottle', packs: [pack(1, 280, 'mister'), pack(6, 1400)] },
  'bag-paper': { name: 'Brown bag paper', unit: 'count', icon: 'cover', packs: [pack(25, 380)] },
  sponge: { name: 'Sponges', unit: 'count', icon: 'cloth', packs: [pack(8, 460)] },
  transparency: { name: 'Inkjet transparencies', unit: 'count', icon: 'print', packs: [pack(10, 1250), pack(50, 4200)] },
  tissue: { name: 'White tissue', unit: 'count', icon: 'print', packs: [pack(20, 320), pack(100, 980)] },
  'tissue-sheet': { name: 'Tissue to stamp on', unit: 'count', icon: 'print', packs: [pack(20, 320), pack(100, 980)] },
  stamp: { name: 'Stamps', unit: 'count', icon: 'tool', packs: [pack(6, 1200)] },
  'ink-pad': { name: 'Ink pads', unit: 'count', icon: 'tool', packs: [pack(1, 480, 'pad')] },
  dauber: { name: 'Ink daubers', unit: 'count', icon: 'brush', packs: [pack(6, 420)] },
  'hair-dryer': { name: 'Hair dryers', unit: 'count', icon: 'tool', packs: [pack(1, 1800, 'dryer')] },
  'closing-band': { name: 'Closing bands', unit: 'mm', icon: 'roll', packs: [pack(5_000, 280, 'roll')] },
  marker: { name: 'Permanent markers', unit: 'count', icon: 'tool', packs: [pack(4, 420)] },
  'paper-towel': { name: 'Paper towels', unit: 'count', icon: 'roll', packs: [pack(2, 350), pack(6, 890)] },
  bucket: { name: 'Rinse bucket and sieve', unit: 'count', icon: 'basin', packs: [pack(1, 900, 'set')] },
  fan: { name: 'Fan', unit: 'count', icon: 'tool', packs: [pack(1, 2200, 'fan')] },
  pot: { name: 'Lidded pots', unit: 'count', icon: 'basin', packs: [pack(10, 350), pack(25, 720)] },
  'home-tray': { name: 'Trays for the way home', unit: 'count', icon: 'board', packs: [pack(10, 300), pack(25, 650)] },
  'home-bag': { name: 'Bags', unit: 'count', icon: 'cover', packs: [pack(25, 380)] },
  'wax-paper': { name: 'Wax paper', unit: 'mm', icon: 'roll', packs: [pack(15_000, 340, 'roll')] },
  'heat-tool': { name: 'Heat tools', unit: 'count', icon: 'tool', packs: [pack(1, 2400, 'tool')] },
  mat: { name: 'Silicone mats', unit: 'count', icon: 'cover', packs: [pack(1, 750, 'mat')] },
  'clear-film': { name: 'Wide clear film', unit: 'strips', icon: 'roll', packs: [pack(5_000, 790, 'roll'), pack(15_000, 1850, 'roll')] },
  'book-strip': { name: 'Folding paper for books', unit: 'mm', icon: 'roll', packs: [pack(10_000, 1150, 'roll')] },
  'cover-board': { name: 'Cover boards', unit: 'count', icon: 'board', packs: [pack(12, 640)] },
  'colour-paint': { name: 'Coloured paint', unit: 'ml', icon: 'bottle', packs: [pack(59, 260, 'bottle'), pack(236, 720, 'bottle')] },
  'wood-stain': { name: 'Wood stain', unit: 'ml', icon: 'bottle', packs: [pack(118, 640, 'bottle'), pack(236, 980, 'bottle')] },
  tint: { name: 'Tinting glaze', unit: 'ml', icon: 'bottle', packs: [pack(118, 790, 'bottle'), pack(236, 1250, 'bottle')] },
  rag: { name: 'Rags', unit: 'count', icon: 'cloth', packs: [pack(20, 480)] },
  drill: { name: 'Drill', unit: 'count', icon: 'tool', packs: [pack(1, 4900, 'drill')] },
  clamp: { name: 'Clamps', unit: 'count', icon: 'tool', packs: [pack(2, 900, 'pair')] },
  'eye-protection': { name: 'Eye protection', unit: 'count', icon: 'tool', packs: [pack(1, 450, 'pair')] },
  'felt-foot': { name: 'Felt feet', unit: 'count', icon: 'tool', packs: [pack(48, 380), pack(100, 620)] },
  'backing-sheet': { name: 'Backing, cork or felt', unit: 'count', icon: 'board', packs: [pack(12, 890)] },
  frame: { name: 'Frames', unit: 'count', icon: 'board', packs: [pack(1, 650, 'frame'), pack(6, 3200)] },
  letters: { name: 'Letters', unit: 'count', icon: 'print', packs: [pack(52, 540), pack(120, 980)] },
  'magazine-page': { name: 'Magazine pages', unit: 'count', icon: 'print', packs: [] },
  'brought-print': { name: 'Prints that people bring', unit: 'count', icon: 'print', packs: [] },
  'glue-stick': { name: 'Glue sticks', unit: 'count', icon: 'tool', packs: [pack(6, 420)] },
}

export const materialOf = (id: string): Material => materials[id] ?? { name: id, unit: 'count', icon: 'tool', packs: [] }
