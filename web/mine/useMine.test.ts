import { describe, expect, it, test } from 'vitest'
import { mineLabels, type MinePage, type Phase } from '#core/mine'
import { phaseAt, stillSaid, waitParts } from './useMine'

const zone = '[America/New_York]'
const at = (time: string) => `2026-05-15T${time}-04:00${zone}`
const ms = (time: string) => Date.parse(`2026-05-15T${time}-04:00`)
const phase = (from: string | null, title: string): Phase => ({ from, title, words: '', until: null, counts: '' })

describe('a phone that counts on by itself', () => {
  it('goes from phase to phase at the moment, not before', () => {
    const phases = [phase(null, 'lie'), phase(at('07:10:00'), 'risky'), phase(at('20:00:00'), 'ready')]
    const title = (time: string) => phaseAt(phases, ms(time)).title
    expect([title('00:00:00'), title('07:09:59'), title('07:10:00'), title('19:59:59'), title('20:00:00')]).toEqual([
      ...['lie', 'lie', 'risky', 'risky', 'ready'],
    ])
  })
  test.each([
    ['20:00:00', '3 hours'],
    ['19:01:00', '3 hours'],
    ['19:00:00', '2 hours'],
    ['18:59:59', '2 hours'],
    ['18:59:00', '119 minutes'],
    ['17:01:01', '2 minutes'],
    ['17:01:00', 'one minute'],
    ['17:00:01', 'one minute'],
    ['17:00:00', 'less than a minute'],
  ])('until %s it is %s, never less than there is', (until, said) =>
    expect(stillSaid(at(until), ms('17:00:00'), mineLabels as unknown as MinePage['labels'])).toBe(said),
  )
  it('draws never, risky and ready in their proportion, and now within them', () => {
    const wait = { laidAt: at('00:00:00'), neverBefore: at('06:00:00'), tellAt: at('12:00:00'), never: '', ready: '' }
    const parts = waitParts(wait, ms('03:00:00'))
    expect(parts.never).toBeCloseTo(0.4167, 3)
    expect(parts.ready).toBeCloseTo(0.8333, 3)
    expect(parts.now).toBeCloseTo(0.2083, 3)
    expect(waitParts(wait, ms('23:00:00')).now).toBe(1)
    expect(waitParts({ ...wait, neverBefore: wait.laidAt, tellAt: wait.laidAt }, ms('03:00:00')).ready).toBe(0)
  })
})
