import { useEventListener } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { House } from '#core/house'
import { phrases } from '#core/phrases'
import { addMinutes, inZone } from '#core/time'
import { api } from '../api'
import { ofDays, sendDays } from '../days'
import { makeDocuments } from './documents'
import { makeHeart } from './heart'
import { makeHistory } from './history'
import { makeInbox } from './inbox'
import { makeOutbox } from './outbox'
import { makePlans } from './plans'
import { queue, unkeptCount, unsettled } from './queue'
import { nameTab } from './turns'

/** The desk of this browser. What happens to it is `core/desk`; here its parts meet: the heart (state, one event at a time), documents
 *  as they are seen, their plans, what a person does (history), what waits (outbox), and what comes (inbox). */
export const useDesk = defineStore('desk', () => {
  const heart = makeHeart()
  const { state } = heart
  const ready = ref(false)
  const failed = ref<string>()
  const actor = ref(localStorage.getItem('imprenta.actor') ?? '')
  const serverNow = shallowRef({ now: '1970-01-01T00:00:00+00:00[UTC]', at: Date.now() })
  const tick = ref(0)
  const now = computed(() => {
    void tick.value
    return addMinutes(serverNow.value.now, Math.floor((Date.now() - serverNow.value.at) / 60_000))
  })
  let tabs: () => Promise<Set<string> | undefined> = () => Promise.resolve(undefined)
  // What this browser kept stands with what was loaded: nothing is called saved before both are known.
  let [here, keptIsKnown] = [false, false]

  const documents = makeDocuments(heart, (id) => plans.summaryOf(id))
  const outbox = makeOutbox({
    heart,
    tabs: () => tabs(),
    ready: () => ready.value,
    lookFirst: () => inbox.load(),
    after: () => inbox.fetchStale(),
  })
  const inbox = makeInbox({
    heart,
    coming: documents.coming,
    ready: () => ready.value,
    flush: outbox.flush,
    loaded: (at, problem) => {
      failed.value = problem
      if (at === undefined) return
      serverNow.value = { now: at, at: Date.now() }
      here = true
      if (keptIsKnown) ready.value = true
    },
  })
  const plans = makePlans({ ...documents, summaries: () => documents.summaries.value, want: inbox.want, now })
  const history = makeHistory({
    heart,
    documents,
    plan: plans.of,
    actor: () => actor.value,
    now: () => now.value,
    flush: outbox.flush,
  })

  /** Erases everybody's name in a workshop for good: there, here, and in what this browser keeps. */
  async function eraseNames(id: string): Promise<void> {
    await outbox.flush()
    const { erased } = await api.eraseNames(id, actor.value)
    heart.happenEverywhere({ kind: 'forgot', id, version: erased })
    await inbox.refresh({ kind: 'workshop', id })
  }

  /** Loads everything, sends what was left from before, and listens for what others change. */
  async function start(): Promise<void> {
    const named = await nameTab()
    tabs = named.others
    heart.isTab(named.tab)
    await inbox.load()
    await heart.forgotten()
    const [left, open] = await Promise.all([queue.all(), unsettled.all()])
    const held = await tabs()
    const adopted = open.map((u) => (held?.has(u.tab) ? u : { ...u, tab: named.tab }))
    heart.happen({ kind: 'kept', pending: left, unsettled: adopted })
    keptIsKnown = true
    ready.value = here
    heart.hearTabs(() => void inbox.fetchStale())
    await outbox.flush()
    if (here)
      void ofDays((kept) => kept.sweep(now.value.slice(0, 10), (id) => documents.summaries.value.some((w) => w.id === id))).catch(
        () => undefined,
      )
    void sendDays()
    inbox.listen()
    setInterval(() => {
      tick.value++
      void sendDays()
    }, 30_000)
    setInterval(() => void (state.value.pending.length && outbox.flush()), 3000)
    useEventListener(window, 'online', () => void inbox.load().then(outbox.flush).then(sendDays))
    // What the browser could not keep would go with the page: it asks first.
    useEventListener(window, 'beforeunload', (e) => unkeptCount.value > 0 && e.preventDefault())
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
    erased: computed(() => state.value.erased),
    done: computed(() => state.value.done.map((d) => d.deed)),
    undone: computed(() => state.value.undone.map((d) => d.deed)),
    ...documents,
    want: inbox.want,
    refresh: inbox.refresh,
    load: inbox.load,
    plan: plans.of,
    planSoon: plans.soon,
    planInput: plans.inputOf,
    say: (h: House) => phrases(h, inZone(now.value, h.timeZone)),
    ...history,
    eraseNames,
    start,
    callMe,
  }
})
