import { expect, test, type Page } from '@playwright/test'
import { uuidv7 } from 'uuidv7'
import AxeBuilder from '@axe-core/playwright'

test.beforeEach(async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('imprenta.actor', 'Noor'))
})
const at = (path: string) => process.env['IMPRENTA_URL'] + path
/** A workshop of the test's own, like the kelp coasters: others find theirs as they were. */
async function own(page: Page, id: string): Promise<string> {
  const { workshop } = (await (await page.request.get(at('/api/workshops/kelp-coasters/workshop.json'))).json()) as { workshop: object }
  const after = { ...workshop, id, title: `Kelp, ${id}` }
  const command = {
    id: uuidv7(),
    subject: { kind: 'workshop', id },
    baseVersion: 0,
    kind: 'new',
    changes: [{ path: '', before: null, after }],
    guards: [],
    actor: 'Noor',
    at: '2026-05-15T15:00:00-04:00[America/New_York]',
  }
  expect((await page.request.post(at('/api/commands'), { data: [command] })).status()).toBe(200)
  return at(`/w/${id}`)
}
const wcag = ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']

test('a picture is put on its piece by hand, by keys and by name; a finish is one press, and Undo takes it back', async ({ page }) => {
  await page.goto(`${await own(page, 'placed')}/bench/piece`)
  const picture = page.getByRole('button', { name: 'The picture on its face.' })
  await expect(picture).toHaveCount(0)
  await page.getByRole('button', { name: 'a part of it' }).click()
  await expect(page.getByRole('textbox', { name: 'From the left' })).toHaveValue(/^0\.67 in$|^⅝ in$|^0\.66 in$/)
  const lies = () => picture.evaluate((x: HTMLElement) => ({ x: x.offsetLeft, y: x.offsetTop, w: x.offsetWidth, h: x.offsetHeight }))
  const before = await lies()
  const box = (await picture.boundingBox())!
  await picture.hover()
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 - 12, box.y + box.height / 2 + 9, { steps: 4 })
  await page.mouse.up()
  await expect.poll(async () => [(await lies()).x - before.x, (await lies()).y - before.y]).toEqual([-12, 9])
  await picture.press('ArrowRight')
  await expect.poll(async () => (await lies()).x - before.x).toBeGreaterThan(-12)
  await page.getByRole('combobox', { name: 'It lies' }).press('ArrowDown')
  await page.getByRole('option', { name: 'in the lower corner' }).click()
  await expect.poll(async () => [(await lies()).x > before.x, (await lies()).y > before.y]).toEqual([true, true])
  expect((await new AxeBuilder({ page }).withTags(wcag).analyze()).violations).toEqual([])
  await page.getByLabel('Worn edges').check()
  await page
    .getByRole('link', { name: /^3? ?Method/ })
    .first()
    .click()
  await expect(page.getByText('Wear the edges').first()).toBeVisible()
  await page.getByRole('button', { name: /Undo/ }).click()
  await expect(page.getByText('Wear the edges')).toHaveCount(0)
})

test('a workshop is held at home: no class, everything in the bag, every step on the sheet; and back again', async ({ page }) => {
  const here = await own(page, 'to-go')
  await page.goto(`${here}/bench/group`)
  await page.getByRole('button', { name: 'at home, from kits to go' }).click()
  await expect(page.getByText('Everything is in the bag')).toBeVisible()
  await page.goto(`${here}/bench/sessions`)
  await expect(page.getByRole('heading', { name: 'Pick-up and return' })).toBeVisible()
  await page.getByRole('button', { name: 'Add the pick-up' }).click()
  await expect(page.getByText(/Kits are handed out: \d+\./)).toBeVisible()
  await page.goto(`${here}/take-home`)
  const sheet = page.getByRole('article')
  await expect(sheet.getByText('A kit to go')).toBeVisible()
  await expect(sheet.getByText(/Laid on _+ at _+\. Then 24 h flat, never under 12 h\./)).toBeVisible()
  await expect(sheet.getByText(/Lidded pot of decoupage glue, labelled: /)).toBeVisible()
  const pdf = await page.request.get(at('/api/workshops/to-go/take-home.pdf'))
  expect([pdf.status(), (await pdf.body()).subarray(0, 5).toString()]).toEqual([200, '%PDF-'])
  await page.goto(`${here}/bench/group`)
  await page.getByRole('button', { name: 'in classes' }).click()
  await page.getByRole('button', { name: 'Seat A1 takes a kit to go' }).click()
  await expect(page.getByText('1 of them take a kit to go.')).toBeVisible()
})

test('magazine pages are not printed: no sheets, and what to look for in a page', async ({ page }) => {
  await page.goto(at('/w/shipping-news/bench/pictures'))
  await expect(page.getByText('Nothing is printed: magazine pages.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Add pictures' })).toHaveCount(0)
  await page.goto(at('/w/shipping-news/prints'))
  await expect(page.getByText('Nothing goes through the printer')).toBeVisible()
  await page.goto(at('/w/shipping-news/bench/pictures'))
  await page.getByRole('button', { name: 'house pictures' }).click()
  await expect(page.getByRole('button', { name: 'Add pictures' })).toBeVisible()
})
