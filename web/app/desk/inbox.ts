import type { Stored } from '#core/desk'
import type { House } from '#core/house'
import type { Command, Workshop } from '#core/workshop'
import { api, Refused } from '../api'
import type { Heart } from './heart'
import { mostAtOnce } from './outbox'

interface Around {
  heart: Heart
  coming: (id: string) => boolean
  ready: () => boolean
  /** Everything was loaded, or why not. */
  loaded: (now: string | undefined, failed?: string) => void
  flush: () => Promise<void>
}

/** What comes from the server: all of it at the start, then what changes elsewhere. */
export function makeInbox({ heart, coming, ready, loaded, flush }: Around) {
  const { state, happen } = heart

  let fetching: Promise<void> | undefined
  /** Fetches what has changed elsewhere, and what is wanted and not here. One failed try says that the connection is lost; the next that
   *  succeeds says that it is back. */
  const fetchStale = (): Promise<void> => (fetching ??= fetchAll().finally(() => (fetching = undefined)))
  async function fetchAll(): Promise<void> {
    for (let rounds = 0; rounds < 40; rounds++) {
      const [key] = state.value.stale
      const missing = [...wanted].filter(coming).slice(0, mostAtOnce)
      if (!key && missing.length === 0) return
      try {
        if (missing.length) await fetchWorkshops(missing)
        if (key) await fetchOne({ kind: key.split('/')[0] as 'house' | 'workshop', id: key.split('/')[1]! })
      } catch {
        return happen({ kind: 'lost' })
      }
    }
  }
  async function fetchWorkshops(ids: string[]): Promise<void> {
    const { workshops } = await api.workshops(ids)
    happen({ kind: 'fetched', documents: workshops.map((w) => ({ kind: 'workshop', id: w.body.id, ...w })) })
    for (const id of ids) if (!workshops.some((w) => w.body.id === id)) happen({ kind: 'gone', subject: { kind: 'workshop', id } })
  }
  /** Fetches a document. Only the server's word that it is not there takes it away; any other refusal leaves it as it is. */
  async function fetchOne(subject: Command['subject']): Promise<void> {
    try {
      const found: Stored<House | Workshop> = subject.kind === 'house' ? await api.house(subject.id) : await api.workshop(subject.id)
      happen({ kind: 'fetched', documents: [{ ...subject, ...found }] })
    } catch (e) {
      if (!(e instanceof Refused) || e.status !== 404) throw e
      happen({ kind: 'gone', subject })
    }
  }
  const refresh = (subject: Command['subject']): Promise<void> => fetchOne(subject).catch(() => happen({ kind: 'lost' }))

  /** Workshops that a page shows whole: fetched once, then kept up to date. */
  const wanted = new Set<string>()
  function want(ids: readonly string[]): void {
    const before = wanted.size
    for (const id of ids) wanted.add(id)
    if (wanted.size > before && ready()) void fetchStale()
  }

  /** The last event that all that was loaded has. */
  let lastEvent = ''
  async function load(): Promise<void> {
    try {
      const desk = await api.desk([...wanted].slice(0, mostAtOnce))
      lastEvent = desk.last
      happen({ kind: 'loaded', ...desk })
      loaded(desk.now)
    } catch (e) {
      loaded(undefined, e instanceof Error ? e.message : String(e))
      return happen({ kind: 'lost' })
    }
    await fetchStale()
  }

  /** What others change. A page that was away is told what it missed, or to look at everything again; then it sends what waits. */
  function listen(): void {
    const events = new EventSource(`/api/events?after=${lastEvent}`)
    events.onmessage = (m: MessageEvent<string>) => {
      const { kind, id, version } = JSON.parse(m.data) as {
        kind: 'workshop' | 'house' | 'all' | 'here' | 'day'
        id: string
        version?: number
      }
      // Taps of a class: whoever runs its day listens.
      if (kind === 'day') return void window.dispatchEvent(new CustomEvent('imprenta:day', { detail: id }))
      if (kind === 'all') return void load().then(flush)
      if (kind === 'here') {
        happen({ kind: 'back' })
        return void fetchStale().then(flush)
      }
      happen({ kind: 'heard', subject: { kind, id }, version })
      void fetchStale()
    }
    events.onerror = () => happen({ kind: 'lost' })
  }

  return { fetchStale, refresh, want, load, listen }
}
