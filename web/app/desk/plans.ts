import { ref, shallowReactive, type ComputedRef } from 'vue'
import type { House } from '#core/house'
import { planningInput, planWorkshop, takesAlone, workshopsWanted, type Plan, type PlanInput, type Takes } from '#core/plan'
import { summaryOf, type Summary, type Workshop } from '#core/workshop'

interface From {
  workshop: (id: string) => Workshop | undefined
  house: (id: string) => House | undefined
  summaries: () => readonly Summary[]
  /** Workshops that have to be here for a plan: fetched when they are not. */
  want: (ids: readonly string[]) => void
  now: ComputedRef<string>
}
interface Made {
  workshop: Workshop
  house: House
  now: string
  /** What the workshops beside it were known to take. */
  beside: string
  plan: Plan
}

/** So long one slice of planning ahead may take, ms. */
const sliceMs = 6

/** Plans by workshop, each made when it is asked for, and again when its workshop, its house or the minute has changed. */
export function makePlans({ workshop, house, summaries, want, now }: From) {
  const made = new Map<string, Made>()

  const takes = new WeakMap<Workshop, { house: House; takes: Takes }>()
  /** Says anew what plans rest on whenever another workshop's needs are known. */
  const learned = ref(0)
  const asked = new Map<string, Workshop>()
  let asking = false
  /** What a workshop takes; undefined until it is worked out, one after another when nothing else is to do. */
  function takesSoon(w: Workshop, h: House): Takes | undefined {
    const known = takes.get(w)
    if (known?.house === h) return known.takes
    asked.set(w.id, w)
    if (!asking) {
      asking = true
      setTimeout(learn, 120)
    }
    return undefined
  }
  function learn(): void {
    const until = performance.now() + sliceMs
    for (const [id, w] of asked) {
      asked.delete(id)
      const h = house(w.houseId)
      if (h) takes.set(w, { house: h, takes: takesAlone(w, h, now.value) })
      if (performance.now() > until) break
    }
    asking = asked.size > 0
    // What was learned is planned with in a turn of its own.
    setTimeout(asking ? learn : () => learned.value++)
  }
  /** What a plan is made from: the workshops before it are fetched, and what they take is asked for, on the way. */
  function inputOf(id: string) {
    void learned.value
    const h = house(workshop(id)?.houseId ?? '')
    if (h) want(workshopsWanted(id, summaries(), h, now.value))
    return planningInput({ workshop, house, summaries: summaries(), now: now.value, takes: takesSoon }, id)
  }
  const besideOf = (i: PlanInput | undefined) => JSON.stringify([i?.reserved, i?.clashes, i?.shelves])
  const current = (id: string): Made | undefined => {
    const w = workshop(id)
    const h = w && house(w.houseId)
    if (!w || !h) return undefined
    const known = made.get(id)
    const same = known?.workshop === w && known.house === h && known.now === now.value
    return same && known.beside === besideOf(inputOf(id)) ? known : undefined
  }

  function of(id: string): Plan | undefined {
    const w = workshop(id)
    const h = w && house(w.houseId)
    if (!w || !h) return undefined
    const known = current(id)
    if (known) return known.plan
    const input = inputOf(id)!
    const plan = planWorkshop(input)
    made.set(id, { workshop: w, house: h, now: now.value, beside: besideOf(input), plan })
    return plan
  }

  /** Plans that a list shows: made one after another when nothing else is to do; the last one stands until then. */
  const shown = shallowReactive(new Map<string, Plan>())
  const waiting = new Set<string>()
  let running = false
  function soon(id: string): Plan | undefined {
    const known = current(id)
    if (known) return known.plan
    if (workshop(id)) {
      waiting.add(id)
      if (!running) {
        running = true
        setTimeout(slice)
      }
    }
    return shown.get(id)
  }
  function slice(): void {
    const until = performance.now() + sliceMs
    for (const id of waiting) {
      waiting.delete(id)
      const plan = of(id)
      if (plan) shown.set(id, plan)
      if (performance.now() > until) break
    }
    running = waiting.size > 0
    if (running) setTimeout(slice)
  }

  const listed = new WeakMap<Workshop, Summary>()
  function summary(id: string): Summary | undefined {
    const w = workshop(id)
    if (!w) return undefined
    if (!listed.has(w)) listed.set(w, summaryOf(w))
    return listed.get(w)
  }

  return { of, soon, inputOf, summaryOf: summary }
}
