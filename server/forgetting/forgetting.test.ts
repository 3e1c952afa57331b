import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { uuidv7 } from 'uuidv7'
import type { Change, Workshop } from '#core/workshop'
import { seedPictures } from '../demo/pictures'
import { lock } from '../desk/commands'
import { loadWorkshop } from '../desk/documents'
import { lockDay } from '../day/day'
import { inTransaction } from '../db/query'
import { command, fixed, startServer } from '../testing/start'
import { erasePicture, sweepPictures } from './forgetting'

const id = 'lighthouse-blocks'
let server: Awaited<ReturnType<typeof startServer>>
beforeAll(async () => {
  server = await startServer('forgetting')
  await seedPictures(server.pool, fixed)
}, 120_000)
afterAll(() => server.stop())

const send = async (...commands: object[]) => (await server.api.post('/api/commands').send(commands)).body.outcomes
const change = async (...changes: Change[]) => (await send(command(id, changes)))[0]
const workshop = async (): Promise<Workshop> => (await loadWorkshop(server.pool, id))!.body
const eraseNames = () => server.api.post(`/api/workshops/${id}/erase-names`).send({})
const print = async (sheets: string[][], steps: number) =>
  server.api.post(`/api/workshops/${id}/print-jobs`).send({ id: uuidv7(), ink: 'toner', steps, sheets })
const firstSheet = async () => {
  const { body } = await server.api.get(`/api/workshops/${id}/print-jobs`)
  return body as { jobs: { id: string; whole: boolean }[] }
}

/** Every place of every table where a text stands, read as text and as bytes. */
async function traces(text: string): Promise<string[]> {
  const { rows } = await server.pool.query<{ table: string; column: string }>(
    `select table_name as table, column_name as column from information_schema.columns where table_schema = 'public'`,
  )
  const found: string[] = []
  for (const { table, column } of rows) {
    const { rowCount } = await server.pool.query(
      `select 1 from "${table}" where position($1 in "${column}"::text) > 0 or position(encode(convert_to($1, 'UTF8'), 'hex') in "${column}"::text) > 0`,
      [text],
    )
    if (rowCount) found.push(`${table}.${column}`)
  }
  return found
}

describe('erasing names', () => {
  const marker = 'Zephyrine'
  it('leaves a planted name nowhere: tables, history, file names, jobs and their PDFs', async () => {
    const person = (await workshop()).group.participants[0]!
    expect(await change({ path: `group/participants/${person.id}/name`, before: person.name, after: marker })).toMatchObject({
      status: 'applied',
    })
    // In history in every shape: typed, with its person, in the whole workshop that goes and comes back.
    const late = { id: 'late-one', seat: 40, name: `${marker} Two`, age: 'adult', misses: [] }
    await change({ path: 'group/participants/late-one', before: null, after: late })
    await change({ path: 'group/participants/late-one', before: late, after: null })
    const whole = await workshop()
    const bytes = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#888' } })
      .jpeg()
      .toBuffer()
    await server.api.post(`/api/workshops/${id}/pictures/planted`).attach('file', bytes, `${marker} on the pier.jpg`)
    const { body } = await print([], 0)
    expect(body.error.path).toBe('sheets')
    expect(whole.group.participants.some((p) => p.name === marker)).toBe(true)
    expect((await traces(marker)).sort()).toEqual(['command_name.name', 'participant_name.name', 'picture.name'])
    expect((await eraseNames()).body).toEqual({ erased: expect.any(Number) })
    expect(await traces(marker)).toEqual([])
    expect((await workshop()).group.participants.every((p) => p.name === null)).toBe(true)
  })
  it('tells the pages with a new version, and what was typed before meets it as a conflict, not as a name that is back', async () => {
    const { version, body } = (await loadWorkshop(server.pool, id))!
    const person = body.group.participants[1]!
    await change({ path: `group/participants/${person.id}/name`, before: null, after: 'Nereus' })
    await eraseNames()
    expect((await loadWorkshop(server.pool, id))!.version).toBe(version + 2)
    const late = await change({ path: `group/participants/${person.id}/name`, before: 'Nereus', after: 'Nereus B' })
    expect(late).toMatchObject({ status: 'conflict', clashes: [{ stored: null, yours: 'Nereus B' }] })
    expect(await traces('Nereus')).toEqual([])
  })
  it('lets no change between: of forty races none brings a name back', async () => {
    for (let n = 0; n < 40; n++) {
      const person = (await workshop()).group.participants[n % 10]!
      const name = `Racer${n}x`
      const typed = command(id, [{ path: `group/participants/${person.id}/name`, before: person.name, after: name }])
      await send(typed)
      const again = command(id, [
        { path: `group/participants/${person.id}/name`, before: name, after: `${name}y` },
        { path: 'group/helpers', before: (await workshop()).group.helpers, after: (n % 5) + 1 },
      ])
      await Promise.all([eraseNames(), send(again), send(typed)])
      expect(await traces(name), `race ${n}`).toEqual([])
    }
  }, 60_000)
  it('reaches what was noted on the day, earlier names too; the rest of what was tapped stays as it was', async () => {
    const person = (await workshop()).group.participants[3]!
    await change({ path: `group/participants/${person.id}/name`, before: person.name, after: 'Corvina' })
    await change({ path: `group/participants/${person.id}/name`, before: 'Corvina', after: 'Petrel Sound' })
    const tap = (seq: number, kind: string, value: object) => ({
      ...{ id: uuidv7(), workshop: id, session: 's', subject: { kind: 'room', id: 'room' }, kind, value },
      ...{ at: fixed, device: 'a', seq, skew: 0, actor: 'Noor' },
    })
    const taps = [
      tap(1, 'note', { text: 'Corvina and petrel sound: two rounds' }),
      tap(2, 'note', { text: 'fans on' }),
      tap(3, 'check', { what: 'Corvina', on: true }),
    ]
    await server.api.post('/api/day/events').send({ events: taps })
    await eraseNames()
    const { events } = (await server.api.get(`/api/day/${id}/s?after=0`)).body
    expect(events).toEqual([{ ...taps[0], value: { text: '… and …: two rounds' } }, taps[1], taps[2]])
    await expect(server.pool.query(`update day_event set body = '{}' where id = $1`, [taps[1]!.id])).rejects.toThrow(
      'stays as it was tapped',
    )
    await expect(
      inTransaction(server.pool, async (db) => {
        await db.query(`select set_config('imprenta.wiping', 'names', true)`)
        await db.query(`update day_event set session_id = 'x' where id = $1`, [taps[1]!.id])
      }),
    ).rejects.toThrow('stays as it was tapped')
  })
  it('reaches a note that is just being taken; one from a tablet that has not heard is neither taken nor refused, all else of it is', async () => {
    const person = (await workshop()).group.participants[4]!
    await change({ path: `group/participants/${person.id}/name`, before: person.name, after: 'Ulmar' })
    const tap = (seq: number, kind: string, value: object) => ({
      ...{ id: uuidv7(), workshop: id, session: 'race', subject: { kind: 'room', id: 'room' }, kind, value },
      ...{ at: fixed, device: 'a', seq, skew: 0, actor: 'Noor' },
    })
    const during = tap(1, 'note', { text: 'Ulmar has the sieve' })
    let erasing: Promise<unknown> | undefined
    await inTransaction(server.pool, async (db) => {
      await lockDay(db, id)
      // It begins when somebody waits for it.
      erasing = eraseNames().then((x) => x)
      // It waits for the taps: what they say is there when it looks.
      await new Promise((go) => setTimeout(go, 200))
      await db.query(
        `insert into day_event (id, workshop_id, session_id, kind, body, happened, early) values ($1, $2, 'race', 'note', $3, now(), false)`,
        [during.id, id, JSON.stringify(during)],
      )
    })
    expect(await erasing).toMatchObject({ status: 200 })
    expect(await traces('Ulmar')).toEqual([])
    const { rows } = await server.pool.query<{ erased: number }>('select names_erased as erased from workshop where id = $1', [id])
    const { erased } = rows[0]!
    const [late, check] = [tap(2, 'note', { text: 'Ulmar again' }), tap(3, 'check', { what: 'samples', on: true })]
    const post = (body: object) => server.api.post('/api/day/events').send(body)
    const held = (await post({ events: [late, check], knows: { [id]: erased - 1 } })).body
    expect([held.taken, held.refused]).toEqual([[check.id], []])
    expect((await post({ events: [late], knows: {} })).body).toMatchObject({ taken: [], refused: [] })
    expect(await traces('Ulmar')).toEqual([])
    const heard = { ...late, value: { text: '… again' } }
    expect((await post({ events: [heard], knows: { [id]: erased } })).body.taken).toEqual([late.id])
    expect((await server.api.get(`/api/day/${id}/race?after=0`)).body.events.map((e: { value: object }) => e.value)).toEqual([
      ...[{ text: '… has the sieve' }, { what: 'samples', on: true }, { text: '… again' }],
    ])
  })
  it('a command that came again after its names were erased is still the one that was taken', async () => {
    const person = (await workshop()).group.participants[2]!
    const typed = command(id, [{ path: `group/participants/${person.id}/name`, before: person.name, after: 'Halcyon' }])
    const [first] = await send(typed)
    await eraseNames()
    expect(await send(typed)).toEqual([first])
    expect(await traces('Halcyon')).toEqual([])
  })
})

describe('erasing a picture', () => {
  const plant = async (picture: string) => {
    const bytes = await sharp({ create: { width: 90, height: 60, channels: 3, background: '#678' } })
      .jpeg()
      .toBuffer()
    await server.api.post(`/api/workshops/${id}/pictures/${picture}`).attach('file', bytes, 'x.jpg')
    const after = { id: picture, participant: null, width: 90, height: 60, permitted: true, deleteOn: null }
    expect(await change({ path: `pictures/${picture}`, before: null, after })).toMatchObject({ status: 'applied' })
  }
  const kept = async (picture: string) => (await traces(picture)).filter((t) => t !== 'picture_erased.picture_id').sort()
  it('leaves its id nowhere, also where the whole workshop was changed; no old change brings it back', async () => {
    await plant('marker-picture-7')
    const whole = await workshop()
    await send(command(id, [{ path: '', before: whole, after: null }]))
    // Its bytes went with the workshop: it came back without them.
    await send(command(id, [{ path: '', before: null, after: whole }]))
    await change({ path: 'pictures/marker-picture-7/permitted', before: true, after: false })
    expect((await kept('marker-picture-7')).length).toBeGreaterThan(0)
    expect(await erasePicture(server.pool, id, 'marker-picture-7', { actor: 'Noor', at: fixed, why: 'by hand' })).toBe(true)
    expect(await kept('marker-picture-7')).toEqual([])
    const entry = whole.pictures!.find((p) => p.id === 'marker-picture-7')!
    expect(await change({ path: 'pictures/marker-picture-7', before: null, after: entry })).toMatchObject({ status: 'refused' })
    const now = await workshop()
    await send(command(id, [{ path: '', before: now, after: null }]))
    expect(await send(command(id, [{ path: '', before: null, after: { ...now, pictures: [...now.pictures!, entry] } }]))).toMatchObject([
      { status: 'applied' },
    ])
    expect((await workshop()).pictures!.some((p) => p.id === 'marker-picture-7')).toBe(false)
    expect(await kept('marker-picture-7')).toEqual([])
  })
  it('with a % in its address touches nothing else', async () => {
    await plant('stays-here')
    const before = await traces('stays-here')
    expect((await server.api.delete(`/api/workshops/${id}/pictures/%25`)).status).toBe(404)
    expect((await server.api.delete(`/api/workshops/${id}/pictures/stays_here`)).status).toBe(404)
    expect(await traces('stays-here')).toEqual(before)
  })
  it('while a job with it is drawn leaves no PDF that shows it', async () => {
    const { prints } = await laidOut()
    const [sheet] = prints
    const race = await Promise.all([
      print([sheet!.prints], sheet!.steps),
      inTransaction(server.pool, async (db) => {
        await lock(db, [`workshop/${id}`])
        await new Promise((go) => setTimeout(go, 150))
      }).then(() => erasePicture(server.pool, id, sheet!.picture, { actor: 'Noor', at: fixed, why: 'by hand' })),
    ])
    const { rows } = await server.pool.query<{ whole: boolean }>(
      `select pdf is not null as whole from print_job where pictures @> array[$1]`,
      [sheet!.picture],
    )
    expect(rows.some((r) => r.whole)).toBe(false)
    expect([201, 422]).toContain(race[0].status)
    expect((await firstSheet()).jobs.filter((j) => j.whole).length).toBe(0)
  })
})

/** The first sheet as the page would lay it out. */
async function laidOut() {
  const { beginLayout, printsOf } = await import('#core/prints')
  const { planWorkshop } = await import('#core/plan')
  const { usualSteps } = await import('#core/sheets')
  const { loadHouse } = await import('../desk/documents')
  await server.api.post('/api/houses/tidewater/printer').send({ ink: 'toner', paper: 'a4' })
  const w = await workshop()
  const house = (await loadHouse(server.pool, w.houseId))!.body
  const plan = planWorkshop({ workshop: w, house, now: fixed })
  const { widthMm, heightMm, marginMm } = plan.print.paper
  const all = printsOf(plan, w, { widthMm: widthMm - 2 * marginMm, heightMm: heightMm - 2 * marginMm })
  const begun = beginLayout({ prints: all, paper: plan.print.paper, gutterMm: plan.print.gutterMm, locks: [], unit: 'in' })
  if ('refused' in begun) throw new Error(begun.refused.what)
  begun.ganging.step(usualSteps)
  const sheet = begun.layout().sheets.find((s) => !s.waits && s.places.some((p) => p.print.picture))!
  const picture = sheet.places.find((p) => p.print.picture)!.print.picture!.id
  return { prints: [{ prints: sheet.places.map((p) => p.print.id), picture, steps: usualSteps }] }
}

describe('the sweep', () => {
  it('goes on past a picture that cannot be erased now, and tells of it', async () => {
    const plantAt = async (picture: string) => {
      const after = { id: picture, participant: null, width: 90, height: 60, permitted: true, deleteOn: '2026-05-01' }
      await send(command('kelp-coasters', [{ path: `pictures/${picture}`, before: null, after }]))
    }
    await plantAt('sweep-one')
    await plantAt('sweep-two')
    await server.pool.query(
      `create function no_one() returns trigger language plpgsql as $$ begin if new.picture_id = 'sweep-one' then raise exception 'not now'; end if; return new; end $$;
       create trigger no_one before insert on picture_erased for each row execute function no_one()`,
    )
    const failed: string[] = []
    await sweepPictures(
      server.pool,
      () => fixed,
      (p) => failed.push(p),
    )
    const left = (await loadWorkshop(server.pool, 'kelp-coasters'))!.body.pictures!.map((p) => p.id)
    expect([failed, left.includes('sweep-one'), left.includes('sweep-two')]).toEqual([['sweep-one'], true, false])
    await server.pool.query('drop trigger no_one on picture_erased')
    await sweepPictures(server.pool, () => fixed)
    expect((await loadWorkshop(server.pool, 'kelp-coasters'))!.body.pictures ?? []).toEqual([])
  })
  it('follows the classes: a later last class keeps a picture longer, without one it is kept sixty days', async () => {
    const bytes = await sharp({ create: { width: 90, height: 60, channels: 3, background: '#678' } })
      .jpeg()
      .toBuffer()
    const w = (await loadWorkshop(server.pool, 'kelp-coasters'))!.body
    await server.api.post(`/api/workshops/${w.id}/pictures/follows`).attach('file', bytes, 'x.jpg')
    const after = { id: 'follows', participant: null, width: 90, height: 60, permitted: true, deleteOn: null, addedOn: '2026-05-15' }
    await send(command(w.id, [{ path: 'pictures/follows', before: null, after }]))
    const there = async () => (await loadWorkshop(server.pool, w.id))!.body.pictures!.some((p) => p.id === 'follows')
    const on = (day: string) => sweepPictures(server.pool, () => `${day}T12:00:00-04:00[America/New_York]`)
    for (const s of w.sessions) await send(command(w.id, [{ path: `sessions/${s.id}`, before: s, after: null }]))
    await on('2026-07-13')
    expect(await there()).toBe(true)
    const session = { id: 'late', date: '2026-08-01', start: '10:00', end: '12:00', room: 'Craft room' }
    await send(command(w.id, [{ path: 'sessions/late', before: null, after: session }]))
    await on('2026-08-14')
    expect(await there()).toBe(true)
    await on('2026-08-15')
    expect(await there()).toBe(false)
  })
})
