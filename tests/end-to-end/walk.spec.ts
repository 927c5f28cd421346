import { expect, test, type Page } from './test'
import type { Reading } from '../../core/document/job'
import { answer, expectSaved, importJob, open, PHONE, placeOfWork, tabTo, trialJob } from './steps'

const storedJob = async (page: Page, id: string) => (await (await page.request.get(`/api/jobs/${id}`)).json()).job

test('a line of twenty posts with the keyboard alone', async ({ page }) => {
  await open(page, '/')
  await tabTo(page, 'New job')
  await page.keyboard.press('Enter')
  await tabTo(page, 'What is it called?')
  await page.keyboard.type('Orchard side')
  await tabTo(page, 'Posts: tape readings, or bays')
  await page.keyboard.press('Control+A')
  await page.keyboard.type('0')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Walk the line: A, 1 posts' })).toBeVisible()

  await tabTo(page, 'Running tape readings, one after the other')
  await page.keyboard.type('12 x 2.4, 31.2 gate 1.1, 32.44, 34.8, 37.2, 39.6, 42, 44.4')
  await expect(page.getByText('20 posts, 44.40 m, 1 gate.')).toBeVisible()
  await tabTo(page, 'Add to A')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Walk the line: A, 20 posts' })).toBeVisible()

  // One post is described, the others are made like it.
  await tabTo(page, 'Tape', { back: true })
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Enter')
  await tabTo(page, 'stiff clay')
  await page.keyboard.press('Enter')
  await tabTo(page, 'Age, years')
  await page.keyboard.type('12')
  await page.keyboard.press('Enter')
  await tabTo(page, 'Make all posts like it', { back: true })
  await page.keyboard.press('Enter')
  await expectSaved(page)

  const id = /jobs\/([^/]+)/.exec(page.url())![1]!
  const { posts } = (await storedJob(page, id)).lines[0]
  expect(posts).toHaveLength(20)
  expect(
    posts.every((post: { soil: string; ageYears: number }) => post.soil === 'stiff-clay' && post.ageYears === 12),
  ).toBe(true)
  expect(posts.slice(13, 15)).toMatchObject([
    { station: 31.2, duty: 'gate-hinge', gate: { leafWidth: 1.1 } },
    { station: 32.44, duty: 'gate-latch' },
  ])
})

test('wrong tape readings are answered at the place', async ({ page, request }) => {
  const id = await importJob(request, trialJob('Tape'))
  await open(page, `/jobs/${id}/walk?post=T1`)
  const tape = page.getByLabel('Running tape readings, one after the other')
  await tape.fill('12, 11')
  await expect(page.getByText('reading 2 is "11"; it must be beyond 12 m')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Add to T' })).toBeDisabled()
  await tape.fill('4.8')
  await page.getByRole('button', { name: 'Add to T' }).click()
  await expect(page.getByText('Every reading has its post already.')).toBeVisible()
  await tape.fill('0, 3 x 2.4')
  await page.getByRole('button', { name: 'Make a new line' }).click()
  await expect(page.getByRole('heading', { name: 'Walk the line: A, 4 posts' })).toBeVisible()
})

test('a post is pulled along on the drawing, snaps to equal bays, and the pull can be undone', async ({
  page,
  request,
}) => {
  const id = await importJob(request, { ...trialJob('Pulling') })
  await open(page, `/jobs/${id}/walk?post=T3`)
  await expect(page.getByRole('heading', { name: 'Walk the line: T, 5 posts' })).toBeVisible()
  const frame = (await page.locator('[data-drawing]').boundingBox())!
  const [x, y] = [frame.x + frame.width / 2, frame.y + 200]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x + 60, y, { steps: 4 })
  const drawing = page.locator('[data-drawing]')
  await expect(drawing).not.toContainText('equal bays')
  await page.mouse.move(x + 6, y, { steps: 8 })
  await expect(drawing).toContainText('2.40 m equal bays')
  await page.mouse.move(x + 80, y, { steps: 8 })
  await page.mouse.up()
  await expectSaved(page)
  const moved = (await storedJob(page, id)).lines[0].posts[2].station
  expect(moved).toBeGreaterThan(5.2)
  expect(moved).toBeLessThan(5.6)
  expect(Math.abs(moved * 100 - Math.round(moved * 100))).toBeLessThan(1e-6)
  await page.keyboard.press('z')
  await expectSaved(page)
  await expect(async () => expect((await storedJob(page, id)).lines[0].posts[2].station).toBe(4.8)).toPass()
})

test('what one post has is given to many at once, what was measured stays, and one undo takes it all back', async ({
  page,
  request,
}) => {
  const job = trialJob('Alike')
  const id = await importJob(request, job)
  const posts = async () => (await storedJob(page, id)).lines[0].posts
  const before = await posts()
  await open(page, `/jobs/${id}/walk?post=T3`)
  await page.getByRole('tab', { name: 'Post' }).click()
  await answer(page, 'gravel').click()
  await placeOfWork(page, 'Look').click()
  await answer(page, 'only the panel').click()
  await expectSaved(page)
  const [, , given] = await posts()

  await placeOfWork(page, 'Walk').click()
  await page.getByRole('tab', { name: 'Alike' }).click()
  await page.getByRole('checkbox', { name: /^Soil: / }).check()
  await page.getByRole('checkbox', { name: /^Where it turns: panel only/ }).check()
  await page.getByLabel('From one to another').fill('T1-T9')
  await page.getByLabel('From one to another').press('Enter')
  await expect(page.getByText('posts is "T9"; it must be names of posts such as T1 or T1-T5')).toBeVisible()
  await page.getByLabel('From one to another').fill('T4-T5')
  await page.getByLabel('From one to another').press('Enter')
  await page.getByRole('button', { name: 'T1', exact: true }).click()
  await page.getByRole('checkbox', { name: /^Write over what they have/ }).check()
  await expect(page.getByRole('listitem').filter({ hasText: /^T4 gets/ })).toBeVisible()
  await page.getByRole('button', { name: 'Give it to 3 posts' }).click()
  await expect(page.getByText('Given to 3 posts.')).toBeVisible()
  await expectSaved(page)
  const after = await posts()
  for (const i of [0, 3, 4]) {
    expect(after[i].soil).toBe(given.soil)
    expect(after[i].observations.pushPivot).toBe('panel-only')
    expect(after[i].readings).toHaveLength(1)
  }
  expect(after[1]).toEqual(before[1])

  await page.getByRole('button', { name: 'Undo' }).click()
  await expectSaved(page)
  await expect(async () => {
    const back = (await posts()).map(({ readings: _readings, ...post }: { readings?: unknown }) => post)
    expect([back[0], back[3], back[4]]).toEqual([before[0], before[3], before[4]])
  }).toPass()
})

test('a swipe never moves a post; a finger that rests on it first does', async ({ browser, request, baseURL }) => {
  const id = await importJob(request, trialJob('Swiped'))
  const context = await browser.newContext({ ...PHONE, baseURL })
  const page = await context.newPage()
  await open(page, `/jobs/${id}/walk?post=T3`)
  await expect(page.getByRole('heading', { name: 'Walk the line: T, 5 posts' })).toBeVisible()
  const screen = await context.newCDPSession(page)
  const finger = (type: 'touchStart' | 'touchMove' | 'touchEnd', x?: number) =>
    screen.send('Input.dispatchTouchEvent', { type, touchPoints: x === undefined ? [] : [{ x, y }] })
  const frame = (await page.locator('[data-drawing]').boundingBox())!
  const [x, y] = [frame.x + frame.width / 2, frame.y + frame.height / 3]
  const stations = async () =>
    (await storedJob(page, id)).lines[0].posts.map(({ station }: { station: number }) => station)
  const before = await stations()

  await finger('touchStart', x)
  for (const by of [20, 60, 110, 160]) await finger('touchMove', x - by)
  await finger('touchEnd')
  await expect(page).toHaveURL(/post=T4/)
  await expectSaved(page)
  expect(await stations()).toEqual(before)

  await finger('touchStart', x)
  await expect(page.getByText('T4 is held: slide it along')).toBeVisible()
  for (const by of [10, 20, 30]) await finger('touchMove', x - by)
  await finger('touchEnd')
  await expect(page.getByText('is held')).toBeHidden()
  await expectSaved(page)
  await expect(async () => expect((await stations())[3]).toBeLessThan(before[3])).toPass()
  await page.getByRole('button', { name: 'Undo' }).tap()
  await expectSaved(page)
  await expect(async () => expect(await stations()).toEqual(before)).toPass()
  await context.close()
})

test('ten edits can be undone after a reload', async ({ page, request }) => {
  const id = await importJob(request, trialJob('Ten edits'))
  const before = await storedJob(page, id)
  await open(page, `/jobs/${id}/walk?post=T3`)
  await page.getByRole('tab', { name: 'Post' }).click()
  for (const soil of ['soft clay', 'gravel', 'rock', 'loose sand']) await answer(page, soil).click()
  await page.getByRole('button', { name: 'Copy this post' }).click()
  await expect(page.getByRole('heading', { name: 'Walk the line: T, 6 posts' })).toBeVisible()
  await page.getByRole('button', { name: 'Take it out' }).click()
  await page.getByRole('tab', { name: 'Marks' }).click()
  await answer(page, 'buried service').click()
  await page.keyboard.press('2')
  for (const words of ['at the ground line', 'easily', 'this post only']) await answer(page, words).click()
  await expectSaved(page)
  await page.reload()
  await expect(answer(page, 'easily')).toHaveAttribute('aria-pressed', 'true')
  for (let i = 0; i < 10; i++) await page.keyboard.press('z')
  await expectSaved(page)
  // What was read stays in the record, marked as taken back.
  await expect(async () => {
    const after = await storedJob(page, id)
    const { readings, ...post } = after.lines[0].posts[2]
    expect(readings.map(({ withdrawn }: Reading) => withdrawn?.why)).toEqual(
      Array(3).fill('taken back by whoever made it'),
    )
    after.lines[0].posts[2] = post
    expect(after).toEqual(before)
  }).toPass()
})

test('what is marked along the line is a warning at the post near it', async ({ page, request }) => {
  const id = await importJob(request, trialJob('Marks'))
  await open(page, `/jobs/${id}/walk?post=T3`)
  await page.getByRole('tab', { name: 'Marks' }).click()
  await answer(page, 'buried service').click()
  await page.getByLabel('To the right of the line', { exact: true }).fill('0.4')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-drawing]')).toContainText('service, 0.40 m to the right')
  await page.keyboard.press('3')
  await page.locator('body').click({ position: { x: 5, y: 5 } })
  await page.keyboard.press('3')
  await expect(page.getByText('A buried service lies 0.40 m from this post')).toBeVisible()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('heading', { name: 'T4: what failed?' })).toBeVisible()
  await expect(page.getByText('A buried service lies')).toBeHidden()
})

test('two fingers and keys draw it larger, one finger goes along the line', async ({ browser, request, baseURL }) => {
  const page = await (await browser.newContext({ baseURL, hasTouch: true, serviceWorkers: 'block' })).newPage()
  const touch = await page.context().newCDPSession(page)
  const id = await importJob(request, trialJob('Zoom'))
  await open(page, `/jobs/${id}/look?post=T3`)
  await expect(page.getByRole('heading', { name: 'T3: what do you see?' })).toBeVisible()
  /** How far apart two neighbours are drawn, px. */
  const bay = () =>
    page.evaluate(() => {
      const x = (post: string) => document.querySelector(`[data-post="${post}"] rect`)!.getBoundingClientRect().x
      return x('T4') - x('T2')
    })
  /** Moves fingers over the drawing: one list of places for each of them. */
  async function fingers(paths: number[][]): Promise<void> {
    const { x, width } = (await page.locator('[data-drawing]').boundingBox())!
    const send = (type: 'touchStart' | 'touchMove' | 'touchEnd', step?: number) =>
      touch.send('Input.dispatchTouchEvent', {
        type,
        touchPoints:
          step === undefined ? [] : paths.map((path, id) => ({ x: x + width / 2 + path[step]!, y: 400, id })),
      })
    await send('touchStart', 0)
    for (let step = 1; step < paths[0]!.length; step++) await send('touchMove', step)
    await send('touchEnd')
  }

  const before = await bay()
  await fingers([
    [-50, -75],
    [50, 75],
  ])
  await expect(async () => expect((await bay()) / before).toBeCloseTo(1.5, 1)).toPass()
  await page.keyboard.press('-')
  await expect(async () => expect((await bay()) / before).toBeCloseTo(1.2, 1)).toPass()
  await fingers([[0, -20, -60, -120]])
  await expect(page.getByRole('heading', { name: 'T4: what do you see?' })).toBeVisible()
})

test('a post may be of any section', async ({ page, request }) => {
  const id = await importJob(request, trialJob('Section'))
  await open(page, `/jobs/${id}/walk?post=T3`)
  await page.getByRole('tab', { name: 'Post' }).click()
  await page.getByRole('button', { name: 'tube', exact: true }).click()
  await page.getByLabel('Diameter', { exact: true }).fill('60 mm')
  await page.keyboard.press('Enter')
  await page.getByLabel('Wall', { exact: true }).fill('20 cm 3')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/Wall is "20 cm 3"; it must be a length/)).toBeVisible()
  await page.getByLabel('Wall', { exact: true }).fill('2.9 mm')
  await page.keyboard.press('Enter')
  await expectSaved(page)
  expect((await storedJob(page, id)).lines[0].posts[2].section).toEqual({ shape: 'tube', diameter: 0.06, wall: 0.0029 })
})
