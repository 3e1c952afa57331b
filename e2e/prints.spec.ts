import { expect, test, type Page } from '@playwright/test'
import sharp from 'sharp'
import { uuidv7 } from 'uuidv7'
import { drawnSvg } from '../server/demo/drawn'
import { axe, open, saved, url } from './pages'

const heron = '/w/heron-pages'
const blocks = '/w/lighthouse-blocks'
const motifs = ['moth', 'kelp', 'heron', 'crab', 'fish', 'ferry']
/** A picture as somebody brings it, named as people name them. */
const file = async (name: string, motif = 'moth', side = 900) => ({
  name,
  mimeType: 'image/png',
  buffer: await sharp(Buffer.from(drawnSvg(motif, side, Math.round(side * 1.4))))
    .png({ compressionLevel: 1 })
    .toBuffer(),
})
/** Drops files on the pictures sheet, as a hand does from a folder. */
async function dropFiles(page: Page, files: { name: string; mimeType: string; buffer: Buffer }[]): Promise<void> {
  const plain = files.map((f) => ({ name: f.name, type: f.mimeType, data: f.buffer.toString('base64') }))
  const data = await page.evaluateHandle((list) => {
    const dt = new DataTransfer()
    for (const f of list) dt.items.add(new File([Uint8Array.from(atob(f.data), (c) => c.charCodeAt(0))], f.name, { type: f.type }))
    return dt
  }, plain)
  await page.locator('.drop').dispatchEvent('drop', { dataTransfer: data })
}
const tile = (page: Page, name: string) =>
  page.getByRole('group', { name: 'Pictures of the group' }).getByRole('button', { name: new RegExp(`^${name}`) })

test('a class of 24 with own pictures, from a folder to printed sheets', async ({ page }) => {
  test.setTimeout(180_000)
  await open(page, `${heron}/bench/pictures`)
  await page.getByRole('group', { name: 'Whose pictures' }).getByRole('button', { name: 'everybody’s own' }).click()
  await expect(page.getByText('0 of 24 are in')).toBeVisible()
  await dropFiles(page, await Promise.all(Array.from({ length: 24 }, (_, i) => file(`seat ${i + 1}.png`, motifs[i % 6]))))
  await expect(page.getByText('24 of 24 are in')).toBeVisible({ timeout: 120_000 })
  await expect(tile(page, 'Seat B3:')).toBeVisible()
  expect(await axe(page)).toEqual([])
  await page
    .getByRole('button', { name: /^3 of each: 90 % sure/ })
    .first()
    .click()
  await page.getByRole('link', { name: 'Prints', exact: true }).click()
  await expect(page.getByText('No fewer are possible.')).toBeVisible({ timeout: 20_000 })
  const press = page.getByRole('button', { name: /^Print \d+ sheets$/ })
  await expect(press).toBeEnabled({ timeout: 60_000 })
  const sheets = Number(/\d+/.exec((await press.textContent())!)![0])
  expect(sheets).toBeGreaterThan(20)
  // A toner of a third does not last: the press says so, prints what it can, and goes on with a new one.
  await expect(page.getByText('It will run out on the way')).toBeVisible()
  await press.click()
  await expect(page.getByText(/Run out at sheet \d+ of \d+/)).toBeVisible({ timeout: 60_000 })
  await page.getByRole('button', { name: 'A new cartridge is in' }).click()
  await expect(press).toBeEnabled({ timeout: 60_000 })
  await press.click()
  await expect(page.getByText('Everything is printed.')).toBeVisible({ timeout: 60_000 })
  await expect(page.getByLabel('Pieces by state')).toContainText('Printed 24')
  const pdf = await page.request.get(
    url(String(await page.getByRole('list', { name: 'Out-tray' }).getByRole('link', { name: 'PDF' }).first().getAttribute('href'))),
  )
  expect([pdf.status(), (await pdf.body()).subarray(0, 5).toString()]).toEqual([200, '%PDF-'])
})

test('pictures that cannot come in say why; a lost connection and a reload lose none', async ({ page, context }) => {
  await open(page, `${blocks}/bench/pictures`)
  await dropFiles(page, [
    {
      name: 'Emry.svg',
      mimeType: 'image/svg+xml',
      buffer: Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>1</script></svg>'),
    },
  ])
  await expect(page.getByText('Emry.svg is a drawing or a page made of code, not a picture.')).toBeVisible()
  await page.getByRole('button', { name: 'Put aside: Emry.svg' }).click()
  await context.setOffline(true)
  await dropFiles(page, [await file('emry crab.png', 'crab')])
  await expect(page.getByText('The connection was lost.')).toBeVisible()
  await context.setOffline(false)
  await page.reload()
  await expect(tile(page, 'Emry: (?!not in yet)')).toBeVisible({ timeout: 20_000 })
  await saved(page)
  // The same picture again is said, and has no owner: Emry has one.
  await dropFiles(page, [await file('emry again.png', 'crab')])
  await expect(page.getByText(/emry again\.png shows the same as Emry’s/)).toBeVisible({ timeout: 20_000 })
})

test('a picture is placed, marked, accepted, given away and erased', async ({ page }) => {
  await open(page, `${blocks}/bench/pictures`)
  await tile(page, 'Lark').click()
  await expect(page.getByRole('heading', { name: 'Lark’s picture' })).toBeVisible()
  await page.getByRole('button', { name: /^Accept:/ }).click()
  await expect(tile(page, 'Lark: in')).toBeVisible()
  await page.getByRole('button', { name: 'Crop and straighten' }).click()
  const place = page.getByRole('dialog', { name: 'Place the picture' })
  await expect(place.locator('.cropper-crop-box')).toBeVisible()
  expect(await axe(page)).toEqual([])
  await place.getByRole('button', { name: 'Crop closer' }).click()
  await place.getByRole('button', { name: 'Turn right' }).click()
  await place.getByRole('button', { name: 'Place it so' }).click()
  await expect(page.getByText(/\d+ px over 125 mm is \d\d an inch/)).toBeVisible()
  await page.getByRole('group', { name: 'Pull a box over each' }).first().getByRole('button', { name: 'lettering' }).click()
  await page.getByRole('button', { name: 'One in the middle' }).click()
  await expect(tile(page, 'Lark: mirrored')).toBeVisible()
  await page.getByRole('button', { name: 'Take out lettering 1' }).click()
  await saved(page)
  // Delete asks; the safe answer has the focus.
  await tile(page, 'Lark').focus()
  await page.keyboard.press('Delete')
  await expect(page.getByRole('button', { name: 'Keep it' })).toBeFocused()
  await page.getByRole('alertdialog').getByRole('button', { name: 'Erase it' }).click()
  await expect(tile(page, 'Lark: not in yet')).toBeVisible()
  await expect(page.getByText(/1 picture was erased/)).toBeVisible()
})

test('a roster says whose each picture is, and lettering that was seen is settled with one press', async ({ page }) => {
  await open(page, `${blocks}/bench/pictures`)
  const roster = {
    name: 'club.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('name,picture\nAna,DSC 0001.png\nJory,missing.png\nZed,x.png\n'),
  }
  await dropFiles(page, [roster, await file('DSC_0001.png', 'ferry', 1200)])
  await expect(page.getByText(/1 picture found its owner in club\.csv\. Not among the files: missing\.png, x\.png/)).toBeVisible()
  await expect(page.getByText('Not one person in the group: Zed.')).toBeVisible()
  await expect(tile(page, 'Ana: (?!not in yet)')).toBeVisible({ timeout: 20_000 })
  await tile(page, 'Ana').click()
  const line = page.getByRole('listitem').filter({ hasText: 'Perhaps lettering' })
  await expect(line).toBeVisible()
  expect(await axe(page)).toEqual([])
  await line.getByRole('button', { name: 'Place 1 is lettering' }).click()
  await expect(line).toBeHidden()
  await expect(page.getByText('mirrored: lettering will read right')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Take out lettering 1' })).toBeVisible()
  // Undo brings the question back.
  await page.keyboard.press('z')
  await expect(line).toBeVisible()
  await line.getByRole('button', { name: 'Place 1 is not lettering' }).click()
  await expect(page.getByText('mirrored: lettering will read right')).toBeHidden()
  await saved(page)
})

test('a round piece is round from its drawing to its print, and needs less medium', async ({ page }) => {
  await open(page, '/w/kelp-coasters/bench/pictures')
  await dropFiles(page, [await file('kelp.png', 'kelp')])
  await expect(page.getByText('1 house picture')).toBeVisible({ timeout: 20_000 })
  await saved(page)
  await page.goto(url('/w/kelp-coasters/bench/piece'))
  const outline = page.getByRole('group', { name: 'Outline, from above' })
  await outline.getByRole('button', { name: 'round' }).click()
  await expect(page.getByText(/Medium for 78 % of the box round it/)).toBeVisible()
  expect(await axe(page)).toEqual([])
  await saved(page)
  await page.reload()
  await expect(outline.getByRole('button', { name: 'round' })).toHaveAttribute('aria-pressed', 'true')
  await page.getByRole('link', { name: 'Prints', exact: true }).click()
  await expect(page.getByText('No fewer are possible.')).toBeVisible({ timeout: 20_000 })
  await expect(page.locator('.place canvas').first()).toHaveCSS('clip-path', /polygon/)
  await page.goto(url('/w/kelp-coasters/bench/piece'))
  await outline.getByRole('button', { name: 'straight' }).click()
  await expect(page.getByText(/of the box round it/)).toBeHidden()
  await saved(page)
})

test('prints are turned, locked and swapped by keys and hand; what cannot be says why', async ({ page }) => {
  await open(page, `${blocks}/prints`)
  await expect(page.getByText('No fewer are possible.')).toBeVisible({ timeout: 20_000 })
  await page.keyboard.press('PageDown')
  await page.keyboard.press('PageDown')
  await expect(page.getByRole('heading', { name: /^Sheet 3 of/ })).toBeVisible()
  await page.keyboard.press('x')
  await expect(page.getByRole('button', { name: /, locked/ })).toBeVisible({ timeout: 20_000 })
  await expect(page.getByRole('button', { name: 'Unlock all' })).toBeVisible()
  // The locked one is dragged over the edge: it stops there; upwards there is room.
  const place = page.getByRole('button', { name: /, locked/ })
  const box = (await place.boundingBox())!
  await page.mouse.move(box.x + 60, box.y + 60)
  await page.mouse.down()
  await page.mouse.move(box.x + 140, box.y + 60, { steps: 5 })
  await page.mouse.up()
  await expect(page.getByText('No fewer are possible.')).toBeVisible({ timeout: 20_000 })
  await expect
    .poll(async () =>
      Math.round(
        (
          await page
            .getByRole('button', { name: /, locked/ })
            .first()
            .boundingBox()
        )?.x ?? 0,
      ),
    )
    .toBeGreaterThan(box.x + 40)
  await page.getByRole('button', { name: 'Unlock all' }).click()
  await expect(page.getByRole('button', { name: 'Unlock all' })).toBeHidden()
  await saved(page)
})

test('a jam says what is missing and re-gangs just that', async ({ page }) => {
  await open(page, `${blocks}/prints`)
  const press = page.getByRole('button', { name: /^Print \d+ sheets$/ })
  await expect(press).toBeEnabled({ timeout: 60_000 })
  await page.getByRole('group', { name: 'Let it' }).getByRole('button', { name: 'jam' }).click()
  await expect(press).toBeEnabled({ timeout: 60_000 })
  await press.click()
  await expect(page.getByText(/Paper jam at sheet \d+ of \d+/)).toBeVisible({ timeout: 60_000 })
  await expect(page.getByText(/prints are missing and laid out anew, those alone/)).toBeVisible()
  expect(await axe(page)).toEqual([])
  await page.reload()
  await expect(page.getByText(/Paper jam at sheet/)).toBeVisible({ timeout: 20_000 })
  await page.getByRole('button', { name: 'Rub a corner' }).click()
  await expect(page.getByRole('list', { name: 'Out-tray' })).toContainText('holds')
})

test('a piece larger than the paper is refused with three ways out', async ({ page }) => {
  const size = (mm: number) => ({ mm, text: `${mm} mm` })
  const set = (before: number, after: number) => ({
    id: uuidv7(),
    subject: { kind: 'workshop', id: 'kelp-coasters' },
    baseVersion: 1,
    kind: 'size',
    changes: [
      {
        path: 'designs/kelp-coasters-d1/width',
        before: { mm: before, text: before === 101.6 ? '4 in' : `${before} mm` },
        after: size(after),
      },
    ],
    guards: [],
    actor: 'Noor',
    at: '2026-05-15T15:00:00-04:00[America/New_York]',
  })
  await page.request.post(url('/api/commands'), { data: [set(101.6, 500)] })
  await open(page, '/w/kelp-coasters/prints')
  await expect(page.getByRole('alert').getByText('The picture is larger than the paper')).toBeVisible({ timeout: 20_000 })
  await page.getByRole('button', { name: /^Print it in tiles/ }).click()
  await expect(page.getByText('No fewer are possible.')).toBeVisible({ timeout: 30_000 })
  await expect(page.getByText(/1\/\d/).first()).toBeVisible()
  await page.request.post(url('/api/commands'), { data: [set(500, 101.6)] })
})
