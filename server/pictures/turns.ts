/** Lets so many tasks run at once; the others wait in the order in which they came. */
export function turns(atOnce: number): <T>(task: () => Promise<T>) => Promise<T> {
  let running = 0
  const waiting: (() => void)[] = []
  return async (task) => {
    if (running >= atOnce) await new Promise<void>((go) => waiting.push(go))
    running++
    try {
      return await task()
    } finally {
      running--
      waiting.shift()?.()
    }
  }
}
