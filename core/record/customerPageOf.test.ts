import { describe, expect, it } from 'vitest'
import { currencies } from '../../data/currencies'
import { demoJobs } from '../../data/demo/jobs'
import { tables } from '../../data/tables'
import { shippedYard } from '../../data/yard'
import type { CatalogueRow, CostSettings } from '../cost/catalogue'
import type { Job, Post } from '../document/job'
import { chanceWords } from '../weather/dates'
import { standingYears, YEARS_DRAWN } from '../survive/years'
import { measuresIn } from '../units/quantity'
import { customerPageOf } from './customerPageOf'

const orchard = demoJobs().find(({ name }) => name?.startsWith('Orchard side'))!
const settings = shippedYard.reckoning![0] as unknown as CostSettings
const needs = {
  tables,
  pricing: {
    catalogue: shippedYard.catalogue as unknown as readonly CatalogueRow[],
    settings,
    currency: currencies.find(({ code }) => code === settings.currency)!,
  },
  now: Date.parse('2026-11-27T09:00:00Z'),
  says: measuresIn('metric'),
}
const pageOf = (job: Job, post = 'O3', now = needs.now) => customerPageOf(job, post, { ...needs, now })!
/** With how long its way stands, by fewer lives than a sheet has. */
const reckoned = (job: Job) => (method: string) => standingYears(job, tables, 'O3', { methods: [method], lives: 2_000 })
const part = (job: Job, title: string, now?: number) =>
  pageOf(job, 'O3', now).parts.find((each) => each.title === title)?.says ?? []
const withoutEntries = (kind: string): Job => ({
  ...orchard,
  entries: orchard.entries!.filter((each) => each.kind !== kind),
})

describe('the customer’s page', () => {
  it('tells what was thought, what was found, and what was met in the hole', () => {
    expect(part(orchard, 'What failed, and why')).toEqual([
      'It was thought to be rot at the ground line; when it was dug, it was not.',
      'The concrete stood on one side only and was cracked through; the wood under it was sound.',
      'In the hole: a boulder at 0.45 m; the hole was made wider.',
    ])
  })
  it('tells what came otherwise than planned', () => {
    expect(part(orchard, 'What was done')).toEqual([
      'New post, concrete, finished on 12 March 2026 by Wren.',
      'The hole came out otherwise: 0.81 m deep, planned 0.75 m; 0.32 m wide, planned 0.30 m.',
      'It took 1 bag more than planned.',
    ])
  })
  it('tells how long it stands, from the day on which it was done, where that was reckoned', () => {
    const [curve] = reckoned(orchard)('new-post-concrete')!.curves
    const page = customerPageOf(orchard, 'O3', { ...needs, years: reckoned(orchard) })!
    expect(page.parts.find(({ title }) => title === 'What it stands')!.says[0]).toBe(
      `That the wind puts it over, soaked ground counted: ${chanceWords(curve!.gone[0]!)} in a year, ${chanceWords(curve!.gone[9]!)} in the 10 years that the fence is reckoned to stand yet.`,
    )
    expect(page.years).toMatchObject({ from: 2026, fenceYears: 10, curve: { method: 'new-post-concrete' } })
    expect(page.years!.curve.plumb).toHaveLength(YEARS_DRAWN)
    expect(page.years!.says[0]).toMatch(
      /^\d of 10 such posts are still plumb in 2036 \(\d+ to \d+\), when the rest of the fence/,
    )
    expect(page.parts.find(({ title }) => title === 'What it stands')!.says[1]).toBe(
      'While the ground is not soaked it may begin to lean in a gust of 41 m/s, such as comes once in 250 years.',
    )
    expect(pageOf(orchard).years).toBeUndefined()
    expect(part(orchard, 'What it stands').join(' ')).not.toContain('puts it over')
  })
  it('says of a visit that is late that it is owed, and of none before the sign-off', () => {
    const clips = 'to finish it: Two clips of the lower rail are still missing.'
    expect(part(orchard, 'When we come back')).toContain(`Since 20 November 2026 we owe you a visit, ${clips}`)
    const before = Date.parse('2026-11-15T09:00:00Z')
    expect(part(orchard, 'When we come back', before)).toContain(`On 20 November 2026, ${clips}`)
    expect(part(withoutEntries('sign-off'), 'When we come back')).toEqual([])
  })
  it('tells when it may be used, until it is signed off', () => {
    expect(part(orchard, 'When you may use it')).toEqual([])
    expect(part(withoutEntries('sign-off'), 'When you may use it').length).toBeGreaterThan(0)
    expect(part(withoutEntries('sign-off'), 'What is to be done')[0]).toMatch(/^New post, concrete: €\d/)
  })
  const gatePost = (job: Job): Job => ({
    ...job,
    lines: job.lines.map((line) => ({
      ...line,
      posts: line.posts.map((post) => (post.id === 'O3' ? { ...post, duty: 'gate-hinge' as const } : post)),
    })),
  })
  it('speaks of a gate only where one hangs', () => {
    const open = withoutEntries('sign-off')
    const all = (job: Job) => [...part(job, 'When you may use it'), ...part(job, 'How to keep it')].join(' ')
    expect(all(open)).not.toMatch(/gate/i)
    expect(all(gatePost(open))).toMatch(/gate hung, full load/i)
    expect(all(gatePost(open))).toContain('If the gate begins to drag')
  })
  it('tells of wood how it rots, of steel where it rusts, and of the storm only where it is watched', () => {
    const made = (material: Post['material'], job = orchard): Job => ({
      ...job,
      lines: job.lines.map((line) => ({
        ...line,
        posts: line.posts.map((post) => (post.id === 'O3' ? { ...post, material } : post)),
      })),
    })
    expect(part(made('oak'), 'How to keep it').join(' ')).toContain('it rots where they touch it')
    expect(part(made('steel'), 'How to keep it').join(' ')).not.toContain('rots')
    expect(part(made('steel'), 'How to keep it').join(' ')).toContain('rust begins there')
    const storm = 'After the first storm such as comes about once in two years, to look at it.'
    expect(part(orchard, 'When we come back')).toContain(storm)
    // Another post that is watched too is no reason not to say it of this one.
    const two = orchard.entries!.map((each) => ({ ...each, id: `${each.id}-2`, post: 'O6' }))
    expect(part({ ...orchard, entries: [...two, ...orchard.entries!] }, 'When we come back')).toContain(storm)
  })
  it('is none of a post at which nothing is to be mended, nor of one that there is not', () => {
    expect(pageOf(orchard, 'O1')).toBeUndefined()
    expect(pageOf(orchard, 'O99')).toBeUndefined()
  })
})

describe('what was thought and what was found', () => {
  const found = (cause: string, also?: string[]): Job =>
    ({
      ...orchard,
      lines: orchard.lines.map((line) => ({
        ...line,
        posts: line.posts.map((post) =>
          post.id === 'O3'
            ? {
                ...post,
                judgement: {
                  ...post.judgement,
                  found: { at: '2026-03-10T10:15:00Z', cause, ...(also ? { also } : {}) },
                },
              }
            : post,
        ),
      })),
    }) as Job
  const says = (job: Job) => part(job, 'What failed, and why').join(' ')
  it('is a miss where digging found something else alone', () => {
    expect(says(found('bad-concrete', ['undersized-footing']))).toContain('when it was dug, it was not')
  })
  it('is none where it was one of two', () => {
    expect(says(found('bad-concrete', ['ground-line-decay']))).not.toContain('it was not')
    expect(says(found('ground-line-decay'))).not.toContain('it was not')
  })
})
