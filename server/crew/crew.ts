import { Worker } from 'node:worker_threads'
import type { Response } from 'express'
import { BadInput } from '#core/reasons'
import { NotFound, TooBusy } from '../errors'
import type { Answer, Task, TaskOf, Tasks } from './tasks'

interface Waiting {
  task: Task
  done: (a: unknown) => void
  failed: (e: unknown) => void
}

/** So many work at once, so many may wait. */
const hands = 2
const mostWaiting = 80

/** Does what takes long in threads of its own: plans, PDFs, pictures and files are made there, so that nobody who only saves or
 *  looks waits for them. First come, first served; beyond a limit the asker is told to come again; a task whose asker has gone is
 *  dropped, or ended where it stands. A thread begins when it is first needed. */
export class Crew {
  private readonly idle: Worker[] = []
  private readonly atWork = new Map<Worker, Waiting>()
  private readonly waiting: Waiting[] = []
  private closed = false

  constructor(private readonly databaseUrl: string) {}

  /** Does a task; rejects with what the task threw, or with {@link TooBusy}. */
  run<K extends keyof Tasks>(kind: K, input: TaskOf<K>, asker?: Response): Promise<Awaited<ReturnType<Tasks[K]>>> {
    if (this.waiting.length >= mostWaiting) return Promise.reject(new TooBusy())
    return new Promise((done, failed) => {
      const entry: Waiting = { task: { kind, input } as Task, done: done as (a: unknown) => void, failed }
      asker?.once('close', () => !asker.writableFinished && this.drop(entry))
      this.waiting.push(entry)
      this.next()
    })
  }

  private next(): void {
    while (this.waiting.length > 0 && !this.closed) {
      const worker = this.idle.pop() ?? (this.atWork.size < hands ? this.begin() : undefined)
      if (!worker) return
      const entry = this.waiting.shift()!
      this.atWork.set(worker, entry)
      worker.postMessage(entry.task)
    }
  }

  private begin(): Worker {
    const options = {
      workerData: { databaseUrl: this.databaseUrl },
      resourceLimits: { maxOldGenerationSizeMb: 192, maxYoungGenerationSizeMb: 16 },
    }
    const worker = import.meta.url.endsWith('.ts')
      ? new Worker(fromSource, { ...options, eval: true })
      : new Worker(new URL('./worker.js', import.meta.url), options)
    worker.on('message', (a: Answer) => {
      const entry = this.atWork.get(worker)
      this.atWork.delete(worker)
      this.idle.push(worker)
      if ('value' in a) entry?.done(a.value)
      else entry?.failed(errorOf(a))
      this.next()
    })
    worker.on('error', (e) => this.lost(worker, e))
    worker.on('exit', () => this.lost(worker, new Error('a thread ended')))
    return worker
  }

  /** A thread that ended takes only its own task with it. */
  private lost(worker: Worker, e: unknown): void {
    const entry = this.atWork.get(worker)
    this.atWork.delete(worker)
    if (this.idle.includes(worker)) this.idle.splice(this.idle.indexOf(worker), 1)
    entry?.failed(e)
    this.next()
  }

  private drop(entry: Waiting): void {
    const at = this.waiting.indexOf(entry)
    if (at >= 0) this.waiting.splice(at, 1)
    for (const [worker, doing] of this.atWork)
      if (doing === entry && entry.task.kind !== 'print') {
        this.atWork.delete(worker)
        void worker.terminate().then(() => this.next())
      }
    entry.failed(new Error('the asker has gone'))
  }

  /** How many tasks are done or wait, for tests. */
  get load(): { atWork: number; waiting: number } {
    return { atWork: this.atWork.size, waiting: this.waiting.length }
  }

  async close(): Promise<void> {
    this.closed = true
    await Promise.all([...this.idle, ...this.atWork.keys()].map((w) => w.terminate()))
  }
}

/** Development and tests run from the sources; a thread has to be told how to read them. */
const fromSource = `import('tsx/esm/api').then(({ register }) => (register(), import(${JSON.stringify(new URL('./worker.ts', import.meta.url).href)})))`

function errorOf(a: Exclude<Answer, { value: unknown }>): Error {
  if (a.failed === 'bad-input') return new BadInput(a.what, a.path, a.remedy)
  if (a.failed === 'not-found') return new NotFound(a.what)
  return Object.assign(new Error(a.what), a.code !== undefined && { code: a.code })
}
