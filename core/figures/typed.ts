import type { Figure } from '#core/reasons'
import { moneyAmount, moneyDigits, readLength, showLength, type Currency, type LengthUnit } from '#core/units'
import { boundsOf } from './practice'

/** How a house writes figures. */
export interface Writing {
  length: LengthUnit
  currency: Currency
}

/** A figure as it stands in a field: "30", "15" (of a hundred), "9.00", "1/4 in"; the unit beside it, where it is not part of it. */
export function typedFigure(f: Figure, w: Writing): { text: string; unit: string } {
  if (f.unit === 'mm') return { text: f.value === 0 ? '0' : showLength(f.value, w.length), unit: '' }
  if (f.unit === 'minor') return { text: moneyAmount(f.value, w.currency), unit: w.currency }
  if (f.unit === 'share') return { text: String(Number((100 * f.value).toFixed(2))), unit: '%' }
  const units: Partial<Record<Figure['unit'], string>> = { um: 'µm', celsius: '°C', count: '', factor: '×' }
  return { text: String(Number(f.value.toFixed(3))), unit: units[f.unit] ?? f.unit }
}

export type TypedFigure = { ok: true; value: number } | { ok: false; why: 'not-a-number' | 'less' | 'more'; limit?: string }

/** Reads what was typed for a figure, in its own unit; out of its bounds it says which. `practice` is what practice says of it. */
export function readFigure(typed: string, key: string, practice: Figure, w: Writing): TypedFigure {
  const value = numberIn(typed.trim(), practice, w)
  if (value === undefined) return { ok: false, why: 'not-a-number' }
  const { least, most } = boundsOf(key, practice)
  const limit = (n: number) => {
    const { text, unit } = typedFigure({ ...practice, value: n }, w)
    return unit ? `${text} ${unit}` : text
  }
  if (value < least) return { ok: false, why: 'less', limit: limit(least) }
  if (value > most) return { ok: false, why: 'more', limit: limit(most) }
  return { ok: true, value }
}

function numberIn(text: string, { unit }: Figure, w: Writing): number | undefined {
  if (unit === 'mm' && !/^0+([.,]0+)?$/.test(text)) {
    const read = readLength(text, w.length, 100_000)
    return read.ok ? read.mm : undefined
  }
  const bare = text.replace(/\s*(%|min|ml|µm|um|°C|×|days|[A-Z]{3}|[$€£¥])$/, '').replace(/^[$€£¥]\s*/, '')
  if (!/^\d{1,9}([.,]\d{1,4})?$/.test(bare)) return undefined
  const n = Number(bare.replace(',', '.'))
  if (unit === 'minor') return Math.round(n * 10 ** moneyDigits(w.currency))
  return unit === 'share' ? Number((n / 100).toFixed(6)) : n
}
