import type { Errand } from '#core/errands'
import type { Phrases } from '#core/phrases'
import type { Workshop } from '#core/workshop'

/** An errand of one of the soonest workshops, in the words of its house. */
export interface Due {
  w: Workshop
  e: Errand
  say: Phrases
  /** Minutes; below 0 when it is late. */
  left: number
}
