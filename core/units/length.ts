import { Decimal } from './decimal'

export type LengthUnit = 'in' | 'mm' | 'cm'
export const mmPerInch = 25.4
const perUnit: Record<LengthUnit, number> = { in: mmPerInch, mm: 1, cm: 10 }
const names: Record<string, LengthUnit> = {
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  '″': 'in',
  mm: 'mm',
  millimetre: 'mm',
  millimetres: 'mm',
  millimeter: 'mm',
  millimeters: 'mm',
  cm: 'cm',
  centimetre: 'cm',
  centimetres: 'cm',
  centimeter: 'cm',
  centimeters: 'cm',
}

/** What was read, the text kept as typed; or what is wrong with it and what would be right. */
export type ReadLength = { ok: true; mm: number; text: string; unit: LengthUnit } | { ok: false; what: string; remedies: string[] }

const glyphs: Record<string, string> = { '¼': '1/4', '½': '1/2', '¾': '3/4', '⅛': '1/8', '⅜': '3/8', '⅝': '5/8', '⅞': '7/8' }
const shape = /^(?:(\d+)\s+(\d+)\/(\d+)|(\d+)\/(\d+)|(\d+(?:[.,]\d+)?|[.,]\d+))\s*([a-z"″]*)$/

/** Reads a typed length: "5", "5 in", "1/2", "1 1/2 in", "5,5 cm", "127mm".
 *  A missing unit means the house's. Answers in mm. Asks about "1,000", refuses the rest with a reason. */
export function readLength(typed: string, houseUnit: LengthUnit, most = 2000): ReadLength {
  const text = typed.trim()
  if (text === '') return { ok: false, what: 'Nothing is typed.', remedies: [`5 ${houseUnit}`] }
  if (/^[-−]/.test(text)) return { ok: false, what: 'A length is more than nothing.', remedies: [text.replace(/^[-−]\s*/, '')] }
  const plain = text
    .toLowerCase()
    .replace(/[¼½¾⅛⅜⅝⅞]/g, (g) => ` ${glyphs[g]}`)
    .replace(/\s+/g, ' ')
    .trim()
  const m = shape.exec(plain)
  const unit = m ? (m[7] ? names[m[7]] : houseUnit) : undefined
  if (!m || !unit) return { ok: false, what: `“${text}” is not a length.`, remedies: ['1 1/2 in', '5,5 cm', '127 mm'] }
  if (m[6] && /^\d{1,3},\d{3}$/.test(m[6]))
    return {
      ok: false,
      what: `“${text}” can be read two ways.`,
      remedies: [`${m[6].replace(',', '')} ${unit}`, `${m[6].replace(',', '.')} ${unit}`],
    }
  const divisor = Number(m[3] ?? m[5] ?? 1)
  if (divisor === 0) return { ok: false, what: 'Nothing can be divided by 0.', remedies: [`1/2 ${unit}`] }
  const number = m[6]
    ? new Decimal(m[6].replace(',', '.').replace(/^\./, '0.'))
    : new Decimal(m[1] ?? 0).plus(new Decimal(m[2] ?? m[4] ?? 0).div(divisor))
  const mm = number.times(perUnit[unit]).toDecimalPlaces(3).toNumber()
  if (mm <= 0) return { ok: false, what: 'A length is more than nothing.', remedies: [`1 ${unit}`] }
  if (mm > most) return { ok: false, what: `That is more than ${showLength(most, unit)}.`, remedies: [showLength(most, unit)] }
  return { ok: true, mm, text, unit }
}

const eighths = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞']

/** A length as people write it: "5 in", "1 ½ in", "127 mm", "5.5 cm". Inches to the nearest eighth when within 0.2 mm. */
export function showLength(mm: number, unit: LengthUnit): string {
  if (unit !== 'in') return `${trim(mm / perUnit[unit], 1)} ${unit}`
  const n = Math.round((mm / mmPerInch) * 8)
  if (Math.abs((n / 8) * mmPerInch - mm) > 0.2) return `${trim(mm / mmPerInch, 2)} in`
  return `${[Math.floor(n / 8) || '', eighths[n % 8]].filter(Boolean).join(' ') || 0} in`
}

/** What the finest marks of a ruler are apart: a sixteenth of an inch, or a millimetre. */
export const rulerMm = (unit: LengthUnit): number => (unit === 'in' ? mmPerInch / 16 : 1)

/** A length as it is read off a ruler, without its unit, to the nearest mark: "10 ⅝", "7 3/16"; whole millimetres; centimetres to
 *  a tenth. */
export function showOnRuler(mm: number, unit: LengthUnit): string {
  const marks = Math.round(mm / rulerMm(unit))
  if (unit === 'mm') return String(marks)
  if (unit === 'cm') return trim(marks / 10, 1)
  const [whole, part] = [Math.floor(marks / 16), marks % 16]
  const fraction = part === 0 ? '' : part % 2 === 0 ? eighths[part / 2]! : `${part}/16`
  return [whole || '', fraction].filter(Boolean).join(' ') || '0'
}

const trim = (n: number, places: number) => String(Number(n.toFixed(places)))
