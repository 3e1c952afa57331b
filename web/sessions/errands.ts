import type { Errand } from '#core/errands'
import type { Said } from '#core/language'

/** An errand in words. */
export interface SaidErrand {
  e: Errand
  said: Said
}
