// @vitest-environment jsdom
import { expose, type Endpoint } from 'comlink'
import { describe, expect, it } from 'vitest'
import { defineComponent, h } from 'vue'
import { mount } from '@vue/test-utils'
import { useWorker } from './useWorker'

interface Sums {
  double: (n: number) => Promise<number>
}
/** Threads that answer through a channel; one that hangs never does. */
function threads(hangs: readonly boolean[]) {
  const begun: { worker: Worker; ended: boolean }[] = []
  const begin = (): Worker => {
    const { port1, port2 } = new MessageChannel()
    const one = { worker: port1 as unknown as Worker, ended: false }
    Object.assign(port1, { terminate: () => ((one.ended = true), port1.close(), port2.close()), onerror: null })
    expose({ double: (n: number) => (hangs[begun.length - 1] ? new Promise(() => undefined) : 2 * n) }, port2 as unknown as Endpoint)
    port1.start()
    port2.start()
    begun.push(one)
    return one.worker
  }
  return { begun, begin }
}
function used(begin: () => Worker) {
  let made!: ReturnType<typeof useWorker<Sums>>
  const page = mount(defineComponent({ setup: () => ((made = useWorker<Sums>(begin, 'It failed.')), () => h('i')) }))
  return { ...made, page }
}

describe('a thread that dies', () => {
  it('says so to whoever waits, and the next question begins another', async () => {
    const { begun, begin } = threads([true, false])
    const { newest, problem, page } = used(begin)
    const lost = newest((r) => r.double(2))
    await new Promise((r) => setTimeout(r))
    begun[0]!.worker.onerror!({ message: '' } as ErrorEvent)
    expect(await lost).toBeUndefined()
    expect([problem.value, begun[0]!.ended]).toEqual(['It failed.', true])
    expect(await newest((r) => r.double(3))).toBe(6)
    expect([problem.value, begun.length]).toEqual(['', 2])
    page.unmount()
    expect(begun[1]!.ended).toBe(true)
  })
  it('of several questions only the newest is answered', async () => {
    const { begin } = threads([false])
    const { newest, page } = used(begin)
    const [first, second] = [newest((r) => r.double(1)), newest((r) => r.double(2))]
    expect([await first, await second]).toEqual([undefined, 4])
    page.unmount()
  })
})
