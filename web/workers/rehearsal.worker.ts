import { expose } from 'comlink'
import { isRefusal, type Refusal } from '#core/reasons'
import { beginRehearsal, type Rehearsal, type RehearsalInput } from '#core/rehearsal'

let asked = 0
/** A rehearsal is told in so many portions. */
const portions = 20

expose({
  /** Lives a class so many times; tells what came of it portion by portion. Undefined when somebody asked anew or stopped it. */
  async live(input: RehearsalInput, runs: number, seed: number, tell: (story: Rehearsal) => void): Promise<Refusal | undefined> {
    const mine = ++asked
    const begun = beginRehearsal(input, seed)
    if (isRefusal(begun)) return begun
    for (let i = 0; i < portions; i++) {
      begun.live(Math.ceil(runs / portions))
      tell(begun.story())
      await new Promise((go) => setTimeout(go))
      if (mine !== asked) return undefined
    }
    return undefined
  },
  /** How likely each of several rooms ends in time, one after another, told as they come. */
  async chances(inputs: readonly RehearsalInput[], runs: number, seed: number, tell: (i: number, chance: number) => void): Promise<void> {
    for (const [i, input] of inputs.entries()) {
      const begun = beginRehearsal(input, seed)
      if (isRefusal(begun)) continue
      begun.live(runs)
      tell(i, begun.story().chanceInTime)
      await new Promise((go) => setTimeout(go))
    }
  },
  stop() {
    asked++
  },
})
