import * as v from 'valibot'
import { BadInput, readInput } from '#core/reasons'
import { inZone, isTimeZone, placeLocal } from '#core/time'
import { rowsOf } from './rows'

/** What a logger's file says, and the lines that were left out. */
export interface AirPreview {
  readings: { at: string; celsius: number; humidityPct: number }[]
  left: { line: number; why: 'no-time' | 'no-number' | 'out-of-range' }[]
  /** Every so many lines one was taken, where there were more than can be kept. */
  every: number
}
const most = { kept: 1200, told: 60 }
const request = v.object({
  text: v.pipe(v.string('no text | Choose a file.'), v.maxLength(1_900_000, 'more than 1.9 MB | Keep the days between the classes.')),
  timeZone: v.pipe(v.string(), v.check(isTimeZone, 'not a time zone | Name one like Europe/Madrid.')),
})

const headings = { time: /time|date|hora|fecha|stamp/i, temperature: /temp|°|celsius|fahrenheit/i, humidity: /hum|rh|%/i }

/** Looks at a logger's CSV: time, temperature, humidity, by their headings or in this order. Times without a zone are by the house's clock;
 *  a temperature whose heading says so is in °F. A line that cannot be read is named and takes nothing else with it. */
export function lookAtAir(body: unknown): AirPreview {
  const { text, timeZone } = readInput(request, body)
  const rows = rowsOf(text)
  if (rows.length === 0) throw new BadInput('The file is empty.', 'line 1', 'Choose the file that the logger wrote.')
  const first = rows[0]!.cells
  const named = first.some((c) => /[a-z]{3}/i.test(c)) && !Number.isFinite(numberOf(first[1] ?? ''))
  const column = (key: keyof typeof headings, usual: number) => {
    const found = named ? first.findIndex((c) => headings[key].test(c)) : -1
    return found < 0 ? usual : found
  }
  const [time, temp, humidity] = [column('time', 0), column('temperature', 1), column('humidity', 2)]
  const fahrenheit = named && /f\b|fahrenheit/i.test((first[temp] ?? '').replace(/temp\w*/i, ''))
  const left: AirPreview['left'] = []
  const all = (named ? rows.slice(1) : rows).flatMap(({ line, cells }) => {
    const at = momentOf(cells[time] ?? '', timeZone)
    const [t, h] = [numberOf(cells[temp] ?? ''), numberOf(cells[humidity] ?? '')]
    const celsius = Math.round((fahrenheit ? ((t - 32) * 5) / 9 : t) * 10) / 10
    const wrong = !at
      ? 'no-time'
      : !Number.isFinite(t) || !Number.isFinite(h)
        ? 'no-number'
        : celsius < -10 || celsius > 45 || h < 0 || h > 100
          ? 'out-of-range'
          : undefined
    if (wrong) left.push({ line, why: wrong })
    return wrong ? [] : [{ at: at!, celsius, humidityPct: Math.round(h * 10) / 10 }]
  })
  const every = Math.max(1, Math.ceil(all.length / most.kept))
  return { readings: all.filter((_, i) => i % every === 0), left: left.slice(0, most.told), every }
}

/** A number with a decimal point or comma, whatever unit stands behind it. */
function numberOf(cell: string): number {
  const m = /^\s*(-?\d+(?:[.,]\d+)?)\s*(?:%|°?\s?[CFcf])?\s*$/.exec(cell)
  return m ? Number(m[1]!.replace(',', '.')) : NaN
}

/** A moment as loggers write it, in the house's zone; undefined where it is none. */
function momentOf(cell: string, timeZone: string): string | undefined {
  const text = cell.trim().replace(' ', 'T')
  try {
    const local = /^(\d{4}-\d\d-\d\d)T(\d\d:\d\d)(?::\d\d(?:\.\d+)?)?$/.exec(text)
    if (local) return placeLocal({ date: local[1]!, time: local[2]! }, timeZone).at
    const ms = /T.*(?:Z|[+-]\d\d:?\d\d)$/.test(text) ? Date.parse(text) : NaN
    return Number.isFinite(ms) ? inZone(`${new Date(ms).toISOString().slice(0, 19)}+00:00[UTC]`, timeZone) : undefined
  } catch {
    return undefined
  }
}
