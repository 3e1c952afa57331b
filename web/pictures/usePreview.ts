import { t as tr } from '#core/language'
import { transfer } from 'comlink'
import { ref } from 'vue'
import type { previewTransfer, PreviewOptions } from '#core/preview'
import { useWorker } from '../app/useWorker'

/** The preview of a transfer in a worker: the newest wish is drawn, older ones are passed over. `ms` is how long it took. */
export function usePreview() {
  const ms = ref(0)
  const begin = () => new Worker(new URL('../workers/preview.worker.ts', import.meta.url), { type: 'module' })
  const { problem, remote } = useWorker<{ previewTransfer: typeof previewTransfer }>(begin, tr('The preview could not be drawn.'))
  let asked = 0
  let busy = false
  let wish: (() => Promise<void>) | undefined

  function show(from: CanvasRenderingContext2D, onto: CanvasRenderingContext2D, options: PreviewOptions): void {
    const mine = ++asked
    wish = async () => {
      const { width, height } = from.canvas
      const pixels = from.getImageData(0, 0, width, height).data
      const start = performance.now()
      const seen = await remote().previewTransfer(transfer(pixels, [pixels.buffer]), width, height, { ...options })
      ms.value = performance.now() - start
      if (mine === asked) onto.putImageData(new ImageData(seen, width, height), 0, 0)
    }
    void work()
  }
  async function work(): Promise<void> {
    if (busy) return
    busy = true
    while (wish) {
      const now = wish
      wish = undefined
      try {
        await now()
        problem.value = ''
      } catch (e) {
        problem.value = e instanceof Error ? e.message : String(e)
      }
    }
    busy = false
  }
  return { show, problem, ms }
}
