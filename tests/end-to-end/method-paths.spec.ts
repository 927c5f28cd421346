import { expect, test } from './test'
import type { Job, Line, Post } from '../../core/document/job'
import { expectSaved, importJob, open, PHONE } from './steps'

/* One way from the finding to the sheet for each method, as a person goes it: by mouse, and by touch on a phone. */

const fair = { kind: 'concrete', diameter: 0.3, top: 0.05, bottom: 0.6 } as const
const rotted = {
  pushPivot: 'at-ground-line',
  probeAtGround: 0.03,
  comesUpright: 'easily',
  footingFound: 'adequate',
} as const
const leaning = {
  pushPivot: 'footing-moves',
  comesUpright: 'with-force',
  lean: { offset: 0.04, over: 1.2, direction: 90 },
  footingFound: 'small',
  probeAtGround: 0,
} as const
const firm: Partial<Post> = { footing: fair, observations: { pushPivot: 'nothing-moves', probeAtGround: 0 } }
const porch: Partial<Line> = { kind: 'post-and-rail', height: 2.2, gap: 0.8 }
const plate: Partial<Post> = {
  duties: ['line', 'plate-mounted'],
  footing: { kind: 'plate' },
  slab: { thickness: 0.15, sound: true, edge: 0.3 },
  observations: { pushPivot: 'at-plate', probeAtGround: 0 },
}
const carrying: Partial<Post> = {
  duty: 'load-bearing',
  carries: { area: 3, from: 'roof' },
  footing: { kind: 'concrete', diameter: 0.4, top: 0.1, bottom: 0.8 },
  observations: { pushPivot: 'at-ground-line', probeAtGround: 0.02 },
}

interface Path {
  name: string
  post: Partial<Post>
  line?: Partial<Line>
  others?: Partial<Post>
  /** Words that its sheet must have. */
  sheet: RegExp
  /** Of the run; the third when absent. */
  which?: number
  /** A person has to be named first. */
  licensed?: true
}
const PATHS: Path[] = [
  {
    name: 'Refix rails and panels',
    post: { footing: fair, observations: { pushPivot: 'panel-only', fixings: 'loose-rails', probeAtGround: 0 } },
    sheet: /drilled first/,
  },
  {
    name: 'Pull upright and brace',
    post: {
      footing: fair,
      observations: {
        ...leaning,
        pushPivot: 'nothing-moves',
        footingFound: 'adequate',
        sideLoad: 'stacked-goods',
        onset: 'slowly',
      },
    },
    sheet: /First take away what pushes it/,
  },
  { name: 'New anchors for the plate', post: plate, line: { height: 1.2 }, sheet: /blow out three times/ },
  { name: 'Spur beside it', post: { footing: fair, observations: rotted }, sheet: /1 × 100 mm spur, 1\.2 m/ },
  {
    name: 'Larger footing round it',
    post: { length: 2.4, footing: { kind: 'concrete', diameter: 0.2, top: 0.05, bottom: 0.35 }, observations: leaning },
    sheet: /leave its bottom bearing under the post/,
  },
  {
    name: 'Steel pin in the old footing',
    post: { footing: fair, observations: rotted },
    line: { height: 0.9, kind: 'picket' },
    sheet: /Clean the old wood out of the socket/,
  },
  {
    name: 'Steel mender on the old footing',
    post: { footing: fair, observations: rotted },
    sheet: /Stand the mender plumb/,
  },
  { name: 'New post, concrete', post: { footing: fair, observations: rotted }, sheet: /bags? of 20 kg/ },
  {
    name: 'New post, stone',
    post: { soil: 'stiff-clay', footing: fair, observations: rotted },
    sheet: /kg of graded stone/,
  },
  {
    name: 'New post, tamped soil and key',
    post: { footing: fair, observations: rotted },
    sheet: /Drive the boards in snug/,
  },
  {
    name: 'Lift-out post in a sleeve',
    post: { removable: true, footing: fair, observations: rotted },
    line: { height: 1.2 },
    sheet: /Tape post and sleeve together/,
  },
  {
    name: 'New post beside the old footing',
    post: { footing: fair, observations: rotted },
    sheet: /The old block stays in the ground/,
  },
  {
    name: 'Renew the whole run',
    post: { observations: rotted },
    others: { observations: rotted },
    sheet: /running reading/,
  },
  { name: 'Raise the pier', post: carrying, line: porch, sheet: /Decided by Ada Brandt/, licensed: true },
  { name: 'New pier', post: carrying, line: porch, sheet: /Decided by Ada Brandt/, licensed: true },
  { name: 'Tie to its neighbour', post: { observations: rotted }, which: 4, sheet: /Push the neighbour first/ },
  { name: 'Make safe, today only', post: { observations: rotted }, sheet: /Agree the day of the repair/ },
]

function jobFor({ name, post, line, others = firm, which = 2 }: Path): Job {
  return {
    format: 'vindex-job',
    version: 1,
    name: `The way of ${name}`,
    site: { exposure: 'sheltered', shelter: 0.7, gust50: 38, frostDepth: 0.3, minimumDepth: 0.6 },
    lines: [
      {
        id: 'W',
        kind: 'close-boarded',
        height: 1.8,
        gap: 0.05,
        length: 9.6,
        ...line,
        posts: [0, 2.4, 4.8, 7.2, 9.6].map((station, i) => ({
          id: `W${i + 1}`,
          station,
          soil: 'firm-clay',
          ageYears: 12,
          ...(i === which ? post : others),
        })),
      },
    ],
  }
}

for (const [way, use] of [
  ['mouse', {}],
  ['touch', PHONE],
] as const) {
  test.describe(`by ${way}`, () => {
    test.use(use)
    for (const path of PATHS) {
      test(path.name, async ({ page, request }) => {
        const press = (name: RegExp | string) => {
          const button = page.getByRole('button', { name }).first()
          return way === 'touch' ? button.tap() : button.click()
        }
        const id = await importJob(request, jobFor(path))
        const post = `W${(path.which ?? 2) + 1}`
        await open(page, `/jobs/${id}/repair?post=${post}`)
        if (path.licensed) {
          await page.getByLabel('Licensed builder or engineer').fill('Ada Brandt')
          await page.getByLabel('Licensed builder or engineer').press('Enter')
          await page.getByLabel('Licensed builder or engineer').press('Tab')
        }
        const row = page.getByRole('button', { name: new RegExp(`^${path.name}`) }).first()
        await expect(row).toBeVisible()
        await press(new RegExp(`^${path.name}`))
        await expect(page.getByRole('heading', { name: path.name, exact: true })).toBeVisible()
        await press(/^Take it/)
        await expect(page).toHaveURL(/\/(hole|record)/)
        if (page.url().includes('/hole')) await press('To the sheet')
        await expect(page.getByRole('heading', { name: `Post ${post}: ${path.name.toLowerCase()}` })).toBeVisible()
        await expect(page.getByRole('article')).toContainText(path.sheet)
        await expect(page.getByText('Proposed, not yet chosen.')).toHaveCount(0)
        await expectSaved(page)
      })
    }
  })
}
