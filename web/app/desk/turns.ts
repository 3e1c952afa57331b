import { openDB, type IDBPDatabase } from 'idb'

/** Of a page served over plain HTTP to another machine the browser gives no locks (it calls only HTTPS and this machine secure). There a
 *  lease in the browser's own database does: whoever holds it renews it; one that is not renewed runs out. */
const leaseMs = 8000
let db: Promise<IDBPDatabase> | undefined
const open = () => (db ??= openDB('imprenta-turns', 1, { upgrade: (d) => void d.createObjectStore('lease') }))
const locks = (): LockManager | undefined => (navigator as { locks?: LockManager }).locks

/** Does something while no other tab of this browser does something of the same name. */
export async function inTurn<T>(name: string, task: () => Promise<T>): Promise<T> {
  const manager = locks()
  if (manager) return (await manager.request(name, task)) as T
  const me = `${Math.random()}`
  while (!(await take(name, me))) await new Promise((go) => setTimeout(go, 120))
  const renew = setInterval(() => void take(name, me), leaseMs / 3)
  try {
    return await task()
  } finally {
    clearInterval(renew)
    await (await open()).delete('lease', name)
  }
}

async function take(name: string, me: string): Promise<boolean> {
  const tx = (await open()).transaction('lease', 'readwrite')
  const held = (await tx.store.get(name)) as { by: string; until: number } | undefined
  const mine = !held || held.by === me || held.until < Date.now()
  if (mine) await tx.store.put({ by: me, until: Date.now() + leaseMs }, name)
  await tx.done
  return mine
}

/** This tab's own name: the same after a reload, another in a second tab, also in one that was duplicated from this. It is held as
 *  long as the tab is open; `others` are the names that are held now, undefined where the browser cannot say. */
export async function nameTab(): Promise<{ tab: string; others: () => Promise<Set<string> | undefined> }> {
  const fresh = () => `${Date.now().toString(36)}-${Math.random().toString(36).slice(2, 8)}`
  const key = 'imprenta.tab'
  let tab = sessionStorage.getItem(key) ?? fresh()
  const manager = locks()
  if (manager && !(await hold(manager, tab))) await hold(manager, (tab = fresh()))
  sessionStorage.setItem(key, tab)
  const others = async () =>
    manager && new Set(((await manager.query()).held ?? []).flatMap((l) => (l.name?.startsWith('tab/') ? [l.name.slice(4)] : [])))
  return { tab, others }
}

const hold = (manager: LockManager, tab: string): Promise<boolean> =>
  new Promise((answer) => {
    // Held until the tab is closed.
    void manager.request(`tab/${tab}`, { ifAvailable: true }, (lock) => {
      answer(lock !== null)
      return lock ? new Promise<never>(() => undefined) : undefined
    })
  })
