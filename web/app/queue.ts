import { openDB, type IDBPDatabase } from 'idb'
import { ref } from 'vue'
import type { Command } from '#core/workshop'

let db: Promise<IDBPDatabase> | undefined
const open = () => (db ??= openDB('imprenta', 1, { upgrade: (d) => void d.createObjectStore('queue', { keyPath: 'id' }) }))

/** Commands that this browser has no room to keep: they are sent all the same, as long as the page stays open. */
const unkept = new Map<string, Command>()
export const unkeptCount = ref(0)
const count = () => (unkeptCount.value = unkept.size)
const kept = async (): Promise<Command[]> => {
  try {
    return (await (await open()).getAll('queue')) as Command[]
  } catch (e) {
    db = undefined
    console.warn('what waits cannot be read from this browser', e)
    return []
  }
}

/** Commands that the server has not acknowledged, in the browser's own database: they survive a reload, a second tab and a
 *  lost connection. Ids are UUIDv7, so key order is the order of making. */
export const queue = {
  all: async (): Promise<Command[]> => [...(await kept()), ...unkept.values()].sort((a, b) => (a.id < b.id ? -1 : 1)),
  put: async (c: Command): Promise<void> => {
    const plain = JSON.parse(JSON.stringify(c)) as Command
    try {
      await (await open()).put('queue', plain)
    } catch (e) {
      db = undefined
      console.warn('no room to keep a change in this browser', e)
      unkept.set(c.id, plain)
      count()
    }
  },
  remove: async (id: string): Promise<void> => {
    if (unkept.delete(id)) count()
    else await (await open()).delete('queue', id)
  },
}
