import { describe, expect, it, test } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { hoursOf, planWorkshop } from '#core/plan'
import { lastOpenBefore, minutesBetween } from '#core/time'
import type { House } from '#core/house'
import type { Workshop } from '#core/workshop'

const moths: Workshop = { ...demoWorkshops('2026-05-15')[0]!, pieces: [], errandsDone: [] }
const early = '2026-05-04T09:00:00-04:00[America/New_York]'
const errands = (w: Workshop = moths, house: House = demoHouses[0]!, now = early) => planWorkshop({ workshop: w, house, now }).errands
const by = (code: string, ...given: Parameters<typeof errands>) => errands(...given).find((e) => e.code === code)!

describe('errands', () => {
  it('come in order of time', () => {
    const list = errands()
    list.slice(1).forEach((e, i) => expect(minutesBetween(list[i]!.by, e.by)).toBeGreaterThanOrEqual(0))
  })
  test.each([
    ['order', '2026-05-08T17:45:00-04:00[America/New_York]'],
    ['print', '2026-05-13T17:45:00-04:00[America/New_York]'],
    ['paint', '2026-05-13T20:30:00-04:00[America/New_York]'],
    ['pack', '2026-05-13T20:30:00-04:00[America/New_York]'],
    ['set-up', '2026-05-14T17:45:00-04:00[America/New_York]'],
  ])('%s by %s', (code, at) => expect(by(code).by).toBe(at))
  it('all but the set-up are due while the house is open', () => {
    const hours = hoursOf(demoHouses[0]!)
    for (const e of errands().filter((x) => x.code !== 'set-up')) expect(lastOpenBefore(e.by, hours)).toBe(e.by)
  })
  it('move back over a closed day', () => {
    const closed = { ...demoHouses[0]!, closedDays: ['2026-05-13'] }
    expect(by('print', moths, closed).by).toBe('2026-05-12T20:30:00-04:00[America/New_York]')
  })
  it('a slower supplier is ordered from earlier', () => {
    const slow = { ...demoHouses[0]!, supplierDays: 10 }
    expect(minutesBetween(by('order', moths, slow).by, by('order').by)).toBe(6 * 1440)
  })
  it('nothing to buy, nothing to order', () => {
    const full = {
      ...demoHouses[0]!,
      cupboard: Object.fromEntries(
        planWorkshop({ workshop: moths, house: demoHouses[0]!, now: early }).kit.map((l) => [
          l.material === 'blank' ? 'blank-plaque' : l.material,
          999_999,
        ]),
      ),
    }
    expect(errands(moths, full).map((e) => e.code)).not.toContain('order')
  })
  it('own pictures are collected before they are printed', () => {
    const own: Workshop = { ...moths, designs: [{ ...moths.designs[0]!, pictures: 'own' }] }
    expect(minutesBetween(by('collect', own).by, by('print', own).by)).toBeGreaterThan(0)
    expect(errands().map((e) => e.code)).not.toContain('collect')
  })
  it('bare wood is not painted', () => {
    expect(errands({ ...moths, designs: [{ ...moths.designs[0]!, choices: { ground: 'bare' } }] }).map((e) => e.code)).not.toContain(
      'paint',
    )
  })
  it('a finished sample begins before its cure, and longer before in a damp room', () => {
    const start = (house: House) => errands(moths, house).find((e) => e.id === 'sample-finished')!
    expect(start(demoHouses[0]!).startBy).toBe(true)
    const damp = { ...demoHouses[0]!, climate: { celsius: 18, humidityPct: 70 } }
    expect(minutesBetween(start(damp).by, start(demoHouses[0]!).by)).toBeGreaterThan(1000)
  })
  it('a sample of an hour is begun before the class, one of less is made in it', () => {
    const tape = demoWorkshops('2026-05-15').find((w) => w.designs[0]!.recipe.id === 'tape-film')!
    const sample = (minutes: number) => {
      const own = { value: minutes, by: 'Noor', on: '2026-05-01', why: '' }
      const house = { ...demoHouses[0]!, figures: { 'recipe.tape-film.stages.tape.minutes': own } }
      return errands(tape, house).filter((e) => e.code === 'sample')
    }
    const of = (minutes: number) => sample(minutes)[0]!.because.inputs.find((i) => i.name === 'sample-minutes')!.value as number
    const rest = of(100) - 100
    expect(of(60 - rest)).toBe(60)
    expect(sample(59 - rest)).toEqual([])
  })
  it('are open, done or late', () => {
    const late = '2026-05-14T09:00:00-04:00[America/New_York]'
    expect(by('print').state).toBe('open')
    expect(by('print', moths, demoHouses[0]!, late).state).toBe('late')
    expect(by('print', { ...moths, errandsDone: ['print'] }, demoHouses[0]!, late).state).toBe('done')
  })
  it('there are none without a date', () => expect(errands({ ...moths, sessions: [] })).toEqual([]))
})
