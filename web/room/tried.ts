import type { ClassLoad, Remedy } from '#core/plan'
import type { Bench } from '../bench/useBench'

/** Lets the page draw and hear before work goes on. */
export const breath = (): Promise<void> => new Promise((go) => setTimeout(go))

/** Each way out with the class's load as it would be: planned one after another with a breath between, so that nothing holds the page up. What is
 *  not asked for any more ends. */
export async function triedOneByOne<T>(
  bench: Bench,
  ways: readonly Remedy[],
  sessionId: string,
  made: (load: ClassLoad) => T,
  asked: () => boolean,
): Promise<{ remedy: Remedy; input: T }[]> {
  const list: { remedy: Remedy; input: T }[] = []
  for (const remedy of ways) {
    await breath()
    if (!asked()) return []
    const load = bench.tried(remedy.changes)?.loads.find((l) => l.sessionId === sessionId)
    if (load) list.push({ remedy, input: made(load) })
  }
  return list
}
