import { expose } from 'comlink'
import { beginLayout, type Layout, type LayoutAsk } from '#core/prints'
import { isRefusal, type Refusal } from '#core/reasons'

let asked = 0
/** So many steps between looks at the clock and at whether somebody asked anew. */
const slice = 25

expose({
  /** Gangs for so long; tells each better layout at once, and at the end the best, or why there is none. Undefined when
   *  somebody asked anew meanwhile. */
  async lay(ask: LayoutAsk, ms: number, better: (layout: Layout, share: number) => void): Promise<Layout | Refusal | undefined> {
    const mine = ++asked
    const begun = beginLayout(ask)
    if (isRefusal(begun)) return begun
    const { ganging, layout } = begun
    const start = performance.now()
    let best = layout()
    better(best, 0)
    let more = true
    while (more && performance.now() - start < ms) {
      more = ganging.step(slice)
      const now = layout()
      if (now.sheets.length < best.sheets.length || now.wholeLeft > best.wholeLeft + 1e-9) best = now
      better(best, more ? Math.min(1, (performance.now() - start) / ms) : 1)
      await new Promise((go) => setTimeout(go))
      if (mine !== asked) return undefined
    }
    // Steps say how to come to the same layout again, elsewhere.
    return layout()
  },
  stop() {
    asked++
  },
})
