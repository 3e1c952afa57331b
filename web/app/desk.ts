import { defineStore } from 'pinia'
import { uuidv7 } from 'uuidv7'
import { computed, reactive, ref, shallowRef } from 'vue'
import type { House } from '#core/house'
import { difference, planWorkshop, type Difference, type Plan } from '#core/plan'
import { phrases } from '#core/phrases'
import { addMinutes, inZone } from '#core/time'
import { inverse, lenient, valueAt, type Change, type Clash, type Command, type Guard, type Workshop } from '#core/workshop'
import { api, Refused, type Outcome, type Problem, type Stored } from './api'
import { queue, unkeptCount } from './queue'

export interface Deed {
  kind: string
  /** What it was, for Undo and for "since …". */
  label: string
  subject: Command['subject']
  changes: Change[]
  guards?: Guard[]
}

export interface Conflict {
  command: Command
  label: string
  clashes: Clash[]
}

/** So many commands go in one message. */
const mostAtOnce = 50

type Docs<T> = Record<string, Stored<T>>

/** The desk: documents as the server has them, what waits to be sent on top, and the deeds of this visit. */
export const useDesk = defineStore('desk', () => {
  const houses = shallowRef<Docs<House>>({})
  const stored = shallowRef<Docs<Workshop>>({})
  const pending = shallowRef<Command[]>([])
  const ready = ref(false)
  const offline = ref(false)
  const failed = ref<string>()
  const conflicts = ref<Conflict[]>([])
  const refusal = ref<Problem>()
  const actor = ref(localStorage.getItem('imprenta.actor') ?? '')
  const serverNow = shallowRef({ now: '1970-01-01T00:00:00+00:00[UTC]', at: Date.now() })
  const tick = ref(0)
  const done = reactive<Deed[]>([])
  const undone = reactive<Deed[]>([])
  const since = shallowRef<{ workshop: string; label: string; before: Plan }>()

  const now = computed(() => {
    void tick.value
    return addMinutes(serverNow.value.now, Math.floor((Date.now() - serverNow.value.at) / 60_000))
  })
  const mine = (kind: 'house' | 'workshop', id: string) => pending.value.filter((c) => c.subject.kind === kind && c.subject.id === id)
  const workshops = computed(() => {
    const ids = new Set([
      ...Object.keys(stored.value),
      ...pending.value.filter((c) => c.subject.kind === 'workshop').map((c) => c.subject.id),
    ])
    const list = [...ids].flatMap((id) => lenient<Workshop>(stored.value[id]?.body ?? null, mine('workshop', id)) ?? [])
    return list.sort((a, b) => (a.createdAt < b.createdAt ? -1 : 1))
  })
  const houseList = computed(() => Object.values(houses.value).map((h) => lenient<House>(h.body, mine('house', h.body.id))!))
  const house = (id: string) => houseList.value.find((h) => h.id === id)
  const workshop = (id: string) => workshops.value.find((w) => w.id === id)

  /** Plans by workshop, each made when it is first asked for; anew whenever a document or the minute changes. */
  const plans = computed(() => {
    void [workshops.value, houseList.value, now.value]
    const cache = new Map<string, Plan>()
    return (id: string): Plan | undefined => {
      const w = workshop(id)
      const h = w && house(w.houseId)
      if (!w || !h) return undefined
      if (!cache.has(id)) cache.set(id, planWorkshop({ workshop: w, house: h, now: inZone(now.value, h.timeZone) }))
      return cache.get(id)
    }
  })
  const plan = (id: string) => plans.value(id)
  const say = (h: House) => phrases(h, inZone(now.value, h.timeZone))

  /** What changed in a workshop's plan since the last deed, by figure. */
  function changesSince(id: string): { label: string; by: Map<string, Difference> } | undefined {
    const p = plan(id)
    if (!since.value || since.value.workshop !== id || !p) return undefined
    return { label: since.value.label, by: new Map(difference(since.value.before, p).map((d) => [d.key, d])) }
  }

  function makeCommand(d: Deed): Command {
    const doc = d.subject.kind === 'house' ? houses.value[d.subject.id] : stored.value[d.subject.id]
    return {
      id: uuidv7(),
      subject: d.subject,
      baseVersion: doc?.version ?? 0,
      kind: d.kind,
      changes: d.changes,
      guards: d.guards ?? [],
      actor: actor.value,
      at: now.value,
    }
  }

  /** Does a deed: seen at once, kept in the browser until the server has it. */
  function perform(d: Deed): void {
    if (d.changes.length === 0) return
    if (d.subject.kind === 'workshop') {
      const before = plan(d.subject.id)
      if (before) since.value = { workshop: d.subject.id, label: d.label, before }
    }
    const command = makeCommand(d)
    pending.value = [...pending.value, command]
    labels.set(command.id, d.label)
    void queue.put(command).then(flush)
  }
  const labels = new Map<string, string>()

  function act(d: Deed): void {
    if (d.changes.length === 0) return
    perform(d)
    const last = done.at(-1)
    const typing =
      last &&
      d.changes.length === 1 &&
      last.changes.length === 1 &&
      last.kind === d.kind &&
      d.kind.startsWith('type-') &&
      last.changes[0]!.path === d.changes[0]!.path
    if (typing) last.changes[0]!.after = d.changes[0]!.after
    else done.push(JSON.parse(JSON.stringify(d)) as Deed)
    undone.splice(0)
  }

  function undo(): void {
    const last = done.pop()
    if (!last) return
    undone.push(last)
    perform({ ...last, kind: 'undo', label: `undo: ${last.label}`, changes: inverse(last.changes), guards: [] })
  }

  function redo(): void {
    const last = undone.pop()
    if (!last) return
    done.push(last)
    perform({ ...last, kind: 'redo', guards: [] })
  }

  let flushing: Promise<void> | undefined
  const flush = (): Promise<void> => (flushing ??= sendAll().finally(() => (flushing = undefined)))

  /** Sends what waits, in order; one tab at a time. What the server refuses whole is sent in smaller lots, so that one bad or too
   *  large command takes no other with it; a server that fails keeps everything waiting. */
  async function sendAll(): Promise<void> {
    await navigator.locks.request('imprenta-queue', async () => {
      let lot = mostAtOnce
      for (;;) {
        const waiting = (await queue.all()).slice(0, lot)
        if (waiting.length === 0) break
        try {
          const { outcomes } = await api.send(waiting)
          offline.value = false
          for (const [i, outcome] of outcomes.entries()) await settle(waiting[i]!, outcome)
          lot = mostAtOnce
        } catch (e) {
          if (!(e instanceof Refused) || !e.final) {
            offline.value = true
            break
          }
          if (waiting.length > 1) lot = Math.floor(waiting.length / 2)
          else {
            refusal.value = e.problem
            await forget(waiting[0]!)
          }
        }
      }
    })
    const left = new Set((await queue.all()).map((c) => c.id))
    pending.value = pending.value.filter((c) => left.has(c.id))
  }

  async function settle(command: Command, outcome: Outcome): Promise<void> {
    if (outcome.status === 'conflict')
      conflicts.value.push({ command, label: labels.get(command.id) ?? command.kind, clashes: outcome.clashes })
    if (outcome.status === 'refused') refusal.value = outcome.error
    await refresh(command.subject)
    await forget(command)
  }

  async function forget(command: Command): Promise<void> {
    await queue.remove(command.id)
    pending.value = pending.value.filter((c) => c.id !== command.id)
  }

  async function refresh(subject: Command['subject']): Promise<void> {
    try {
      if (subject.kind === 'house') houses.value = { ...houses.value, [subject.id]: await api.house(subject.id) }
      else stored.value = { ...stored.value, [subject.id]: await api.workshop(subject.id) }
    } catch (e) {
      if (!(e instanceof Refused) || subject.kind === 'house') throw e
      const { [subject.id]: _gone, ...rest } = stored.value
      stored.value = rest
    }
  }

  /** Settles a conflict: their value stands, or mine is put back on top of it. */
  function resolveConflict(c: Conflict, mineAgain: boolean): void {
    conflicts.value = conflicts.value.filter((x) => x !== c)
    if (!mineAgain) return
    const doc = c.command.subject.kind === 'house' ? house(c.command.subject.id) : workshop(c.command.subject.id)
    act({
      kind: c.command.kind,
      label: c.label,
      subject: c.command.subject,
      changes: c.command.changes.map((x) => ({ ...x, before: valueAt(doc, x.path) })),
    })
  }

  async function load(): Promise<void> {
    try {
      const desk = await api.desk()
      serverNow.value = { now: desk.now, at: Date.now() }
      houses.value = Object.fromEntries(desk.houses.map((h) => [h.body.id, h]))
      stored.value = Object.fromEntries(desk.workshops.map((w) => [w.body.id, w]))
      offline.value = false
      failed.value = undefined
      ready.value = true
    } catch (e) {
      failed.value = e instanceof Error ? e.message : String(e)
      offline.value = true
    }
  }

  /** Loads everything, sends what was left from before, and listens for what others change. */
  async function start(): Promise<void> {
    const [left] = await Promise.all([queue.all(), load()])
    const kept = new Set(left.map((c) => c.id))
    pending.value = [...left, ...pending.value.filter((c) => !kept.has(c.id))]
    await flush()
    const events = new EventSource('/api/events')
    events.onmessage = (m: MessageEvent<string>) => {
      const { kind, id } = JSON.parse(m.data) as { kind: 'workshop' | 'house' | 'all'; id: string }
      void (kind === 'all' ? load() : refresh({ kind, id }).catch(() => (offline.value = true)))
    }
    events.onopen = () => void (offline.value ? load().then(flush) : undefined)
    events.onerror = () => (offline.value = true)
    setInterval(() => tick.value++, 30_000)
    setInterval(() => void (pending.value.length && flush()), 3000)
    window.addEventListener('online', () => void flush())
    // What the browser could not keep would go with the page: it asks first.
    window.addEventListener('beforeunload', (e) => unkeptCount.value > 0 && e.preventDefault())
  }

  function callMe(name: string): void {
    actor.value = name
    localStorage.setItem('imprenta.actor', name)
  }

  return {
    ready,
    offline,
    failed,
    conflicts,
    refusal,
    actor,
    now,
    pending,
    workshops,
    houseList,
    house,
    workshop,
    plan,
    say,
    refresh,
    changesSince,
    done,
    undone,
    act,
    undo,
    redo,
    resolveConflict,
    start,
    load,
    callMe,
  }
})
