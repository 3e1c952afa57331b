import { wrap, type Remote } from 'comlink'
import { onBeforeUnmount, ref, type Ref } from 'vue'

/** A part of core in a thread that ends with its page: begun when it is first asked, its failures told in `problem`, and of several
 *  questions only the newest answered. `begin` makes the worker where the build can see its address. */
export function useWorker<T>(
  begin: () => Worker,
  failed: string,
): {
  problem: Ref<string>
  remote: () => Remote<T>
  /** Asks; undefined when another question has been asked meanwhile, or when it failed and `problem` says why. */
  newest: <A>(ask: (remote: Remote<T>) => Promise<A>) => Promise<A | undefined>
  /** Whatever is asked now is no longer wanted. */
  forget: () => void
} {
  const problem = ref('')
  let worker: Worker | undefined
  let wrapped: Remote<T> | undefined
  let asked = 0
  /** Rejects when the thread that is at work dies. */
  let broken: Promise<never> = new Promise(() => undefined)
  const remote = (): Remote<T> => {
    if (!wrapped) {
      const mine = (worker = begin())
      wrapped = wrap<T>(mine)
      broken = new Promise((_, no) => {
        mine.onerror = (e) => {
          // A thread that died answers nothing more: the next question begins another.
          problem.value = e.message || failed
          mine.terminate()
          if (worker === mine) worker = wrapped = undefined
          no(new Error(problem.value))
        }
      })
      broken.catch(() => undefined)
    }
    return wrapped
  }
  onBeforeUnmount(() => worker?.terminate())
  async function newest<A>(ask: (remote: Remote<T>) => Promise<A>): Promise<A | undefined> {
    const mine = ++asked
    try {
      const thread = remote()
      const answer = await Promise.race([ask(thread), broken])
      if (mine !== asked) return undefined
      problem.value = ''
      return answer
    } catch (e) {
      if (mine === asked) problem.value = e instanceof Error ? e.message : String(e)
      return undefined
    }
  }
  return { problem, remote, newest, forget: () => void asked++ }
}
