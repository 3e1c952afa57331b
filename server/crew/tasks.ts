import type pg from 'pg'
import { inZone } from '#core/time'
import type { Clock } from '../clock'
import { makeHousePaper, type HousePaperAsked } from '../exports/housePapers'
import { makeFeed, makePaper, type FeedAsked, type PaperAsked } from '../exports/papers'
import { lookAt, type FileAsked } from '../imports/files'
import { develop } from '../pictures/develop'
import { drawPrints, printJob, type JobAsked, type PrintsAsked } from '../prints/press'

/** Everything a thread does, by kind. Each gets the thread's own connection to the database and the moment it was asked. */
export const tasks = {
  paper: (pool: pg.Pool, { now, ...asked }: PaperAsked & { now: string }) => makePaper(pool, clockAt(now), asked),
  housePaper: (pool: pg.Pool, { now, ...asked }: HousePaperAsked & { now: string }) => makeHousePaper(pool, clockAt(now), asked),
  feed: (pool: pg.Pool, { now, ...asked }: FeedAsked & { now: string }) => makeFeed(pool, clockAt(now), asked),
  prints: (pool: pg.Pool, { now, ...asked }: PrintsAsked & { now: string }) => drawPrints(pool, clockAt(now), asked),
  print: (pool: pg.Pool, { now, ...asked }: JobAsked & { now: string }) => printJob(pool, clockAt(now), asked),
  develop: (_pool: pg.Pool, { path, name }: { path: string; name: string }) => develop(path, name),
  file: (_pool: pg.Pool, asked: FileAsked) => Promise.resolve().then(() => lookAt(asked)),
}
export type Tasks = typeof tasks
export type TaskOf<K extends keyof Tasks> = Parameters<Tasks[K]>[1]
export type Task = { [K in keyof Tasks]: { kind: K; input: TaskOf<K> } }[keyof Tasks]

/** What a thread answers; errors go across as what they say. */
export type Answer =
  | { value: unknown }
  | { failed: 'bad-input'; what: string; path: string; remedy: string }
  | { failed: 'not-found' | 'error'; what: string; code?: string }

const clockAt = (now: string): Clock => ({ now: (zone) => (zone === undefined ? now : inZone(now, zone)) })
