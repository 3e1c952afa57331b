import { describe, expect, it, test } from 'vitest'
import { lookAtAir } from './air'

const look = (text: string) => lookAtAir({ text, timeZone: 'America/New_York' })
const first = (text: string) => look(text).readings[0]

describe('a logger’s file', () => {
  test.each<[string, string, object]>([
    ['by headings', 'Date/Time,Temperature,Humidity\n2026-05-14 19:10,20.4,55', { celsius: 20.4, humidityPct: 55 }],
    ['in another order', 'RH %,Temp °C,Timestamp\n55,20.4,2026-05-14 19:10:30', { celsius: 20.4, humidityPct: 55 }],
    ['without headings', '2026-05-14 19:10,20.4,55', { celsius: 20.4, humidityPct: 55 }],
    ['in Fahrenheit', 'time,temperature (F),humidity\n2026-05-14 19:10,68,55', { celsius: 20, humidityPct: 55 }],
    ['with units in the cells', 'time,temperature,humidity\n2026-05-14 19:10,20.4 °C,55 %', { celsius: 20.4, humidityPct: 55 }],
    ['with decimal commas', 'hora;temperatura;humedad\n2026-05-14 19:10;20,4;55,5', { celsius: 20.4, humidityPct: 55.5 }],
    ['with an offset', 'time,temp,rh\n2026-05-15T01:10:00+02:00,20.4,55', { celsius: 20.4, humidityPct: 55 }],
    ['in UTC', 'time,temp,rh\n2026-05-14T23:10:00Z,20.4,55', { celsius: 20.4, humidityPct: 55 }],
  ])('%s', (_name, text, air) => expect(first(text)).toEqual({ at: '2026-05-14T19:10:00-04:00[America/New_York]', ...air }))
  it('a bad line is named and takes nothing with it', () => {
    const found = look(
      'time,temp,rh\n2026-05-14 19:00,20,50\nyesterday,20,50\n2026-05-14 19:30,warm,50\n2026-05-14 20:00,20,150\n2026-05-14 20:30,21,51\n2026-13-14 20:30,21,51',
    )
    expect(found.readings.map((r) => r.celsius)).toEqual([20, 21])
    expect(found.left).toEqual([
      { line: 3, why: 'no-time' },
      { line: 4, why: 'no-number' },
      { line: 5, why: 'out-of-range' },
      { line: 7, why: 'no-time' },
    ])
  })
  it('of ten thousand lines as many as can be kept, evenly', () => {
    const lines = Array.from(
      { length: 10_000 },
      (_, i) =>
        `2026-05-${String(1 + Math.floor(i / 1440)).padStart(2, '0')} ${String(Math.floor((i % 1440) / 60)).padStart(2, '0')}:${String(i % 60).padStart(2, '0')},20,50`,
    )
    const found = look(lines.join('\n'))
    expect([found.every, found.readings.length]).toEqual([9, 1112])
  })
  it('an empty one is refused', () => expect(() => look('')).toThrow(/empty/))
})
