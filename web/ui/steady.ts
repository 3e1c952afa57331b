import { nextTick, shallowRef, watch, type Directive, type ShallowRef } from 'vue'

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

/** What came from elsewhere for a field of numbers while somebody types in it. The field keeps what is typed and shows `theirs`; from
 *  then on what is typed is sent only when its author says so. */
export interface Meanwhile<T> {
  theirs: Readonly<ShallowRef<T | undefined>>
  /** What is typed: sent at once, unless something came from elsewhere first. */
  typed: (send: () => void) => void
  /** Sends, whatever came. */
  mine: (send: () => void) => void
  /** Takes what came, and lets go of what was typed. */
  take: () => void
  /** The field is left: what was sent already is settled, what was not stays and goes on asking. */
  left: () => void
}
export function useMeanwhile<T>(value: () => T, isTyping: () => boolean, says: (v: T) => boolean, show: () => void): Meanwhile<T> {
  const theirs = shallowRef<T>()
  let [own, unsent] = [false, false]
  const take = () => {
    theirs.value = undefined
    unsent = false
    show()
  }
  const mine = (send: () => void) => {
    own = true
    unsent = false
    theirs.value = undefined
    send()
    // What its own change makes of the value follows in the same turn.
    void nextTick(() => (own = false))
  }
  watch(value, (v) => {
    if (own || says(v) || !isTyping()) take()
    else theirs.value = v
  })
  return {
    theirs,
    mine,
    take,
    typed: (send) => (theirs.value === undefined ? mine(send) : void (unsent = true)),
    left: () => void (theirs.value !== undefined && !unsent && take()),
  }
}
