import { useEventListener, useIntervalFn, useWakeLock } from '@vueuse/core'
import { uuidv7 } from 'uuidv7'
import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import { dayRoom, foldDay, replan, sayNext, tablesDay, type Announcement, type DayEvent, type DayKind, type ValueOf } from '#core/day'
import type { House } from '#core/house'
import { planWorkshop, type Plan } from '#core/plan'
import { instantAt, minutesBetween } from '#core/time'
import { seatNames, type Workshop } from '#core/workshop'
import { useDesk } from '../app/desk'
import { dayKey, keptDay, type KeptEvent } from './keptDay'

const deviceId = (): string => {
  const known = localStorage.getItem('imprenta.device')
  if (known) return known
  const made = uuidv7()
  localStorage.setItem('imprenta.device', made)
  return made
}
const nextSeq = (): number => {
  const n = Number(localStorage.getItem('imprenta.day-seq') ?? 0) + 1
  localStorage.setItem('imprenta.day-seq', String(n))
  return n
}

/** A class's day on this device: what is known of it, its taps, what is to be said, and whether the server has it all. Goes on from what this
 *  device kept when the server is away. */
export function useDay(id: Ref<string>, asked: Ref<string>) {
  const desk = useDesk()
  const kept = shallowRef<{ workshop: Workshop; house: House }>()
  const events = shallowRef<readonly KeptEvent[]>([])
  /** Milliseconds that this device's clock is ahead of the server's. */
  const skew = ref(0)
  const last = ref(0)
  const online = ref(true)
  const full = ref(false)
  /** What was kept knew the skew. */
  let packed = false
  const looked = ref(false)

  watch(id, (one) => desk.want([one]), { immediate: true })
  void keptDay.packOf(id.value).then(
    (p) => {
      kept.value ??= p
      looked.value = true
    },
    () => (looked.value = true),
  )
  const workshop = computed(() => desk.workshop(id.value) ?? kept.value?.workshop)
  const house = computed(() => (workshop.value ? (desk.house(workshop.value.houseId) ?? kept.value?.house) : undefined))
  const say = computed(() => (house.value ? desk.say(house.value) : undefined))

  const clock = ref(Date.now())
  useIntervalFn(() => (clock.value = Date.now()), 1000)
  const zone = computed(() => house.value?.timeZone ?? 'UTC')
  const instantOf = (ms: number) => instantAt(ms, zone.value)
  const now = computed(() => instantOf(clock.value - skew.value))

  /** The plan as of the class's begin: what is late or early meanwhile is the day's. */
  const plan = shallowRef<Plan>()
  const session = computed(() => {
    const list = plan.value?.sessions ?? []
    const one = list.find((s) => s.id === asked.value)
    return one ?? list.find((s) => minutesBetween(now.value, s.to) > -60) ?? list.at(-1)
  })
  watch(
    [workshop, house],
    ([w, h]) => {
      if (w && h) plan.value = planWorkshop({ workshop: w, house: h, now: now.value })
    },
    { immediate: true },
  )
  const key = computed(() => (session.value ? dayKey(id.value, session.value.id) : undefined))
  const room = computed(() =>
    workshop.value && plan.value && session.value ? dayRoom(workshop.value, plan.value, session.value.id) : undefined,
  )
  const state = computed(
    () =>
      room.value &&
      foldDay(
        room.value,
        events.value.map((k) => k.e),
      ),
  )
  /** Planned again at every tap and every minute. */
  const minute = computed(() => now.value.slice(0, 16))
  const left = computed(() => (void minute.value, room.value && state.value ? replan(room.value, state.value, now.value) : undefined))
  const next = computed(() =>
    room.value && state.value && left.value ? sayNext(room.value, state.value, left.value, now.value) : undefined,
  )
  const tables = computed(() => (room.value && state.value ? tablesDay(room.value, state.value) : []))
  const names = computed(() => {
    const w = workshop.value
    if (!w || !plan.value) return new Map<string, string>()
    const seats = seatNames(w.group.participants, plan.value.seating)
    return new Map(w.group.participants.map((p) => [p.id, p.name ?? seats[p.id] ?? String(p.seat)]))
  })

  // What this device kept of the class, then what the server has beyond it.
  watch(
    key,
    async (k) => {
      if (!k) return
      const [pack, mine] = await Promise.all([keptDay.pack(k), keptDay.events(k)])
      if (key.value !== k) return
      if (pack) {
        ;[last.value, skew.value] = [pack.last, pack.skew]
        packed = true
      }
      events.value = merge(events.value, mine)
      await pull()
      await flush()
    },
    { immediate: true },
  )
  watch([workshop, house, key, last], ([w, h, k]) => {
    if (w && h && k)
      void keptDay
        .putPack({
          key: k,
          workshop: JSON.parse(JSON.stringify(w)),
          house: JSON.parse(JSON.stringify(h)),
          last: last.value,
          skew: skew.value,
        })
        .catch(() => (full.value = true))
  })

  const merge = (a: readonly KeptEvent[], b: readonly KeptEvent[]): KeptEvent[] => {
    const all = new Map(a.map((x) => [x.id, x]))
    for (const x of b) if (!all.get(x.id)?.sent) all.set(x.id, x)
    return [...all.values()]
  }
  let known = false
  const measured = (serverNow: string, asked: number) => {
    known = true
    skew.value = Math.round((asked + Date.now()) / 2 - Date.parse(serverNow.replace(/\[.*$/, '')))
    clock.value = Date.now()
    const guessed = events.value.filter((x) => x.unmeasured && !x.sent)
    if (guessed.length === 0) return
    const put = guessed.map(({ unmeasured: _u, ...x }): KeptEvent => ({ ...x, e: { ...x.e, skew: skew.value } }))
    const by = new Map(put.map((x) => [x.id, x]))
    events.value = events.value.map((x) => by.get(x.id) ?? x)
    void keptDay.putEvents(put).catch(() => (full.value = true))
  }
  let pulling = false
  async function pull(): Promise<void> {
    const k = key.value
    if (!k || pulling) return
    pulling = true
    try {
      for (let more = true; more;) {
        const began = Date.now()
        const res = await fetch(`/api/day/${id.value}/${session.value!.id}?after=${last.value}`)
        if (!res.ok) throw new Error(String(res.status))
        const got = (await res.json()) as { now: string; last: number; events: DayEvent[] }
        measured(got.now, began)
        online.value = true
        const fresh = got.events.map((e): KeptEvent => ({ id: e.id, key: k, e, sent: true }))
        if (fresh.length > 0) {
          await keptDay.putEvents(fresh).catch(() => (full.value = true))
          events.value = merge(events.value, fresh)
        }
        more = got.last > last.value
        last.value = got.last
      }
    } catch {
      online.value = false
    } finally {
      pulling = false
    }
  }
  let flushing = false
  async function flush(): Promise<void> {
    if (flushing) return
    flushing = true
    try {
      if (!known) await pull()
      for (;;) {
        const waiting = events.value.filter((x) => !x.sent).slice(0, 200)
        if (waiting.length === 0) break
        const began = Date.now()
        const res = await fetch('/api/day/events', {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ events: waiting.map((x) => x.e) }),
        })
        if (!res.ok) throw new Error(String(res.status))
        const got = (await res.json()) as { now: string; taken: string[]; refused: { id: string | null }[] }
        measured(got.now, began)
        online.value = true
        const here = new Set([...got.taken, ...got.refused.map((r) => r.id)])
        const sent = waiting.filter((x) => here.has(x.id)).map((x) => ({ ...x, sent: true }))
        if (sent.length === 0) break
        await keptDay.putEvents(sent).catch(() => (full.value = true))
        events.value = merge(events.value, sent)
      }
    } catch {
      online.value = false
    } finally {
      flushing = false
    }
  }
  useEventListener(window, 'imprenta:day', (e: Event) => (e as CustomEvent<string>).detail === id.value && void pull())
  useEventListener(window, 'online', () => void flush().then(pull))
  useIntervalFn(() => void flush().then(pull), 4000)
  // The application itself is kept for a day without net; a browser that cannot says so in nothing that is lost.
  if (import.meta.env.PROD && 'serviceWorker' in navigator) void navigator.serviceWorker.register('/sw.js').catch(() => undefined)
  const wake = useWakeLock()
  if (wake.isSupported.value) void wake.request('screen').catch(() => undefined)

  /** One tap, several facts: kept on this device first, shown at once, sent when the server is there. */
  function tap(...facts: { [K in DayKind]: { kind: K; value: ValueOf<K>; subject?: DayEvent['subject'] } }[DayKind][]): void {
    const k = key.value
    if (!k) return
    const mine = facts.map((f): KeptEvent => {
      const e = {
        ...{ id: uuidv7(), workshop: id.value, session: session.value!.id, subject: f.subject ?? { kind: 'room', id: 'room' } },
        ...{ kind: f.kind, value: f.value, at: instantOf(Date.now()), device: deviceId(), seq: nextSeq(), skew: skew.value },
        actor: desk.actor || 'this device',
      } as DayEvent
      return { id: e.id, key: k, e, sent: false, ...(!known && !packed && { unmeasured: true as const }) }
    })
    events.value = [...events.value, ...mine]
    void keptDay.putEvents(mine).then(flush, () => {
      full.value = true
      return flush()
    })
  }
  /** What was said is done: the stage begins for those it was for, or their hands are off it. */
  function said(a: Announcement): void {
    const subject = { kind: 'table' as const, id: a.table || 'all' }
    const bound = a.neverBefore ? { neverBefore: a.neverBefore } : {}
    if (a.kind === 'begin') return tap({ kind: 'said', subject, value: { cue: a.cue, stage: a.stage!.id, people: a.people, ...bound } })
    if (a.kind === 'show') return tap({ kind: 'said', value: { cue: a.cue } })
    tap({ kind: 'said', subject, value: { cue: a.cue } }, { kind: 'did', subject, value: { stage: a.stage!.id, people: a.people } })
  }
  const waiting = computed(() => events.value.filter((x) => !x.sent).length)
  /** The last tap of this device that still stands. */
  const undoable = computed(() => state.value?.last[deviceId()])
  const undo = () => undoable.value && tap({ kind: 'undo', value: { event: undoable.value.id } })

  return {
    desk,
    workshop,
    house,
    say,
    plan,
    session,
    room,
    state,
    left,
    next,
    tables,
    names,
    now,
    tap,
    said,
    undo,
    undoable,
    waiting,
    online,
    full,
    looked,
    events,
  }
}
export type Day = ReturnType<typeof useDay>
