import { useEventListener } from '@vueuse/core'
import { singleLetters } from './keys'

/** Keys of one page, by `KeyboardEvent.key`, while it is open: not while typing, not in a dialog, not with Ctrl, Alt or Meta; single
 *  letters only while they are switched on. A deed that answers false did nothing, and the key keeps what the browser does with it. */
export function usePageKeys(deeds: Readonly<Record<string, () => unknown>>): void {
  function onKey(e: KeyboardEvent) {
    const deed = deeds[e.key]
    const at = e.target instanceof Element ? e.target : undefined
    if (!deed || e.metaKey || e.ctrlKey || e.altKey) return
    if (at && (/^(INPUT|SELECT|TEXTAREA)$/.test(at.tagName) || at.closest('[role=dialog]'))) return
    if (e.key.length === 1 && !singleLetters()) return
    if (deed() !== false) e.preventDefault()
  }
  useEventListener(window, 'keydown', onKey)
}
