import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it, test } from 'vitest'
import { uuidv7 } from 'uuidv7'
import { planOf, planWorkshop } from '#core/plan'
import { layPrints, printsOf } from '#core/prints'
import { addDesign, type Workshop } from '#core/workshop'
import { lock } from '../desk/commands'
import { seedPictures } from '../demo/pictures'
import { command, fixed, startServer } from '../testing/start'
import type { Job } from '#core/prints'

const id = 'lighthouse-blocks'
const path = (rest: string) => `/api/workshops/${id}/${rest}`
let server: Awaited<ReturnType<typeof startServer>>
beforeAll(async () => {
  server = await startServer('prints')
  await seedPictures(server.pool, fixed)
}, 120_000)
afterAll(() => server.stop())

const pdf = async (rest: string): Promise<Buffer> => {
  const res = await server.api
    .get(path(rest))
    .buffer(true)
    .parse((r, done) => {
      const parts: Buffer[] = []
      r.on('data', (p: Buffer) => parts.push(p))
      r.on('end', () => done(null, Buffer.concat(parts)))
    })
  expect(res.status).toBe(200)
  return res.body as Buffer
}

interface Placed {
  /** The image's matrix on the page, in points, and its own pixels. */
  matrix: number[]
  width: number
  height: number
}
const times = (a: number[], b: number[]) => [
  a[0]! * b[0]! + a[2]! * b[1]!,
  a[1]! * b[0]! + a[3]! * b[1]!,
  a[0]! * b[2]! + a[2]! * b[3]!,
  a[1]! * b[2]! + a[3]! * b[3]!,
  a[0]! * b[4]! + a[2]! * b[5]! + a[4]!,
  a[1]! * b[4]! + a[3]! * b[5]! + a[5]!,
]

/** A page as another program reads it: size in mm, each image's matrix and pixels, text, fonts. */
async function readPage(bytes: Buffer, number: number) {
  const doc = await getDocument({ data: new Uint8Array(bytes), useSystemFonts: false, verbosity: 0 }).promise
  const page = await doc.getPage(number)
  const [, , w, h] = page.view as [number, number, number, number]
  const list = await page.getOperatorList()
  const images: Placed[] = []
  let now = [1, 0, 0, 1, 0, 0]
  const stack: number[][] = []
  list.fnArray.forEach((fn, i) => {
    const args = list.argsArray[i] as unknown[]
    if (fn === OPS.save) stack.push(now)
    if (fn === OPS.restore) now = stack.pop()!
    if (fn === OPS.transform) now = times(now, args as number[])
    if (fn === OPS.paintImageXObject) images.push({ matrix: now, width: args[1] as number, height: args[2] as number })
  })
  const text = (await page.getTextContent()).items.map((t) => ('str' in t ? t.str : '')).join(' ')
  return { pages: doc.numPages, mm: [w, h].map((x) => (x * 25.4) / 72), images, text }
}
const mm = (points: number) => (points * 25.4) / 72

describe('the sheets as PDF', () => {
  it('have the paper’s size, and each picture its own size, place and pixels, mirrored by its matrix', async () => {
    const bytes = await pdf('prints.pdf?proof=0')
    const page = await readPage(bytes, 1)
    expect(page.mm.map((x) => Number(x.toFixed(1)))).toEqual([210, 297])
    expect(page.images).toHaveLength(2)
    for (const { matrix, width, height } of page.images) {
      const [a, b, c, d] = matrix as [number, number, number, number, number, number]
      // 125 mm blocks: no skew, the first axis runs backwards.
      expect([mm(Math.hypot(a, b)), mm(Math.hypot(c, d))]).toEqual([expect.closeTo(125, 3), expect.closeTo(125, 3)])
      expect(a * d - b * c).toBeLessThan(0)
      // Every pixel of the picture is in the file: at least 250 an inch.
      expect(width / (125 / 25.4)).toBeGreaterThan(250)
      expect(width).toBe(height)
      const [x, y] = [Math.min(matrix[4]!, matrix[4]! + a + c), Math.min(matrix[5]!, matrix[5]! + b + d)].map(mm)
      expect(x).toBeGreaterThanOrEqual(5 - 0.01)
      expect(y).toBeGreaterThanOrEqual(5 - 0.01)
      expect(x! + 125).toBeLessThanOrEqual(205.01)
      expect(y! + 125).toBeLessThanOrEqual(292.01)
    }
  })
  it('carry names on tabs, a scale bar, the sheet’s number and “100 %”, and embed their fonts', async () => {
    const bytes = await pdf('prints.pdf?proof=0')
    const all = await Promise.all([1, 2, 3, 4].map((n) => readPage(bytes, n)))
    const text = all.map((p) => p.text).join(' ')
    expect(text).toMatch(/Sample 1/)
    expect(text).toMatch(/100 mm: print at 100 %/)
    expect(text).toMatch(/1\/\d+ +toner, plain paper/)
    const raw = bytes.toString('latin1')
    expect(raw).toMatch(/\/FontFile[23]/)
    expect(raw).not.toMatch(/\/BaseFont \/Helvetica/)
  })
  it('have accents and other scripts right, and call by the seat whom no font can draw', async () => {
    const rename = (seat: number, before: string, after: string) => ({ path: `group/participants/${id}-p${seat}/name`, before, after })
    await server.api
      .post('/api/commands')
      .send([command(id, [rename(1, 'Pia', 'Zoë-Łucja'), rename(2, 'Odo', 'Ελένη'), rename(3, 'Kit', '𒀀𒁀')])])
    const bytes = await pdf('prints.pdf?proof=0&sheets=3,4')
    // Letters of another face are another run: spaces between runs do not count.
    const text = ((await readPage(bytes, 1)).text + (await readPage(bytes, 2)).text).replace(/\s+/g, '')
    expect(text).toMatch(/Zoë-Łucja/)
    expect(text).toMatch(/Ελένη/)
    expect(text).not.toMatch(/𒀀/)
    expect(text).toMatch(/SeatA3/)
    await server.api
      .post('/api/commands')
      .send([command(id, [rename(1, 'Zoë-Łucja', 'Pia'), rename(2, 'Ελένη', 'Odo'), rename(3, '𒀀𒁀', 'Kit')])])
  })
  it('begin with a proof on which nothing is mirrored', async () => {
    const page = await readPage(await pdf('prints.pdf'), 1)
    expect(page.text).toMatch(/Proof/)
    // Whatever the sheets have room for, here is something to measure.
    expect(page.text).toMatch(/100 mm: print at 100 %/)
    expect(page.images.length).toBeGreaterThan(10)
    for (const { matrix } of page.images) expect(matrix[0]! * matrix[3]! - matrix[1]! * matrix[2]!).toBeGreaterThan(0)
  })
  it('keep the pixels that a picture has: 1200 on 101.6 mm are 300 an inch', async () => {
    const bytes = await sharp({ create: { width: 1200, height: 1200, channels: 3, background: '#887766' } })
      .jpeg()
      .withExif({ IFD0: { Artist: 'Somebody' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 3230/100' } })
      .toBuffer()
    const other = '/api/workshops/kelp-coasters'
    await server.api.post(`${other}/pictures/exact`).attach('file', bytes, 'exact.png')
    const after = { id: 'exact', participant: null, width: 1200, height: 1200, permitted: true, deleteOn: null }
    await server.api.post('/api/commands').send([command('kelp-coasters', [{ path: 'pictures/exact', before: null, after }])])
    const res = await server.api.get(`${other}/prints.pdf?proof=0&sheets=1`).buffer(true)
    const [image] = (await readPage(res.body as Buffer, 1)).images
    // Where it was taken is not on paper either.
    for (const trace of ['Exif', 'Somebody', 'GPS']) expect((res.body as Buffer).includes(trace)).toBe(false)
    expect([image!.width, mm(Math.abs(image!.matrix[0]!))]).toEqual([1200, expect.closeTo(101.6, 3)])
  })
  it('turn, crop and lighten without touching the stored picture', async () => {
    const before = (await server.api.get(path(`pictures/${id}-picture-1/full.jpg`)).buffer(true)).body as Buffer
    const edit = { turn: 10, crop: { x: 0.2, y: 0.2, w: 0.5, h: 0.5 }, blackWhite: true, lighten: 0.5, borderMm: 4, outline: true }
    await server.api.post('/api/commands').send([command(id, [{ path: `pictures/${id}-picture-1/edit`, before: null, after: edit }])])
    const page = await readPage(await pdf('prints.pdf?proof=0&sheets=1'), 1)
    expect(page.images.length).toBeGreaterThan(0)
    expect(((await server.api.get(path(`pictures/${id}-picture-1/full.jpg`)).buffer(true)).body as Buffer).equals(before)).toBe(true)
    await server.api.post('/api/commands').send([command(id, [{ path: `pictures/${id}-picture-1/edit`, before: edit, after: null }])])
  })
  it('come as a PNG, one by one', async () => {
    const png = await pdf('prints/1.png')
    expect(await sharp(png).metadata()).toMatchObject({ format: 'png', density: 200, width: 1654, height: 2339 })
    // Names, bar and list stand in the waste, as in the PDF: ink to the right of the pictures (125 mm blocks from 5 mm on).
    const waste = sharp(png).extract({ left: 1080, top: 60, width: 500, height: 2200 }).greyscale()
    const dark = (await waste.raw().toBuffer()).reduce((n, x) => n + Number(x < 100), 0)
    expect(dark).toBeGreaterThan(500)
  })
  it('are cut out along the outline of a round piece, in PDF and PNG, and mirrored with it', async () => {
    const other = '/api/workshops/kelp-coasters'
    const w = (await server.api.get(other)).body.body
    const outline = { path: `designs/${w.designs[0].id}/outline`, before: null, after: 'round' }
    const [taken] = (await server.api.post('/api/commands').send([command('kelp-coasters', [outline])])).body.outcomes
    expect(taken.status).toBe('applied')
    const png = (await server.api.get(`${other}/prints/1.png`).buffer(true)).body as Buffer
    const { data, info } = await sharp(png).greyscale().raw().toBuffer({ resolveWithObject: true })
    const dark = data.reduce((n, x) => n + Number(x > 100 && x < 140), 0)
    // 800 px wide prints, each a disc of pi / 4 of its box: the rest of the sheet is bare.
    const box = ((101.6 / 25.4) * 200) ** 2
    const discs = dark / ((box * Math.PI) / 4)
    expect(Math.abs(discs - Math.round(discs))).toBeLessThan(0.02)
    expect([Math.round(discs) >= 2, info.width]).toEqual([true, 1700])
    const bytes = (await server.api.get(`${other}/prints.pdf?proof=0&sheets=1`).buffer(true)).body as Buffer
    const doc = await getDocument({ data: new Uint8Array(bytes), useSystemFonts: false, verbosity: 0 }).promise
    const fns = (await (await doc.getPage(1)).getOperatorList()).fnArray
    // Clipped before each picture is drawn, and a line along it.
    expect(fns.filter((f) => f === OPS.clip).length).toBe(2 * fns.filter((f) => f === OPS.paintImageXObject).length)
    await server.api.post('/api/commands').send([command('kelp-coasters', [{ ...outline, before: 'round', after: null }])])
  })
  test.each([
    ['prints.pdf?sheets=99', 404],
    ['prints.pdf?sheets=x', 422],
    ['prints.pdf?steps=1e9', 422],
    ['prints/0.png', 404],
  ])('%s is answered with %d and what to do', async (rest, status) => {
    const res = await server.api.get(path(rest))
    expect([res.status, res.body.error.remedy.length > 5]).toEqual([status, true])
  })
})

describe('the printer, simulated', () => {
  const jobs = async () => (await server.api.get(path('print-jobs'))).body as { jobs: Job[]; printers: { ink: string; level: number }[] }
  const sheetsNow = async (): Promise<string[][]> => {
    // What a page would show: worked out by the same core, told by a job that is refused.
    const { layPrints, printsOf, stillToPrint } = await import('#core/prints')
    const { planWorkshop } = await import('#core/plan')
    const workshop = (await server.api.get(`/api/workshops/${id}`)).body.body
    const house = (await server.api.get('/api/houses/tidewater')).body.body
    const plan = planWorkshop({ workshop, house, now: '2026-05-15T21:00:00+02:00[Europe/Madrid]' })
    const { paper } = plan.print
    const all = printsOf(plan, workshop, { widthMm: paper.widthMm - 2 * paper.marginMm, heightMm: paper.heightMm - 2 * paper.marginMm })
    const laid = layPrints(
      { prints: stillToPrint(all, (await jobs()).jobs), paper, gutterMm: plan.print.gutterMm, locks: [], unit: 'mm' },
      200,
    )
    if ('refused' in laid) throw new Error('refused')
    return laid.sheets.filter((s) => !s.waits).map((s) => s.places.map((p) => p.print.id))
  }
  const print = (sheets: string[][], more: object = {}) =>
    server.api.post(path('print-jobs')).send({ id: uuidv7(), ink: 'toner', steps: 200, sheets, actor: 'Nerys', ...more })

  it('prints what it is sent, once, and the pieces count as printed', async () => {
    const [first, second] = await sheetsNow()
    const job = uuidv7()
    const answer = await print([first!, second!], { id: job })
    expect(answer.body.job).toMatchObject({ printed: 2, lost: 0, stopped: null, whole: true })
    expect((await print([first!], { id: job })).body.job.id).toBe(job)
    expect((await jobs()).jobs).toHaveLength(1)
    const left = (await sheetsNow()).flat()
    expect(left.filter((p) => first!.includes(p))).toEqual([])
    const { pieces } = (await server.api.get(`/api/workshops/${id}`)).body.body
    const owners = [...first!, ...second!].filter((p) => p.startsWith(`${id}-p`) && !p.includes('copy'))
    expect(
      pieces
        .filter((p: { state: string }) => p.state === 'printed')
        .map((p: { participant: string }) => p.participant)
        .sort(),
    ).toEqual(owners.sort())
    expect((await readPage(await pdf(`print-jobs/${job}.pdf`), 1)).images).toHaveLength(2)
  })
  it('prints nothing twice when two press at the same moment, nor one press that is sent twice', async () => {
    const [sheet] = await sheetsNow()
    const both = await Promise.all([print([sheet!]), print([sheet!])])
    expect(both.map((r) => r.status).sort()).toEqual([201, 422])
    expect(both.find((r) => r.status === 422)!.body.error.what).toBe('The sheets have changed since you looked.')
    const before = (await jobs()).jobs.length
    const job = uuidv7()
    const [next] = await sheetsNow()
    const twice = await Promise.all([print([next!], { id: job }), print([next!], { id: job })])
    expect(twice.every((r) => r.body.job.id === job)).toBe(true)
    expect((await jobs()).jobs).toHaveLength(before + 1)
  })
  it('two that both found their sheet free wait for each other, and the second prints nothing', async () => {
    const before = (await jobs()).jobs.length
    const [sheet] = await sheetsNow()
    const holder = await server.pool.connect()
    try {
      await holder.query('begin')
      await lock(holder, [`prints/${id}`])
      const both = [print([sheet!]), print([sheet!])].map((r) => r.then((x) => x))
      // Both have drawn their sheet and wait for their turn to keep the job.
      const waiting = `select count(*)::int n from pg_locks where not granted and locktype = 'advisory' and database = (select oid from pg_database where datname = current_database())`
      await expect.poll(async () => (await server.pool.query<{ n: number }>(waiting)).rows[0]!.n, { timeout: 20_000 }).toBe(2)
      await holder.query('commit')
      expect((await Promise.all(both)).map((r) => r.status).sort()).toEqual([201, 422])
    } finally {
      holder.release()
    }
    expect((await jobs()).jobs).toHaveLength(before + 1)
  })
  it('writes the number that a sheet has on the screen, whichever are printed', async () => {
    const [, second] = await sheetsNow()
    const { job } = (await print([second!])).body as { job: Job }
    expect((await readPage(await pdf(`print-jobs/${job.id}.pdf`), 1)).text).toMatch(/(^| )2\/\d+/)
    const some = await pdf('prints.pdf?proof=0&sheets=2,4-5,9999')
    const numbers = await Promise.all([1, 2, 3].map(async (n) => /(\d+)\/\d+/.exec((await readPage(some, n)).text)![1]))
    expect(numbers).toEqual(['2', '4', '5'])
  })
  it('takes what a tray holds, no more', async () => {
    const { status, body } = await print(Array.from({ length: 121 }, (_, i) => [`x${i}`]))
    expect([status, body.error.what, body.error.remedy]).toEqual([422, 'more than 120 sheets', 'Print them in several goes.'])
  })
  it('jams when it is told to: what is missing is known, re-ganged and nothing else', async () => {
    await server.api.post('/api/houses/tidewater/printer').send({ ink: 'toner', letIt: 'jam' })
    const sheets = (await sheetsNow()).slice(0, 4)
    const { job } = (await print(sheets)).body as { job: Job }
    expect(job).toMatchObject({ stopped: 'jam', lost: 1 })
    expect(job.printed).toBeLessThan(4)
    const left = (await sheetsNow()).flat()
    const missing = sheets.slice(job.printed).flat()
    expect(missing.every((p) => left.includes(p))).toBe(true)
    expect(
      sheets
        .slice(0, job.printed)
        .flat()
        .some((p) => left.includes(p)),
    ).toBe(false)
  })
  it('runs low when it is told to, and goes on with a new cartridge', async () => {
    await server.api.post('/api/houses/tidewater/printer').send({ ink: 'toner', letIt: 'low' })
    const { job } = (await print((await sheetsNow()).slice(0, 4))).body as { job: Job }
    expect(job).toMatchObject({ stopped: 'empty', printed: 2, lost: 0 })
    const { printer } = (await server.api.post('/api/houses/tidewater/printer').send({ ink: 'toner', refill: true })).body
    expect(printer.level).toBe(1)
  })
  it('does not start with the wrong paper', async () => {
    await server.api.post('/api/houses/tidewater/printer').send({ ink: 'toner', paper: 'letter' })
    const { job } = (await print((await sheetsNow()).slice(0, 1))).body as { job: Job }
    expect(job).toMatchObject({ stopped: 'wrong-paper', printed: 0 })
    await server.api.post('/api/houses/tidewater/printer').send({ ink: 'toner', paper: 'a4' })
  })
  it('prints again what is wanted again', async () => {
    const done = (await jobs()).jobs[0]!
    const again = done.sheets[0]!.prints[0]!
    expect((await sheetsNow()).flat()).not.toContain(again)
    await server.api.post(path(`print-jobs/${done.id}/redo`)).send({ prints: [again] })
    expect((await sheetsNow()).flat()).toContain(again)
  })
  it('refuses sheets that are not there any more, kindly, and prints nothing', async () => {
    const before = (await jobs()).jobs.length
    const res = await print([['nobody']])
    expect([res.status, res.body.error.what]).toEqual([422, 'The sheets have changed since you looked.'])
    expect((await print([['x']], { ink: 'inkjet' })).body.error.what).toMatch(/no inkjet printer/)
    expect((await jobs()).jobs).toHaveLength(before)
  })
  it('smears with liquid ink and not with toner', async () => {
    const smear = async (ink: string) => (await server.api.post('/api/houses/tidewater/printer/smear').send({ ink })).body.outcome
    expect([await smear('toner'), await smear('inkjet')]).toEqual(['passed', 'failed'])
  })
  it('two presses at the same moment print each sheet once', async () => {
    await server.api.post('/api/houses/tidewater/printer').send({ ink: 'toner', refill: true, paper: 'a4' })
    const before = (await jobs()).jobs.length
    const [sheet] = await sheetsNow()
    const both = await Promise.all([print([sheet!]), print([sheet!])])
    expect(both.map((r) => r.status).sort()).toEqual([201, 422])
    expect((await jobs()).jobs.length).toBe(before + 1)
  })
  it('loses a job’s PDF with a picture that is erased, and says so', async () => {
    const job = (await jobs()).jobs[0]!
    const { rows } = await server.pool.query<{ pictures: string[] }>('select pictures from print_job where id = $1', [job.id])
    await server.api.delete(path(`pictures/${rows[0]!.pictures[0]}`))
    const res = await server.api.get(path(`print-jobs/${job.id}.pdf`))
    expect([res.status, res.body.error.what]).toEqual([404, 'A picture of this job was erased, and its PDF with it.'])
    expect((await jobs()).jobs[0]).toMatchObject({ whole: false, printed: 2 })
  })
  it('forgets names with the workshop’s names: labels, file names, PDFs', async () => {
    expect(JSON.stringify((await jobs()).jobs)).toMatch(/Pia|Odo|Kit/)
    await server.api.post(`/api/workshops/${id}/erase-names`).send({})
    const after = await jobs()
    expect(JSON.stringify(after.jobs)).not.toMatch(/"(Pia|Odo|Kit|Juno)[",]/)
    expect(after.jobs.every((j) => !j.whole)).toBe(true)
    expect((await server.pool.query('select distinct name from picture where workshop_id = $1', [id])).rows).toEqual([{ name: 'picture' }])
  })
})

it('a further design prints its own sheets, and counts its own pieces as printed', async () => {
  const of = async () => (await server.api.get(`/api/workshops/${id}`)).body.body as Workshop
  const before = await of()
  const owner = before.pictures!.find((p) => p.participant !== null)!
  await server.api
    .post('/api/commands')
    .send([command(id, addDesign(before, 'second')), command(id, [{ path: `pictures/${owner.id}/design`, before: null, after: 'second' }])])
  const w = await of()
  expect(w.designs.map((d) => d.id)).toEqual([before.designs[0]!.id, 'second'])
  expect((await server.api.get(path('prints.pdf?design=nothing'))).status).toBe(404)
  const house = (await server.api.get('/api/houses/tidewater')).body.body
  const plan = planOf(planWorkshop({ workshop: w, house, now: '2026-05-15T21:00:00+02:00[Europe/Madrid]' }), 'second')
  const { paper } = plan.print
  const all = printsOf(plan, w, { widthMm: paper.widthMm - 2 * paper.marginMm, heightMm: paper.heightMm - 2 * paper.marginMm })
  const laid = layPrints({ prints: all, paper, gutterMm: plan.print.gutterMm, locks: [], unit: 'mm' }, 200)
  if ('refused' in laid) throw new Error('refused')
  const sheets = laid.sheets
    .filter((s) => !s.waits && s.places.some((p) => p.print.participant === owner.participant))
    .map((s) => s.places.map((p) => p.print.id))
  const asked = { ink: 'toner', steps: 200, sheets, actor: 'Nerys' }
  expect((await server.api.post(path('print-jobs')).send({ ...asked, id: uuidv7() })).body.error.what).toBe(
    'The sheets have changed since you looked.',
  )
  const { job } = (await server.api.post(path('print-jobs')).send({ ...asked, id: uuidv7(), design: 'second' })).body as { job: Job }
  expect(job.printed).toBe(sheets.length)
  expect((await readPage(await pdf(`print-jobs/${job.id}.pdf`), 1)).images.length).toBeGreaterThan(0)
  const after = await of()
  expect(after.pieces.filter((x) => x.design === 'second').map((x) => [x.participant, x.state])).toEqual([[owner.participant, 'printed']])
  expect(after.pieces.filter((x) => !x.design)).toEqual(w.pieces.filter((x) => !x.design))
})
