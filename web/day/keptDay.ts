import { openDB, type IDBPDatabase } from 'idb'
import type { DayEvent } from '#core/day'
import type { House } from '#core/house'
import type { Workshop } from '#core/workshop'

/** What a device keeps of a day: everything that is needed to go on without a server. */
export interface Pack {
  key: string
  workshop: Workshop
  house: House
  /** Up to which number the server's taps are here. */
  last: number
  skew: number
}
export interface KeptEvent {
  id: string
  key: string
  e: DayEvent
  /** The server has it. */
  sent: boolean
  /** Tapped before this device's clock was ever held against the server's: its skew is put in when it is known. */
  unmeasured?: true
}

let opened: Promise<IDBPDatabase> | undefined
const db = () =>
  (opened ??= openDB('imprenta-day', 1, {
    upgrade(d) {
      d.createObjectStore('packs', { keyPath: 'key' })
      d.createObjectStore('events', { keyPath: 'id' }).createIndex('key', 'key')
    },
  }))

export const dayKey = (workshop: string, session: string): string => `${workshop}/${session}`

export const keptDay = {
  pack: async (key: string): Promise<Pack | undefined> => (await db()).get('packs', key) as Promise<Pack | undefined>,
  packOf: async (workshop: string): Promise<Pack | undefined> =>
    ((await (await db()).getAll('packs')) as Pack[]).find((p) => p.workshop.id === workshop),
  events: async (key: string): Promise<KeptEvent[]> => (await db()).getAllFromIndex('events', 'key', key) as Promise<KeptEvent[]>,
  putPack: async (p: Pack): Promise<void> => void (await (await db()).put('packs', p)),
  /** On disk before it is answered. */
  putEvents: async (list: readonly KeptEvent[]): Promise<void> => {
    const tx = (await db()).transaction('events', 'readwrite', { durability: 'strict' })
    await Promise.all([...list.map((k) => tx.store.put(k)), tx.done])
  },
}
