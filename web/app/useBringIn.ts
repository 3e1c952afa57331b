import { t as tr } from '#core/language'
import { ref } from 'vue'
import { Refused, type Problem } from './api'

/** A chosen file is looked at first: what it holds waits in `incoming`, or `problem` says what is wrong and the way out. */
export function useBringIn<T>(look: (text: string) => Promise<T>) {
  const incoming = ref<T>()
  const problem = ref<Problem>()
  async function bringIn(e: Event): Promise<void> {
    const input = e.target as HTMLInputElement
    const file = input.files?.[0]
    if (!file) return
    problem.value = undefined
    try {
      incoming.value = await look(await file.text())
    } catch (err) {
      problem.value =
        err instanceof Refused
          ? err.problem
          : { what: tr('The server does not answer.'), path: '(server)', remedy: tr('Try again; the file stays where it is.') }
    }
    input.value = ''
  }
  return { incoming, problem, bringIn }
}
