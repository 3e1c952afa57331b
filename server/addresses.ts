import { NotFound } from './errors'

const form = /^[a-z0-9-]{1,64}$/

/** An id that came in an address, exactly; what can be no id is not here. */
export function idIn(raw: unknown): string {
  if (typeof raw !== 'string' || !form.test(raw)) throw new NotFound('Nothing has that address.')
  return raw
}

/** Ids of a list with commas, at most 60; what can be none is left out. */
export const idsIn = (raw: unknown): string[] =>
  typeof raw === 'string'
    ? raw
        .split(',')
        .filter((id) => form.test(id))
        .slice(0, 60)
    : []

/** Who did it. Names come percent-encoded in a header; one that is not is left out. */
export function actorOf(header: string | undefined): string {
  try {
    return decodeURIComponent(header ?? '')
      .replace(/[\p{Cc}\p{Cs}]/gu, '')
      .slice(0, 80)
  } catch {
    return ''
  }
}
