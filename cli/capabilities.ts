import * as v from 'valibot'
import { BadInput, because, readInput } from '#core/reasons'
import { orient, orientationInput } from '#core/orientation'
import { layStrips, tapeInput } from '#core/tape'
import { sparesFor, sparesInput } from '#core/spares'
import { mediumInput, mediumNeed } from '#core/medium'
import { buyingInput, cheapestPacks } from '#core/buying'
import { cure, cureInput } from '#core/cure'
import { cutStock, stockInput } from '#core/stock'
import { gangSheets, sheetsInput } from '#core/sheets'
import { planInput, planWorkshop } from '#core/plan'
import { rehearsalInput, rehearse } from '#core/rehearsal'
import { dayAnswer, dayInput } from '#core/day'
import { planRoom, roomInput } from '#core/room'
import { sayPlan } from '#core/phrases'

/** A search's budget: milliseconds or steps, and its seed. Without either a search takes its usual steps. */
export interface Budget {
  ms?: number | undefined
  steps?: number | undefined
  seed?: number | undefined
}

type Run = (input: unknown, budget: Budget) => unknown

const capability =
  <S extends v.GenericSchema>(schema: S, compute: (read: v.InferOutput<S>) => object): Run =>
  (input) =>
    compute(readInput(schema, input))

/** What the command line can compute: each with its own schema and the very function that the screens call. */
export const capabilities: Record<string, Run> = {
  orientation: capability(orientationInput, orient),
  tape: capability(tapeInput, layStrips),
  spares: capability(sparesInput, sparesFor),
  medium: capability(mediumInput, (i) => ({
    needMl: mediumNeed(i).toNumber(),
    because: because('medium', [
      { name: 'pieces', value: i.pieces },
      { name: 'area', value: i.areaMm2.toNumber() },
      { name: 'film', value: i.filmUm.toNumber(), unit: 'um', mark: 'E' },
      { name: 'coats', value: i.coats },
      { name: 'waste', value: i.wasteShare.toNumber(), unit: 'share', mark: 'E' },
    ]),
  })),
  buying: capability(buyingInput, cheapestPacks),
  stock: capability(stockInput, cutStock),
  cure: capability(cureInput, cure),
  sheets: (input, { ms, steps, seed }) => {
    const read = readInput(sheetsInput, input)
    const until = ms === undefined ? undefined : performance.now() + ms
    const budget = until === undefined ? {} : { steps: steps ?? Infinity, enough: () => performance.now() >= until }
    return gangSheets(read, { ...(steps !== undefined && { steps }), ...(seed !== undefined && { seed }), ...budget })
  },
  room: (input, { ms, steps, seed }) => {
    const read = readInput(roomInput, input)
    const within = (length: number) => {
      const until = performance.now() + length
      return () => performance.now() >= until
    }
    const budget = ms === undefined ? {} : { steps: steps ?? Infinity, enough: within(ms), enoughMore: () => within(ms) }
    return planRoom(read, { ...(steps !== undefined && { steps }), ...(seed !== undefined && { seed }), ...budget })
  },
  day: capability(dayInput, dayAnswer),
  rehearsal: (input, { seed }) => rehearse(readInput(rehearsalInput, input), seed === undefined ? {} : { seed }),
  plan: capability(planInput, (i) => {
    const { evidence, ...rest } = i
    const plan = planWorkshop({ ...rest, ...(evidence && { evidence }) })
    return { ...plan, said: sayPlan(plan, i.house) }
  }),
}

/** An answer to one input, or to each of an array in order. A bad item fails the call, its index before its path. */
export function answer(name: string, input: unknown, budget: Budget): unknown {
  const run = capabilities[name]!
  if (!Array.isArray(input)) return run(input, budget)
  return input.map((item: unknown, i) => {
    try {
      return run(item, budget)
    } catch (e) {
      if (!(e instanceof BadInput)) throw e
      throw new BadInput(e.what, e.path === '(input)' ? String(i) : `${i}.${e.path}`, e.remedy)
    }
  })
}
