import { cp, mkdtemp, readdir, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { inject } from 'vitest'
import { uuidv7 } from 'uuidv7'
import { demoHouses, demoWorkshops } from '#core/demo'
import type { Picture, Summary, Workshop } from '#core/workshop'
import { loadSummaries, loadWorkshop, type Stored } from '../desk/documents'
import { Saver } from '../desk/saver'
import { seedDemo } from '../desk/seed'
import { eraseNames, sweepPictures } from '../forgetting/forgetting'
import { command, fixed } from '../testing/start'
import { migrate } from './migrate'
import { openPool } from './pool'

/** The migrations of the version before this one. */
const before = ['0001_first.sql', '0002_pictures.sql', '0003_prints.sql', '0004_lettering.sql']
const id = 'lighthouse-blocks'
let url = ''
let pool: ReturnType<typeof openPool>
let admin: ReturnType<typeof openPool>
beforeAll(async () => {
  const base = new URL(inject('databaseUrl'))
  admin = openPool(base.href)
  await admin.query('create database upgraded')
  base.pathname = '/upgraded'
  url = base.href
  pool = openPool(url)
  const old = await mkdtemp(join(tmpdir(), 'imprenta-old-'))
  for (const name of before) await cp(join('server/migrations', name), join(old, name))
  expect((await readdir(old)).length).toBe(4)
  await migrate(pool, old)
  await rm(old, { recursive: true })
  // As that version wrote it: the body whole, names apart, the day of erasing fixed at upload, commands with their names beside them.
  for (const h of demoHouses) await pool.query('insert into house (id, version, body) values ($1, 1, $2)', [h.id, h])
  for (const w of demoWorkshops('2026-05-15')) {
    const pictures = w.pictures?.map((p): Picture => ({ ...p, deleteOn: '2026-06-15' }))
    const body: Workshop = {
      ...w,
      group: { ...w.group, participants: w.group.participants.map((p) => ({ ...p, name: null })) },
      ...(pictures && { pictures }),
    }
    await pool.query('insert into workshop (id, house_id, version, body) values ($1, $2, 3, $3)', [w.id, w.houseId, body])
    for (const p of w.group.participants)
      if (p.name) await pool.query('insert into participant_name values ($1, $2, $3, $4)', [w.id, p.id, w.houseId, p.name])
  }
  const c = uuidv7()
  await pool.query(`insert into command values ($1, 'tidewater', 'workshop', $2, 2, 3, 'type-name', $3, '[]', 'Noor', '', now())`, [
    c,
    id,
    JSON.stringify([{ path: `group/participants/${id}-p1/name`, before: null, after: null }]),
  ])
  await pool.query(`insert into command_name values ($1, 'tidewater', '0/after', 'Pia')`, [c])
  await pool.query(`insert into demo values ('2026-05-15')`)
  await migrate(pool, 'server/migrations')
  await seedDemo(pool, '2026-05-15')
})
afterAll(async () => {
  await pool.end()
  await admin.query('drop database upgraded with (force)')
  await admin.end()
})

it('a database of the version before keeps all it has: documents, names, versions', async () => {
  for (const w of demoWorkshops('2026-05-15')) {
    const { version, body } = (await loadWorkshop(pool, w.id))!
    expect(version).toBe(3)
    expect({ ...body, pictures: undefined }).toEqual({ ...w, pictures: undefined })
  }
})
it('gets summaries of what was there before there were any', async () => {
  const summaries = JSON.parse(await loadSummaries(pool)) as Stored<Summary>[]
  expect(summaries.map((s) => [s.body.id, s.body.people]).sort()).toEqual(
    demoWorkshops('2026-05-15')
      .map((w) => [w.id, w.group.participants.length])
      .sort(),
  )
})
it('a day of erasing that was fixed at upload follows the classes again; one that somebody chose stays', async () => {
  const { body } = (await loadWorkshop(pool, id))!
  expect(new Set(body.pictures!.map((p) => p.deleteOn))).toEqual(new Set([null]))
})
it('goes on: saves, erases, sweeps', async () => {
  const saver = new Saver(url)
  const { outcomes } = await saver.save([command(id, [{ path: 'group/helpers', before: 2, after: 5 }])], fixed)
  expect(outcomes[0]).toMatchObject({ status: 'applied', version: 4 })
  await eraseNames(pool, id, { actor: '', at: fixed })
  expect((await pool.query(`select 1 from command_name where name is not null`)).rowCount).toBe(0)
  expect((await loadWorkshop(pool, id))!.version).toBe(5)
  expect(await sweepPictures(pool, () => fixed)).toBe(0)
  await saver.close()
})
