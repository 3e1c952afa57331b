import { computed } from 'vue'
import { seenAs } from '#core/desk'
import type { House } from '#core/house'
import type { Summary, Workshop } from '#core/workshop'
import type { Heart } from './heart'

/** Documents as they are seen here: as the server has them, with what waits to be sent on top. */
export function makeDocuments({ state }: Heart, summaryOf: (id: string) => Summary | undefined) {
  const seen = new Map<string, { stored: unknown; pending: string; doc: House | Workshop | null }>()
  /** The very same object as long as nothing of it has changed. */
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
    const list = Object.values(state.value.summaries).map((s) => (fresh.has(s.body.id) ? (summaryOf(s.body.id) ?? s.body) : s.body))
    for (const id of fresh) if (!state.value.summaries[id]) list.push(...[summaryOf(id)].flatMap((s) => s ?? []))
    return list.sort((a, b) => (a.createdAt < b.createdAt ? -1 : 1))
  })
  return {
    house,
    workshop,
    houseList,
    summaries,
    /** Is on its way: the lists know of it, and it is not here yet. */
    coming: (id: string): boolean => !state.value.workshops[id] && !!state.value.summaries[id],
  }
}
export type Documents = ReturnType<typeof makeDocuments>
