import AxeBuilder from '@axe-core/playwright'
import { expect, type APIRequestContext, type FileChooser, type Page } from '@playwright/test'
import type { Job, Post } from '../../core/document/job'

export const PHONE = { viewport: { width: 360, height: 740 }, hasTouch: true, isMobile: true }

/* Steps that several end-to-end tests share. Each test makes a job of its own. */

/** A rotted post between sound ones, with nothing recorded yet on the middle one. */
export function trialJob(name: string): Job {
  const sound: Partial<Post> = {
    observations: { pushPivot: 'nothing-moves', probeAtGround: 0 },
    soil: 'firm-clay',
    ageYears: 14,
  }
  return {
    format: 'vindex-job',
    version: 1,
    name,
    site: { name: 'Sedgewater', exposure: 'sheltered', shelter: 0.5, gust50: 38, frostDepth: 0.45, minimumDepth: 0.6 },
    lines: [
      {
        id: 'T',
        kind: 'close-boarded',
        height: 1.8,
        gap: 0.05,
        length: 9.6,
        posts: [0, 2.4, 4.8, 7.2, 9.6].map((station, i) => ({
          id: `T${i + 1}`,
          station,
          ...(i === 2 ? { soil: 'firm-clay', ageYears: 14 } : sound),
        })),
      },
    ],
  }
}

export async function importJob(request: APIRequestContext, job: Job): Promise<string> {
  const answer = await request.post('/api/jobs/import', { data: job })
  expect(answer.status()).toBe(201)
  return ((await answer.json()) as { id: string }).id
}

export async function open(page: Page, path: string): Promise<void> {
  await page.goto(path)
  await expect(page.locator('html')).toHaveAttribute('data-ready', 'true')
}

/** One answer of a question in Look. */
export const answer = (page: Page, words: string) => page.getByRole('button', { name: words, exact: true })

/** Where a part of the work is done, never a job on the list that says "look again". */
export const placeOfWork = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Places of the work' }).getByRole('link', { name, exact: true })

export const saveSign = (page: Page) => page.locator('[data-sign]')

export async function expectSaved(page: Page): Promise<void> {
  await expect(saveSign(page)).toHaveText('all saved')
}

/** Started all the same where nobody would stay, whatever the hour is. */
export async function startPour(page: Page): Promise<void> {
  await page.getByRole('button', { name: /start its clock/ }).click()
  const again = page.getByRole('button', { name: 'Start it all the same' })
  await expect(again.or(page.getByRole('timer'))).toBeVisible()
  if (await again.isVisible()) await again.click()
}

/** To what there is beside the jobs, from their list. */
export async function goElsewhere(page: Page, place: string): Promise<void> {
  await page.getByRole('button', { name: 'Elsewhere' }).click()
  await page.getByRole('list', { name: 'Elsewhere' }).getByRole('link', { name: place }).click()
}

/** Searches the jobs, until the list has nothing else left: what moves under the mouse is not hit. */
export async function searchJobs(page: Page, words: string): Promise<void> {
  await page.getByLabel('Search the jobs').fill(words)
  await expect(page.getByRole('main').getByRole('link').filter({ hasNotText: words })).toHaveCount(0)
}

/** Tabs until the named control has the focus. */
export async function tabTo(page: Page, name: string | RegExp, { back = false } = {}): Promise<void> {
  for (let presses = 0; presses < 90; presses++) {
    const focused = await page.evaluate(() => {
      const element = document.activeElement as HTMLInputElement | null
      const words = element?.getAttribute('aria-label') ?? element?.labels?.[0]?.textContent ?? element?.textContent
      // A taken answer carries its mark in the style sheet, not in its words.
      return words?.trim() ?? ''
    })
    if (typeof name === 'string' ? focused === name : name.test(focused)) return
    await page.keyboard.press(back ? 'Shift+Tab' : 'Tab')
  }
  throw new Error(`no way by Tab to ${String(name)}`)
}

/** To the page for whoever does the work, by keyboard alone: the last but one part of the record. */
export async function toWorkSheet(page: Page): Promise<void> {
  await page.keyboard.press('0')
  await expect(page.getByRole('tab', { name: /^Customer/ })).toBeVisible()
  await tabTo(page, /^Customer/)
  await page.keyboard.press('End')
  await page.keyboard.press('ArrowLeft')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('tab', { name: 'Work sheet' })).toHaveAttribute('aria-selected', 'true')
}

type Files = Parameters<FileChooser['setFiles']>[0]

/** Opens files as a person does: by the button that asks for them. */
export async function pickFiles(page: Page, button: string, files: Files): Promise<void> {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: button, exact: true }).click(),
  ])
  await chooser.setFiles(files)
}

/** Nothing on the page that keeps somebody from using it, by the rules of WCAG 2.2 AA. */
export async function expectUsable(page: Page, where: string): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze()
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')
  expect(
    serious.map(({ id: rule, nodes }) => `${where}: ${rule} ${nodes.map((node) => node.target.join(' ')).join(', ')}`),
  ).toEqual([])
}
