import { describe, expect, it } from 'vitest'
import { betweenClasses, shelfBeside, type DayRoom, type DayState } from '#core/day'
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

describe('the shelf while a class runs', () => {
  const route = [{ id: 'd.rub', design: 'd', afterCure: true }]
  const one = (id: string, neverBefore: string | null) => ({ id, route, pieces: [{ design: 'd', neverBefore }] })
  const room = {
    people: ['a', 'b', 'c', 'e'].map((id) => one(id, id === 'b' ? at(15, 20) : at(15, 7))),
    sparesUsed: {},
  } as unknown as DayRoom
  const person = (id: string, presence: string, at = 0) => ({ id, presence, at })
  const state = (people: object[], pieces: object[] = []) => ({ people, pieces }) as unknown as DayState
  const p = { ...plan(sheet('a', 'laid', 19), sheet('b', 'laid', 23), sheet('c', 'laid', 19), sheet('e', 'laid', 19)), designs: [] } as Plan
  const who = (s: DayState, hour: number) => shelfBeside(p, room, s, at(15, hour)).lying.map((g) => g.people)
  it('is without what somebody at a table may rub; with who is away, through, or has a piece whose time is not yet', () => {
    const s = state([person('a', 'here'), person('b', 'here'), person('c', 'absent'), person('e', 'unknown')])
    expect(who(s, 9)).toEqual([['c'], ['b']])
    expect(who(s, 12)).toEqual([['c']])
    expect(who(state([person('a', 'here', 1), person('c', 'left')]), 12)).toEqual([['a', 'c', 'e'], ['b']])
  })
  it('has the spares that are left, ready when the last that was laid is; none where the class itself lays', () => {
    const designs = [{ design: 'd', spares: { count: 3, blanks: 3 } }]
    const of = (r: DayRoom, used: number, hour: number) =>
      shelfBeside({ ...p, designs } as unknown as Plan, r, state([], [{ design: 'd', spares: used }]), at(15, hour)).spares
    expect(of(room, 1, 12)).toEqual([{ design: 'd', left: 2, neverBefore: at(15, 20), ready: false }])
    expect(of(room, 1, 20)).toMatchObject([{ left: 2, ready: true }])
    expect(of(room, 3, 20)).toEqual([])
    const lays = {
      people: room.people.map((x) => ({ ...x, route: [{ id: 'd.lay', design: 'd', afterCure: false }] })),
      sparesUsed: {},
    } as unknown as DayRoom
    expect(of(lays, 0, 20)).toEqual([])
  })
})
