import { expose } from 'comlink'
import { beginLayout, mostLayoutSteps, type Layout, type LayoutAsk } from '#core/prints'
import { isRefusal, type Refusal } from '#core/reasons'

let asked = 0
/** So many steps between looks at the clock and at whether somebody asked anew; so often progress is told. */
const slice = 25
const tellEveryMs = 200

expose({
  /** Gangs for so long; tells each better layout at once and how far it is, and at the end gives the best, or why there is none.
   *  Undefined when somebody asked anew meanwhile. */
  async lay(ask: LayoutAsk, ms: number, tell: (share: number, better: Layout | undefined) => void): Promise<Layout | Refusal | undefined> {
    const mine = ++asked
    const begun = beginLayout(ask)
    if (isRefusal(begun)) return begun
    const { ganging, layout } = begun
    const start = performance.now()
    let best = ganging.sheets
    tell(0, layout())
    let told = start
    let more = true
    while (more && ganging.steps + slice <= mostLayoutSteps && performance.now() - start < ms) {
      more = ganging.step(slice)
      const now = performance.now()
      if (ganging.sheets < best) {
        best = ganging.sheets
        tell(Math.min(1, (now - start) / ms), layout())
      } else if (now - told > tellEveryMs) {
        told = now
        tell(Math.min(1, (now - start) / ms), undefined)
      }
      await new Promise((go) => setTimeout(go))
      if (mine !== asked) return undefined
    }
    // Its steps say how to come to the same layout again, elsewhere.
    return layout()
  },
  stop() {
    asked++
  },
})
