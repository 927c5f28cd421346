import { describe, expect, it } from 'vitest'
import { currencies } from '../../data/currencies'
import { demoJobs } from '../../data/demo/jobs'
import { tables } from '../../data/tables'
import { shippedYard } from '../../data/yard'
import type { CatalogueRow, CostSettings } from '../cost/catalogue'
import type { Job } from '../document/job'
import { plan } from '../plan/plan'
import { chanceWords } from '../report/dates'
import { goesOverChances } from '../survive/goesOver'
import { measuresIn } from '../units/quantity'
import { customerPageOf } from './customerPageOf'
import { onWetGround } from './nextToGo'

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
  it('counts the storms that come on wet ground in the chance', () => {
    const of = (job: Job) => plan(job, tables).posts.find(({ post }) => post === 'O3')!
    const gust = (job: Job) => of(job).methods.find(({ method }) => method === 'new-post-concrete')!.holdingGust!
    const [over, saturated] = [gust(orchard), gust(onWetGround(orchard))]
    expect(saturated).toBeLessThan(over)
    const question = { gust50: of(orchard).target.gust50, years: 10 }
    const [dry] = goesOverChances([{ over }], question)
    const [wet] = goesOverChances([{ over, saturated }], question)
    expect(wet!.life).toBeGreaterThan(dry!.life)
    expect(part(orchard, 'What it stands')[0]).toContain(
      `${chanceWords(wet!.year)} in a year, ${chanceWords(wet!.life)} in the 10 years`,
    )
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
  it('is none of a post at which nothing is to be mended, nor of one that there is not', () => {
    expect(pageOf(orchard, 'O1')).toBeUndefined()
    expect(pageOf(orchard, 'O99')).toBeUndefined()
  })
})
