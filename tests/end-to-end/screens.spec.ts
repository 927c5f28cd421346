import { expect, test } from './test'
import { demoJobs } from '../../data/demo/jobs'
import { expectUsable, importJob, open, PHONE, searchJobs, trialJob } from './steps'

const SIZES = [
  { width: 1280, height: 800 },
  { width: 360, height: 740 },
]

for (const viewport of SIZES) {
  test(`nothing serious for axe on any screen at ${viewport.width} × ${viewport.height}`, async ({ page, request }) => {
    // Every screen in turn: a machine under load is slow, not wrong.
    test.setTimeout(240_000)
    await page.setViewportSize(viewport)
    const job = trialJob(`Axe at ${viewport.width}`)
    job.lines[0]!.posts[2]!.observations = {
      pushPivot: 'at-ground-line',
      probeAtGround: 0.03,
      lean: { offset: 0.05, over: 1.2, direction: 0 },
    }
    const id = await importJob(request, job)
    for (const path of [
      '/',
      ...['walk', 'look', 'cause', 'repair', 'hole', 'set-out', 'record'].map(
        (place) => `/jobs/${id}/${place}?post=T3`,
      ),
    ]) {
      await open(page, path)
      await expect(page.getByRole('heading').first()).toBeAttached()
      await expectUsable(page, path)
    }
  })
}

for (const theme of ['dusk', 'glare']) {
  test(`nothing serious for axe by phone in ${theme}, with large figures, and nothing wider than the screen`, async ({
    browser,
    request,
    baseURL,
  }) => {
    test.setTimeout(240_000)
    const id = await importJob(request, demoJobs().find(({ name }) => name.startsWith('Orchard side'))!)
    const context = await browser.newContext({ ...PHONE, baseURL: baseURL!, locale: 'en-GB' })
    await context.addInitScript((wanted) => {
      localStorage.setItem('vindex-theme', wanted)
      localStorage.setItem('vindex-large-figures', 'true')
    }, theme)
    const page = await context.newPage()
    for (const path of [
      '/',
      '/bench?calc=hole-volume',
      '/practice',
      '/words',
      ...['walk', 'look', 'cause', 'repair', 'hole', 'set-out', 'pour', 'day', 'load', 'record'].map(
        (place) => `/jobs/${id}/${place}?post=O3`,
      ),
    ]) {
      await open(page, path)
      await expect(page.getByRole('heading').first()).toBeAttached()
      await expectUsable(page, `${path} in ${theme}`)
      const wider = await page.evaluate(() =>
        [document.documentElement, ...document.querySelectorAll('.legible')]
          .filter(({ scrollWidth, clientWidth }) => scrollWidth > clientWidth + 1)
          .map(({ className, scrollWidth, clientWidth }) => `${className}: ${scrollWidth} in ${clientWidth}`),
      )
      expect(wider, path).toEqual([])
    }
    await context.close()
  })
}

test('light and figures are chosen from the list of jobs, and stay', async ({ page }) => {
  await open(page, '/')
  await page.getByRole('button', { name: 'Elsewhere' }).click()
  await page.getByRole('button', { name: 'full sun' }).click()
  await page.getByRole('checkbox', { name: 'Large figures' }).check()
  await page.reload()
  await expect(page.locator('.v-theme--glare').first()).toBeVisible()
  const zoom = () =>
    page
      .locator('.legible')
      .first()
      .evaluate((each) => getComputedStyle(each).zoom)
  expect(Number(await zoom())).toBeGreaterThan(1)
})

test('on a phone all is found by name: a post, the light, the units', async ({ browser, request, baseURL }) => {
  const id = await importJob(request, trialJob('Found by a glove'))
  const context = await browser.newContext({ ...PHONE, baseURL: baseURL!, locale: 'en-GB' })
  const page = await context.newPage()
  await open(page, `/jobs/${id}/hole?post=T1`)
  const find = async (words: string, name: string) => {
    await page.getByRole('button', { name: 'Find or do anything' }).tap()
    await page.getByRole('combobox', { name: 'Find a post, or do anything' }).fill(words)
    await page.getByRole('option', { name }).first().tap()
  }
  await find('t3', 'Post T3')
  await expect(page).toHaveURL(/post=T3/)
  await find('dusk', 'Light: dusk')
  await expect(page.locator('.v-theme--dusk').first()).toBeVisible()
  await find('large', 'Figures: large')
  const zoom = () =>
    page
      .locator('.legible')
      .first()
      .evaluate((each) => Number(getComputedStyle(each).zoom))
  await expect.poll(zoom).toBeGreaterThan(1)
  await find('feet', 'Units: metres or feet and inches')
  await expect.poll(() => page.evaluate(() => localStorage.getItem('vindex-units'))).toBe('feet-inches')
  await context.close()
})

test('the long line draws and walks', async ({ page }) => {
  await open(page, '/')
  await page.getByLabel('Search the jobs').fill('long boundary')
  await page.getByRole('link', { name: /Flood bank, the long boundary Sedgewater/ }).click()
  // It opens where work stands.
  await expect(page.getByRole('heading', { name: 'F9: what do you see?' })).toBeVisible()
  await expect(page.getByRole('img', { name: /Post F9, failed; as it stands/ })).toBeVisible()
  for (let step = 10; step <= 16; step++) {
    await page.keyboard.press('ArrowRight')
    await expect(page.getByRole('heading', { name: `F${step}: what do you see?` })).toBeVisible()
  }
  await page.getByRole('img', { name: 'Flood bank: 120 posts' }).click({ position: { x: 1274, y: 40 } })
  await expect(page.getByRole('heading', { name: 'F120: what do you see?' })).toBeVisible()
})

test('find goes to any post, place or unit by its name', async ({ page, request }) => {
  const job = trialJob('Finding')
  job.lines[0]!.posts[3]!.repair = { method: 'new-post-concrete' }
  const id = await importJob(request, job)
  await open(page, `/jobs/${id}/look?post=T1`)
  await expect(page.getByRole('heading', { name: 'T1: what do you see?' })).toBeVisible()
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: 'Find a post, or do anything' }).fill('post t4')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'T4: what do you see?' })).toBeVisible()
  await page.goto('/')
  await page.getByRole('heading', { name: 'Jobs' }).waitFor()
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: 'Find a post, or do anything' }).fill('dusk')
  await page.keyboard.press('Enter')
  await expect(page.locator('.v-application')).toHaveClass(/v-theme--dusk/)
  await open(page, `/jobs/${id}/look?post=T4`)
  await expect(page.getByRole('heading', { name: 'T4: what do you see?' })).toBeVisible()
  await page.keyboard.press('u')
  await page.keyboard.press('5')
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue(`10"`)
})

test('a job is made from nothing, and its fields say what is wrong', async ({ page }) => {
  await open(page, '/')
  await page.getByRole('button', { name: 'New job' }).click()
  await page.getByLabel('Posts: tape readings, or bays').fill('0, far')
  await page.getByRole('button', { name: 'Make it' }).click()
  await expect(page.getByText(/reading 2 is "far"; it must be a length/)).toBeVisible()
  await page.getByLabel('Posts: tape readings, or bays').fill('4 x 8 ft')
  await page.getByRole('button', { name: 'Make it' }).click()
  await expect(page.getByText(/name is ""; it must be text of 1 to 200 letters/)).toBeVisible()
  await page.getByLabel('What is it called?').fill('Back fence')
  await page.getByRole('button', { name: 'Make it' }).click()
  await expect(page.getByRole('heading', { name: 'Walk the line: A, 5 posts' })).toBeVisible()
  await expect(page.getByText('Back fence')).toBeVisible()
})

test('a job is put away, found among those put away, and brought back', async ({ page, request }) => {
  const id = await importJob(request, trialJob('Nobody wants this one'))
  await open(page, '/')
  await searchJobs(page, 'Nobody wants')
  const entry = page.getByRole('link', { name: /Nobody wants this one/ })
  await expect(entry).toBeVisible()
  await page.getByRole('button', { name: 'Put Nobody wants this one away' }).click()
  await expect(page.getByText('No job of that name.')).toBeVisible()
  expect((await request.get(`/api/jobs/${id}`)).status()).toBe(404)
  await page.getByRole('button', { name: 'Elsewhere' }).click()
  await page.getByText('Put away', { exact: true }).click()
  await expect(page.getByText('can come back for thirty days')).toBeVisible()
  await page.getByRole('button', { name: 'Bring Nobody wants this one back' }).click()
  await expect(page.getByText('No job of that name.')).toBeVisible()
  await page.getByRole('button', { name: 'Back to the jobs' }).click()
  await entry.click()
  await expect(page.getByRole('heading', { name: /T\d/ }).first()).toBeVisible()
})

test('the whole line goes on paper in true scale, with every post and mark', async ({ page, request }) => {
  const job = trialJob('On paper')
  job.lines[0]!.marks = [{ id: 'gas-main', kind: 'service', service: 'gas', station: 5, offset: 0.3 }]
  job.lines[0]!.posts[3]!.groundLevel = -0.2
  const id = await importJob(request, job)
  await open(page, `/jobs/${id}/record?post=T3&part=work`)
  await page.getByRole('tab', { name: 'The whole line' }).click()
  await expect(page.getByRole('heading', { name: 'T: 5 posts, 9.60 m' })).toBeVisible()
  const strip = page.getByRole('img', { name: '0.00 m to 12.00 m: T1, T2, T3, T4, T5' })
  await expect(strip).toBeVisible()
  for (const words of ['T1', '0.00 m', 'T5', '9.60 m'])
    await expect(strip.getByText(words, { exact: true })).toBeVisible()
  await expect(page.getByRole('row', { name: /T4 7\.20 m Line post sound/ })).toBeVisible()
  await expect(page.getByText('At 5.00 m: gas, 0.30 m to the right.')).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('navigation', { name: 'Places of the work' })).toBeHidden()
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden()
  await expect(strip).toBeVisible()
  await expect(page.getByText('local codes and licensed practice decide')).toBeVisible()
})

test('words in the drawing never lie over each other, however it is drawn', async ({ page, request }) => {
  const job = trialJob('Words')
  job.lines[0]!.marks = [0.2, 0.4, 0.5].map((more, i) => ({
    id: `mark-number-${i}`,
    kind: 'service',
    service: 'water',
    station: 4.8 + more,
    offset: 0.2,
  }))
  job.lines[0]!.posts[2]!.observations = { probeAtGround: 0.03, lean: { offset: 0.05, over: 1.2, direction: 0 } }
  job.lines[0]!.posts[2]!.footing = { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.6 }
  const id = await importJob(request, job)
  await open(page, `/jobs/${id}/look?post=T3`)
  await expect(page.getByRole('heading', { name: 'T3: what do you see?' })).toBeVisible()
  for (const key of ['-', '-', '-', '+', '+', '+', '+', '+']) {
    await page.keyboard.press(key)
    await expect(async () => {
      const overlaps = await page.evaluate(() => {
        const boxes = [...document.querySelectorAll('[data-drawing] .labels text')].map((text) => ({
          words: text.textContent,
          box: text.getBoundingClientRect(),
        }))
        return boxes.flatMap((a, i) =>
          boxes
            .slice(i + 1)
            .filter(
              (b) =>
                a.box.left < b.box.right - 1 &&
                b.box.left < a.box.right - 1 &&
                a.box.top + 4 < b.box.bottom - 4 &&
                b.box.top + 4 < a.box.bottom - 4,
            )
            .map((b) => `${a.words} over ${b.words}`),
        )
      })
      expect(overlaps).toEqual([])
    }).toPass()
  }
})
