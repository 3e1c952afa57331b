import 'fake-indexeddb/auto'
import { afterEach, beforeEach, expect, describe, it, vi } from 'vitest'
import type { DayEvent } from '#core/day'
import { keptDay, dayKey, type Pack } from '../app/days/keptDay'
import { makeDaySync } from './daySync'
import { sendKept } from '../app/days/sendKept'

let [serverMs, away] = [0, false]
let there: DayEvent[] = []
let refuse = new Set<string>()
/** What the server heard of erased names with the last taps; and whose erasing it knows of. */
let [knows, erasedThere]: [Record<string, number>, Record<string, number>] = [{}, {}]
let asked: string[] = []
let silent = false
const zoned = (ms: number) => `${new Date(ms).toISOString().slice(0, 19)}+00:00[UTC]`
const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`
let n = 0
const note = (text = 'a note'): DayEvent => ({
  ...{ id: uuid(++n), workshop: 'w', session: 's', subject: { kind: 'room', id: 'room' }, kind: 'note', value: { text } },
  ...{ at: zoned(Date.now()), device: 'd', seq: n, skew: 0, actor: 'Noor' },
})
let [id, key] = ['', '']
const open = async () => {
  const sync = makeDaySync()
  await sync.open(key, id, 's')
  return sync
}

beforeEach(() => {
  ;[id, key] = [`w${++n}`, dayKey(`w${n}`, 's')]
  ;[there, asked, away, silent] = [[], [], false, false]
  refuse = new Set()
  ;[knows, erasedThere] = [{}, {}]
  vi.stubGlobal('fetch', (path: string, init?: RequestInit) => {
    asked.push(path)
    if (away) return Promise.reject(new TypeError('no net'))
    serverMs = Date.now() - 5000
    const now = zoned(serverMs)
    if (!init) {
      const after = Number(/after=(\d+)/.exec(path)![1])
      // Two at a time, so that a list comes in parts.
      const events = there.slice(after, after + 2)
      return Promise.resolve(Response.json({ now, last: after + events.length, events }))
    }
    const sent = JSON.parse(init.body as string) as { events: DayEvent[]; knows: Record<string, number> }
    const { events } = sent
    knows = sent.knows
    if (silent) return Promise.resolve(Response.json({ now, taken: [], refused: [] }))
    const held = (e: DayEvent) => e.kind === 'note' && (erasedThere[id] ?? 0) > (knows[id] ?? 0)
    const taken = events.filter((e) => !refuse.has(e.id) && !held(e))
    for (const e of taken) if (!there.some((x) => x.id === e.id)) there.push(e)
    const refused = events.filter((e) => refuse.has(e.id)).map((e) => ({ id: e.id, what: 'Too long.', remedy: 'Shorten it.' }))
    return Promise.resolve(Response.json({ now, taken: taken.map((e) => e.id), refused }))
  })
})
afterEach(() => vi.unstubAllGlobals())

describe('taps on their way', () => {
  it('come with what the server has, in parts, each once', async () => {
    there = [note(), note(), note()]
    const sync = await open()
    expect(sync.events.value.map((x) => [x.id, x.sent])).toEqual(there.map((e) => [e.id, true]))
    expect(sync.last.value).toBe(3)
    await sync.pull()
    expect(sync.events.value).toHaveLength(3)
  })
  it('wait without net, are kept through a new page, and go when the server answers, in their order', async () => {
    const sync = await open()
    away = true
    const mine = [note('one'), note('two')]
    await sync.add(mine)
    await vi.waitFor(() => expect(sync.online.value).toBe(false))
    expect([sync.waiting.value, there]).toEqual([2, []])
    const again = await open()
    expect([again.waiting.value, again.online.value]).toEqual([2, false])
    away = false
    await again.both()
    expect(there.map((e) => e.id)).toEqual(mine.map((e) => e.id))
    expect([again.waiting.value, again.online.value]).toEqual([0, true])
    expect((await keptDay.events(key)).map((x) => x.sent)).toEqual([true, true])
  })
  it('that the server will not have are kept, named, and hold nothing else up', async () => {
    const sync = await open()
    const [bad, good] = [note('bad'), note('good')]
    refuse = new Set([bad.id])
    await sync.add([bad, good])
    await vi.waitFor(() => expect(sync.refused.value.map((x) => [x.id, x.refused])).toEqual([[bad.id, 'Too long. Shorten it.']]))
    expect([sync.waiting.value, there.map((e) => e.id)]).toEqual([0, [good.id]])
    expect((await keptDay.events(key)).map((x) => [x.id, x.sent]).sort()).toEqual(
      [
        [bad.id, false],
        [good.id, true],
      ].sort(),
    )
    asked = []
    await sync.both()
    expect(asked.every((p) => p.startsWith('/api/day/w'))).toBe(true)
  })
  it('a server that says nothing of a tap is not asked without end; it stays waiting', async () => {
    const sync = await open()
    silent = true
    await sync.add([note()])
    await vi.waitFor(() => expect(asked.filter((p) => p === '/api/day/events')).toHaveLength(1))
    await sync.flush()
    expect(sync.waiting.value).toBe(1)
  })
  it('the clock is measured; a tap from before it was ever measured gets its skew then', async () => {
    away = true
    const sync = await open()
    await sync.add([note()])
    expect(sync.events.value[0]).toMatchObject({ unmeasured: true, e: { skew: 0 } })
    away = false
    // What was under way when the net came back ends without having sent anything; the next round sends.
    await vi.waitFor(async () => {
      await sync.both()
      expect(there).toHaveLength(1)
    })
    // The server's answer has whole seconds.
    expect(Math.abs(there[0]!.skew - 5000)).toBeLessThanOrEqual(1000)
    expect(sync.events.value[0]).not.toHaveProperty('unmeasured')
  })
  it('a day that was kept before the clock was ever measured says nothing of it: taps wait for the measure', async () => {
    const pack = { key, last: 0, skew: null, house: {}, workshop: { id, sessions: [], group: { participants: [] } } } as unknown as Pack
    await keptDay.putPack(pack, 0)
    away = true
    const sync = await open()
    await sync.add([note()])
    expect([sync.events.value[0]!.unmeasured, sync.measuredSkew()]).toEqual([true, null])
    await keptDay.putPack({ ...pack, skew: 4000 }, 0)
    const later = await open()
    await later.add([note()])
    expect([later.events.value.at(-1)!.unmeasured, later.measuredSkew()]).toEqual([undefined, 4000])
  })
  it('a device without room says so and sends all the same', async () => {
    const sync = await open()
    const put = vi.spyOn(keptDay, 'putEvents').mockRejectedValue(new DOMException('no room', 'QuotaExceededError'))
    await sync.add([note()])
    await vi.waitFor(() => expect([there.length, sync.waiting.value]).toEqual([1, 0]))
    expect([sync.full.value, sync.atRisk.value]).toEqual([true, false])
    away = true
    await sync.add([note()])
    expect(sync.atRisk.value).toBe(true)
    await sync.flush()
    put.mockRestore()
  })
  it('are shown once they are kept; a device that is slow to keep is not waited for', async () => {
    const sync = await open()
    let done = () => undefined as void
    const put = vi.spyOn(keptDay, 'putEvents').mockImplementation(() => new Promise((go) => (done = () => go())))
    const adding = sync.add([note()])
    await Promise.resolve()
    expect(sync.events.value).toEqual([])
    await adding
    expect(sync.events.value).toHaveLength(1)
    expect(there).toEqual([])
    put.mockRestore()
    done()
    await vi.waitFor(() => expect(there).toHaveLength(1))
  })
  it('of another class are not shown', async () => {
    const sync = await open()
    await sync.add([note()])
    await sync.flush()
    there = []
    await sync.open(dayKey(id, 'other'), id, 'other')
    expect(sync.events.value).toEqual([])
    expect(await keptDay.events(key)).toHaveLength(1)
  })
})

describe('taps that were left with a page that was closed', () => {
  const left = (e: DayEvent, more: object = {}) => keptDay.putEvents([{ id: e.id, key, e, sent: false, ...more }])
  it('are sent from another page, in their order, measured first; what is refused is not asked again', async () => {
    // What other tests left goes first.
    await sendKept()
    there = []
    const [first, second, bad, done] = [note('1'), note('2'), note('bad'), note('done')]
    refuse = new Set([bad.id])
    await left(second)
    await left(bad)
    await left(first, { unmeasured: true })
    await keptDay.putEvents([{ id: done.id, key, e: done, sent: true }])
    await sendKept()
    expect(there.map((e) => e.id)).toEqual([first.id, second.id])
    expect(Math.abs(there[0]!.skew - 5000)).toBeLessThanOrEqual(1000)
    expect(await keptDay.unsent()).toEqual([])
    asked = []
    await sendKept()
    expect(asked).toEqual([])
  })
  it('wait where nobody answers, and where the server says nothing of them', async () => {
    await left(note())
    away = true
    await expect(sendKept()).rejects.toThrow()
    away = false
    silent = true
    await sendKept()
    expect(await keptDay.unsent()).toHaveLength(1)
    silent = false
    await sendKept()
  })
})

describe('what a device keeps of a day', () => {
  const pack = (more: Partial<Pack> = {}): Pack => ({
    ...{ key, last: 7, skew: 3, house: {} as Pack['house'] },
    workshop: {
      ...{ id, sessions: [{ date: '2026-05-09' }, { date: '2026-05-16' }] },
      group: {
        participants: [
          { id: 'a', name: 'Edda Holm' },
          { id: 'b', name: null },
        ],
      },
    } as unknown as Pack['workshop'],
    ...more,
  })
  const put = (text: string, sent: boolean) => {
    const e = note(text)
    return keptDay.putEvents([{ id: e.id, key, e, sent }])
  }
  const texts = async () => (await keptDay.events(key)).map((x) => (x.e as { value: { text: string } }).value.text).sort()

  it('loses names that were erased: out of the pack and out of notes; what is sent comes again', async () => {
    await keptDay.putPack(pack(), 0)
    await put('Edda had the good brush', true)
    await put('tell Edda Holm, edda holm and Eddas aunt', false)
    await keptDay.forget({ other: 4, [id]: 4 })
    expect(JSON.stringify(await keptDay.pack(key))).not.toContain('Edda')
    expect(await keptDay.pack(key)).toMatchObject({ last: 0, skew: 3, erased: 4 })
    expect(await texts()).toEqual(['tell …, … and Eddas aunt'])
  })
  it('loses them too where the workshop comes without its names before anybody said so', async () => {
    await keptDay.putPack(pack(), 0)
    await put('Edda had the good brush', true)
    await put('tell Edda Holm', false)
    const nameless = pack({ erased: 4, last: 9 })
    for (const p of nameless.workshop.group.participants) p.name = null
    expect(await keptDay.putPack(nameless, 7)).toBe(0)
    expect(await texts()).toEqual(['tell …'])
    await keptDay.forget({ [id]: 4 })
    expect(await texts()).toEqual(['tell …'])
  })
  it('a note goes as it stands on the device: one from before an erasing is held until it is without names, the rest goes', async () => {
    const sync = await open()
    await keptDay.putPack(pack(), 0)
    erasedThere = { [id]: 4 }
    const typed = { ...note('tell Edda Holm'), workshop: id }
    const check = { ...note(), workshop: id, kind: 'check', value: { what: 'samples', on: true } } as DayEvent
    await sync.add([typed, check])
    await sync.flush()
    expect([there.map((e) => e.id), sync.waiting.value, knows[id]]).toEqual([[check.id], 1, 0])
    await keptDay.forget({ [id]: 4 })
    await sync.flush()
    expect([there.map((e) => e.value), knows[id], sync.waiting.value]).toEqual([[check.value, { text: 'tell …' }], 4, 0])
    expect([await texts(), JSON.stringify(sync.events.value).includes('Edda')]).toEqual([['tell …', undefined].sort(), false])
  })
  it('a page that shows notes reads them again when names were erased, what is sent from the server', async () => {
    const sync = await open()
    await keptDay.putPack(pack(), 0)
    const [sent, unsent] = ['Edda one', 'Edda two'].map((t) => ({ ...note(t), workshop: id })) as [DayEvent, DayEvent]
    await sync.add([sent])
    await sync.flush()
    away = true
    await sync.add([unsent])
    await sync.flush()
    away = false
    there[0] = { ...there[0]!, value: { text: '… one' } } as DayEvent
    await keptDay.forget({ [id]: 4 })
    expect(sync.events.value.map((x) => JSON.stringify(x.e.value).includes('Edda'))).toEqual([true, true])
    await sync.reread()
    const shown = sync.events.value.map((x) => (x.e as { value: { text: string } }).value.text)
    expect(shown.sort()).toEqual(['… one', '… two'])
    expect(sync.waiting.value).toBe(1)
  })
  it('names typed after an erasing stay; each erasing is taken in once', async () => {
    await keptDay.putPack(pack({ erased: 4 }), 0)
    await keptDay.forget({ [id]: 4 })
    expect((await keptDay.pack(key))!.workshop.group.participants[0]!.name).toBe('Edda Holm')
    await keptDay.forget({ [id]: 5 })
    expect((await keptDay.pack(key))!.workshop.group.participants[0]!.name).toBeNull()
  })
  it('goes two weeks after the last class, by the day: what the server has not stays', async () => {
    await keptDay.putPack(pack(), 0)
    await put('sent', true)
    await put('not sent', false)
    await keptDay.sweep('2026-05-29', () => true)
    expect([await keptDay.pack(key), await texts()]).toEqual([pack(), ['not sent', 'sent']])
    await keptDay.sweep('2026-05-30', () => true)
    expect([await keptDay.pack(key), await texts()]).toEqual([undefined, ['not sent']])
  })
  it('goes with a workshop that is not there any more', async () => {
    await keptDay.putPack(pack(), 0)
    await keptDay.sweep('2026-05-10', (w) => w !== id)
    expect(await keptDay.pack(key)).toBeUndefined()
  })
  it('a page that is behind sets no number back; one whose taps were let go of begins again', async () => {
    expect(await keptDay.putPack(pack({ last: 9 }), 0)).toBe(9)
    expect(await keptDay.putPack(pack({ last: 5 }), 0)).toBe(9)
    await keptDay.sweep('2026-06-30', () => true)
    expect(await keptDay.putPack(pack({ last: 12 }), 9)).toBe(0)
    expect((await keptDay.pack(key))!.last).toBe(0)
  })
})
