import { shallowRef, watch, type ShallowRef } from 'vue'

/** Follows a value one turn of the page later (or more), the first one at once: a page whose parts follow one after another draws and hears
 *  between them. The newest value wins. */
export function later<T>(source: () => T, turns = 1): Readonly<ShallowRef<T>> {
  const followed = shallowRef(source())
  let asked = 0
  watch(source, async (value) => {
    const mine = ++asked
    for (let i = 0; i < turns; i++) await new Promise((go) => setTimeout(go))
    if (mine === asked) followed.value = value
  })
  return followed
}
