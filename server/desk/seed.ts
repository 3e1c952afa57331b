import type pg from 'pg'
import { demoHouses, demoWorkshops } from '#core/demo'
import { inTransaction, maybeOne, run } from '../db/query'
import { upgradeWorkshops, storeHouse, storeWorkshop } from './documents'

/** Makes the demo houses and workshops, dated around `today`, when there is no house yet. When the demo has gone stale and
 *  nobody has touched a workshop of it, that workshop is dated anew. Answers with what it did. */
export function seedDemo(pool: pg.Pool, today: string): Promise<'made' | 'dated anew' | 'kept'> {
  return inTransaction(pool, async (db) => {
    await run(db, 'select pg_advisory_xact_lock(7130602)')
    await upgradeWorkshops(db)
    const made = await maybeOne<{ day: string }>(db, `select to_char(made_for, 'YYYY-MM-DD') as day from demo`)
    const house = await maybeOne<{ id: string }>(db, 'select id from house limit 1')
    if (!house) {
      for (const h of demoHouses) await storeHouse(db, h, 1)
      for (const w of demoWorkshops(today)) await storeWorkshop(db, w, 1)
      await run(db, 'insert into demo (made_for) values ($1)', [today])
      return 'made'
    }
    if (!made || made.day === today) return 'kept'
    let dated = 0
    for (const w of demoWorkshops(today)) {
      const untouched = await maybeOne<{ id: string }>(db, `select id from workshop where id = $1 and version = 1`, [w.id])
      if (!untouched) continue
      await storeWorkshop(db, w, 1)
      dated++
    }
    await run(db, 'update demo set made_for = $1', [today])
    return dated > 0 ? 'dated anew' : 'kept'
  })
}
