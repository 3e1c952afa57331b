import { defineStore } from 'pinia'
import { uuidv7 } from 'uuidv7'
import { computed, ref, shallowRef } from 'vue'
import {
  emptyDesk,
  redoOf,
  seenAs,
  step,
  undoOf,
  type Deed,
  type DeskEvent,
  type Document,
  type Stored,
  type Unsettled,
  type Waiting,
} from '#core/desk'
import type { House } from '#core/house'
import { difference, type Difference, type Plan } from '#core/plan'
import { phrases } from '#core/phrases'
import { addMinutes, inZone } from '#core/time'
import { again, type Command, type Summary, type Workshop } from '#core/workshop'
import { api, Refused } from './api'
import { makePlans } from './plans'
import { forgetIn, queue, unkeptCount, unsettled } from './queue'
import { inTurn, nameTab } from './turns'

/** So many commands go in one message, and so many workshops are fetched in one. */
const mostAtOnce = 50

/** The desk: documents as the server has them, what waits to be sent on top, and the deeds of this visit. What happens to it is
 *  `core/desk`; here it meets the browser's database, the network and the clock. */
export const useDesk = defineStore('desk', () => {
  const state = shallowRef(emptyDesk(''))
  const ready = ref(false)
  const failed = ref<string>()
  const actor = ref(localStorage.getItem('imprenta.actor') ?? '')
  const serverNow = shallowRef({ now: '1970-01-01T00:00:00+00:00[UTC]', at: Date.now() })
  const tick = ref(0)
  const since = shallowRef<{ workshop: string; label: string; before: Plan }>()
  let others: () => Promise<Set<string> | undefined> = () => Promise.resolve(undefined)
  const channel = typeof BroadcastChannel === 'function' ? new BroadcastChannel('imprenta-desk') : undefined
  const broadcast = (e: DeskEvent) => channel?.postMessage(JSON.parse(JSON.stringify(e)))

  const now = computed(() => {
    void tick.value
    return addMinutes(serverNow.value.now, Math.floor((Date.now() - serverNow.value.at) / 60_000))
  })

  let forgetting: Promise<void> = Promise.resolve()
  /** One step; what has to be settled is kept in the browser's database as it changes. */
  function happen(e: DeskEvent): void {
    const before = state.value
    state.value = step(before, e)
    if (state.value.unsettled !== before.unsettled) keepUnsettled(before.unsettled, state.value.unsettled)
    if (state.value.erased !== before.erased)
      forgetting = forgetIn(state.value.erased).catch((e: unknown) =>
        console.warn('names erased elsewhere may still stand in this browser', e),
      )
  }
  function keepUnsettled(before: readonly Unsettled[], after: readonly Unsettled[]): void {
    const told = (e: unknown) => console.warn('no room to keep what has to be settled', e)
    for (const u of after) if (!before.includes(u)) unsettled.put(u).catch(told)
    for (const u of before) if (!after.some((x) => x.command.id === u.command.id)) unsettled.remove(u.command.id).catch(told)
  }

  const seen = new Map<string, { stored: unknown; pending: string; doc: House | Workshop | null }>()
  /** A document as it is seen here; the very same object as long as nothing of it has changed. */
  function look<T extends House | Workshop>(kind: 'house' | 'workshop', id: string): T | undefined {
    const s = state.value
    const stored = (kind === 'house' ? s.houses : s.workshops)[id]?.body
    const pending = s.pending.flatMap((w) => (w.command.subject.kind === kind && w.command.subject.id === id ? [w.command.id] : [])).join()
    const key = `${kind}/${id}`
    const known = seen.get(key)
    if (known && known.stored === stored && known.pending === pending) return (known.doc ?? undefined) as T | undefined
    const doc = seenAs<T>(s, kind, id)
    seen.set(key, { stored, pending, doc })
    return doc ?? undefined
  }
  const house = (id: string) => look<House>('house', id)
  const workshop = (id: string) => look<Workshop>('workshop', id)
  const houseList = computed(() =>
    Object.keys(state.value.houses)
      .sort()
      .map((id) => house(id)!),
  )
  /** What lists say of every workshop, the open ones as they are seen here; oldest first. */
  const summaries = computed((): Summary[] => {
    const fresh = new Set(state.value.pending.flatMap((w) => (w.command.subject.kind === 'workshop' ? [w.command.subject.id] : [])))
    const list = Object.values(state.value.summaries).map((s) => (fresh.has(s.body.id) ? (plans.summaryOf(s.body.id) ?? s.body) : s.body))
    for (const id of fresh) if (!state.value.summaries[id]) list.push(...[plans.summaryOf(id)].flatMap((s) => s ?? []))
    return list.sort((a, b) => (a.createdAt < b.createdAt ? -1 : 1))
  })
  /** Is on its way: the lists know of it, and it is not here yet. */
  const coming = (id: string): boolean => !state.value.workshops[id] && !!state.value.summaries[id]

  const plans = makePlans({ workshop, house, summaries: () => summaries.value, want: (ids) => want(ids), now })
  const plan = (id: string) => plans.of(id)
  const say = (h: House) => phrases(h, inZone(now.value, h.timeZone))

  /** What changed in a workshop's plan since the last deed, by figure. */
  function changesSince(id: string): { label: string; by: Map<string, Difference> } | undefined {
    const p = plan(id)
    if (!since.value || since.value.workshop !== id || !p) return undefined
    return { label: since.value.label, by: new Map(difference(since.value.before, p).map((d) => [d.key, d])) }
  }

  function makeCommand(d: Deed): Command {
    const s = state.value
    const stored = (d.subject.kind === 'house' ? s.houses : s.workshops)[d.subject.id]
    const ahead = s.pending.filter((w) => w.command.subject.kind === d.subject.kind && w.command.subject.id === d.subject.id).length
    return JSON.parse(
      JSON.stringify({
        id: uuidv7(),
        subject: d.subject,
        baseVersion: (stored?.version ?? 0) + ahead,
        kind: d.kind,
        changes: d.changes,
        guards: d.guards ?? [],
        ...(d.intent && { intent: d.intent }),
        actor: actor.value || 'this device',
        at: now.value,
      }),
    ) as Command
  }

  /** Does a deed: seen at once, kept in the browser until the server has it. */
  function perform(kind: 'did' | 'undid' | 'redid', d: Deed): void {
    if (d.changes.length === 0) return
    if (d.subject.kind === 'workshop') {
      const before = plans.of(d.subject.id)
      if (before) since.value = { workshop: d.subject.id, label: d.label, before }
    }
    const command = makeCommand(d)
    const waiting = state.value.pending.length
    happen({ kind, deed: { ...d, changes: command.changes }, command })
    const put = state.value.pending.slice(waiting)
    void Promise.all(put.map((w) => queue.put(w))).then(flush)
  }
  const act = (d: Deed) => perform('did', d)
  const undo = () => {
    const d = undoOf(state.value)
    if (d) perform('undid', d)
  }
  const redo = () => {
    const d = redoOf(state.value)
    if (d) perform('redid', d)
  }

  let flushing: Promise<void> | undefined
  const flush = (): Promise<void> => (flushing ??= sendAll().finally(() => (flushing = undefined)))

  /** Sends what waits, in order; one tab at a time. What the server refuses whole is sent in smaller lots, so that one bad or too
   *  large command takes no other with it; a server that fails keeps everything waiting. */
  async function sendAll(): Promise<void> {
    // Who was away looks first: names that were erased meanwhile are not sent.
    if (state.value.offline && ready.value) await load()
    if (state.value.offline) return
    await inTurn('imprenta-queue', async () => {
      await forgetting
      let lot = mostAtOnce
      for (;;) {
        const waiting = (await queue.all()).slice(0, lot)
        if (waiting.length === 0) break
        try {
          const { outcomes, documents } = await api.send(waiting.map((w) => w.command))
          await answered(waiting, outcomes, documents)
          lot = mostAtOnce
        } catch (e) {
          if (!(e instanceof Refused) || !e.final) {
            happen({ kind: 'lost' })
            break
          }
          if (waiting.length > 1) lot = Math.floor(waiting.length / 2)
          else await answered(waiting, [{ id: waiting[0]!.command.id, status: 'refused', error: e.problem }], [])
        }
      }
    })
    await fetchStale()
  }

  /** What came back: every tab hears it; what a tab that is closed has left unsettled becomes this one's, and so does everybody's where
   *  the browser cannot say who is open. */
  async function answered(
    waiting: Waiting[],
    outcomes: Extract<DeskEvent, { kind: 'answered' }>['outcomes'],
    documents: readonly Document[],
  ): Promise<void> {
    const open = await others()
    const mine = waiting.map((w) => (open?.has(w.tab) ? w : { ...w, tab: state.value.tab }))
    const e: DeskEvent = { kind: 'answered', commands: mine, outcomes, documents }
    // What a person has to settle is kept before it is no longer waiting.
    happen(e)
    broadcast(e)
    await queue.remove(waiting.map((w) => w.command.id))
  }

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
    if (wanted.size > before && ready.value) void fetchStale()
  }

  /** Settles what waits for a person: what stands here stays, or mine is done again on top of it. */
  function settle(u: Unsettled, mineAgain: boolean): void {
    happen({ kind: 'settled', id: u.command.id })
    if (!mineAgain) return
    const { subject } = u.command
    const doc = subject.kind === 'house' ? house(subject.id) : workshop(subject.id)
    const fresh = Array.from({ length: u.command.intent?.people ?? 0 }, () => uuidv7())
    const { intent } = u.command
    act({ kind: u.command.kind, label: u.label, subject, ...(intent && { intent }), ...again(doc ?? null, u.command, fresh) })
  }

  /** The last event that all that was loaded has. */
  let lastEvent = ''
  let [here, keptIsKnown] = [false, false]
  async function load(): Promise<void> {
    try {
      const desk = await api.desk([...wanted].slice(0, mostAtOnce))
      serverNow.value = { now: desk.now, at: Date.now() }
      lastEvent = desk.last
      happen({ kind: 'loaded', ...desk })
      failed.value = undefined
      here = true
      // What this browser kept stands with it: nothing is called saved before it is known.
      if (keptIsKnown) ready.value = true
    } catch (e) {
      failed.value = e instanceof Error ? e.message : String(e)
      return happen({ kind: 'lost' })
    }
    await fetchStale()
  }

  /** Erases everybody's name in a workshop for good: there, here, and in what this browser keeps. */
  async function eraseNames(id: string): Promise<void> {
    await flush()
    const { erased } = await api.eraseNames(id, actor.value)
    const e: DeskEvent = { kind: 'forgot', id, version: erased }
    happen(e)
    broadcast(e)
    await refresh({ kind: 'workshop', id })
  }

  /** Loads everything, sends what was left from before, and listens for what others change. */
  async function start(): Promise<void> {
    const named = await nameTab()
    others = named.others
    state.value = { ...state.value, tab: named.tab }
    await load()
    await forgetting
    const [left, open] = await Promise.all([queue.all(), unsettled.all()])
    const held = await others()
    const adopted = open.map((u) => (held?.has(u.tab) ? u : { ...u, tab: named.tab }))
    happen({ kind: 'kept', pending: left, unsettled: adopted })
    keptIsKnown = true
    ready.value = here
    if (channel)
      channel.onmessage = (m: MessageEvent<DeskEvent>) => {
        happen(m.data)
        void fetchStale()
      }
    await flush()
    listen()
    setInterval(() => tick.value++, 30_000)
    setInterval(() => void (state.value.pending.length && flush()), 3000)
    window.addEventListener('online', () => void load().then(flush))
    // What the browser could not keep would go with the page: it asks first.
    window.addEventListener('beforeunload', (e) => unkeptCount.value > 0 && e.preventDefault())
  }

  /** What others change. A page that was away is told what it missed, or to look at everything again; then it sends what waits. */
  function listen(): void {
    const events = new EventSource(`/api/events?after=${lastEvent}`)
    events.onmessage = (m: MessageEvent<string>) => {
      const { kind, id, version } = JSON.parse(m.data) as { kind: 'workshop' | 'house' | 'all' | 'here'; id: string; version?: number }
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

  function callMe(name: string): void {
    actor.value = name
    localStorage.setItem('imprenta.actor', name)
  }

  return {
    ready,
    failed,
    actor,
    now,
    offline: computed(() => state.value.offline),
    pending: computed(() => state.value.pending),
    unsettled: computed(() => state.value.unsettled),
    done: computed(() => state.value.done.map((d) => d.deed)),
    undone: computed(() => state.value.undone.map((d) => d.deed)),
    summaries,
    houseList,
    house,
    workshop,
    coming,
    want,
    plan,
    planSoon: plans.soon,
    planInput: plans.inputOf,
    say,
    refresh,
    changesSince,
    act,
    undo,
    redo,
    settle,
    eraseNames,
    start,
    load,
    callMe,
  }
})
