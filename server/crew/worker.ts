import { setPriority } from 'node:os'
import { parentPort, workerData } from 'node:worker_threads'
import { BadInput } from '#core/reasons'
import { openPool } from '../db/pool'
import { NotFound } from '../errors'
import { tasks, type Answer, type Task } from './tasks'

/** A thread: one task after another, as they come. It gives way to the thread that answers: on Linux priority is a thread's own. */
if (process.platform === 'linux') setPriority(10)
const pool = openPool((workerData as { databaseUrl: string }).databaseUrl, 2)

parentPort!.on('message', ({ kind, input }: Task) => {
  const task = tasks[kind] as (pool: unknown, input: unknown) => Promise<unknown>
  task(pool, input).then(
    (value) => parentPort!.postMessage({ value } satisfies Answer),
    (e: unknown) => parentPort!.postMessage(said(e)),
  )
})

function said(e: unknown): Answer {
  if (e instanceof BadInput) return { failed: 'bad-input', what: e.what, path: e.path, remedy: e.remedy }
  if (e instanceof NotFound) return { failed: 'not-found', what: e.message }
  const { message = String(e), code } = (e ?? {}) as { message?: string; code?: string }
  return { failed: 'error', what: message, ...(code !== undefined && { code: String(code) }) }
}
