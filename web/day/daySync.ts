import { computed, ref, shallowRef } from 'vue'
import type { DayEvent } from '#core/day'
import { keptDay, type KeptEvent } from '../app/days/keptDay'
import { askDay, mostAtOnce, postTaps, skewOf, withSkew } from '../app/days/sendKept'

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
    skew.value = skewOf(serverNow, asked)
    const put = events.value.filter((x) => x.unmeasured && !x.sent).map((x) => withSkew(x, skew.value))
    if (put.length === 0) return
    merge(put)
    void keep(put)
  }
  const answered = (serverNow: string, asked: number) => {
    measured(serverNow, asked)
    online.value = true
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
      const { got, asked } = await askDay<{ last: number; events: DayEvent[] }>(`/api/day/${workshop}/${session}?after=${last.value}`)
      answered(got.now, asked)
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
      const waiting = events.value.filter((x) => !x.sent && !x.refused).slice(0, mostAtOnce)
      if (waiting.length === 0) return
      const { told, now, asked } = await postTaps(waiting)
      answered(now, asked)
      // A server that says nothing of any of them would be asked for ever.
      if (told.length === 0) return
      merge(await keptDay.settle(told).catch(() => (atLoss(), told)))
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
    /** Taps live on this page alone: the device had no room, the server does not have them. */
    atRisk: computed(() => full.value && events.value.some((x) => !x.sent)),
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
    /** Names were erased from what this device keeps: notes are read again from it, and all from the server. */
    async reread(): Promise<void> {
      if (!at) return
      const { key } = at
      const mine = await keptDay.events(key)
      if (at?.key !== key) return
      events.value = events.value.filter((x) => x.e.kind !== 'note')
      merge(mine)
      last.value = 0
      await pull()
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
