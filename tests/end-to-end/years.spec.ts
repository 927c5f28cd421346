import { expect, test, type Page } from './test'
import { standardFence } from '../support/stands'
import type { Job } from '../../core/document/job'
import { restsOnWords } from '../../core/survive/words'
import { standingYears } from '../../core/survive/years'
import { tables } from '../../data/tables'
import { expectSaved, expectUsable, importJob, open, PHONE } from './steps'

/* How long it stands: curves in Repair, Hole, Load & cost, and on the customer's page. */

const METHOD = 'new-post-concrete'
const rotted = (name: string): Job => {
  const job = standardFence({ line: { remainingYears: 10 } })
  const [line] = job.lines
  return {
    ...job,
    name,
    lines: [
      {
        ...line!,
        posts: line!.posts.map((post, i) =>
          i === 8
            ? {
                ...post,
                ageYears: 14,
                observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03, comesUpright: 'easily' },
                repair: { method: METHOD },
              }
            : { ...post, observations: { pushPivot: 'nothing-moves', probeAtGround: 0 } },
        ),
      },
    ],
  }
}
const POST = 'A9'
const curves = (page: Page) => page.getByRole('img', { name: /^Of ten such posts, how many are still plumb by year/ })
const tab = (page: Page, name: string) => page.getByRole('tab', { name, exact: true }).click()

test('the same years come out of this browser as out of the server', async ({ page, request }) => {
  const job = rotted('Years')
  const id = await importJob(request, job)
  const known = standingYears(job, tables, POST)!
  await open(page, `/jobs/${id}/repair?post=${POST}`)
  await tab(page, 'How long')
  await expect(curves(page)).toBeVisible({ timeout: 30_000 })
  await expect(page.getByText(restsOnWords(known.restsOn))).toBeVisible()
  // The curve in hand as it is drawn: from all plumb at its top to none at the ground, a life of 20 000 finer than a dot.
  const drawn = await page.locator('.chosen .curve').getAttribute('d')
  const heights = [...drawn!.matchAll(/,(-?[\d.]+)/g)].map(([, y]) => Number(y))
  const [top, ground] = await curves(page).evaluate((svg) =>
    [2, 0].map((i) => Number(svg.querySelectorAll('line.rule')[i]!.getAttribute('y1'))),
  )
  const { plumb } = known.curves.find(({ method }) => method === METHOD)!
  heights.slice(1).forEach((y, year) => {
    expect(Math.abs((ground! - y) / (ground! - top!) - plumb[year]!), `year ${year + 1}`).toBeLessThan(1 / 40_000)
  })
  await expectUsable(page, 'how long each way stands')
})

test('what the fence has stood is counted with one tap, and told', async ({ page, request }) => {
  const job = rotted('Counted')
  const [line] = job.lines
  const aged = { ...job, lines: [{ ...line!, posts: line!.posts.map((post) => ({ ...post, ageYears: 14 })) }] }
  const id = await importJob(request, aged)
  await open(page, `/jobs/${id}/repair?post=${POST}`)
  await tab(page, 'How long')
  await expect(page.getByText(/no history of this fence/)).toBeVisible({ timeout: 30_000 })
  await page.getByRole('button', { name: 'Count it: 0 of 17 in 14 years' }).click()
  await expect(page.getByText(/, 14 years of this fence,/)).toBeVisible({ timeout: 30_000 })
  await expectSaved(page)
})

test('a deeper hole stands longer; what a plumb year costs follows its curve', async ({ page, request }) => {
  const id = await importJob(request, rotted('Deeper'))
  await open(page, `/jobs/${id}/hole?post=${POST}`)
  await page.getByRole('button', { name: 'How long it stands with this hole' }).click()
  const answer = page.locator('.how-long .answer')
  await expect(answer).toHaveText(/^[4-7] of 10 still plumb in 20\d\d/, { timeout: 30_000 })
  const before = await answer.textContent()
  await page.getByRole('button', { name: /^\+ 0\.10 m/ }).click()
  await expect(answer).not.toHaveText(before!, { timeout: 30_000 })
  await expect(answer).toHaveText(/^(8|9|10) of 10|^nearly all/)
  await expectSaved(page)

  await page.keyboard.press('9')
  await tab(page, 'Post')
  await expect(page.getByRole('listitem').filter({ hasText: /New post, concrete.*still plumb in 20\d\d/ })).toBeVisible(
    {
      timeout: 30_000,
    },
  )
})

test('is called off and asked for again, and read by phone', async ({ browser, request, baseURL }) => {
  const id = await importJob(request, rotted('By phone'))
  const context = await browser.newContext({ ...PHONE, baseURL: baseURL! })
  const page = await context.newPage()
  // A phone that takes its time: the worker's script comes, its answer does not.
  await page.addInitScript(() => {
    const held = window as unknown as { isHeld: boolean }
    const post = Worker.prototype.postMessage as (...given: unknown[]) => void
    Worker.prototype.postMessage = function (this: Worker, ...given: unknown[]) {
      if (!held.isHeld) post.apply(this, given)
    }
    held.isHeld = true
  })
  await open(page, `/jobs/${id}/repair?post=${POST}`)
  await tab(page, 'How long')
  await expect(page.getByRole('progressbar', { name: 'Living through the years' })).toBeVisible()
  await page.getByRole('button', { name: 'Stop', exact: true }).click()
  await expect(page.getByText('Stopped.')).toBeVisible()
  await page.evaluate(() => ((window as unknown as { isHeld: boolean }).isHeld = false))
  await page.getByRole('button', { name: 'Reckon it after all' }).click()
  await expect(curves(page)).toBeVisible({ timeout: 30_000 })
  const wide = await page.evaluate(() => document.documentElement.scrollWidth)
  expect(wide).toBeLessThanOrEqual(360)
  await context.close()
})

test('the customer reads it, drawn and in words, on the screen and on paper', async ({ page, request }) => {
  const id = await importJob(request, rotted('For the customer'))
  await open(page, `/jobs/${id}/record?post=${POST}`)
  await tab(page, 'Customer’s page')
  await expect(curves(page)).toBeVisible({ timeout: 30_000 })
  await expect(page.getByText(/^\d of 10 such posts are still plumb in 20\d\d/)).toBeVisible()
  const paper = await request.get(`/api/jobs/${id}/customer-page?post=${POST}&paper=A4&units=metric`)
  expect(paper.status()).toBe(200)
  expect((await paper.body()).subarray(0, 5).toString()).toBe('%PDF-')
})
