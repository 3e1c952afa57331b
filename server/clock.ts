import { Temporal } from 'temporal-polyfill'
import type { Zoned } from '#core/time'

/** The one clock of the server, handed to everything. IMPRENTA_NOW fixes it for tests and screenshots. */
export interface Clock {
  now: (zone?: string) => Zoned
}

export function clockFrom(fixed: string | undefined): Clock {
  const at = fixed === undefined ? undefined : Temporal.ZonedDateTime.from(fixed)
  return {
    now: (zone) => {
      const now = at ?? Temporal.Now.zonedDateTimeISO('UTC')
      return now.withTimeZone(zone ?? now.timeZoneId).toString({ smallestUnit: 'second' })
    },
  }
}
