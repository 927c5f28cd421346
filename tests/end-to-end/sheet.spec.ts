import { expect, test } from './test'
import { row } from '../../core/tables/tables'
import { tables } from '../../data/tables'
import { importJob, open, trialJob } from './steps'

test('the sheet of a repair without a hole: drawn, with what to bring, the time and the steps', async ({
  page,
  request,
}) => {
  const failures: string[] = []
  page.on('pageerror', (error) => failures.push(error.message))
  const job = trialJob('Made safe')
  Object.assign(job.lines[0]!.posts[2]!, {
    observations: { pushPivot: 'at-ground-line', probeAtGround: 0.045 },
    repair: { method: 'make-safe' },
  })
  const id = await importJob(request, job)
  await open(page, `/jobs/${id}/record?post=T3&part=work`)

  const { bring, name } = row(tables.parts.methods, 'make-safe')
  await expect(page.getByRole('heading', { name: `Post T3: ${name.toLowerCase()}` })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'The hole' })).toHaveCount(0)
  const brought = page.locator('section').filter({ has: page.getByRole('heading', { name: 'Bring' }) })
  await expect(brought.getByRole('listitem')).toHaveText(['2 × 38 × 88 prop', /^2 × 25 mm steel bar/, ...bring])
  await expect(brought.getByText(/^About \d+ (min|h)/)).toBeVisible()
  await expect(page.getByText('A stop-gap, until it is mended.')).toBeVisible()
  const steps = page.locator('section').filter({ has: page.getByRole('heading', { name: 'Steps' }) })
  expect(await steps.getByRole('listitem').count()).toBeGreaterThan(2)
  await expect(page.getByRole('article').getByRole('img').first()).toBeVisible()
  expect(failures).toEqual([])
})

test('the sheet of a post is one page of paper', async ({ page, request }) => {
  const job = trialJob('One page')
  Object.assign(job.lines[0]!.posts[2]!, {
    pointedAt: true,
    observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03, comesUpright: 'easily' },
  })
  const id = await importJob(request, job)
  await open(page, `/jobs/${id}/record?post=T3&part=work`)
  await expect(page.getByRole('heading', { name: 'Take care' })).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  // A4 less its margins of 10 mm, in CSS pixels.
  await page.setViewportSize({ width: 718, height: 1047 })
  await expect(page.getByRole('button', { name: 'Print this sheet' })).toBeHidden()
  await expect(async () => {
    const { height } = (await page.locator('article').boundingBox())!
    expect(height).toBeGreaterThan(500)
    expect(height).toBeLessThanOrEqual(1047)
  }).toPass()
})
