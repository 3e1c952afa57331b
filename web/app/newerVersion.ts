import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import type { Router } from 'vue-router'

/** Whether a part of this page could not be fetched because a newer build has taken its place; then one press goes on with that one.
 *  What was typed is in the browser's database and comes along. */
export function useNewerVersion(router: Router) {
  const newer = ref(false)
  let to = ''
  const said = (e: unknown) =>
    /dynamically imported module|module script failed|preload|resolve component/i.test(e instanceof Error ? e.message : String(e))
  /** A part that is missing while the server answers: the build is another one. */
  async function check(): Promise<void> {
    const page = await fetch('/', { cache: 'no-store' }).catch(() => undefined) // offline: nothing is newer, only away
    if (!page?.ok) return
    const text = await page.text()
    const own = [...document.querySelectorAll<HTMLScriptElement>('script[type=module][src]')].map((s) => new URL(s.src).pathname)
    if (own.some((path) => path.includes('/assets/') && !text.includes(path))) newer.value = true
  }
  useEventListener(window, 'vite:preloadError', (e: Event) => {
    e.preventDefault()
    void check()
  })
  router.onError((e, target) => {
    if (!said(e)) return
    to = target.fullPath
    void check()
  })
  const goOn = () => (to ? location.assign(to) : location.reload())
  return { newer, goOn }
}
