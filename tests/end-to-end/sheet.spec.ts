import { expect, test } from '@playwright/test'
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
  await open(page, `/jobs/${id}/sheet?post=T3`)

  const { bring, name } = row(tables.parts.methods, 'make-safe')
  await expect(page.getByRole('heading', { name: `Post T3: ${name.toLowerCase()}` })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'The hole' })).toHaveCount(0)
  const brought = page.locator('section').filter({ has: page.getByRole('heading', { name: 'Bring' }) })
  await expect(brought.getByRole('listitem')).toHaveText(bring)
  await expect(brought.getByText(/^About \d+ (min|h)/)).toBeVisible()
  await expect(page.getByText('It is made safe for today only and holds no wind of its own.')).toBeVisible()
  const steps = page.locator('section').filter({ has: page.getByRole('heading', { name: 'Steps' }) })
  expect(await steps.getByRole('listitem').count()).toBeGreaterThan(2)
  await expect(page.getByRole('article').getByRole('img').first()).toBeVisible()
  expect(failures).toEqual([])
})
