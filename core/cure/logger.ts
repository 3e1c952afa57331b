import { addMinutes, minutesBetween, type Zoned } from '#core/time'
import type { Reading } from './cure'

/** A stand-in for a logger on the shelf: readings every so often between two moments, with cooler, damper nights. Made up from the house's
 *  own air and always the same for the same moments; whoever shows them says that they are simulated. */
export function simulatedLogger(from: Zoned, to: Zoned, usual: { celsius: number; humidityPct: number }, everyMin = 30): Reading[] {
  const n = Math.max(0, Math.floor(minutesBetween(from, to) / everyMin) + 1)
  return Array.from({ length: Math.min(n, 500) }, (_, i) => {
    const at = addMinutes(from, i * everyMin)
    const hour = Number(at.slice(11, 13)) + Number(at.slice(14, 16)) / 60
    const day = Math.cos(((hour - 15) / 24) * 2 * Math.PI)
    const draught = Math.sin(i * 1.7) * 0.4
    const within = (x: number, least: number, most: number) => Math.round(Math.min(most, Math.max(least, x)) * 10) / 10
    return {
      at,
      celsius: within(usual.celsius + 1.5 * day + draught, -10, 45),
      humidityPct: within(usual.humidityPct - 6 * day - 2 * draught, 0, 100),
    }
  })
}
