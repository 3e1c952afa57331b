import type { Coded, SuitValues } from '#core/codes'
import { figure, type Mark } from '#core/reasons'
import type { Ink, Whites } from '#core/recipe'

/** What is known of pictures and prints; what is missing is not judged. */
export interface Pictures {
  faces?: boolean | undefined
  fine?: boolean | undefined
  pale?: boolean | undefined
  precious?: boolean | undefined
  pixels?: { width: number; height: number } | undefined
  lettering: boolean
}
export interface Prints {
  printer?: Ink | undefined
  smear?: 'passed' | 'failed' | undefined
  gsm?: number | undefined
  coated?: boolean | undefined
}
/** What the method asks of them. Sizes in mm. */
export interface Demands {
  ink: Ink | 'any'
  smearTest: boolean
  /** The paper has to be rubbed off. */
  rubbed: boolean
  whites: Whites
  surfaceIsWhite: boolean
  wished?: Whites | undefined
  forgives: 'a lot' | 'some' | 'little'
  widthMm: number
  heightMm: number
  printers: readonly Ink[]
}
export type Suit = Coded<SuitValues> & {
  level: 'stop' | 'look' | 'note'
  mark: Mark
}

/** Copy paper that rubs off well, and where card begins: g/m2. */
export const paperGsm = { least: figure(75, 'count', 'P'), most: figure(90, 'count', 'P'), card: figure(160, 'count', 'E') }
/** Pixels an inch: good from, fair from, soft from; below that poor. */
export const sharpness = { good: figure(200, 'count', 'E'), fair: figure(150, 'count', 'E'), soft: figure(100, 'count', 'E') }
/** What so many pixels an inch are worth, in a word. */
export const qualityOf = (dpi: number): 'good' | 'fair' | 'soft' | 'poor' =>
  dpi >= sharpness.good.value ? 'good' : dpi >= sharpness.fair.value ? 'fair' : dpi >= sharpness.soft.value ? 'soft' : 'poor'
/** Below this side fine detail is lost under a fingertip. */
const stickerSide = figure(50, 'mm', 'E')

/** Whether whites go that were on the picture: clear on film, the surface's colour where that is not white. */
export const losesWhites = (whites: Whites, surfaceIsWhite: boolean): boolean =>
  whites === 'clear' || (whites === 'surface' && !surfaceIsWhite)
/** The size in per cent of its present one, tenths rounded down, at which a picture of so many pixels an inch is fair. */
export const fairAtPercent = (dpi: number): number => Math.floor((dpi / sharpness.fair.value) * 1000) / 10
/** Its smaller side in mm, where that is sticker size. */
export function stickerSize(size: { widthMm: number; heightMm: number }): number | undefined {
  const side = Math.min(size.widthMm, size.heightMm)
  return side < stickerSide.value ? side : undefined
}

/** Pixels an inch at the printed size, turned whichever way fits better. */
export function pixelsAnInch(pixels: { width: number; height: number }, widthMm: number, heightMm: number): number {
  const at = (w: number, h: number) => Math.min(w / widthMm, h / heightMm) * 25.4
  return Math.floor(Math.max(at(pixels.width, pixels.height), at(pixels.height, pixels.width)) + 1e-6)
}

/** Whether pictures and prints suit the method: blockers (stop), warnings (look) and hints (note). Liquid ink runs in water, so
 *  a toner method takes an inkjet print only where its school allows it and a smear test has passed. Own rules on practice. */
export function suit(pictures: Pictures, prints: Prints, d: Demands): Suit[] {
  return [
    ...inkSuits(prints, d),
    ...paperSuits(prints, d),
    ...whiteSuits(pictures, d),
    ...sharpSuits(pictures, d),
    ...careSuits(pictures, d),
  ]
}

const say = <C extends keyof SuitValues>(
  code: C,
  level: Suit['level'],
  mark: Mark,
  ...[values]: Record<never, never> extends SuitValues[C] ? [] : [values: SuitValues[C]]
): Suit => ({ code, level, values: values ?? {}, mark }) as Suit

function inkSuits(p: Prints, d: Demands): Suit[] {
  if (d.ink === 'any') return []
  const printer = p.printer ?? (d.printers.includes(d.ink) ? d.ink : undefined)
  if (!printer) return [say('printer-missing', 'stop', 'P', { ink: d.ink })]
  if (printer !== d.ink) return [say('wrong-ink', 'stop', 'P', { ink: d.ink, printer })]
  if (p.smear === 'failed' && (d.ink === 'toner' || d.smearTest)) return [say('smear-failed', 'stop', 'P', { ink: d.ink })]
  return d.smearTest && p.smear !== 'passed' ? [say('smear-test', 'look', 'P')] : []
}

function paperSuits(p: Prints, d: Demands): Suit[] {
  if (!d.rubbed) return []
  if (p.coated) return [say('coated', 'stop', 'P')]
  if (p.gsm === undefined || p.gsm <= paperGsm.most.value) return []
  if (p.gsm >= paperGsm.card.value) return [say('paper-thick', 'stop', 'E', { gsm: p.gsm })]
  return [say('paper-heavy', 'look', 'P', { gsm: p.gsm, most: paperGsm.most.value })]
}

function whiteSuits(pictures: Pictures, d: Demands): Suit[] {
  if (d.wished && d.wished !== d.whites) return [say('whites-wish', 'stop', 'P', { wished: d.wished, whites: d.whites })]
  return pictures.pale && losesWhites(d.whites, d.surfaceIsWhite) ? [say('whites-vanish', 'look', 'P', { whites: d.whites })] : []
}

function sharpSuits(pictures: Pictures, d: Demands): Suit[] {
  if (!pictures.pixels) return []
  const dpi = pixelsAnInch(pictures.pixels, d.widthMm, d.heightMm)
  if (dpi >= sharpness.good.value) return []
  const values = { dpi, percent: fairAtPercent(dpi) }
  if (dpi >= sharpness.fair.value) return [say('fair', 'note', 'E', values)]
  return [say(dpi >= sharpness.soft.value ? 'soft' : 'blurred', 'look', 'E', values)]
}

function careSuits(pictures: Pictures, d: Demands): Suit[] {
  const found: Suit[] = []
  if (pictures.precious) found.push(say('precious', 'stop', 'P'))
  const side = stickerSize(d)
  if (pictures.fine && side !== undefined) found.push(say('fine-lost', 'look', 'E', { side }))
  if (pictures.faces && d.forgives !== 'a lot' && d.rubbed) found.push(say('faces', 'note', 'P'))
  return found
}
