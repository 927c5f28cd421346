import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, expect, liveAtRun, test, type BrowserContext, type Page } from './test'
import type { Job } from '../../core/document/job'
import { demoJobs } from '../../data/demo/jobs'
import { sidewaysPhotograph } from '../support/pictures'
import { answer, expectSaved, importJob, open, PHONE, pickFiles, placeOfWork, saveSign, startPour } from './steps'

/* A day in a hollow where no signal comes, from the start of the installed application to the evening. */

test.use({ actionTimeout: 15_000 })
const OFFERED = 'Offered before the hollow'
const tab = (page: Page, name: string) => page.getByRole('tab', { name, exact: true })

/** The application as it starts on a phone, with what was kept on it before. */
async function start(profile: string, baseURL: string, hasSignal: boolean): Promise<[BrowserContext, Page]> {
  const context = await liveAtRun(
    await chromium.launchPersistentContext(profile, {
      ...PHONE,
      locale: 'en-GB',
      baseURL,
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox'],
    }),
  )
  await context.setOffline(!hasSignal)
  return [context, context.pages()[0] ?? (await context.newPage())]
}

test(
  'a whole day is worked without a signal, and all of it comes to the server in the evening',
  { tag: '@installed' },
  async ({ request, baseURL }) => {
    test.setTimeout(180_000)
    const { photographs: _none, ...job } = { ...demoJobs().at(-1)!, name: OFFERED } as Job & { photographs?: unknown }
    const offered = await importJob(request, job)
    const profile = mkdtempSync(join(tmpdir(), 'vindex-hollow-'))
    const read = async (id: string) => ((await (await request.get(`/api/jobs/${id}`)).json()) as { job: Job }).job
    let id = ''
    try {
      await test.step('the evening before, with a signal: the application is put on the phone, an offer is made', async () => {
        const [context, page] = await start(profile, baseURL!, true)
        await open(page, `/jobs/${offered}/load`)
        await tab(page, 'Offer').click()
        await page.getByRole('button', { name: 'Make an offer' }).click()
        await page.getByRole('textbox', { name: 'For whom' }).fill('the allotment society')
        await page.getByRole('button', { name: 'Make the offer' }).click()
        await expect(page.getByRole('article', { name: 'Offer 1' })).toContainText('waits for an answer')
        await page.evaluate(async () => void (await navigator.serviceWorker.ready))
        await context.close()
      })

      const [context, page] = await start(profile, baseURL!, false)
      await test.step('a job is made from nothing', async () => {
        await open(page, '/')
        await page.getByRole('button', { name: 'New job' }).tap()
        await answer(page, 'open fields').tap()
        await page.getByRole('button', { name: /^Firm clay: a thumb/ }).tap()
        await page.getByLabel('What is it called?').fill('Found in the hollow')
        await page.getByRole('button', { name: 'Make it' }).tap()
        await expect(page.getByRole('heading', { name: /^Walk the line: A/ })).toBeVisible()
        id = new URL(page.url()).pathname.split('/')[2]!
        await expect(saveSign(page)).toHaveAttribute('data-short', '1 wait')
        await page.getByLabel('Running tape readings, one after the other').fill('0\n2.4\n4.8')
        await page.getByRole('button', { name: 'Make a new line' }).tap()
        await expect(page.getByRole('heading', { name: 'Walk the line: B, 3 posts' })).toBeVisible()
      })

      await test.step('readings and a photograph of it', async () => {
        await placeOfWork(page, 'Look').tap()
        for (const _step of [1, 2]) await page.getByRole('button', { name: 'Next post' }).tap()
        await answer(page, 'at the ground line').tap()
        await answer(page, 'easily').tap()
        const probe = page.getByLabel('Soft wood at the ground line', { exact: true })
        await probe.fill('25 mm')
        await probe.press('Enter')
        const picture = { name: 'foot.jpg', mimeType: 'image/jpeg', buffer: await sidewaysPhotograph() }
        await pickFiles(page, 'Add a photograph', [picture])
        await expect(page.getByRole('img', { name: 'Photograph 1 of post B3' })).toBeVisible()
      })

      await test.step('a repair is taken, its hole poured, its gear ticked', async () => {
        await page.getByRole('button', { name: 'See the cause' }).tap()
        await page.getByRole('button', { name: 'Choose the repair' }).tap()
        await page.getByRole('button', { name: 'Take it, size the hole' }).tap()
        await placeOfWork(page, 'Pour').click()
        await startPour(page)
        await page.getByRole('button', { name: 'One bag in' }).click()
        await placeOfWork(page, 'Load & cost').click()
        await page.getByRole('checkbox', { name: 'props and stakes' }).click()
      })

      await test.step('the phone dies and starts anew, still without a signal: the job is there, whole', async () => {
        await context.close()
      })
      const [evening, later] = await start(profile, baseURL!, false)
      await test.step('found in the list by its name; the customer of the other one takes the offer', async () => {
        await open(later, '/')
        const entry = later.getByRole('link', { name: /^Found in the hollow/ })
        await expect(entry).toContainText('waiting to send')
        await entry.tap()
        await expect(later.getByRole('heading', { name: /^[AB]/ }).first()).toBeVisible()
        await later.getByRole('link', { name: 'Vindex: all jobs' }).tap()
        await later
          .getByRole('link', { name: new RegExp(`^${OFFERED}`) })
          .last()
          .tap()
        await placeOfWork(later, 'Load & cost').click()
        await tab(later, 'Offer').click()
        const offer = later.getByRole('article', { name: 'Offer 1' })
        await offer.getByRole('button', { name: 'Answered here' }).tap()
        await offer.getByRole('textbox', { name: 'Who answers' }).fill('Rowan Pell')
        await offer
          .getByRole('button', { name: /^Takes “/ })
          .first()
          .tap()
        await expect(offer).toContainText('accepted')
      })

      await test.step('the signal comes back: everything is sent, in its order', async () => {
        await evening.setOffline(false)
        await open(later, `/jobs/${id}/look?post=B3`)
        await expectSaved(later)
        const { lines } = await read(id)
        expect(lines.map(({ posts }) => posts.length)).toEqual([8, 3])
        const post = lines[1]!.posts[2]!
        expect(post.observations).toMatchObject({
          pushPivot: 'at-ground-line',
          comesUpright: 'easily',
          probeAtGround: 0.025,
        })
        expect(post.repair?.method).toBeDefined()
        expect(post.photographs).toHaveLength(1)
        const address = `/api/jobs/${id}/photographs/${post.photographs![0]!.id}`
        await expect.poll(async () => (await request.get(address)).status()).toBe(200)
        await expect
          .poll(async () => (await (await request.get(`/api/jobs/${offered}/offers`)).json()).offers[0].state)
          .toBe('accepted')
        await evening.close()
      })
    } finally {
      rmSync(profile, { recursive: true, force: true })
    }
  },
)
