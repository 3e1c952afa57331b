import { vi } from 'vitest'
import { decide } from '#core/desk'
import { demoHouses, demoWorkshops } from '#core/demo'
import type { House } from '#core/house'
import { applyChanges, summaryOf, type Change, type Command, type Workshop } from '#core/workshop'
import { queue, unsettled } from '../app/desk/queue'
import { testNow } from './benchOf'

interface Doc {
  version: number
  erased?: number
  body: House | Workshop | null
}

/** The server's side of the desk in memory, with the real rule of what is taken. It can be away, fail, refuse a message whole, or take
 *  only small ones; it remembers every message. */
export class DeskServer {
  docs = new Map<string, Doc>([
    ...demoWorkshops('2026-05-15').map((body) => [`workshop/${body.id}`, { version: 1, body }] as const),
    ...demoHouses.map((body) => [`house/${body.id}`, { version: 1, body }] as const),
  ])
  seen = new Map<string, number>()
  messages: Command[][] = []
  asked: string[] = []
  away = false
  broken = false
  brokenReads = false
  mostInOne = Infinity
  bad = (_: Command): boolean => false

  answer = async (url: string, init?: RequestInit): Promise<Response> => {
    this.asked.push(url)
    if (this.away) throw new TypeError('no connection')
    if (this.broken || (this.brokenReads && url !== '/api/commands')) return problem(500, 'Something broke here.')
    if (url.startsWith('/api/desk')) return Response.json(this.desk(url))
    if (url.startsWith('/api/workshops?ids=')) return Response.json({ workshops: this.whole(url.split('=')[1]!.split(',')) })
    const one = /^\/api\/(workshop|house)s\/([^/]+)$/.exec(url)
    if (one) {
      const doc = this.docs.get(`${one[1]}/${one[2]}`)
      return doc?.body ? Response.json(doc) : problem(404, 'This workshop is not here any more.')
    }
    if (url === '/api/commands') return this.take(JSON.parse(String(init?.body)) as Command[])
    throw new TypeError(`no connection for ${url}`)
  }

  private list(kind: string) {
    return [...this.docs].flatMap(([key, d]) => (key.startsWith(`${kind}/`) && d.body ? [d] : []))
  }
  private whole(ids: string[]) {
    return ids.flatMap((id) => (this.docs.get(`workshop/${id}`)?.body ? [this.docs.get(`workshop/${id}`)!] : []))
  }
  private desk(url: string) {
    const summaries = this.list('workshop').map((d) => ({ version: d.version, erased: d.erased ?? 0, body: summaryOf(d.body as Workshop) }))
    return {
      now: testNow,
      last: 'run-1',
      houses: this.list('house'),
      summaries,
      workshops: this.whole(url.split('with=')[1]?.split(',') ?? []),
    }
  }

  private take(commands: Command[]): Response {
    this.messages.push(commands)
    if (commands.length > this.mostInOne) return problem(413, 'That is more than 2 MB.')
    if (commands.some(this.bad)) return problem(422, 'not a path')
    const outcomes = commands.map((c) => this.apply(c))
    const keys = [...new Set(commands.map((c) => `${c.subject.kind}/${c.subject.id}`))]
    const documents = keys.map((key) => ({ kind: key.split('/')[0], id: key.split('/')[1], ...this.docs.get(key) }))
    return Response.json({ outcomes, documents: outcomes.every((o) => o.status === 'applied') ? [] : documents })
  }

  private apply(c: Command) {
    const key = `${c.subject.kind}/${c.subject.id}`
    const doc = this.docs.get(key) ?? { version: 0, body: null }
    const known = this.seen.get(c.id)
    if (known) return { id: c.id, status: 'applied', version: known }
    const decision = decide(doc.body, c)
    if (decision.status !== 'applied') return { id: c.id, version: doc.version, ...decision }
    this.docs.set(key, { ...doc, version: doc.version + 1, body: decision.after })
    this.seen.set(c.id, doc.version + 1)
    return { id: c.id, status: 'applied', version: doc.version + 1 }
  }

  /** What somebody else does meanwhile. */
  meanwhile(id: string, changes: Change[]): void {
    const doc = this.docs.get(`workshop/${id}`)!
    this.docs.set(`workshop/${id}`, { ...doc, version: doc.version + 1, body: applyChanges<Workshop>(doc.body as Workshop, changes) })
  }
  eraseNames(id: string): void {
    const { group } = this.workshop(id)
    const participants = group.participants.map((p) => ({ ...p, name: null }))
    this.meanwhile(id, [{ path: 'group/participants', before: null, after: participants }])
    const doc = this.docs.get(`workshop/${id}`)!
    doc.erased = doc.version
  }
  workshop(id: string): Workshop {
    return this.docs.get(`workshop/${id}`)!.body as Workshop
  }
}
const problem = (status: number, what: string) => Response.json({ error: { what, path: '(server)', remedy: 'Later.' } }, { status })

/** A browser around a server in memory: nothing waits, nothing is to be settled. The browser's database has to be a stand-in. */
export async function browserWith(server: DeskServer): Promise<void> {
  await queue.remove((await queue.all()).map((w) => w.command.id))
  for (const u of await unsettled.all()) await unsettled.remove(u.command.id)
  const store = new Map<string, string>()
  const kept = { getItem: (k: string) => store.get(k) ?? null, setItem: (k: string, v: string) => void store.set(k, v) }
  kept.setItem('imprenta.actor', 'Noor')
  vi.stubGlobal('localStorage', kept)
  vi.stubGlobal('sessionStorage', kept)
  vi.stubGlobal('navigator', {
    locks: {
      request: (_name: string, a: unknown, b?: (lock: object) => unknown) => Promise.resolve(((b ?? a) as (lock: object) => unknown)({})),
      query: () => Promise.resolve({ held: [] }),
    },
  })
  vi.stubGlobal('BroadcastChannel', undefined)
  vi.stubGlobal('fetch', server.answer)
  vi.stubGlobal('EventSource', class {})
  vi.stubGlobal('window', { addEventListener: () => undefined })
  vi.stubGlobal('setInterval', () => 0)
}
