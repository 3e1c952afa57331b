import { inWorkshop } from '#core/workshop'
import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { queue } from '../app/desk/queue'
import { browserWith, DeskServer } from '../testing/deskServer'
import { useBench } from './useBench'

let away = false
/** A server that gives the demo and then is away; the browser's database is a stand-in in memory. */
beforeEach(async () => {
  away = false
  setActivePinia(createPinia())
  const server = new DeskServer()
  await browserWith(server)
  vi.stubGlobal('fetch', (url: string, init?: RequestInit) =>
    url === '/api/commands' || away ? Promise.reject(new TypeError('offline')) : server.answer(url, init),
  )
})

async function bench(id = 'moths-of-the-marsh') {
  const b = useBench(ref(id))
  b.desk.want([id])
  await b.desk.load()
  return b
}

describe('the bench', () => {
  it('plans what the server gave', async () => {
    const b = await bench()
    expect(b.plan.value!.people).toBe(18)
    expect(b.say.value!.decision(b.plan.value!.decisions[0]!)).toBe('18 adults')
  })
  it('shows a deed at once, marks what changed, and keeps it while the server is away', async () => {
    const b = await bench()
    away = true
    b.people(19)
    expect(b.plan.value!.people).toBe(19)
    expect(b.since.value!.label).toBe('18 people became 19')
    expect(b.change('prints')!.by).toBe(1)
    await vi.waitFor(async () => expect(await queue.all()).toHaveLength(1))
    await vi.waitFor(() => expect(b.desk.offline).toBe(true))
    expect(b.plan.value!.people).toBe(19)
  })
  it('undoes and redoes through every deed of the visit, across workshops', async () => {
    const b = await bench()
    b.people(20)
    b.set(inWorkshop.group.helpers, 4, 'helpers became 4')
    const other = useBench(ref('kelp-coasters'))
    b.desk.want(['kelp-coasters'])
    await vi.waitFor(() => expect(other.workshop.value?.id).toBe('kelp-coasters'))
    other.people(11)
    b.desk.undo()
    expect(other.plan.value!.people).toBe(10)
    b.desk.undo()
    expect(b.workshop.value!.group.helpers).toBe(1)
    b.desk.undo()
    expect(b.plan.value!.people).toBe(18)
    expect(b.desk.done).toHaveLength(0)
    b.desk.redo()
    b.desk.redo()
    expect([b.plan.value!.people, b.workshop.value!.group.helpers]).toEqual([20, 4])
    b.set(inWorkshop.group.helpers, 5, 'helpers became 5')
    expect(b.desk.undone).toHaveLength(0)
  })
  it('typing in one field is one deed', async () => {
    const b = await bench()
    for (const t of ['M', 'Mo', 'Mot']) b.set(inWorkshop.title, t, 'renamed', 'type-title')
    expect(b.desk.done).toHaveLength(1)
    b.desk.undo()
    expect(b.workshop.value!.title).toBe('Moths of the marsh')
  })
  it('does nothing when nothing changes', async () => {
    const b = await bench()
    b.set(inWorkshop.group.helpers, 1, 'the same')
    expect(b.desk.done).toHaveLength(0)
  })
  it('asks before a named person goes', async () => {
    const b = await bench()
    expect(b.people(17)).toMatchObject({ ask: 'remove-named', names: ['Wren'] })
    expect(b.plan.value!.people).toBe(18)
  })
  it('says what a way out would do before it is pressed', async () => {
    const b = await bench()
    b.set(inWorkshop.sessions('moths-of-the-marsh-2').date, '2026-05-15', 'moved')
    const found = b.plan.value!.findings.find((f) => f.code === 'too-soon' || f.code === 'risky')!
    const effects = Object.fromEntries(found.remedies.map((r) => [r.code, b.effect(r)]))
    expect(effects['move-session-ready']).toBe('ready')
    expect(effects['finish-at-home']).toMatch(/^ready /)
  })
  it('of a workshop that is not here is empty', async () => {
    const b = await bench('nothing')
    expect(b.plan.value).toBeUndefined()
  })
})
