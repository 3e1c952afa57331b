import { expose } from 'comlink'
import { isRefusal, type Refusal } from '#core/reasons'
import { planRoom, type RoomInput, type RoomPlan } from '#core/room'

let asked = 0
/** Each round begins anew with more steps: the same steps give the same plan, elsewhere too. */
const rounds = [40, 160, 640, 2560, 10_240]
const seed = 1

expose({
  /** Looks for the room's best plan for so long; tells each better one and how far it is; undefined when somebody asked anew. */
  async search(
    input: RoomInput,
    ms: number,
    tell: (share: number, better: RoomPlan | undefined) => void,
  ): Promise<RoomPlan | Refusal | undefined> {
    const mine = ++asked
    const start = performance.now()
    const enough = () => performance.now() - start > ms
    let best: RoomPlan | undefined
    for (const [i, steps] of rounds.entries()) {
      const found = planRoom(input, { steps, seed, bottleneck: false, enough })
      if (isRefusal(found)) return found
      const better = !best || found.finishMin < best.finishMin || (found.finishMin === best.finishMin && found.waitingMin < best.waitingMin)
      if (better) best = found
      tell(Math.min(1, Math.max((i + 1) / rounds.length, (performance.now() - start) / ms)), better ? found : undefined)
      await new Promise((go) => setTimeout(go))
      if (mine !== asked) return undefined
      if (enough()) break
    }
    return best
  },
  /** When each of several rooms would be done, about: one after another, told as they come. */
  async finishes(inputs: readonly RoomInput[], steps: number, tell: (i: number, finishMin: number) => void): Promise<void> {
    for (const [i, input] of inputs.entries()) {
      const found = planRoom(input, { steps, seed, bottleneck: false })
      if (!isRefusal(found)) tell(i, found.finishMin)
      await new Promise((go) => setTimeout(go))
    }
  },
  stop() {
    asked++
  },
})
