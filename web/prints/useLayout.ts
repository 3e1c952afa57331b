import { t as tr } from '#core/language'
import { proxy } from 'comlink'
import { ref, shallowRef, watch, type Ref } from 'vue'
import type { Layout, LayoutAsk } from '#core/prints'
import { isRefusal, type Refusal } from '#core/reasons'
import { useWorker } from '../app/useWorker'

interface LayoutWorker {
  lay(ask: LayoutAsk, ms: number, tell: (share: number, better: Layout | undefined) => void): Promise<Layout | Refusal | undefined>
  stop(): void
}
/** So long better layouts are looked for. */
const lookMs = 2000

/** The layout of the prints, ganged in a worker: one at once, better ones while `share` goes to 1; the newest question wins. */
export function useLayout(ask: Ref<LayoutAsk | undefined>) {
  const layout = shallowRef<Layout>()
  const refused = shallowRef<Refusal['refused']>()
  const share = ref(1)
  const begin = () => new Worker(new URL('../workers/layout.worker.ts', import.meta.url), { type: 'module' })
  const { problem, remote, newest } = useWorker<LayoutWorker>(begin, tr('The sheets could not be laid out.'))
  let asked = 0
  watch(
    () => ask.value && JSON.stringify(ask.value),
    async (text) => {
      const mine = ++asked
      if (!text) {
        share.value = 1
        return
      }
      share.value = 0
      const tell = proxy((done: number, found: Layout | undefined) => {
        if (mine !== asked) return
        if (found) layout.value = found
        refused.value = undefined
        share.value = done
      })
      const found = await newest<Layout | Refusal | undefined>((r) => r.lay(JSON.parse(text) as LayoutAsk, lookMs, tell))
      if (mine !== asked) return
      // Also where it failed: what is known is kept, and `problem` says why.
      share.value = 1
      if (!found) return
      if (isRefusal(found)) refused.value = found.refused
      else layout.value = found
    },
    { immediate: true },
  )
  /** Keeps what is known so far. */
  function stop() {
    asked++
    share.value = 1
    void remote().stop()
  }
  return { layout, refused, problem, share, stop }
}
