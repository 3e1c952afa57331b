import { openDB, type IDBPDatabase, type IDBPObjectStore } from 'idb'
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

/** Said to the pages that show notes: they stand without names now. */
const forgot = () => globalThis.dispatchEvent?.(new Event('imprenta:forgot'))

/** Takes the names of a pack's workshop out of its notes; those that the server has come again from it. */
async function withoutNames(events: IDBPObjectStore<unknown, string[], 'events', 'readwrite'>, { key, workshop }: Pack): Promise<void> {
  const names = workshop.group.participants.flatMap((x) => x.name ?? [])
  for (const k of (await events.index('key').getAll(key)) as KeptEvent[])
    if (k.e.kind === 'note' && k.sent) await events.delete(k.id)
    else if (k.e.kind === 'note') await events.put({ ...k, e: { ...k.e, value: { text: noteWithout(k.e.value.text, names) } } })
}

/** A tap in hand, its note as it stands on disk. */
async function asKept(events: { get: (id: string) => Promise<unknown> }, x: KeptEvent): Promise<KeptEvent> {
  const stored = x.e.kind === 'note' ? ((await events.get(x.id)) as KeptEvent | undefined) : undefined
  return stored?.e.kind === 'note' && x.e.kind === 'note' ? { ...x, e: { ...x.e, value: stored.e.value } } : x
}

export const dayKey = (workshop: string, session: string): string => `${workshop}/${session}`

export const keptDay = {
  pack: async (key: string): Promise<Pack | undefined> => (await db()).get('packs', key) as Promise<Pack | undefined>,
  packOf: async (workshop: string): Promise<Pack | undefined> =>
    ((await (await db()).getAll('packs')) as Pack[]).find((p) => p.workshop.id === workshop),
  events: async (key: string): Promise<KeptEvent[]> => (await db()).getAllFromIndex('events', 'key', key) as Promise<KeptEvent[]>,
  /** Keeps a pack; answers with the number that stands in it then. `before` is what this page knew to stand there: where less stands, somebody
   *  let go of taps meanwhile, and all are asked for again at the next opening. */
  putPack: async (p: Pack, before: number): Promise<number> => {
    const tx = (await db()).transaction(['packs', 'events'], 'readwrite')
    const was = (await tx.objectStore('packs').get(p.key)) as Pack | undefined
    const stored = was?.last ?? 0
    // The workshop may come without its names before anybody said that they were erased.
    const erased = was && (p.erased ?? 0) > (was.erased ?? 0)
    if (erased) await withoutNames(tx.objectStore('events'), was)
    const last = !erased && stored >= before ? Math.max(stored, p.last) : 0
    await tx.objectStore('packs').put({ ...p, last })
    await tx.done
    if (erased) forgot()
    return last
  },
  /** Taps as they are to be sent: notes as they stand on this device now, names that were erased taken out; and up to which erasing they are, by
   *  workshop. */
  toSend: async (waiting: readonly KeptEvent[]): Promise<{ events: DayEvent[]; knows: Record<string, number> }> => {
    const tx = (await db()).transaction(['packs', 'events'], 'readonly')
    const packs = (await tx.objectStore('packs').getAll()) as Pack[]
    const knows: Record<string, number> = {}
    // Of several classes of a workshop, what the least is known of.
    for (const { workshop, erased } of packs) knows[workshop.id] = Math.min(knows[workshop.id] ?? Infinity, erased ?? 0)
    const events: DayEvent[] = []
    for (const x of waiting) events.push((await asKept(tx.objectStore('events'), x)).e)
    await tx.done
    return { events, knows }
  },
  /** What the server said of taps that were sent, on disk; notes stay as they stand there. Answers with them as they are then. */
  settle: async (told: readonly KeptEvent[]): Promise<KeptEvent[]> => {
    const tx = (await db()).transaction('events', 'readwrite', { durability: 'strict' })
    const now: KeptEvent[] = []
    for (const x of told) {
      const k = await asKept(tx.store, x)
      await tx.store.put(k)
      now.push(k)
    }
    await tx.done
    return now
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
      const participants = p.workshop.group.participants.map((x) => ({ ...x, name: null }))
      const workshop = { ...p.workshop, group: { ...p.workshop.group, participants } }
      await tx.objectStore('packs').put({ ...p, workshop, erased: version, last: 0 } satisfies Pack)
      await withoutNames(tx.objectStore('events'), p)
    }
    await tx.done
    forgot()
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
