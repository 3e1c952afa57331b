import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { House } from '#core/house'
import { takesAlone, workshopsBefore } from '#core/plan'
import { setHeadcount } from '#core/workshop'
import { browserWith, DeskServer } from '../../testing/deskServer'
import { useDesk } from './desk'
import { queue, unkeptCount, unsettled } from './queue'

const id = 'moths-of-the-marsh'
let server: DeskServer
beforeEach(async () => {
  setActivePinia(createPinia())
  server = new DeskServer()
  await browserWith(server)
})

const subject = { kind: 'workshop' as const, id }
const deed = (after: number, before = 1) => ({
  kind: 'helpers',
  label: `helpers became ${after}`,
  subject,
  changes: [{ path: 'group/helpers', before, after }],
})
const type = (before: string, after: string) => ({
  kind: 'type-title',
  label: 'the title',
  subject,
  changes: [{ path: 'title', before, after }],
})
const begun = async () => {
  const desk = useDesk()
  desk.want([id])
  await desk.start()
  return desk
}
const quiet = () => vi.waitFor(async () => expect(await queue.all()).toEqual([]))
const helpers = () => server.workshop(id).group.helpers

describe('the desk', () => {
  it('shows a deed at once, sends it, and then has the server’s version without asking for it', async () => {
    const desk = await begun()
    const asked = server.asked.length
    desk.act(deed(3))
    expect(desk.workshop(id)!.group.helpers).toBe(3)
    await quiet()
    expect([helpers(), desk.workshop(id)!.group.helpers, desk.pending.length]).toEqual([3, 3, 0])
    // Its neighbours on the shelf may be fetched meanwhile.
    expect(server.asked.slice(asked).filter((x) => !x.startsWith('/api/workshops?ids='))).toEqual(['/api/commands'])
  })
  it('31 waiting commands cost one message, and no reading', async () => {
    const desk = await begun()
    server.away = true
    for (let n = 1; n <= 31; n++) desk.act(deed(n + 1, n))
    await vi.waitFor(async () => expect(await queue.all()).toHaveLength(31))
    await vi.waitFor(() => expect(desk.offline).toBe(true))
    server.away = false
    const asked = server.asked.length
    desk.act({ ...deed(0), kind: 'tables', changes: [{ path: 'group/tables', before: 5, after: 6 }] })
    await quiet()
    expect(server.messages.at(-1)).toHaveLength(32)
    // Who was away looks at the desk before anything is sent.
    expect(server.asked.slice(asked)).toEqual([
      expect.stringMatching(new RegExp(`^/api/desk\\?with=${id}(,kelp-canvases)?$`)),
      '/api/commands',
    ])
    expect([helpers(), desk.workshop(id)!.group.helpers, desk.offline]).toEqual([32, 32, false])
  })
  it('sends what an earlier visit left waiting, in the order of its making, whatever the clock says', async () => {
    server.away = true
    const first = useDesk()
    vi.useFakeTimers({ now: Date.UTC(2030, 0, 1), toFake: ['Date'] })
    first.act(deed(3))
    vi.setSystemTime(Date.UTC(2020, 0, 1))
    first.act(deed(4, 3))
    vi.useRealTimers()
    await vi.waitFor(async () => expect([(await queue.all()).length, first.offline]).toEqual([2, true]))
    setActivePinia(createPinia())
    server.away = false
    const desk = await begun()
    await quiet()
    expect([helpers(), desk.workshop(id)!.group.helpers, desk.unsettled]).toEqual([4, 4, []])
  })
  it('keeps everything while the server is away, and while it fails; then sends it, once', async () => {
    const desk = await begun()
    for (const trouble of ['away', 'broken'] as const) {
      server[trouble] = true
      const before = desk.workshop(id)!.group.helpers
      desk.act(deed(before + 1, before))
      await vi.waitFor(() => expect(desk.offline).toBe(true))
      expect(await queue.all()).toHaveLength(1)
      expect([desk.unsettled, desk.workshop(id)!.group.helpers]).toEqual([[], before + 1])
      server[trouble] = false
      desk.act({ ...deed(0), changes: [{ path: 'title', before: desk.workshop(id)!.title, after: `Moths, ${trouble}` }] })
      await quiet()
      expect([helpers(), desk.offline]).toEqual([before + 1, false])
    }
    expect(server.workshop(id).title).toBe('Moths, broken')
  })
  it('sends less at a time when a message is too large, and loses none', async () => {
    const desk = await begun()
    server.away = true
    for (let n = 1; n <= 9; n++) desk.act(deed(n + 1, n))
    await vi.waitFor(async () => expect(await queue.all()).toHaveLength(9))
    server.away = false
    server.mostInOne = 2
    desk.act(deed(11, 10))
    await quiet()
    expect([helpers(), desk.unsettled]).toEqual([11, []])
    expect(server.messages.some((m) => m.length > 2)).toBe(true)
  })
  it('one command that the server cannot read is told with its text and put aside; the others arrive', async () => {
    const desk = await begun()
    server.away = true
    desk.act(deed(2))
    desk.act({
      kind: 'odd',
      label: 'the room was renamed',
      subject,
      changes: [{ path: 'sessions/moths-of-the-marsh-1/room', before: 'Craft room', after: 'Attic' }],
    })
    desk.act(deed(3, 2))
    await vi.waitFor(async () => expect(await queue.all()).toHaveLength(3))
    server.away = false
    server.bad = (c) => c.kind === 'odd'
    desk.act(deed(4, 3))
    await quiet()
    expect(helpers()).toBe(4)
    expect(desk.unsettled.map((u) => [u.label, u.error?.what, u.command.changes[0]!.after])).toEqual([
      ['the room was renamed', 'not a path', 'Attic'],
    ])
    expect((await unsettled.all()).map((u) => u.label)).toEqual(['the room was renamed'])
    desk.settle(desk.unsettled[0]!, false)
    await vi.waitFor(async () => expect(await unsettled.all()).toEqual([]))
  })
  it('a refused deed is no deed that could be undone', async () => {
    const desk = await begun()
    desk.act(deed(2))
    desk.act({ ...deed(-1, 2), label: 'too few' })
    await quiet()
    expect(desk.unsettled.map((u) => [u.label, u.error?.path])).toEqual([['too few', 'group.helpers']])
    expect(desk.done.map((d) => d.label)).toEqual(['helpers became 2'])
    expect([desk.workshop(id)!.group.helpers, helpers()]).toEqual([2, 2])
  })
})

describe('what somebody else changed first', () => {
  it('stays theirs, both are shown, and mine is one tap away', async () => {
    const desk = await begun()
    server.meanwhile(id, [{ path: 'group/helpers', before: 1, after: 5 }])
    desk.act(deed(3))
    await quiet()
    expect(desk.unsettled.map((c) => [c.label, c.clashes])).toEqual([
      ['helpers became 3', [{ path: 'group/helpers', stored: 5, yours: 3 }]],
    ])
    expect([desk.workshop(id)!.group.helpers, desk.done]).toEqual([5, []])
    desk.settle(desk.unsettled[0]!, true)
    await quiet()
    expect([helpers(), desk.unsettled, desk.done.length]).toEqual([3, [], 1])
  })
  it('theirs can stand, and nothing more is sent', async () => {
    const desk = await begun()
    server.meanwhile(id, [{ path: 'group/helpers', before: 1, after: 5 }])
    desk.act(deed(3))
    await quiet()
    const sent = server.messages.length
    desk.settle(desk.unsettled[0]!, false)
    await quiet()
    expect([helpers(), server.messages.length, await unsettled.all()]).toEqual([5, sent, []])
  })
  it('waits over a reload until it is settled, once', async () => {
    const first = await begun()
    server.meanwhile(id, [{ path: 'group/helpers', before: 1, after: 5 }])
    first.act(deed(3))
    await quiet()
    await vi.waitFor(async () => expect(await unsettled.all()).toHaveLength(1))
    setActivePinia(createPinia())
    const desk = await begun()
    expect(desk.unsettled.map((u) => u.label)).toEqual(['helpers became 3'])
    desk.settle(desk.unsettled[0]!, true)
    await quiet()
    expect(helpers()).toBe(3)
    setActivePinia(createPinia())
    expect((await begun()).unsettled).toEqual([])
  })
  it('mine again is the deed again: 20 people, not 22', async () => {
    const desk = await begun()
    const w = desk.workshop(id)!
    server.meanwhile(id, setHeadcount(w, 20, ['x', 'y']).changes)
    desk.act({ kind: 'headcount', label: '18 people became 20', subject, ...setHeadcount(w, 20, ['a', 'b']) })
    await quiet()
    expect(desk.unsettled[0]!.clashes).toEqual([{ path: 'group/participants', stored: 20, yours: 18 }])
    desk.settle(desk.unsettled[0]!, true)
    await quiet()
    expect(server.workshop(id).group.participants).toHaveLength(20)
    server.meanwhile(id, setHeadcount(server.workshop(id), 25, ['1', '2', '3', '4', '5']).changes)
    await desk.refresh(subject)
    desk.act({ kind: 'headcount', label: '25 people became 21', subject, ...setHeadcount(server.workshop(id), 21, []) })
    await quiet()
    expect(new Set(server.workshop(id).group.participants.map((p) => p.seat)).size).toBe(21)
  })
  it('a name for a seat that is gone is kept and told, never dropped', async () => {
    const desk = await begun()
    const last = desk.workshop(id)!.group.participants.at(-1)!
    server.meanwhile(id, setHeadcount(desk.workshop(id)!, 17, []).changes)
    desk.act({
      kind: 'type-name',
      label: 'a name',
      subject,
      changes: [{ path: `group/participants/${last.id}/name`, before: last.name, after: 'Ondine' }],
    })
    await quiet()
    expect(desk.unsettled.map((u) => u.clashes)).toEqual([[{ path: `group/participants/${last.id}/name`, stored: null, yours: 'Ondine' }]])
    desk.settle(desk.unsettled[0]!, true)
    await quiet()
    expect(server.workshop(id).group.participants.some((p) => p.name === 'Ondine')).toBe(false)
  })
  it('two texts of one field are offered whole, never a mixture, while I type on', async () => {
    const desk = await begun()
    server.meanwhile(id, [{ path: 'title', before: 'Moths of the marsh', after: 'Dusk moths' }])
    desk.act(type('Moths of the marsh', 'Moths of the marshe'))
    await quiet()
    desk.act(type('Moths of the marshe', 'Moths of the marshes'))
    desk.act(type('Moths of the marshes', 'Moths of the marshes!'))
    await quiet()
    expect(desk.unsettled.map((u) => u.clashes)).toEqual([[{ path: 'title', stored: 'Dusk moths', yours: 'Moths of the marshes!' }]])
    await vi.waitFor(async () => expect((await unsettled.all()).map((u) => u.command.changes[0]!.after)).toEqual(['Moths of the marshes!']))
    expect(server.workshop(id).title).toBe('Dusk moths')
    desk.settle(desk.unsettled[0]!, true)
    await quiet()
    expect(server.workshop(id).title).toBe('Moths of the marshes!')
  })
  it('ticks of others merge with mine', async () => {
    const desk = await begun()
    server.meanwhile(id, [{ path: 'errandsDone/order', before: null, after: 'order' }])
    desk.act({ kind: 'errand-done', label: 'packed', subject, changes: [{ path: 'errandsDone/pack', before: null, after: 'pack' }] })
    await quiet()
    expect(server.workshop(id).errandsDone).toEqual(expect.arrayContaining(['order', 'pack']))
    expect(desk.unsettled).toEqual([])
  })
  it('changes of other fields merge', async () => {
    const desk = await begun()
    server.meanwhile(id, [{ path: 'title', before: 'Moths of the marsh', after: 'Moths at dusk' }])
    desk.act(deed(3))
    await quiet()
    await vi.waitFor(() => expect([helpers(), desk.workshop(id)!.title, desk.unsettled]).toEqual([3, 'Moths at dusk', []]))
  })
})

describe('names erased elsewhere', () => {
  const name = (after: string) => ({
    kind: 'type-name',
    label: `A1 is ${after}`,
    subject,
    changes: [{ path: `group/participants/${server.workshop(id).group.participants[0]!.id}/name`, before: null, after }],
  })
  it('are not brought back by a desk that was away: it looks before it sends, and nothing here keeps them', async () => {
    server.meanwhile(id, [{ path: name('').changes[0]!.path, before: null, after: null }])
    const desk = await begun()
    server.away = true
    desk.act(name('Runa'))
    await vi.waitFor(async () => expect(await queue.all()).toHaveLength(1))
    await vi.waitFor(() => expect(desk.offline).toBe(true))
    server.eraseNames(id)
    server.away = false
    desk.act(deed(3))
    await quiet()
    expect([server.workshop(id).group.participants[0]!.name, helpers()]).toEqual([null, 3])
    expect(JSON.stringify(server.messages)).not.toContain('Runa')
    await vi.waitFor(async () => expect(JSON.stringify([await queue.all(), await unsettled.all()])).not.toContain('Runa'))
    expect(desk.unsettled.map((u) => u.label)).toEqual(['a name typed here'])
    desk.act(name('Pia'))
    await quiet()
    expect(server.workshop(id).group.participants[0]!.name).toBe('Pia')
  })
})

describe('undo', () => {
  it('and redo are commands of their own; typing in one field is one deed', async () => {
    const desk = await begun()
    desk.act(type('Moths of the marsh', 'Moths of the marshe'))
    desk.act(type('Moths of the marshe', 'Moths of the marshes'))
    expect(desk.done).toHaveLength(1)
    desk.undo()
    expect(desk.workshop(id)!.title).toBe('Moths of the marsh')
    desk.redo()
    expect(desk.workshop(id)!.title).toBe('Moths of the marshes')
    await quiet()
    expect(server.workshop(id).title).toBe('Moths of the marshes')
    expect(server.seen.size).toBe(4)
    desk.undo()
    desk.undo()
    expect(desk.done).toEqual([])
  })
  it('gives the workshop as it was, order included', async () => {
    const desk = await begun()
    const before = structuredClone(desk.workshop(id)!)
    const first = before.group.participants[2]!
    const along = before.pieces.find((p) => p.participant === first.id)!
    desk.act({
      kind: 'remove',
      label: 'somebody went',
      subject,
      changes: [
        { path: `pieces/${along.id}`, before: along, after: null, place: before.pieces.indexOf(along) },
        { path: `group/participants/${first.id}`, before: first, after: null, place: 2 },
      ],
    })
    await quiet()
    expect(server.workshop(id).group.participants).toHaveLength(17)
    desk.undo()
    await quiet()
    expect(server.workshop(id)).toEqual(before)
  })
  it('of somebody who has got a piece meanwhile leaves nothing dangling', async () => {
    const desk = await begun()
    desk.act({ kind: 'headcount', label: 'one more', subject, ...setHeadcount(desk.workshop(id)!, 19, ['new']) })
    await quiet()
    const piece = { id: 'new-d1', participant: 'new', state: 'printed' as const, laidAt: null }
    server.meanwhile(id, [{ path: 'pieces/new-d1', before: null, after: piece }])
    await desk.refresh(subject)
    desk.undo()
    await quiet()
    expect([server.workshop(id).group.participants.length, server.workshop(id).pieces.filter((p) => p.participant === 'new')]).toEqual([
      18,
      [],
    ])
  })
  it('of somebody who gets a piece at that very moment is told', async () => {
    const desk = await begun()
    desk.act({ kind: 'headcount', label: 'one more', subject, ...setHeadcount(desk.workshop(id)!, 19, ['new']) })
    await quiet()
    const piece = { id: 'new-d1', participant: 'new', state: 'printed' as const, laidAt: null }
    server.meanwhile(id, [{ path: 'pieces/new-d1', before: null, after: piece }])
    desk.undo()
    await quiet()
    expect(desk.unsettled.map((u) => u.clashes!.map((c) => c.path))).toEqual([['pieces/new-d1']])
    expect(server.workshop(id).group.participants).toHaveLength(19)
  })
})

describe('what the workshops before one take from the cupboard', () => {
  it('is fetched, worked out on the way, and counted in its plan; nothing else waits for it', async () => {
    const later = 'heron-pages'
    const desk = useDesk()
    desk.want([later])
    await desk.start()
    const house = server.docs.get('house/saltbox')!.body as House
    const w = () => desk.workshop(later)!
    expect(desk.plan(later)!.people).toBe(w().group.participants.length)
    const before = workshopsBefore(later, desk.summaries, house, desk.now)
    expect(before).toContain(id)
    await vi.waitFor(() => expect(desk.planInput(later)).toHaveProperty('reserved'))
    const takes = before.map((b) => takesAlone(server.workshop(b), house, desk.now).things)
    const reserved = Object.fromEntries(
      [...new Set(takes.flatMap((x) => Object.keys(x)))].map((k) => [k, takes.reduce((sum, x) => sum + (x[k] ?? 0), 0)]),
    )
    await vi.waitFor(() => expect(desk.planInput(later)!.reserved).toEqual(reserved))
    const taken = desk.plan(later)!.kit.filter((l) => l.toGet.reserved)
    for (const l of taken) expect([l.key, l.toGet.reserved]).toEqual([l.key, Math.min(house.cupboard[l.cupboard]!, reserved[l.cupboard]!)])
  })
})

describe('what is told of the connection and of documents', () => {
  it('sends what the browser has no room to keep, and says that the page has to stay open until then', async () => {
    const desk = await begun()
    server.away = true
    vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    const warned = vi.spyOn(console, 'warn').mockImplementation(() => undefined)
    desk.act(deed(3))
    await vi.waitFor(() => expect([desk.offline, unkeptCount.value]).toEqual([true, 1]))
    expect((await queue.all()).map((w) => w.command.kind)).toEqual(['helpers'])
    vi.mocked(IDBObjectStore.prototype.add).mockRestore()
    server.away = false
    desk.act(deed(4, 3))
    await quiet()
    expect([helpers(), unkeptCount.value, warned.mock.calls.length]).toEqual([4, 0, 2])
    warned.mockRestore()
  })
  it('a deed without a change is none', async () => {
    const desk = await begun()
    desk.act({ ...deed(1), changes: [] })
    expect([desk.done, desk.pending]).toEqual([[], []])
  })
  it('a workshop that is gone goes from the desk; one that cannot be read stays', async () => {
    const desk = await begun()
    server.brokenReads = true
    await desk.refresh(subject)
    expect([desk.workshop(id)?.id, desk.offline]).toEqual([id, true])
    server.brokenReads = false
    await desk.refresh(subject)
    expect(desk.offline).toBe(false)
    server.docs.delete(`workshop/${id}`)
    await desk.refresh(subject)
    expect([desk.workshop(id), desk.plan(id)]).toEqual([undefined, undefined])
  })
  it('an older answer never replaces a newer one', async () => {
    const desk = await begun()
    const old = structuredClone(server.docs.get(`workshop/${id}`)!)
    desk.act(deed(3))
    await quiet()
    server.docs.set(`workshop/${id}`, old)
    await desk.refresh(subject)
    await desk.load()
    expect(desk.workshop(id)!.group.helpers).toBe(3)
  })
  it('says what failed when nothing can be loaded, and is well again afterwards', async () => {
    server.away = true
    const desk = useDesk()
    await desk.start()
    expect([desk.failed, desk.offline, desk.ready]).toEqual(['no connection', true, false])
    server.away = false
    await desk.load()
    expect([desk.failed, desk.offline, desk.ready]).toEqual([undefined, false, true])
  })
  it('opens a workshop when it is wanted, and only then', async () => {
    const desk = useDesk()
    await desk.start()
    expect([desk.workshop('kelp-coasters'), desk.coming('kelp-coasters'), desk.summaries.length]).toEqual([undefined, true, 10])
    desk.want(['kelp-coasters'])
    await vi.waitFor(() => expect(desk.workshop('kelp-coasters')?.id).toBe('kelp-coasters'))
    expect([desk.coming('kelp-coasters'), desk.coming('nowhere')]).toEqual([false, false])
  })
  it('marks what the last deed changed in the plan of its workshop, and in no other', async () => {
    const desk = await begun()
    const gone = desk.workshop(id)!.group.participants.at(-1)!
    desk.act({
      kind: 'headcount',
      label: 'one fewer',
      subject,
      changes: [{ path: `group/participants/${gone.id}`, before: gone, after: null }],
    })
    expect(desk.changesSince(id)!.label).toBe('one fewer')
    expect(desk.changesSince(id)!.by.size).toBeGreaterThan(0)
    expect(desk.changesSince('kelp-coasters')).toBeUndefined()
  })
})
