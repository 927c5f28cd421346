import { expect, test, type Page } from './test'
import type { Entry, Job } from '../../core/document/job'
import { pdfFonts, pdfPages, pdfText } from '../support/pdfText'
import { sidewaysPhotograph } from '../support/pictures'
import { liveAt } from './liveAt'
import { answer, expectSaved, expectUsable, importJob, open, PHONE, placeOfWork, startPour, trialJob } from './steps'

/*
 * A post that was said to be rotten, and what became of it: dug, poured, signed off, looked at for a year. The work is
 * done a year and a bit ago, so that the visits are due today.
 */

const DAY = 24 * 3600e3
const START = Math.floor((Date.now() - 400 * DAY) / DAY) * DAY + 9 * 3600e3
test.use({ serviceWorkers: 'block', timezoneId: 'UTC', actionTimeout: 15_000 })

const part = (page: Page, name: string | RegExp) => page.getByRole('tab', { name })
const toRecord = async (page: Page, name: string | RegExp) => {
  await placeOfWork(page, 'Record').click()
  await part(page, name).click()
}
/** The time at which the device lives goes on from there. */
async function moveTo(page: Page, time: number): Promise<void> {
  await page.clock.setSystemTime(time)
  await page.clock.runFor(2_000)
}
async function type(page: Page, label: string, value: string): Promise<void> {
  const field = page.getByRole('textbox', { name: label, exact: true })
  await field.fill(value)
  await field.press('Enter')
  await expect(field).not.toHaveAttribute('aria-invalid', 'true')
}
async function photograph(page: Page, stage: string, number: number): Promise<void> {
  await page.getByRole('link', { name: 'Look', exact: true }).click()
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Add a photograph' }).click(),
  ])
  await chooser.setFiles({ name: `${number}.jpg`, mimeType: 'image/jpeg', buffer: await sidewaysPhotograph() })
  const shows = page.getByRole('combobox', { name: `Photograph ${number} shows` })
  await expect(shows).toBeVisible()
  await shows.press('ArrowDown')
  await page.getByRole('option', { name: stage, exact: true }).click()
}

test('a post that was said to be rotten, from the first look to a year on', async ({ page, request }) => {
  test.setTimeout(240_000)
  const job = trialJob('The boulder at the bank')
  job.lines[0]!.posts[2]!.duty = 'gate-hinge'
  const id = await importJob(request, job)
  await liveAt(page, START, 'steady')
  await open(page, `/jobs/${id}/look?post=T3`)

  await test.step('it looks rotten, and somebody says so', async () => {
    await answer(page, 'at the ground line').click()
    await type(page, 'Soft wood at the ground line', '12 mm')
    await photograph(page, 'it before', 1)
    await placeOfWork(page, 'Cause').click()
    await page.getByText('I know better').click()
    await page.getByRole('combobox', { name: 'I say' }).press('ArrowDown')
    await page.getByRole('option', { name: 'Rotted at the ground line' }).click()
    await page.getByLabel('Because').fill('soft at the ground like the last three')
    await page.getByRole('button', { name: 'Keep it' }).click()
    await expect(page.getByText('I say rotted at the ground line')).toBeVisible()
  })

  await test.step('a new post is chosen', async () => {
    await placeOfWork(page, 'Repair').click()
    await page
      .getByRole('button', { name: /^New post, concrete/ })
      .first()
      .click()
    await page.getByRole('button', { name: /^Take it/ }).click()
    await expect(page).toHaveURL(/\/hole/)
  })

  await test.step('dug, it stands in cracked one-sided concrete', async () => {
    await moveTo(page, START + 3600e3)
    await placeOfWork(page, 'Cause').click()
    await page.getByText('What did the digging show?').click()
    const form = page.locator('form').filter({ has: page.getByRole('combobox', { name: 'Digging showed' }) })
    await form.getByRole('combobox', { name: 'Digging showed' }).focus()
    await page.keyboard.type('Bad')
    await form.getByRole('combobox', { name: 'And also' }).press('ArrowDown')
    await page.getByRole('option', { name: 'Footing too small' }).click()
    await page.keyboard.press('Escape')
    await form.getByLabel('Note').fill('One-sided and cracked through; the wood in it is sound.')
    await form.getByRole('button', { name: 'Keep it' }).click()
    await expect(page.getByText('Digging showed bad concrete')).toBeVisible()
    await expect(page.getByText('Digging showed bad concrete, and footing too small')).toBeVisible()
  })

  await test.step('a boulder at 0.45 m: the hole goes wider', async () => {
    await placeOfWork(page, 'Hole').click()
    await part(page, 'Stopped').click()
    await answer(page, 'rock').click()
    await type(page, 'Reached', '0.45')
    const lever = page.getByRole('listitem').filter({ hasText: 'Lever it out' })
    await lever.getByRole('button', { name: 'Do this' }).click()
    await expect(page.getByText(/rock at 0\.45 m/)).toBeVisible()
    await part(page, 'Hole').click()
    await type(page, 'Depth', '0.85')
    await type(page, 'Width', '0.4')
    await photograph(page, 'the open hole', 2)
  })

  await test.step('it is poured, one face read by eye alone', async () => {
    await placeOfWork(page, 'Pour').click()
    await startPour(page)
    await page.getByRole('button', { name: 'One bag in' }).click()
    await page.clock.runFor(20_000)
    await page.getByRole('button', { name: 'One bag in' }).click()
    await page.getByRole('button', { name: /^across the line/ }).click()
    await page.getByRole('button', { name: 'Plumb by eye' }).click()
    await expect(page.getByRole('button', { name: 'across the line ✓ by eye' })).toBeVisible()
    await page.getByRole('button', { name: /^along it/ }).click()
    await type(page, 'Out over 1.20 m, to the right +', '1')
    await expect(page.getByRole('button', { name: 'along it ✓ by level' })).toBeVisible()
    await expectSaved(page)
  })

  await test.step('nine days later: as built over as planned, with what differs', async () => {
    await moveTo(page, START + 9 * DAY)
    await photograph(page, 'it after', 3)
    await toRecord(page, 'As built')
    await type(page, 'Depth at the start side', '0.92')
    await type(page, 'Depth behind', '0.90')
    await type(page, 'Width', '0.42')
    await answer(page, 'post hole digger').click()
    await type(page, 'Bags', '9')
    const off = page.getByRole('table', { name: 'Built against planned' })
    await expect(off.getByRole('row', { name: /^deep/ })).toContainText('0.91 m')
    await expect(off.getByRole('row', { name: /^bags/ })).toContainText(/9.*less/)
    await type(page, 'Plumb along the line, off over 1.2 m', '1')
    await expectUsable(page, 'as built')
    await expectSaved(page)
  })

  await test.step('the sign-off refuses with what is missing, and is mended', async () => {
    await part(page, 'Sign off').click()
    const done = page.getByRole('button', { name: /^Done: / })
    await expect(done.first()).toBeVisible()
    const steps = await done.count()
    expect(steps).toBeGreaterThan(5)
    // All but one: nobody has rodded it behind the post.
    for (let left = steps; left > 1; left--) {
      await page
        .getByRole('button', { name: /^Done: (?!Rod)/ })
        .first()
        .click()
      await expect(done).toHaveCount(left - 1)
    }
    await page.getByLabel('Your name').fill('Wren')
    await page.getByRole('button', { name: 'Sign it off' }).click()
    await expect(page.getByRole('alert')).toHaveText('2 things are missing.')
    await expect(page.getByText('Read the face across the line with a level', { exact: false })).toContainText(
      'by eye is no reading',
    )
    // The one is left out with its reason, the other is read.
    await page.getByRole('button', { name: /^Left out: Rod/ }).click()
    await page.getByLabel('Why it was left out').fill('poured in thin lifts and shaken')
    await page.getByRole('button', { name: 'Keep the reason' }).click()
    await page.getByRole('button', { name: 'Read it' }).click()
    await type(page, 'Plumb across it, off over 1.2 m', '0')
    await part(page, 'Sign off').click()
    await expect(page.getByText('Nothing is missing.')).toBeVisible()
    await page.getByRole('button', { name: 'Sign it off' }).click()
    await expect(page.getByText('Signed off')).toBeVisible()
    await expectUsable(page, 'sign-off')
    await expectSaved(page)
  })

  await test.step('the customer’s page names the lesson, on one sheet', async () => {
    await part(page, /Customer/).click()
    const words = 'It was thought to be rot at the ground line; when it was dug, it was not.'
    await expect(page.getByText(words)).toBeVisible()
    await expect(page.getByText('One-sided and cracked through', { exact: false })).toBeVisible()
    await expect(page.getByText('In the hole: a boulder at 0.45 m; we took it out.')).toBeVisible()
    const link = page.getByRole('link', { name: 'PDF, A4' })
    const bytes = await (await page.request.get((await link.getAttribute('href'))!)).body()
    const text = pdfText(bytes).replace(/\s+/g, ' ')
    expect(pdfPages(bytes)).toBe(1)
    expect(bytes.length).toBeLessThan(60_000)
    expect(pdfFonts(bytes).every(({ isEmbedded }) => isEmbedded)).toBe(true)
    expect(text).toContain(words)
    expect(text.split(' ').length).toBeLessThan(400)
    await expectUsable(page, 'customer’s page')
  })

  await test.step('the column has it all; what comes later shows as later', async () => {
    await part(page, 'Entries').click()
    for (const words of ['Signed off', 'Left out', 'As built'])
      await expect(page.getByText(words).first()).toBeVisible()
    await moveTo(page, START + 10 * DAY)
    await page.getByLabel('What is to be noted').fill('The neighbour asks for the same.')
    await page.getByRole('button', { name: 'Note it' }).click()
    const note = page.getByRole('listitem').filter({ hasText: 'The neighbour asks' })
    await expect(note).toContainText('after the sign-off')
    await note.getByRole('button', { name: /^Put right/ }).click()
    await page.getByLabel('What is right instead').fill('Both neighbours ask.')
    await page.getByRole('button', { name: 'Put it right' }).click()
    await expect(page.getByRole('listitem').filter({ hasText: 'The neighbour asks' })).toContainText('corrected')
    await expectUsable(page, 'entries')
  })

  await test.step('the code of the tag opens the record', async () => {
    await part(page, 'Sign off').click()
    const alt = (await page.getByRole('img', { name: /^Code that opens/ }).getAttribute('alt'))!
    const address = alt.slice(alt.indexOf('http'))
    await expectSaved(page)
    await page.goto(address)
    await expect(part(page, 'Entries')).toHaveAttribute('aria-selected', 'true')
    await expect(page.getByText('Signed off').first()).toBeVisible()
  })

  await test.step('after three months and a storm the lean is read again; after a year it is flagged', async () => {
    const read = async (when: number, offset: string) => {
      await moveTo(page, when)
      await toRecord(page, 'Come back')
      await page.getByRole('button', { name: 'Read the lean' }).click()
      await page.getByRole('button', { name: 'across it', exact: true }).click()
      const field = page.getByRole('textbox', { name: 'Offset, away from you', exact: true })
      await field.fill(offset)
      await field.press('Enter')
      await expectSaved(page)
    }
    await read(START + 10 * DAY, '0')
    await toRecord(page, 'Come back')
    await expect(page.getByText('One reading: nothing can be said yet')).toBeVisible()
    await read(START + 100 * DAY, '3 mm')
    await toRecord(page, 'Come back')
    await page.getByRole('button', { name: 'Made: after three months' }).click()
    await read(START + 200 * DAY, '6 mm')
    await read(START + 376 * DAY, '11 mm')
    await toRecord(page, 'Come back')
    await expect(page.getByText('It leans again.')).toBeVisible()
    await expect(page.getByRole('img', { name: /^The lean over 4 visits/ })).toBeVisible()
    await expectUsable(page, 'come back')
    await expectSaved(page)
  })

  await test.step('Jobs says that somebody is to come back, and the table of causes has the miss', async () => {
    await page.getByRole('link', { name: 'Vindex: all jobs' }).click()
    const due = page.getByRole('link').filter({ hasText: job.name }).filter({ hasText: 'after a year' })
    await expect(due).toBeVisible()
    await due.click()
    await expect(part(page, 'Come back')).toHaveAttribute('aria-selected', 'true')
    await open(page, '/yard?table=counted')
    await expect(page.getByRole('row', { name: /^Rotted at the ground line/ })).toContainText('missed')
    await page.unrouteAll({ behavior: 'ignoreErrors' })
  })
})

/** Five holes of one tool in one ground, dug a good deal larger than they were planned. */
function fiveHoles(name: string): Job {
  const job = trialJob(name)
  const [line] = job.lines
  const entries = line!.posts.map(({ id }, i): Entry => {
    Object.assign(line!.posts[i]!, {
      soil: 'hard-clay',
      observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03 },
      repair: {
        method: 'new-post-concrete',
        tool: 'auger',
        mix: 'post-mix-20',
        filling: 'wet-barrow',
        holes: { 'new-post-concrete': { diameter: 0.3, depth: 0.7 } },
      },
    })
    return {
      id: `built-${i}`,
      at: '2026-05-02T10:00:00Z',
      by: 'Wren',
      line: 'T',
      post: id,
      kind: 'as-built',
      value: { depths: { start: 0.7, end: 0.7 }, width: 0.3 * Math.sqrt(1.4 + 0.01 * i) },
    }
  })
  return { ...job, entries }
}

test('what was learnt is shown, put in use, changes the next job and says so, and is taken back', async ({
  page,
  request,
}) => {
  await importJob(request, fiveHoles('Five holes with the auger'))
  const { entries: _built, ...unbuilt } = fiveHoles('The next job with the auger')
  const next = await importJob(request, unbuilt)
  const hole = async () => {
    await open(page, `/jobs/${next}/hole?post=T3`)
    await expect(page.getByText(/over-dig/)).toBeVisible()
    return page.getByText(/of concrete with \d+ %/).textContent()
  }
  expect(await hole()).toContain('with 5 %')
  await open(page, '/yard?table=learnt')
  const figure = page.getByRole('listitem').filter({ hasText: 'Dug over the plan: auger in hard clay' })
  await expect(figure).toContainText('Not in use.')
  await expect(figure).toContainText(/1\.4\d times \(1\.4\d to 1\.4\d\).*from your last \d+ holes/)
  // Nothing counts before somebody took it over.
  expect(await hole()).toContain('with 5 %')
  await open(page, '/yard?table=learnt')
  await figure.getByRole('button', { name: /^Use it/ }).click()
  await expect(figure).toContainText('In use: 1.4')
  await expectUsable(page, 'learnt figures')
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  expect(await hole()).toMatch(/with 4\d % over-dig \(from your last \d+ holes\)/)
  await open(page, '/yard?table=learnt')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(figure).toContainText('Not in use.')
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  expect(await hole()).toContain('with 5 %')
})

test('the next post to go is on the line, and every part is usable on a phone', async ({
  browser,
  request,
  baseURL,
}) => {
  const job = trialJob('Which goes next')
  job.lines[0]!.posts.forEach((post, i) => {
    post.observations = { pushPivot: 'nothing-moves', probeAtGround: 0 }
    post.footing = { kind: 'concrete', diameter: i === 1 ? 0.18 : 0.25, top: 0.05, bottom: i === 1 ? 0.35 : 0.6 }
  })
  const id = await importJob(request, job)
  const context = await browser.newContext({ ...PHONE, locale: 'en-GB', baseURL })
  const page = await context.newPage()
  await open(page, `/jobs/${id}/record?post=T3&part=next`)
  await expect(page.getByText(/^T2: .* within the year/)).toBeVisible()
  await expect(page.getByRole('img', { name: /T2 goes over at/ })).toBeVisible()
  await expectUsable(page, 'next to go')
  for (const name of [/Customer/, 'As built', 'Sign off', 'Entries', 'Come back', 'Work sheet']) {
    await part(page, name).click()
    await expect(part(page, name)).toHaveAttribute('aria-selected', 'true')
    await expectUsable(page, String(name))
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true)
  }
  await context.close()
})
