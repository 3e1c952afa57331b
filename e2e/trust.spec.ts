import { expect, test } from '@playwright/test'
import { open, saved, url } from './pages'

const name = (page: import('@playwright/test').Page, seat: string) => page.getByLabel(`Name at seat ${seat}`)

test('names are taken out for good: in both tabs, after a reload, past Undo', async ({ page, context }) => {
  await open(page, '/w/moths-of-the-marsh/bench/group')
  const other = await context.newPage()
  await open(other, '/w/moths-of-the-marsh/bench/group')
  await name(page, 'A2').fill('Runa')
  await saved(page)
  await expect(name(other, 'A2')).toHaveValue('Runa')
  await page.getByRole('button', { name: 'Take out all names' }).click()
  const dialog = page.getByRole('alertdialog')
  await expect(dialog).toContainText('There is no way back')
  await dialog.getByRole('button', { name: 'Keep them' }).click()
  await expect(name(page, 'A2')).toHaveValue('Runa')
  await page.getByRole('button', { name: 'Take out all names' }).click()
  await dialog.getByRole('button', { name: 'Erase the names' }).click()
  await expect(dialog).toBeHidden()
  for (const tab of [page, other]) await expect(name(tab, 'A2')).toHaveValue('')
  // No deed of the visit knows a name any more.
  await expect(page.getByRole('button', { name: /^Undo/ })).toBeDisabled()
  await page.reload()
  await expect(name(page, 'A2')).toHaveValue('')
  await expect(page.getByText('Runa', { exact: true })).toHaveCount(0)
  const kept = await (await page.request.get(url('/api/workshops/moths-of-the-marsh'))).text()
  expect(kept).not.toMatch(/Runa|Rune|Edda|Wren/)
})

test('after a new build an open tab says so; one press goes on, and nothing typed is lost', async ({ page }) => {
  await open(page, '/w/kelp-coasters/bench/group')
  await page.route('**/assets/**', (r) => r.fulfill({ status: 404, body: 'gone' }))
  await page.route('**/', (r) =>
    r.fulfill({ contentType: 'text/html', body: '<script type="module" src="/assets/index-new.js"></script>' }),
  )
  await page.route('**/api/commands', (r) => r.abort())
  await page.getByLabel('Called').fill('Kelp, low tide')
  await page.getByRole('link', { name: 'Take-home', exact: true }).click()
  await expect(page.getByText('A newer version of Imprenta is here.')).toBeVisible()
  await page.unrouteAll()
  await page.getByRole('button', { name: 'Go on with it' }).click()
  await expect(page).toHaveURL(/take-home/)
  await expect(page.getByLabel('Pieces by state')).toBeVisible()
  await saved(page)
  const { body } = (await (await page.request.get(url('/api/workshops/kelp-coasters'))).json()) as { body: { title: string } }
  expect(body.title).toBe('Kelp, low tide')
})

test('a change that is refused is told with its text, and the tab goes on', async ({ page }) => {
  await open(page, '/w/kelp-coasters/bench/group')
  await page.route('**/api/commands', async (r) => {
    const sent = JSON.parse(r.request().postData() ?? '[]') as { id: string }[]
    const outcomes = sent.map((c) => ({
      id: c.id,
      status: 'refused',
      error: { what: 'a letter that cannot be kept', path: 'title', remedy: 'Type it anew.' },
    }))
    await r.fulfill({ json: { outcomes, documents: [] } })
  })
  await page.getByLabel('Called').fill('Kelp, odd')
  const news = page.getByRole('alert').filter({ hasText: 'was not taken' })
  await expect(news).toContainText('The name of the workshop was not taken: a letter that cannot be kept.')
  await expect(news).toContainText('You had written Kelp, odd')
  await page.unrouteAll()
  await page.reload()
  await expect(news).toContainText('You had written Kelp, odd')
  await news.getByRole('button', { name: 'Understood' }).click()
  await expect(news).toBeHidden()
  await page.getByRole('textbox', { name: 'Helpers' }).fill('2')
  await saved(page)
})
