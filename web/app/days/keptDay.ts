import { openDB, type IDBPDatabase } from 'idb'
import { noteWithout, type DayEvent } from '#core/day'
import type { House } from '#core/house'
import { keptDays } from '#core/pictures'
import { addDays } from '#core/time'
import type { Workshop } from '#core/workshop'

/** What a device keeps of a day: everything that is needed to go on without a server. */
export interface Pack {
  key: string
  workshop: Workshop
  house: House
  /** Up to which number the server's taps are here. */
  last: number
  /** How far this device's clock was ahead when it was last held against the server's; null where it never was. */
  skew: number | null
  /** At which version everybody's names in it were last erased, as far as was known. */
  erased?: number
}
export interface KeptEvent {
  id: string
  key: string
  e: DayEvent
  /** The server has it. */
  sent: boolean
  /** Tapped before this device's clock was ever held against the server's: its skew is put in when it is known. */
  unmeasured?: true
  /** The server will not have it: what is wrong and the way out. */
  refused?: string
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
  /** Keeps a pack; answers with the number that stands in it then. `before` is what this page knew to stand there: where less stands, somebody
   *  let go of taps meanwhile, and all are asked for again at the next opening. */
  putPack: async (p: Pack, before: number): Promise<number> => {
    const tx = (await db()).transaction('packs', 'readwrite')
    const stored = ((await tx.store.get(p.key)) as Pack | undefined)?.last ?? 0
    const last = stored >= before ? Math.max(stored, p.last) : 0
    await tx.store.put({ ...p, last })
    await tx.done
    return last
  },
  /** Taps that the server has not said anything of, of whatever class, in the order of their making on this device. */
  unsent: async (): Promise<KeptEvent[]> =>
    ((await (await db()).getAll('events')) as KeptEvent[]).filter((x) => !x.sent && !x.refused).sort((a, b) => a.e.seq - b.e.seq),
  /** On disk before it is answered. */
  putEvents: async (list: readonly KeptEvent[]): Promise<void> => {
    const tx = (await db()).transaction('events', 'readwrite', { durability: 'strict' })
    await Promise.all([...list.map((k) => tx.store.put(k)), tx.done])
  },
  /** Takes names out of what this device keeps of workshops in which they were erased, at these versions: out of the packs, and out of notes,
   *  which come again from the server without them. */
  forget: async (erased: Readonly<Record<string, number>>): Promise<void> => {
    const tx = (await db()).transaction(['packs', 'events'], 'readwrite')
    for (const p of (await tx.objectStore('packs').getAll()) as Pack[]) {
      const version = erased[p.workshop.id] ?? 0
      if (version <= (p.erased ?? 0)) continue
      const names = p.workshop.group.participants.flatMap((x) => x.name ?? [])
      const participants = p.workshop.group.participants.map((x) => ({ ...x, name: null }))
      const workshop = { ...p.workshop, group: { ...p.workshop.group, participants } }
      await tx.objectStore('packs').put({ ...p, workshop, erased: version, last: 0 } satisfies Pack)
      for (const k of (await tx.objectStore('events').index('key').getAll(p.key)) as KeptEvent[])
        if (k.e.kind === 'note' && k.sent) await tx.objectStore('events').delete(k.id)
        else if (k.e.kind === 'note')
          await tx.objectStore('events').put({ ...k, e: { ...k.e, value: { text: noteWithout(k.e.value.text, names) } } })
    }
    await tx.done
  },
  /** Lets go of days whose keeping date is over by the server's date, and of workshops that it does not have any more; taps that it does not
   *  have yet stay. */
  sweep: async (today: string, listed: (workshop: string) => boolean): Promise<void> => {
    const tx = (await db()).transaction(['packs', 'events'], 'readwrite')
    for (const p of (await tx.objectStore('packs').getAll()) as Pack[]) {
      const last = p.workshop.sessions
        .map((s) => s.date)
        .sort()
        .at(-1)
      if (listed(p.workshop.id) && (!last || addDays(last, keptDays.afterClass) > today)) continue
      await tx.objectStore('packs').delete(p.key)
      for (const k of (await tx.objectStore('events').index('key').getAll(p.key)) as KeptEvent[])
        if (k.sent || k.refused) await tx.objectStore('events').delete(k.id)
    }
    await tx.done
  },
}
