import { openDB, type IDBPDatabase, type IDBPTransaction } from 'idb'
import { ref } from 'vue'
import { withoutErased, type Unsettled, type Waiting } from '#core/desk'
import type { Command } from '#core/workshop'

type Upgrade = IDBPTransaction<unknown, string[], 'versionchange'>
let db: Promise<IDBPDatabase> | undefined
const open = () =>
  (db ??= openDB('imprenta', 2, {
    upgrade: (d, from, _to, tx) => upgrade(d, from, tx as unknown as Upgrade),
    // A newer page wants the database in another form: this one lets go, and opens it again when it needs it.
    blocking: () => {
      void db?.then((d) => d.close())
      db = undefined
    },
  }))

async function upgrade(d: IDBPDatabase, from: number, tx: Upgrade): Promise<void> {
  const waiting = d.createObjectStore('waiting', { autoIncrement: true })
  waiting.createIndex('command', 'command.id', { unique: true })
  d.createObjectStore('unsettled', { keyPath: 'command.id' })
  if (from < 1) return
  // What waited in the form before: its ids are in the order of their making.
  const before = (await tx.objectStore('queue').getAll()) as Command[]
  d.deleteObjectStore('queue')
  for (const command of before) void waiting.add({ command, label: command.kind, tab: '' })
}

/** Commands that this browser has no room to keep: they are sent all the same, as long as the page stays open. */
const unkept: Waiting[] = []
export const unkeptCount = ref(0)
const count = () => (unkeptCount.value = unkept.length)
const plain = <T>(x: T): T => JSON.parse(JSON.stringify(x)) as T

async function read<T>(store: 'waiting' | 'unsettled'): Promise<T[]> {
  try {
    return (await (await open()).getAll(store)) as T[]
  } catch (e) {
    db = undefined
    console.warn('what waits cannot be read from this browser', e)
    return []
  }
}

/** Commands that the server has not acknowledged, in the browser's own database, in the order of their making, whatever the clock
 *  says: they survive a reload, a second tab and a lost connection. */
export const queue = {
  all: async (): Promise<Waiting[]> => [...(await read<Waiting>('waiting')), ...unkept],
  put: async (w: Waiting): Promise<void> => {
    try {
      // Nothing overtakes what had no room: the order would be lost.
      if (unkept.length > 0) throw new DOMException('what came before has no room', 'QuotaExceededError')
      await (await open()).add('waiting', plain(w))
    } catch (e) {
      if (unkept.length === 0) db = undefined
      console.warn('no room to keep a change in this browser', e)
      unkept.push(plain(w))
      count()
    }
  },
  remove: async (ids: readonly string[]): Promise<void> => {
    for (const id of ids) {
      const at = unkept.findIndex((w) => w.command.id === id)
      if (at >= 0) unkept.splice(at, 1)
    }
    count()
    const tx = (await open()).transaction('waiting', 'readwrite')
    for (const id of ids) {
      const key = await tx.store.index('command').getKey(id)
      if (key !== undefined) await tx.store.delete(key)
    }
    await tx.done
  },
}

/** What has to be settled by a person, in the browser's own database until it is. */
export const unsettled = {
  all: () => read<Unsettled>('unsettled'),
  put: async (u: Unsettled): Promise<void> => void (await (await open()).put('unsettled', plain(u))),
  remove: async (id: string): Promise<void> => (await open()).delete('unsettled', id),
}

/** Takes names out of what this browser keeps of workshops in which they were erased, at these versions. */
export async function forgetIn(erased: Readonly<Record<string, number>>): Promise<void> {
  const without = <T extends Waiting>(w: T): T | undefined => {
    const version = erased[w.command.subject.id]
    return version ? withoutErased(w, w.command.subject.id, version) : w
  }
  unkept.splice(0, unkept.length, ...unkept.flatMap((w) => without(w) ?? []))
  count()
  const d = await open()
  for (const store of ['waiting', 'unsettled'] as const) {
    const tx = d.transaction(store, 'readwrite')
    for (let at = await tx.store.openCursor(); at; at = await at.continue()) {
      const w = at.value as Waiting
      const rest = without(w)
      if (!rest) await at.delete()
      else if (rest !== w) await at.update(rest)
    }
    await tx.done
  }
}
