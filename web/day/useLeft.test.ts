// @vitest-environment jsdom
import { expose, type Endpoint } from 'comlink'
import { describe, expect, it, vi } from 'vitest'
import { defineComponent, h, nextTick, ref, shallowRef } from 'vue'
import { mount } from '@vue/test-utils'
import { dayRoom, foldDay, type DayRoom, type DayState } from '#core/day'
import { demoHouses, demoWorkshops } from '#core/demo'
import { planWorkshop } from '#core/plan'
import { addMinutes } from '#core/time'
import { useLeft } from './useLeft'

const from = '2026-05-16T10:00:00-04:00[America/New_York]'
const workshop = demoWorkshops('2026-05-15')[0]!
const plan = planWorkshop({ workshop, house: demoHouses[0]!, now: from })
const roomOf = () => dayRoom(workshop, plan, 'moths-of-the-marsh-2')!
const until = (holds: () => boolean) => vi.waitFor(() => expect(holds()).toBe(true))

/** A thread through a channel: what it was asked, its answers held until they are let go. */
function thread() {
  const asked: string[] = []
  let go: (() => void) | undefined
  let held = false
  const { port1, port2 } = new MessageChannel()
  const worker = Object.assign(port1 as unknown as Worker, { terminate: () => (port1.close(), port2.close()), onerror: null })
  const answer = async <A>(what: string, value: A): Promise<A> => {
    asked.push(what)
    if (held) await new Promise<void>((g) => (go = g))
    return value
  }
  const left = (_s: DayState, at: string) => answer(`left ${at.slice(11, 16)}`, { doneAt: at, overMin: 0, plan: null, starts: new Map() })
  expose(
    { begin: (r: DayRoom) => answer(`room ${r.people.length}`, undefined), left, ways: () => answer('ways', { offers: [], late: [{}] }) },
    port2 as unknown as Endpoint,
  )
  port1.start()
  port2.start()
  return { worker, asked, hold: () => (held = true), release: () => ((held = false), go?.()) }
}
function used(begin: () => Worker) {
  const room = shallowRef<DayRoom | undefined>(roomOf())
  const state = shallowRef<DayState | undefined>(foldDay(room.value!, []))
  const [tick, min] = [ref(0), ref(30)]
  let made!: ReturnType<typeof useLeft>
  const setup = () => {
    made = useLeft(
      room,
      state,
      () => tick.value,
      () => addMinutes(from, min.value),
      begin,
    )
    return () => h('i')
  }
  const page = mount(defineComponent({ setup }))
  return { ...made, room, state, tick, min, page }
}

describe('what is left of a class, planned in a thread', () => {
  it('is given the room once and asked whenever something changed, then told what could be done', async () => {
    const t = thread()
    const { left, ways, tick, min, room, page } = used(() => t.worker)
    await until(() => ways.value.late.length === 1)
    expect([t.asked, left.value!.doneAt]).toEqual([['room 18', 'left 10:30', 'ways'], addMinutes(from, 30)])
    min.value = 31
    await nextTick()
    // What the time is goes with the question; alone it asks nothing.
    expect(t.asked).toHaveLength(3)
    tick.value++
    await until(() => t.asked.length === 5)
    expect(t.asked.slice(3)).toEqual(['left 10:31', 'ways'])
    room.value = { ...roomOf(), people: [] }
    await until(() => t.asked.includes('room 0'))
    await until(() => t.asked.length === 8)
    page.unmount()
  })
  it('while it thinks, of many taps only the last is asked after', async () => {
    const t = thread()
    const { left, tick, min, page } = used(() => t.worker)
    await until(() => t.asked.length === 3)
    t.hold()
    for (const m of [40, 41, 42, 43]) {
      min.value = m
      tick.value++
      await nextTick()
    }
    await until(() => t.asked.length === 4)
    expect(left.value!.doneAt).toBe(addMinutes(from, 30))
    t.release()
    await until(() => left.value!.doneAt === addMinutes(from, 43))
    expect(t.asked.filter((x) => x.startsWith('left'))).toEqual(['left 10:30', 'left 10:40', 'left 10:43'])
    page.unmount()
  })
  it('a class that is not there any more leaves nothing', async () => {
    const t = thread()
    const { left, state, page } = used(() => t.worker)
    await until(() => !!left.value)
    state.value = undefined
    await until(() => left.value === undefined)
    page.unmount()
  })
  it('a browser without threads plans on the page, says so, and goes on', async () => {
    const warned = vi.spyOn(console, 'warn').mockImplementation(() => undefined)
    const { left, ways, state, room, tick, page } = used(() => {
      throw new Error('no threads here')
    })
    await until(() => !!left.value)
    expect([left.value!.plan!.starts.length > 50, warned.mock.calls[0]]).toEqual([
      true,
      ['the day is planned on the page', 'no threads here'],
    ])
    expect(ways.value.late).toEqual([])
    const absent = {
      ...{ id: '018f0000-0000-7000-8000-000000000001', workshop: workshop.id, session: 'moths-of-the-marsh-2', kind: 'absent', value: {} },
      ...{ subject: { kind: 'person', id: room.value!.people[3]!.id }, at: from, device: 'a', seq: 1, skew: 0, actor: '' },
    } as Parameters<typeof foldDay>[1][number]
    state.value = foldDay(room.value!, [absent])
    tick.value++
    await until(() => ways.value.late.length === 1)
    warned.mockRestore()
    page.unmount()
  })
})
