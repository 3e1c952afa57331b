import { figure, type Figure } from '#core/reasons'

/** Figures that belong to no single method: what practice says, or what we estimate. The key of each lasts: a house keeps its own
 *  value under it. */
export const practiceFigures = {
  'set-up': figure(30, 'min', 'E'),
  'clean-up': figure(20, 'min', 'E'),
  /** Of ten planned minutes of handwork the quickest hands take so many, the slowest so many. */
  /** On a drawn floor: a way that two people pass, heat from water, a cord's reach, free before a door. */
  'floor.way': figure(600, 'mm', 'E'),
  'floor.heat-from-water': figure(1500, 'mm', 'E'),
  'floor.cord': figure(2000, 'mm', 'E'),
  'floor.door': figure(900, 'mm', 'E'),
  /** Handwork all over a face grows with the area to this power: 0 not at all, 1 alike. */
  'time.size': figure(0.5, 'share', 'E'),
  'hands.quick': figure(8, 'min', 'E'),
  'hands.slow': figure(18, 'min', 'E'),
  'film.light': figure(120, 'um', 'E'),
  'film.moderate': figure(150, 'um', 'E'),
  'film.generous': figure(300, 'um', 'E'),
  'film.heavy': figure(500, 'um', 'E'),
  gutter: figure(6, 'mm', 'E'),
  'tape.overlap': figure(12, 'mm', 'P'),
  'tape.margin': figure(5, 'mm', 'E'),
  'ratio.under-8': figure(5, 'count', 'E'),
  'ratio.8-12': figure(8, 'count', 'E'),
  'ratio.13-17': figure(12, 'count', 'E'),
  /** So many children at the most to one adult in a class with a heat tool or a blade. */
  'ratio.heat': figure(4, 'count', 'E'),
  'ratio.blade': figure(6, 'count', 'E'),
  /** Of ten pieces so many fail, before anything is counted. */
  fails: figure(1, 'count', 'E'),
  /** The same where a clean print is aimed at, and where worn is the charm. */
  'fails.clean': figure(2, 'count', 'E'),
  'fails.worn': figure(0.5, 'count', 'E'),
  /** A piece that survives a failed transfer is spared for breakage only: one in so many. */
  breakage: figure(20, 'count', 'E'),
  /** Copies of each own picture: one to lay, one to patch or start again. */
  copies: figure(2, 'count', 'P'),
  /** From this diameter on a candle's wall stands between the flame and the tissue. */
  'candle.wide': figure(70, 'mm', 'E'),
  'ahead.print': figure(1440, 'min', 'E'),
  'ahead.collect': figure(2880, 'min', 'E'),
  'ahead.pack': figure(720, 'min', 'E'),
  'ahead.gather': figure(1440, 'min', 'E'),
  /** Of the box round a picture that is cut to its outline. */
  'edge.outline': figure(0.7, 'share', 'E'),
  /** Paper and toner of one printed sheet. */
  'price.sheet': figure(9, 'minor', 'E'),
  'cure.coat.light': figure(0.8, 'factor', 'E'),
  'cure.coat.moderate': figure(1, 'factor', 'E'),
  'cure.coat.generous': figure(1, 'factor', 'E'),
  'cure.coat.heavy': figure(1.25, 'factor', 'E'),
  'cure.surface.porous': figure(1, 'factor', 'E'),
  'cure.surface.painted': figure(1, 'factor', 'E'),
  'cure.surface.sealed': figure(1.25, 'factor', 'E'),
  'cure.surface.stone': figure(1.25, 'factor', 'E'),
} as const satisfies Record<string, Figure>
export type FigureKey = keyof typeof practiceFigures

/** What a house's own value may be, by unit; and closer where sense ends sooner. */
export interface Bounds {
  least: number
  most: number
}
const byUnit: Record<Figure['unit'], Bounds> = {
  min: { least: 0, most: 20_160 },
  ml: { least: 0, most: 1000 },
  mm: { least: 0, most: 500 },
  um: { least: 1, most: 5000 },
  share: { least: 0, most: 1 },
  count: { least: 0, most: 1000 },
  days: { least: 0, most: 60 },
  celsius: { least: -10, most: 45 },
  factor: { least: 0.1, most: 10 },
  minor: { least: 0, most: 1_000_000 },
}
const closer: Record<string, Bounds> = {
  fails: { least: 0.1, most: 9.9 },
  'fails.clean': { least: 0.1, most: 9.9 },
  'fails.worn': { least: 0.1, most: 9.9 },
  'ratio.under-8': { least: 1, most: 60 },
  'ratio.8-12': { least: 1, most: 60 },
  'ratio.13-17': { least: 1, most: 60 },
  'ratio.heat': { least: 1, most: 60 },
  'ratio.blade': { least: 1, most: 60 },
  breakage: { least: 1, most: 1000 },
  copies: { least: 1, most: 9 },
  gutter: { least: 0, most: 40 },
  'tape.overlap': { least: 1, most: 40 },
  'tape.margin': { least: 0, most: 40 },
  'floor.way': { least: 0, most: 3000 },
  'floor.heat-from-water': { least: 0, most: 10_000 },
  'floor.cord': { least: 0, most: 10_000 },
  'floor.door': { least: 0, most: 5000 },
  'candle.wide': { least: 40, most: 150 },
}

/** Between what a house may set a figure. A least wait that practitioners agree on is never undercut: that is an experiment, and a
 *  recipe of its own; a window that closes is not held open longer. */
export function boundsOf(key: string, practice: Figure): Bounds {
  const bounds = closer[key] ?? byUnit[practice.unit]
  if (practice.mark !== 'P') return bounds
  if (/\.(cure\.minimum|then\.least)$/.test(key)) return { ...bounds, least: practice.value }
  if (/\.then\.most$/.test(key)) return { ...bounds, most: practice.value }
  return bounds
}
