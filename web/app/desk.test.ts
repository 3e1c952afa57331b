import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { applyChanges, clashes, type Change, type Command, type Workshop } from '#core/workshop'
import { useDesk } from './desk'
import { queue, unkeptCount } from './queue'

const id = 'moths-of-the-marsh'
const now = '2026-05-15T15:00:00-04:00[America/New_York]'

/** A server in memory with the one rule that matters here: a change is applied when nobody was there first. It can be away, fail,
 *  refuse a message whole, or take only small ones; it remembers every message. */
class Server {
  docs = new Map(demoWorkshops('2026-05-15').map((body) => [body.id, { version: 1, body }]))
  seen = new Set<string>()
  messages: Command[][] = []
  away = false
  broken = false
  mostInOne = Infinity
  bad = (_: Command) => false

  answer = async (url: string, init?: RequestInit): Promise<Response> => {
    if (this.away) throw new TypeError('no connection')
    if (this.broken) return Response.json({ error: { what: 'Something broke here.', path: '(server)', remedy: 'Later.' } }, { status: 500 })
    if (url === '/api/desk')
      return Response.json({ now, houses: demoHouses.map((body) => ({ version: 1, body })), workshops: [...this.docs.values()] })
    if (url.startsWith('/api/workshops/')) {
      const found = this.docs.get(url.split('/').at(-1)!)
      return found
        ? Response.json(found)
        : Response.json({ error: { what: 'This workshop is not here any more.', path: '(address)', remedy: 'Go back.' } }, { status: 404 })
    }
    if (url === '/api/commands') return this.take(JSON.parse(String(init?.body)) as Command[])
    throw new Error(url)
  }

  private take(commands: Command[]): Response {
    this.messages.push(commands)
    if (commands.length > this.mostInOne)
      return Response.json({ error: { what: 'That is more than 2 MB.', path: '(input)', remedy: 'Send less.' } }, { status: 413 })
    if (commands.some(this.bad))
      return Response.json({ error: { what: 'not a path', path: '0.changes.0.path', remedy: 'Name fields.' } }, { status: 422 })
    return Response.json({ outcomes: commands.map((c) => this.apply(c)) })
  }

  private apply(c: Command) {
    const doc = this.docs.get(c.subject.id)!
    if (this.seen.has(c.id)) return { id: c.id, status: 'applied', version: doc.version }
    const against = clashes(doc.body, c)
    if (against.length) return { id: c.id, status: 'conflict', version: doc.version, clashes: against }
    this.seen.add(c.id)
    const body = applyChanges<Workshop>(doc.body, c.changes)!
    this.docs.set(c.subject.id, { version: doc.version + 1, body })
    return { id: c.id, status: 'applied', version: doc.version + 1 }
  }

  /** What somebody else does meanwhile. */
  meanwhile(change: Change): void {
    const doc = this.docs.get(id)!
    this.docs.set(id, { version: doc.version + 1, body: applyChanges<Workshop>(doc.body, [change])! })
  }
  get helpers(): number {
    return this.docs.get(id)!.body.group.helpers
  }
}

let server: Server
beforeEach(async () => {
  setActivePinia(createPinia())
  for (const c of await queue.all()) await queue.remove(c.id)
  server = new Server()
  vi.stubGlobal('localStorage', { getItem: () => 'Noor', setItem: () => undefined })
  vi.stubGlobal('navigator', { locks: { request: (_name: string, fn: () => Promise<void>) => fn() } })
  vi.stubGlobal('fetch', server.answer)
  vi.stubGlobal('EventSource', class {})
  vi.stubGlobal('window', { addEventListener: () => undefined })
  vi.stubGlobal('setInterval', () => 0)
})

const deed = (after: number, before = 1) => ({
  kind: 'helpers',
  label: `helpers became ${after}`,
  subject: { kind: 'workshop' as const, id },
  changes: [{ path: 'group/helpers', before, after }],
})
const begun = async () => {
  const desk = useDesk()
  await desk.start()
  return desk
}
const quiet = () => vi.waitFor(async () => expect(await queue.all()).toEqual([]))

describe('the desk', () => {
  it('shows a deed at once, sends it, and then has the server’s version', async () => {
    const desk = await begun()
    desk.act(deed(3))
    expect(desk.workshop(id)!.group.helpers).toBe(3)
    await quiet()
    expect([server.helpers, desk.workshop(id)!.group.helpers, desk.pending.length]).toEqual([3, 3, 0])
  })
  it('sends what an earlier visit left waiting', async () => {
    server.away = true
    const first = useDesk()
    first.act(deed(3))
    await vi.waitFor(async () => expect([(await queue.all()).length, first.offline]).toEqual([1, true]))
    setActivePinia(createPinia())
    server.away = false
    const desk = await begun()
    await quiet()
    expect([server.helpers, desk.workshop(id)!.group.helpers]).toEqual([3, 3])
  })
  it('keeps everything while the server is away, and while it fails; then sends it, once', async () => {
    const desk = await begun()
    for (const trouble of ['away', 'broken'] as const) {
      server[trouble] = true
      const before = desk.workshop(id)!.group.helpers
      desk.act(deed(before + 1, before))
      await vi.waitFor(() => expect(desk.offline).toBe(true))
      expect(await queue.all()).toHaveLength(1)
      expect([desk.refusal, desk.workshop(id)!.group.helpers]).toEqual([undefined, before + 1])
      server[trouble] = false
      desk.act({ ...deed(0), changes: [{ path: 'title', before: desk.workshop(id)!.title, after: `Moths, ${trouble}` }] })
      await quiet()
      expect([server.helpers, desk.offline]).toEqual([before + 1, false])
    }
    expect(server.docs.get(id)!.body.title).toBe('Moths, broken')
  })
  it('sends less at a time when a message is too large, and loses none', async () => {
    const desk = await begun()
    server.away = true
    for (let n = 1; n <= 9; n++) desk.act(deed(n + 1, n))
    await vi.waitFor(async () => expect(await queue.all()).toHaveLength(9))
    server.away = false
    server.mostInOne = 2
    await desk.load()
    desk.act(deed(11, 10))
    await quiet()
    expect([server.helpers, desk.refusal]).toEqual([11, undefined])
    expect(server.messages.some((m) => m.length > 2)).toBe(true)
  })
  it('one command that the server cannot read is told and put aside; the others arrive', async () => {
    const desk = await begun()
    server.away = true
    desk.act(deed(2))
    desk.act({ ...deed(0), kind: 'odd', changes: [{ path: 'group/tables', before: 5, after: 7 }] })
    desk.act(deed(3, 2))
    await vi.waitFor(async () => expect(await queue.all()).toHaveLength(3))
    server.away = false
    server.bad = (c) => c.kind === 'odd'
    desk.act(deed(4, 3))
    await quiet()
    expect([server.helpers, desk.refusal?.what]).toEqual([4, 'not a path'])
  })
  it('a field that somebody else changed first stays theirs, both are shown, and mine is one tap away', async () => {
    const desk = await begun()
    server.meanwhile({ path: 'group/helpers', before: 1, after: 5 })
    desk.act(deed(3))
    await quiet()
    expect(desk.conflicts.map((c) => [c.label, c.clashes])).toEqual([
      ['helpers became 3', [{ path: 'group/helpers', stored: 5, yours: 3 }]],
    ])
    expect(desk.workshop(id)!.group.helpers).toBe(5)
    desk.resolveConflict(desk.conflicts[0]!, true)
    await quiet()
    expect([server.helpers, desk.conflicts]).toEqual([3, []])
  })
  it('theirs can stand, and nothing more is sent', async () => {
    const desk = await begun()
    server.meanwhile({ path: 'group/helpers', before: 1, after: 5 })
    desk.act(deed(3))
    await quiet()
    const sent = server.messages.length
    desk.resolveConflict(desk.conflicts[0]!, false)
    await quiet()
    expect([server.helpers, server.messages.length]).toEqual([5, sent])
  })
  it('changes of other fields merge', async () => {
    const desk = await begun()
    server.meanwhile({ path: 'title', before: 'Moths of the marsh', after: 'Moths at dusk' })
    desk.act(deed(3))
    await quiet()
    expect([server.helpers, desk.workshop(id)!.title, desk.conflicts]).toEqual([3, 'Moths at dusk', []])
  })
  it('undo and redo are commands of their own; typing in one field is one deed', async () => {
    const desk = await begun()
    const type = (before: string, after: string) =>
      desk.act({ kind: 'type-title', label: 'the title', subject: { kind: 'workshop', id }, changes: [{ path: 'title', before, after }] })
    type('Moths of the marsh', 'Moths of the marshe')
    type('Moths of the marshe', 'Moths of the marshes')
    expect(desk.done).toHaveLength(1)
    desk.undo()
    expect(desk.workshop(id)!.title).toBe('Moths of the marsh')
    desk.redo()
    expect(desk.workshop(id)!.title).toBe('Moths of the marshes')
    await quiet()
    expect(server.docs.get(id)!.body.title).toBe('Moths of the marshes')
    expect(server.seen.size).toBe(4)
    desk.undo()
    desk.undo()
    expect(desk.done).toEqual([])
  })
  it('sends what the browser has no room to keep, and says that the page has to stay open until then', async () => {
    const desk = await begun()
    server.away = true
    vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    const warned = vi.spyOn(console, 'warn').mockImplementation(() => undefined)
    desk.act(deed(3))
    await vi.waitFor(() => expect([desk.offline, unkeptCount.value]).toEqual([true, 1]))
    expect((await queue.all()).map((c) => c.kind)).toEqual(['helpers'])
    vi.mocked(IDBObjectStore.prototype.put).mockRestore()
    server.away = false
    desk.act(deed(4, 3))
    await quiet()
    expect([server.helpers, unkeptCount.value, warned.mock.calls.length]).toEqual([4, 0, 1])
    warned.mockRestore()
  })
  it('a deed without a change is none', async () => {
    const desk = await begun()
    desk.act({ ...deed(1), changes: [] })
    expect([desk.done, desk.pending]).toEqual([[], []])
  })
  it('a workshop that is gone goes from the desk', async () => {
    const desk = await begun()
    server.docs.delete(id)
    await desk.refresh({ kind: 'workshop', id })
    expect(desk.workshop(id)).toBeUndefined()
    expect(desk.plan(id)).toBeUndefined()
  })
  it('says what failed when nothing can be loaded, and is well again afterwards', async () => {
    server.away = true
    const desk = useDesk()
    await desk.load()
    expect([desk.failed, desk.offline, desk.ready]).toEqual(['no connection', true, false])
    server.away = false
    await desk.load()
    expect([desk.failed, desk.offline, desk.ready]).toEqual([undefined, false, true])
  })
  it('marks what the last deed changed in the plan of its workshop, and in no other', async () => {
    const desk = await begun()
    const people = desk.workshop(id)!.group.participants
    const gone = people.at(-1)!
    desk.act({
      kind: 'headcount',
      label: 'one fewer',
      subject: { kind: 'workshop', id },
      changes: [{ path: `group/participants/${gone.id}`, before: gone, after: null }],
    })
    expect(desk.changesSince(id)!.label).toBe('one fewer')
    expect(desk.changesSince(id)!.by.size).toBeGreaterThan(0)
    expect(desk.changesSince('kelp-coasters')).toBeUndefined()
  })
})
