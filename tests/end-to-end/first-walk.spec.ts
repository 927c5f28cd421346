import { expect, test } from '@playwright/test'
import { expectUsable, open } from './steps'

/* The first walk: one demo post from the look to the sign-off, left at any time. */

const offer = 'Walk through one post'

test('goes through seven places with a sentence each, and is not offered again', async ({ page }) => {
  await open(page, '/')
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
  await expect(page.getByRole('button', { name: offer })).toHaveCount(0)
})

test('is left in the middle, outlasts a reload, and stays out of other jobs', async ({ page }) => {
  await open(page, '/')
  await page.getByRole('button', { name: offer }).click()
  const strip = page.getByRole('region', { name: 'First walk through one post' })
  await strip.getByRole('button', { name: 'Go on' }).click()
  await page.reload()
  await expect(strip).toContainText('2 of 7')
  await page.getByRole('link', { name: 'Vindex: all jobs' }).click()
  await page
    .getByRole('link', { name: /Orchard side, mended/ })
    .first()
    .click()
  await expect(page.getByRole('link', { name: 'Walk', exact: true })).toBeVisible()
  await expect(strip).toHaveCount(0)
  await page.goBack()
  await page
    .getByRole('link', { name: /Bank side after the March storm/ })
    .first()
    .click()
  await strip.getByRole('button', { name: 'Leave the walk' }).click()
  await expect(strip).toHaveCount(0)
})
