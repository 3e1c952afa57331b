import { expect, it } from 'vitest'
import { betweenClasses } from '#core/day'
import type { Plan } from '#core/plan'

const at = (day: number, hour: number) => `2026-05-${day}T${String(hour).padStart(2, '0')}:00:00-04:00[America/New_York]`
const sheet = (participant: string, state: string, laid?: number, number = 1) => ({
  ...{ participant, design: 'd', number, state },
  ...(laid !== undefined && { cures: { laidAt: at(14, laid), neverBefore: at(15, laid - 12), tellAt: at(15, laid) } }),
})
const plan = (...takeHome: object[]) => ({ takeHome }) as unknown as Plan
const none = new Map<string, string>()

it('groups what becomes ready together, the earliest first, people once; what is ready by now says so', () => {
  const p = plan(sheet('a', 'laid', 19), sheet('b', 'laid', 14), sheet('c', 'cured', 19), sheet('a', 'laid', 19, 2))
  expect(betweenClasses(p, none, at(15, 14)).lying).toEqual([
    { tellAt: at(15, 14), neverBefore: at(15, 2), people: ['b'], ready: true },
    { tellAt: at(15, 19), neverBefore: at(15, 7), people: ['a', 'c'], ready: false },
  ])
})
it('what is to be laid still, is to be laid later, or is further, does not lie; states that taps say go before the plan', () => {
  const p = plan(sheet('a', 'sealed', 19), sheet('b', 'printed'), sheet('c', 'laid', 23), sheet('d', 'laid'))
  expect(betweenClasses(p, none, at(14, 20))).toEqual({ lying: [], unlaid: ['b'] })
  const told = new Map([
    ['a.d.1', 'laid'],
    ['b.d.1', 'rub-1'],
  ])
  const { lying, unlaid } = betweenClasses(p, told, at(14, 20))
  expect([lying.map((x) => x.people), unlaid]).toEqual([[['a']], []])
})
