import { createHash } from 'node:crypto'
import { expect, test, type Page } from './test'
import type { Job } from '../../core/document/job'
import { demoJobs } from '../../data/demo/jobs'
import { expectSaved, expectUsable, goElsewhere, importJob, open, PHONE, placeOfWork, searchJobs } from './steps'

/* A week with one fence of six broken posts: offered, taken, loaded, mended, and reckoned up. */

const NAME = 'A week with six posts'
function sixPosts(): Job {
  const job = demoJobs().at(-1)!
  const [line] = job.lines
  const broken = line!.posts.find(({ id }) => id === 'B7')!
  const { observations, photographs: _photographs, ...facts } = broken
  const posts = line!.posts.map(({ photographs: _own, ...post }) =>
    post.id === 'B10' ? { ...facts, id: 'B10', station: post.station, observations: observations! } : post,
  )
  return { ...job, name: NAME, lines: [{ ...line!, posts }] }
}
test.use({ actionTimeout: 15_000 })
const BAG = '20 kg fast post mix'

const tab = (page: Page, name: string) => page.getByRole('tab', { name, exact: true })
const toJobs = async (page: Page) => {
  const away = page.getByRole('link', { name: 'Vindex: all jobs' })
  if (new URL(page.url()).pathname !== '/') await away.click()
  await expect(page.getByLabel('Search the jobs')).toBeVisible()
}
const toYard = async (page: Page) => {
  await toJobs(page)
  await goElsewhere(page, 'Yard')
  await expect(page.getByRole('heading', { name: 'Yard' })).toBeVisible()
}
const toJob = async (page: Page) => {
  await toJobs(page)
  await searchJobs(page, NAME)
  await page
    .getByRole('main')
    .getByRole('link', { name: new RegExp(`^${NAME}`) })
    .last()
    .click()
  await expect(page.getByRole('link', { name: 'Vindex: all jobs' })).toBeVisible()
  await page.keyboard.press('9')
  await expect(tab(page, 'Offer')).toBeVisible()
}
/** Types into one cell of the yard's list, as on a form on paper: down with Enter. */
async function typeCell(page: Page, row: string, cell: RegExp, value: string): Promise<void> {
  await page.getByRole('searchbox', { name: 'Search' }).fill(row)
  await page.getByRole('button', { name: row, exact: true }).click()
  const field = page.getByRole('textbox', { name: cell })
  await field.fill(value)
  await field.press('Enter')
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('searchbox', { name: 'Search' }).fill('')
}
const pageOf = async (page: Page, address: string) => {
  const answer = await page.request.get(address)
  expect(answer.headers()['content-type']).toContain('application/pdf')
  return createHash('sha256')
    .update(await answer.body())
    .digest('hex')
}

test('is offered on Monday, and reckoned up on Friday', async ({ page, request, browser, baseURL }) => {
  test.setTimeout(180_000)
  const id = await importJob(request, sixPosts())
  await open(page, '/')

  await test.step('Monday: six posts in three ways each, for now and for good side by side', async () => {
    await toJob(page)
    await expect(page.getByText('Nothing is chosen yet', { exact: false })).toBeVisible()
    await tab(page, 'Post').click()
    await expect(page.getByRole('status').filter({ hasText: /from year \d+ on|over all 15 years/ })).toBeVisible()
    await expect(page.getByRole('img', { name: /New post, concrete: €/ })).toBeVisible()
    await tab(page, 'Offer').click()
    await page.getByRole('button', { name: 'Make an offer' }).click()
    for (const way of [/Spur beside it/, /Make safe/]) {
      await page.getByRole('button', { name: 'Another option beside it' }).click()
      const picks = page.getByRole('combobox', { name: /^Way of option/ })
      await picks.last().press('ArrowDown')
      await page.getByRole('option', { name: way }).click()
    }
    await page.getByRole('textbox', { name: 'For whom' }).fill('the allotment society')
    await expectUsable(page, 'an offer that is made')
    await page.getByRole('button', { name: 'Make the offer' }).click()
    const offer = page.getByRole('article', { name: 'Offer 1' })
    await expect(offer).toContainText('waits for an answer')
    await expect(offer.getByRole('listitem')).toHaveCount(3)
    await expectUsable(page, 'an offer that was made')
  })

  const offer = page.getByRole('article', { name: 'Offer 1' })
  const address = (await offer.getByRole('link', { name: 'Open its page' }).getAttribute('href'))!
  const [sums, sum] = [await offer.getByRole('list').first().innerText(), await pageOf(page, address)]
  await tab(page, 'Bill').click()
  const billed = await page.getByText('with tax', { exact: false }).first().locator('..').innerText()

  await test.step('Tuesday: a price rises, and the offer does not', async () => {
    await toYard(page)
    await typeCell(page, BAG, /^price of a pack/, '9,90')
    await expect(page.getByRole('row', { name: new RegExp(`${BAG} mix 9.90`) })).toBeVisible()
    await expectUsable(page, 'the yard')
    await toJob(page)
    await tab(page, 'Bill').click()
    await expect(page.getByText('with tax', { exact: false }).first().locator('..')).not.toHaveText(billed)
    await tab(page, 'Offer').click()
    await expect(offer.getByRole('list').first()).toHaveText(sums.replace(/\n/g, ' '), {
      useInnerText: true,
      ignoreCase: true,
    })
    expect(await pageOf(page, address)).toBe(sum)
  })

  await test.step('it is accepted on the customer’s phone', async () => {
    const makeLink = async () => {
      await offer.getByRole('button', { name: 'Link for the customer' }).click()
      return offer.getByText(/\/offer\//).innerText()
    }
    const tooSoon = await makeLink()
    await offer.getByRole('button', { name: 'Take its links back' }).click()
    await expect(offer.getByText('finds nothing there any more', { exact: false })).toBeVisible()
    expect((await page.request.get(tooSoon.replace('/offer/', '/api/offers/'))).status()).toBe(404)
    const link = await makeLink()
    const context = await browser.newContext({ ...PHONE, baseURL: baseURL! })
    const phone = await context.newPage()
    await open(phone, link)
    await expect(phone.getByRole('heading', { level: 1 })).toContainText('Offer 1')
    const take = phone.getByRole('button', { name: 'I take “For good”' })
    await expect(take).toBeDisabled()
    await phone.getByRole('textbox', { name: 'Your name' }).fill('Rowan Pell')
    await expectUsable(phone, 'the customer’s page')
    await take.click()
    await expect(phone.getByRole('status')).toContainText('Thank you, Rowan Pell')
    await context.close()
    await tab(page, 'Bill').click()
    await tab(page, 'Offer').click()
    await page.reload()
    await tab(page, 'Offer').click()
    await expect(offer).toContainText('accepted')
    await expect(offer).toContainText('Rowan Pell')
  })

  await test.step('Wednesday: two vans, offcuts of last week, and a bolt that does not fit', async () => {
    await toYard(page)
    await page
      .getByRole('button', { name: 'Offcuts' })
      .or(page.getByText('Offcuts', { exact: true }))
      .first()
      .click()
    await page.getByRole('button', { name: 'One more' }).click()
    const form = page.getByRole('form', { name: 'New row: Offcuts' })
    await form.getByRole('button', { name: 'Add it' }).click()
    await expect(form.getByText(/^Needed:/)).toBeVisible()
    for (const [name, value] of [
      ['name', 'two of last week'],
      ['stick of', 'post/post-100'],
      ['length', '2.65'],
      ['how many', '2'],
    ] as const)
      await form.getByRole('textbox', { name, exact: true }).fill(value)
    await form.getByRole('button', { name: 'Add it' }).click()
    await expect(page.getByRole('row', { name: /two of last week/ })).toBeVisible()
    await page.getByText('Prices', { exact: true }).first().click()
    await typeCell(page, 'M12 through bolt, 50 mm washer', /^length$/, '0.15')
    await toJob(page)
    await expect(page.getByText('2 of them from the yard’s offcuts, at no price.')).toBeVisible({ timeout: 30_000 })
    await page.getByRole('checkbox', { name: 'Small van, 600 kg' }).click()
    await expect(page.getByText(/^Small van: \d+ kg of 600 kg$/)).toBeVisible()
    // A spur in the place of one new post: its bolt is tried before anybody leaves.
    await placeOfWork(page, 'Repair').click()
    await page.getByRole('button', { name: /^Spur beside it/ }).click()
    await page.getByRole('button', { name: 'Take it, size the hole' }).click()
    await expectSaved(page)
    await placeOfWork(page, 'Load & cost').click()
    const before = page.getByRole('region', { name: 'Before you leave' })
    await expect(before).toContainText('M12 through bolt, 50 mm washer does not fit')
    await page.getByRole('button', { name: 'undo' }).click()
    await expect(before).toBeHidden()
  })

  await test.step('two people load at once', async () => {
    const context = await browser.newContext({ baseURL: baseURL! })
    const other = await context.newPage()
    await open(other, `/jobs/${id}/load`)
    const box = (of: Page, name: RegExp) => of.getByRole('checkbox', { name })
    await Promise.all([box(page, /20 kg fast post mix/).click(), box(other, /a breaker, goggles and a mask/).click()])
    for (const each of [page, other]) await expectSaved(each)
    for (const each of [page, other]) {
      await each.evaluate(() => window.dispatchEvent(new Event('focus')))
      await expect(box(each, /20 kg fast post mix/)).toBeChecked()
      await expect(box(each, /a breaker, goggles and a mask/)).toBeChecked()
    }
    await context.close()
  })

  await test.step('Thursday and Friday: three bags more, a reason, and what is left goes back', async () => {
    await tab(page, 'After').click()
    const bags = page.getByRole('group', { name: BAG })
    await expect(page.getByText(/^Against offer 1, “For good”\.$/)).toBeVisible()
    await bags.getByRole('textbox', { name: 'Bought' }).fill('3')
    await bags.getByRole('textbox', { name: 'Bought' }).press('Enter')
    await expect(page.getByText('1 difference waits for a reason.')).toBeVisible()
    await page.getByRole('combobox', { name: 'Why' }).fill('holes came out larger')
    await page.getByRole('combobox', { name: 'Why' }).press('Enter')
    await expect(page.getByText('waits for a reason', { exact: false })).toBeHidden()
    const used = bags.getByRole('textbox', { name: /^Used/ })
    const planned = Number(await used.getAttribute('placeholder')) - 3
    // Two of the three came back.
    await used.fill(String(planned + 1))
    await used.press('Enter')
    await expect(page.getByRole('listitem').filter({ hasText: /^2 bags/ })).toBeVisible()
    const missing = page.getByRole('combobox', { name: 'What was missing out there' })
    await missing.fill('breaker')
    await page.getByRole('option', { name: /a breaker, goggles and a mask/ }).click()
    await missing.press('Escape')
    await expectSaved(page)
    await expectUsable(page, 'planned against actual')
    await page.getByRole('button', { name: 'Bring the yard’s list up to date' }).click()
    await expect(page.getByRole('status').filter({ hasText: 'Put back on' })).toBeVisible()
    await expectSaved(page)
    await toYard(page)
    await expect(page.getByRole('row', { name: new RegExp(`${BAG} mix 9.90 bag 1 2`) })).toBeVisible()
    await page.getByRole('button', { name: 'History' }).click()
    await expect(page.getByText(`Prices, ${BAG}: lying there: nothing → 2`)).toBeVisible()
    await expectUsable(page, 'what was changed in the yard')
  })

  await test.step('the next job has on top what was forgotten', async () => {
    const next = await importJob(request, { ...sixPosts(), name: 'The week after' })
    await open(page, `/jobs/${next}/load`)
    const forgotten = page.getByRole('heading', { name: 'Forgotten before' })
    await expect(forgotten).toBeVisible()
    await expect(page.getByRole('checkbox', { name: /a breaker, goggles and a mask/ })).toHaveCount(1)
    await toYard(page)
  })

  // The yard is one for all: what this week changed is taken back.
  const undo = page.getByRole('button', { name: 'Undo' })
  for (const _change of ['a price', 'an offcut', 'a bolt', 'what was left']) await undo.click()
  await expect(undo).toBeDisabled()
  await expect(page.getByRole('row', { name: new RegExp(`${BAG} mix 6.40`) })).toBeVisible()
})
