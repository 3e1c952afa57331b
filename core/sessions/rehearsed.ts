import type { Figures } from '#core/figures'
import type { RehearsalInput } from '#core/rehearsal'
import type { ClassRoom } from './classRoom'

/** A class's room to be rehearsed: each person has hands of their own, from quick to slow as the house's figures say (E), and every stage
 *  varies half as much again around them; what dries or soaks alone takes its time. Done in time is when clean-up still fits before the room
 *  ends. */
export function rehearsalOf(room: Pick<ClassRoom, 'input'>, figures: Figures, wishPct = 90, runs = 1): RehearsalInput {
  const [quick, slow] = [Math.min(1, figures('hands.quick').value / 10), Math.max(1, figures('hands.slow').value / 10)]
  const spread = (minutes: number) => ({ leastMin: ((1 + quick) / 2) * minutes, usualMin: minutes, mostMin: ((1 + slow) / 2) * minutes })
  const times = Object.fromEntries(
    room.input.routes.map((r) => [
      r.id,
      Object.fromEntries(r.stages.map((s) => [s.id, s.attended ? spread(s.minutes) : ('fixed' as const)])),
    ]),
  )
  return { ...room.input, times, hands: { least: quick, usual: 1, most: slow }, runs, wishPct }
}
