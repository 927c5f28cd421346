import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { cases } from '../support/cases'
import { expect, test, type APIRequestContext, type Page } from './test'
import { launchOn } from './killable'
import { answer, expectSaved, importJob, open, saveSign, trialJob } from './steps'

const ROUNDS = cases(6, 20)

/* Browsers that die, networks that lie, devices that keep nothing. */

const seenOf = async (request: APIRequestContext, id: string) =>
  (await (await request.get(`/api/jobs/${id}`)).json()).job.lines[0].posts[2] as Record<string, unknown>

test(
  'a browser killed between the click and the sending, again and again, loses nothing',
  { tag: '@installed' },
  async ({ request, baseURL }) => {
    test.setTimeout(480_000)
    const id = await importJob(request, trialJob('Killed browser'))
    const profile = mkdtempSync(join(tmpdir(), 'vindex-browser-'))
    const waiting = (page: Page) =>
      page.evaluate(
        () =>
          new Promise<number>((resolve, reject) => {
            const asked = indexedDB.open('vindex')
            asked.onerror = () => reject(new Error('no storage'))
            asked.onsuccess = () => {
              const counted = asked.result.transaction('outbox').objectStore('outbox').count()
              counted.onsuccess = () => resolve(counted.result)
            }
          }),
      )
    try {
      const openPost = (page: Page) => open(page, `${baseURL}/jobs/${id}/walk?post=T3`)
      let browser = await launchOn(profile)
      await openPost(browser.page)
      for (let round = 0; round < ROUNDS; round++) {
        const { page } = browser
        await page.getByRole('tab', { name: 'Post' }).click()
        await page.route('**/api/jobs/*/commands', (route) => route.abort())
        const soil = ['gravel', 'rock'][round % 2]!
        await answer(page, soil).click()
        // The device has it: from here on it may not be lost.
        await expect.poll(() => waiting(page)).toBeGreaterThan(0)
        await browser.kill()

        browser = await launchOn(profile)
        await openPost(browser.page)
        await expectSaved(browser.page)
        expect((await seenOf(request, id)).soil, `round ${round}`).toBe(soil)
      }
      await browser.kill()
      const { entries } = await (await request.get(`/api/jobs/${id}/history`)).json()
      expect(entries).toHaveLength(ROUNDS)
    } finally {
      rmSync(profile, { recursive: true, force: true })
    }
  },
)

test(
  'a network that answers with its own page saves nothing, and says so',
  { tag: '@installed' },
  async ({ page, request }) => {
    const id = await importJob(request, trialJob('Hotel network'))
    await open(page, `/jobs/${id}/look?post=T3`)
    await expect(answer(page, 'at the ground line')).toBeVisible()
    const welcome = { status: 200, contentType: 'text/html', body: '<html><body>Welcome! Sign in.</body></html>' }
    await page.route('**/api/**', (route) => route.fulfill(welcome))
    await answer(page, 'at the ground line').click()
    await answer(page, 'easily').click()
    await expect(saveSign(page)).toHaveText('2 waiting to send')
    await page.reload()
    await expect(answer(page, 'easily')).toHaveAttribute('aria-pressed', 'true')
    await expect(saveSign(page)).toHaveText('2 waiting to send')
    await page.getByRole('link', { name: 'Vindex: all jobs' }).click()
    await expect(page.getByText('does this network ask for a sign-in?')).toBeVisible()
    await expect(page.getByText('2 waiting to send')).toBeVisible()
    await page.unroute('**/api/**')
    await page.getByRole('button', { name: 'Try again' }).click()
    await expect
      .poll(async () => (await seenOf(request, id)).observations)
      .toEqual({ pushPivot: 'at-ground-line', comesUpright: 'easily' })
  },
)

test(
  'the browser is asked to keep what is here, and never to clear it by itself',
  { tag: '@installed' },
  async ({ page }) => {
    await page.addInitScript(() => {
      const asked = { times: 0 }
      Object.assign(window, { asked })
      navigator.storage.persist = async () => {
        asked.times++
        return true
      }
    })
    await open(page, '/')
    expect(await page.evaluate(() => (window as unknown as { asked: { times: number } }).asked.times)).toBe(1)
  },
)

test(
  'a browser that keeps nothing says so at once, and still sends',
  { tag: '@installed' },
  async ({ page, request }) => {
    const id = await importJob(request, trialJob('Keeps nothing'))
    await page.addInitScript(() => {
      Object.defineProperty(window, 'indexedDB', {
        value: {
          open() {
            throw new DOMException('denied', 'SecurityError')
          },
        },
      })
    })
    await open(page, `/jobs/${id}/look?post=T3`)
    await expect(page.getByRole('alert')).toContainText('does not let anything be kept here')
    await answer(page, 'at the ground line').click()
    await expect(saveSign(page)).toHaveText('sent, not kept here')
    expect((await seenOf(request, id)).observations).toEqual({ pushPivot: 'at-ground-line' })
    // The way out needs no signal.
    await page.route('**/api/**', (route) => route.abort())
    await answer(page, 'easily').click()
    await expect(saveSign(page)).toHaveText('not kept here: sending')
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Save the job as a file' }).click()
    expect((await download).suggestedFilename()).toBe('keeps-nothing.json')
  },
)

test('what is refused lies in the tray: seen, sent again, thrown away by hand', async ({ page, request }) => {
  const id = await importJob(request, trialJob('Refused twice'))
  await open(page, `/jobs/${id}/walk?post=T3`)
  await page.getByRole('tab', { name: 'Post' }).click()
  const problem = { status: 422, type: 'input', title: 'Not accepted', detail: 'soil is not to be had today' }
  await page.route('**/api/jobs/*/commands', (route) =>
    route.fulfill({ status: 422, contentType: 'application/problem+json', body: JSON.stringify(problem) }),
  )
  await answer(page, 'gravel').click()
  await expect(page.getByText('Not accepted: soil is not to be had today')).toBeVisible()
  await expect(answer(page, 'gravel')).toHaveAttribute('aria-pressed', 'false')
  await answer(page, 'rock').click()
  await page.getByRole('link', { name: 'Vindex: all jobs' }).click()
  const tray = page.getByRole('region', { name: 'Not accepted, kept on this device' })
  await expect(tray.getByRole('listitem')).toHaveCount(2)
  await expect(tray).toContainText('Refused twice, T3 › soil: gravel')
  await page.unroute('**/api/jobs/*/commands')
  await tray.getByRole('button', { name: 'Send it again' }).first().click()
  await expect(tray.getByRole('listitem')).toHaveCount(1)
  await tray.getByRole('button', { name: 'Throw it away' }).click()
  await tray.getByRole('button', { name: 'Throw it away for good' }).click()
  await expect(tray).toBeHidden()
  await expect.poll(async () => (await seenOf(request, id)).soil).toBe('gravel')
})

test(
  'what waits to be sent is counted on Jobs, of jobs that are not open too',
  { tag: '@installed' },
  async ({ page, request }) => {
    const id = await importJob(request, trialJob('Counted on Jobs'))
    await open(page, `/jobs/${id}/walk?post=T3`)
    await page.getByRole('tab', { name: 'Post' }).click()
    await page.route('**/api/jobs/*/commands', (route) => route.abort())
    for (const words of ['gravel', 'rock', 'gravel']) await answer(page, words).click()
    await page.getByRole('link', { name: 'Vindex: all jobs' }).click()
    await page.getByLabel('Search the jobs').fill('Counted on Jobs')
    await expect(page.getByText('5 posts, 0 failed; 3 waiting to send')).toBeVisible()
  },
)
