import { expect, test, type Page } from './test'
import { expectUsable, open, placeOfWork, searchJobs } from './steps'

/* The first walk: one demo post from the look to the sign-off, left at any time. */

const offer = 'Walk through one post'
const WALKED = 'Bank side after the March storm'

/** The jobs, down to the one that is walked through: other tests make jobs beside it. */
async function openList(page: Page): Promise<void> {
  await open(page, '/')
  await searchJobs(page, WALKED)
}

async function openFirst(page: Page, name: string): Promise<void> {
  await searchJobs(page, name)
  await page.getByRole('main').getByRole('link').first().click()
}

test('goes through seven places with a sentence each, and is not offered again', async ({ page }) => {
  await openList(page)
  await page.getByRole('button', { name: offer }).click()
  const strip = page.getByRole('region', { name: 'First walk through one post' })
  for (const [i, place] of ['walk', 'look', 'cause', 'repair', 'hole', 'pour', 'record'].entries()) {
    await expect(page).toHaveURL(new RegExp(`/${place}\\?.*post=B7`))
    await expect(strip).toContainText(`${i + 1} of 7`)
    if (i === 2) await expectUsable(page, 'the first walk')
    if (i < 6) await strip.getByRole('button', { name: 'Go on' }).click()
  }
  await strip.getByRole('button', { name: 'Back' }).click()
  await expect(page).toHaveURL(/\/pour\?/)
  await strip.getByRole('button', { name: 'Go on' }).click()
  await strip.getByRole('button', { name: 'Done' }).click()
  await expect(strip).toHaveCount(0)
  await page.getByRole('link', { name: 'Vindex: all jobs' }).click()
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible()
  await searchJobs(page, WALKED)
  await expect(page.getByRole('button', { name: offer })).toHaveCount(0)
})

test('is left in the middle, outlasts a reload, and stays out of other jobs', async ({ page }) => {
  await openList(page)
  await page.getByRole('button', { name: offer }).click()
  const strip = page.getByRole('region', { name: 'First walk through one post' })
  await strip.getByRole('button', { name: 'Go on' }).click()
  await page.reload()
  await expect(strip).toContainText('2 of 7')
  await page.getByRole('link', { name: 'Vindex: all jobs' }).click()
  await openFirst(page, 'Orchard side, mended')
  await expect(placeOfWork(page, 'Walk')).toBeVisible()
  await expect(strip).toHaveCount(0)
  await page.goBack()
  await openFirst(page, WALKED)
  await strip.getByRole('button', { name: 'Leave the walk' }).click()
  await expect(strip).toHaveCount(0)
})
