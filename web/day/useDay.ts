import { useEventListener, useIntervalFn, useWakeLock } from '@vueuse/core'
import { uuidv7 } from 'uuidv7'
import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import { dayRoom, foldDay, mayBegin, sayNext, tablesDay, type Announcement, type DayEvent, type DayKind, type ValueOf } from '#core/day'
import { clockOf, type House } from '#core/house'
import { planWorkshop, type Plan } from '#core/plan'
import { instantAt, minutesBetween } from '#core/time'
import { seatNames, type Workshop } from '#core/workshop'
import { useDesk } from '../app/desk'
import { makeDaySync } from './daySync'
import { useLeft } from './useLeft'
import { dayKey, keptDay } from '../app/days/keptDay'

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
  const sync = makeDaySync()
  const { events, skew } = sync
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
  watch(skew, () => (clock.value = Date.now()))
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
  /** Planned again at every tap, and every ten seconds. */
  const tenth = computed(() => now.value.slice(0, 18))
  const { left, ways } = useLeft(
    room,
    state,
    () => tenth.value,
    () => now.value,
  )
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

  /** Who is not here yet and said when they come. */
  const coming = computed(() => {
    const away = new Set(state.value?.people.flatMap((p) => (p.presence === 'unknown' ? p.id : [])))
    return new Map(room.value?.people.flatMap((p) => (p.comesAt && away.has(p.id) ? [[p.id, p.comesAt] as const] : [])))
  })
  /** What a table is drawn from. */
  const around = computed(() => ({
    ...{ state: state.value!, names: names.value, now: now.value, coming: coming.value },
    clock: house.value ? clockOf(house.value) : (24 as const),
  }))

  watch(key, (k) => void (k && sync.open(k, id.value, session.value!.id)), { immediate: true })
  const plain = <T>(x: T): T => JSON.parse(JSON.stringify(x)) as T
  let [putting, stood, stoodOf] = [Promise.resolve(), 0, '']
  watch([workshop, house, key, sync.last, skew], ([w, h, k, last]) => {
    if (!w || !h || !k) return
    const erased = desk.erased[w.id] ?? 0
    const pack = { key: k, workshop: plain(w), house: plain(h), last, skew: sync.measuredSkew(), erased }
    // One after another; what could not be kept once does not keep the next from being kept.
    putting = putting
      .then(async () => {
        stood = await keptDay.putPack(pack, stoodOf === k ? stood : 0)
        stoodOf = k
      })
      .catch(sync.atLoss)
  })

  useEventListener(window, 'imprenta:day', (e: Event) => (e as CustomEvent<string>).detail === id.value && void sync.pull())
  useEventListener(window, 'imprenta:forgot', () => void sync.reread().catch(sync.atLoss))
  useEventListener(window, 'online', () => void sync.both())
  useIntervalFn(() => void sync.both(), 4000)
  // The application itself is kept for a day without net; a browser that cannot says so in nothing that is lost.
  if (import.meta.env.PROD && 'serviceWorker' in navigator) void navigator.serviceWorker.register('/sw.js').catch(() => undefined)
  // What this device could not keep would go with the page: it asks first.
  useEventListener(window, 'beforeunload', (e) => sync.atRisk.value && e.preventDefault())
  const wake = useWakeLock()
  if (wake.isSupported.value) void wake.request('screen').catch(() => undefined)

  /** One tap, several facts: kept on this device first, shown at once, sent when the server is there. */
  function tap(...facts: { [K in DayKind]: { kind: K; value: ValueOf<K>; subject?: DayEvent['subject'] } }[DayKind][]): void {
    if (!key.value) return
    const at = instantOf(Date.now())
    const press = facts.length > 1 ? { press: uuidv7() } : {}
    const taps = facts.map(
      (f) =>
        ({
          ...{ id: uuidv7(), workshop: id.value, session: session.value!.id, subject: f.subject ?? { kind: 'room', id: 'room' } },
          ...{ kind: f.kind, value: f.value, at, device: deviceId(), seq: nextSeq(), skew: skew.value },
          ...{ actor: desk.actor || 'this device', ...press },
        }) as DayEvent,
    )
    // Heard by bin/campaign: what was shown has to be in the database in the end.
    void sync.add(taps).then(() => window.dispatchEvent(new CustomEvent('imprenta:tapped', { detail: taps.map((e) => e.id) })))
  }
  /** What was said is done: the stage begins for those it was for, or their hands are off it. Nothing is begun before a piece's own time. */
  function said(...list: Announcement[]): void {
    const facts = list
      .filter((a) => mayBegin(a, now.value))
      .flatMap((a): Parameters<typeof tap> => {
        const subject = { kind: 'table' as const, id: a.table || 'all' }
        const bound = a.neverBefore ? { neverBefore: a.neverBefore } : {}
        if (a.kind === 'begin') return [{ kind: 'said', subject, value: { cue: a.cue, stage: a.stage!.id, people: a.people, ...bound } }]
        if (a.kind === 'show') return [{ kind: 'said', value: { cue: a.cue } }]
        return [
          { kind: 'said', subject, value: { cue: a.cue } },
          { kind: 'did', subject, value: { stage: a.stage!.id, people: a.people } },
        ]
      })
    if (facts.length > 0) tap(...facts)
  }
  /** The last press of this device that still stands; all that it said is taken back. */
  const undoable = computed(() => state.value?.last[deviceId()])
  function undo(): void {
    const { value: press } = undoable
    if (press) tap(...press.map((e) => ({ kind: 'undo', value: { event: e.id } }) as const))
  }

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
    ways,
    next,
    tables,
    around,
    names,
    now,
    tap,
    said,
    undo,
    undoable,
    waiting: sync.waiting,
    refused: sync.refused,
    online: sync.online,
    full: sync.full,
    atRisk: sync.atRisk,
    looked,
    events,
  }
}
export type Day = ReturnType<typeof useDay>
