import { expect, test, type Page } from './test'
import { answer, expectSaved, importJob, open, trialJob } from './steps'
import type { Job } from '../../core/document/job'

const storedPost = async (page: Page, id: string) =>
  (await (await page.request.get(`/api/jobs/${id}`)).json()).job.lines[0].posts[2]

/** T3 hinges at the ground and is soft there. */
function rottenJob(name: string): Job {
  const job = trialJob(name)
  job.lines[0]!.posts[2]!.observations = { pushPivot: 'at-ground-line', comesUpright: 'easily', probeAtGround: 0.03 }
  return job
}
const pick = async (page: Page, label: string, option: string) => {
  await page.getByLabel(label, { exact: true }).focus()
  await page.keyboard.press('ArrowDown')
  await page.getByRole('option', { name: option, exact: true }).click()
}

test('a reason leads to its reading, a next check to its question', async ({ page, request }) => {
  const id = await importJob(request, rottenJob('Reasons'))
  await open(page, `/jobs/${id}/cause?post=T3`)
  await page.getByRole('button', { name: /^Rotted at the ground line/ }).click()
  const reasons = page.getByRole('list', { name: 'For and against: Rotted at the ground line' })
  await expect(reasons.getByText('before anything is known of the post')).toBeVisible()
  await reasons.getByRole('button', { name: /it hinges at the ground line/ }).click()
  await expect(page.getByRole('heading', { name: 'T3: what do you see?' })).toBeVisible()
  await expect(answer(page, 'at the ground line')).toBeFocused()
  await page.goBack()
  await page
    .getByRole('button', { name: /tells .* from/ })
    .first()
    .click()
  await expect(page.getByRole('heading', { name: 'T3: what do you see?' })).toBeVisible()
  await expect(page.locator('[data-question] :focus')).toHaveCount(1)
})

test('what-if moves the causes and saves nothing', async ({ page, request }) => {
  const id = await importJob(request, rottenJob('What if'))
  await open(page, `/jobs/${id}/cause?post=T3`)
  const before = await storedPost(page, id)
  await pick(page, 'If', 'Probing at the ground line')
  await pick(page, 'showed', 'hard wood at the ground line')
  const turned = page.getByRole('list', { name: 'Causes, now and then' })
  await expect(turned.getByText(/Snapped sound wood|Rotted below ground/).first()).toBeVisible()
  await expect(page.getByText('It would not be settled. Nothing is saved.')).toBeVisible()
  expect(await storedPost(page, id)).toEqual(before)
  await page.reload()
  await expect(turned).toBeHidden()
})

test('"I know better" and what digging showed stand beside the readings', async ({ page, request }) => {
  const id = await importJob(request, rottenJob('Verdicts'))
  await open(page, `/jobs/${id}/cause?post=T3`)
  await page.getByText('I know better').click()
  await expect(page.getByLabel('Because', { exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Keep it' }).first().click()
  await expect(page.getByText('Choose the cause.')).toBeVisible()
  // Both are said at once; nothing is kept before both are there.
  await expect(page.getByText('Say why.')).toBeVisible()
  await pick(page, 'I say', 'Eaten by insects')
  await page.getByLabel('Because', { exact: true }).fill('galleries in the next post')
  await page.getByRole('button', { name: 'Keep it' }).first().click()
  await expect(page.getByText('Overruled: eaten by insects.')).toBeVisible()
  // The judgement by the readings is still there.
  await expect(page.getByText(/Rotted at the ground line.*9\d in 100/).first()).toBeVisible()

  await page.getByText('What did the digging show?').click()
  await pick(page, 'Digging showed', 'Footing too small')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('Found on digging: footing too small.')).toBeVisible()
  await expectSaved(page)
  const { judgement } = await storedPost(page, id)
  expect(judgement).toMatchObject({
    overruled: { cause: 'insect-damage', note: 'galleries in the next post' },
    found: { cause: 'undersized-footing' },
  })
  await page.keyboard.press('4')
  await page.getByRole('button', { name: /^Spur beside it/ }).click()
  await expect(page.getByText('Leaves unsolved: footing too small.')).toBeVisible()
  await page.keyboard.press('z')
  await page.keyboard.press('z')
  await expectSaved(page)
  await expect(async () => expect((await storedPost(page, id)).judgement).toBeUndefined()).toPass()
})

test('a red flag stops every repair until a person says that it is in hand', async ({ page, request }) => {
  const job = rottenJob('Red flag')
  job.lines[0]!.marks = [{ id: 'gas-main', kind: 'service', service: 'gas', station: 5, offset: 0.3 }]
  const id = await importJob(request, job)
  await open(page, `/jobs/${id}/cause?post=T3`)
  await expect(
    page.getByRole('alert').filter({ hasText: 'A buried gas line lies 0.35 m from this post' }),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Make it safe' }).click()
  await page.getByText('Cannot be done here:').click()
  await page.getByRole('button', { name: /^Spur beside it/ }).click()
  await expect(
    page
      .getByRole('listitem')
      .filter({ hasText: 'A red flag stands: make it safe, and say in Cause when it is in hand.' }),
  ).toBeVisible()
  await expect(page.getByRole('button', { name: 'Take it, size the hole' })).toBeDisabled()
  await page.getByRole('button', { name: 'Go on' }).click()
  await expect(page.getByText('Say who was asked, or what was done.')).toBeVisible()
  await page.getByLabel('It is in hand, because').fill('marked by the gas company, hand dig')
  await page.getByRole('button', { name: 'Go on' }).click()
  await expect(page.getByText('In hand: marked by the gas company, hand dig')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Take it, size the hole' })).toBeEnabled()
})

test('what helped it along comes with advice, seen or ticked', async ({ page, request }) => {
  const job = rottenJob('Conditions')
  job.lines[0]!.posts[2]!.observations!.groundAround = ['heaped-soil']
  const id = await importJob(request, job)
  await open(page, `/jobs/${id}/cause?post=T3`)
  await expect(page.getByText('Take the soil back to 50 mm under the cladding')).toBeVisible()
  await page.getByText('Tick what you see besides').click()
  await page.getByRole('button', { name: 'Open end grain on top' }).click()
  await expect(page.getByText('Cut the top to shed water, or cap it')).toBeVisible()
  await expectSaved(page)
  await page.keyboard.press('0')
  await expect(page.getByText('Open end grain on top: cut the top to shed water')).toBeVisible()
})
