import type { Directive } from 'vue'

/** What a field that is being typed in holds on to: the text that stood there when typing began, or that was last taken. */
const bases = new WeakMap<Element, { base: string; latest: string }>()

/** The value of a text field, which nobody else changes while somebody types in it: what comes from elsewhere meanwhile is shown when
 *  the field is left. With {@link typing} the change says what its author saw, so that two texts meet whole. */
export const vSteady: Directive<HTMLInputElement, string> = {
  mounted(el, { value }) {
    el.value = value
    bases.set(el, { base: value, latest: value })
    el.addEventListener('focus', () => (bases.get(el)!.base = bases.get(el)!.latest))
    el.addEventListener('blur', () => {
      const { latest } = bases.get(el)!
      if (el.value !== latest) el.value = latest
    })
  },
  updated(el, { value }) {
    const held = bases.get(el)!
    held.latest = value
    if (document.activeElement === el) return
    held.base = value
    if (el.value !== value) el.value = value
  },
}

/** What was typed, what its author saw before, and `taken` to say that it has been made a change. */
export function typing(e: Event): { now: string; before: string; taken: () => void } {
  const el = e.target as HTMLInputElement
  const held = bases.get(el)
  const now = el.value
  return { now, before: held?.base ?? now, taken: () => held && (held.base = now) }
}
