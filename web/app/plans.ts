import { shallowReactive, type ComputedRef } from 'vue'
import type { House } from '#core/house'
import { planWorkshop, type Plan } from '#core/plan'
import { inZone } from '#core/time'
import { summaryOf, type Summary, type Workshop } from '#core/workshop'

interface From {
  workshop: (id: string) => Workshop | undefined
  house: (id: string) => House | undefined
  now: ComputedRef<string>
}
interface Made {
  workshop: Workshop
  house: House
  now: string
  plan: Plan
}

/** So long one slice of planning ahead may take, ms. */
const sliceMs = 14

/** Plans by workshop, each made when it is asked for, and again when its workshop, its house or the minute has changed. */
export function makePlans({ workshop, house, now }: From) {
  const made = new Map<string, Made>()
  const current = (id: string): Made | undefined => {
    const w = workshop(id)
    const h = w && house(w.houseId)
    if (!w || !h) return undefined
    const known = made.get(id)
    return known?.workshop === w && known.house === h && known.now === now.value ? known : undefined
  }

  function of(id: string): Plan | undefined {
    const w = workshop(id)
    const h = w && house(w.houseId)
    if (!w || !h) return undefined
    const known = current(id)
    if (known) return known.plan
    const plan = planWorkshop({ workshop: w, house: h, now: inZone(now.value, h.timeZone) })
    made.set(id, { workshop: w, house: h, now: now.value, plan })
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

  const summaries = new WeakMap<Workshop, Summary>()
  function summary(id: string): Summary | undefined {
    const w = workshop(id)
    if (!w) return undefined
    if (!summaries.has(w)) summaries.set(w, summaryOf(w))
    return summaries.get(w)
  }

  return { of, soon, summaryOf: summary }
}
