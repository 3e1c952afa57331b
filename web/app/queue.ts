import { openDB, type IDBPDatabase } from 'idb'
import type { Command } from '#core/workshop'

let db: Promise<IDBPDatabase> | undefined
const open = () => (db ??= openDB('imprenta', 1, { upgrade: (d) => void d.createObjectStore('queue', { keyPath: 'id' }) }))

/** Commands that the server has not acknowledged, in the browser's own database: they survive a reload, a second tab and a
 *  lost connection. Ids are UUIDv7, so key order is the order of making. */
export const queue = {
  all: async (): Promise<Command[]> => (await open()).getAll('queue') as Promise<Command[]>,
  put: async (c: Command): Promise<void> => void (await (await open()).put('queue', JSON.parse(JSON.stringify(c)))),
  remove: async (id: string): Promise<void> => (await open()).delete('queue', id),
}
