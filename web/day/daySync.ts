import { computed, ref, shallowRef } from 'vue'
import type { DayEvent } from '#core/day'
import { keptDay, type KeptEvent } from './keptDay'

interface Answered {
  now: string
  taken: string[]
  refused: { id: string | null; what: string; remedy: string }[]
}

/** So long a tap waits to be kept before it is shown. */
const patienceMs = 150

/** The taps of one class between this device and the server: kept here first, sent when it answers, in their order; what it has beyond them is
 *  fetched. Measures how far this device's clock is ahead. A tap that the server will not have stays here, named. */
export function makeDaySync() {
  let at: { key: string; workshop: string; session: string } | undefined
  const events = shallowRef<readonly KeptEvent[]>([])
  /** Milliseconds that this device's clock is ahead of the server's. */
  const skew = ref(0)
  /** Up to which number the server's taps are here. */
  const last = ref(0)
  const online = ref(true)
  /** This device had no room for a tap: it lives as long as the page. */
  const full = ref(false)
  /** The clock was held against the server's on this page; what was kept knew how far it is off. */
  let [known, packed] = [false, false]

  const atLoss = () => {
    full.value = true
  }
  const keep = (list: readonly KeptEvent[]) => keptDay.putEvents(list).catch(atLoss)
  const merge = (fresh: readonly KeptEvent[]) => {
    const all = new Map(events.value.map((x) => [x.id, x]))
    for (const x of fresh) if (!all.get(x.id)?.sent) all.set(x.id, x)
    events.value = [...all.values()]
  }
  function measured(serverNow: string, asked: number): void {
    known = true
    skew.value = Math.round((asked + Date.now()) / 2 - Date.parse(serverNow.replace(/\[.*$/, '')))
    const put = events.value
      .filter((x) => x.unmeasured && !x.sent)
      .map(({ unmeasured: _u, ...x }): KeptEvent => ({ ...x, e: { ...x.e, skew: skew.value } }))
    if (put.length === 0) return
    merge(put)
    void keep(put)
  }
  const json = async <T>(path: string, init?: RequestInit): Promise<T> => {
    const asked = Date.now()
    const res = await fetch(path, init)
    if (!res.ok) throw new Error(String(res.status))
    const got = (await res.json()) as T & { now: string }
    measured(got.now, asked)
    online.value = true
    return got
  }
  /** One at a time; what fails is tried again by whoever asks next. */
  const alone = (work: () => Promise<void>) => {
    let running: Promise<void> | undefined
    return () =>
      (running ??= work()
        .catch((e: unknown) => {
          online.value = false
          if (!(e instanceof TypeError)) console.warn('the day could not be brought together', e)
        })
        .finally(() => (running = undefined)))
  }

  const pull = alone(async () => {
    for (let more = true; more && at;) {
      const { key, workshop, session } = at
      const got = await json<{ last: number; events: DayEvent[] }>(`/api/day/${workshop}/${session}?after=${last.value}`)
      if (at?.key !== key) return
      const fresh = got.events.map((e): KeptEvent => ({ id: e.id, key, e, sent: true }))
      if (fresh.length > 0) await keep(fresh)
      merge(fresh)
      more = got.last > last.value
      last.value = got.last
    }
  })
  const flush = alone(async () => {
    // Nothing is sent with a clock that nobody held against the server's.
    if (!known) await pull()
    if (!known) return
    for (;;) {
      const waiting = events.value.filter((x) => !x.sent && !x.refused).slice(0, 200)
      if (waiting.length === 0) return
      const got = await json<Answered>('/api/day/events', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ events: waiting.map((x) => x.e) }),
      })
      const taken = new Set(got.taken)
      const why = new Map(got.refused.map((r) => [r.id, `${r.what} ${r.remedy}`]))
      const told = waiting.flatMap((x): KeptEvent[] =>
        taken.has(x.id) ? [{ ...x, sent: true }] : why.has(x.id) ? [{ ...x, refused: why.get(x.id)! }] : [],
      )
      // A server that says nothing of any of them would be asked for ever.
      if (told.length === 0) return
      await keep(told)
      merge(told)
    }
  })

  return {
    events,
    skew,
    last,
    online,
    full,
    atLoss,
    /** How far this device's clock is ahead, as far as anybody ever measured it. */
    measuredSkew: () => (known || packed ? skew.value : null),
    /** Taps that the server does not have yet, and those that it will not have. */
    waiting: computed(() => events.value.filter((x) => !x.sent && !x.refused).length),
    refused: computed(() => events.value.filter((x) => x.refused)),
    flush,
    pull,
    both: () => flush().then(pull),
    /** Begins with a class: what this device kept of it, then what the server has. */
    async open(key: string, workshop: string, session: string): Promise<void> {
      at = { key, workshop, session }
      const [pack, mine] = await Promise.all([keptDay.pack(key), keptDay.events(key)]).catch(() => [undefined, [] as KeptEvent[]] as const)
      if (at.key !== key) return
      if (pack) last.value = pack.last
      if (pack && pack.skew !== null && !known) {
        skew.value = pack.skew
        packed = true
      }
      // Another class was open before: its taps are kept, not shown here.
      events.value = events.value.filter((x) => x.key === key)
      merge(mine)
      await pull()
      await flush()
    },
    /** Kept on this device, then shown, then sent: what was seen to happen survives the page. A device that is slow to keep is not waited for. */
    async add(list: readonly DayEvent[]): Promise<void> {
      const { key } = at!
      const mine = list.map((e): KeptEvent => ({ id: e.id, key, e, sent: false, ...(!known && !packed && { unmeasured: true }) }))
      const kept = keep(mine)
      await Promise.race([kept, new Promise((go) => setTimeout(go, patienceMs))])
      if (at?.key === key) merge(mine)
      void kept.then(flush)
    },
  }
}
