import { expect, test } from '@playwright/test'
import { own, putAway } from './own'
import { url as at } from './pages'

test.beforeEach(async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('imprenta.actor', 'Noor'))
})

// Before the journeys whose copies of the moths lie on the same shelf.
test('errands of all workshops on one page: ticked there, done in the workshop; what lies on the shelf is placed and ready from when', async ({
  page,
}) => {
  const path = await own(page, 'errand')
  await page.goto(at('/house/saltbox/ahead'))
  const box = page.getByRole('checkbox', { name: 'Pack for class 2, errand is done' })
  await expect(box).not.toBeChecked()
  await box.click()
  await expect(box).toHaveCount(0)
  await page.goto(`${path}/sessions`)
  await expect(page.getByRole('checkbox', { name: 'Pack for class 2 is done' })).toBeChecked()
  await page.goto(at('/house/saltbox/ahead'))
  await page.getByText(/^Done lately/).click()
  await page.getByRole('checkbox', { name: 'Pack for class 2, errand is done' }).click()
  await expect(page.getByRole('checkbox', { name: 'Pack for class 2, errand is done' })).not.toBeChecked()
  const moths = page.getByRole('listitem').filter({ hasText: 'Moths of the marsh' }).filter({ hasText: 'places' })
  await expect(moths).toContainText('places 1-1 to 1-8, 2-1 to 2-8, 3-1 to 3-7')
  await expect(moths).toContainText('ready from Fri 8:00 pm, never before Fri 7:10 am')
  const [labels] = await Promise.all([page.waitForEvent('popup'), moths.getByRole('link', { name: 'Labels' }).click()])
  expect(labels.url()).toContain('/api/workshops/moths-of-the-marsh/labels.pdf')
  await putAway(page, 'errand')
})
