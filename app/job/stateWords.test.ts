import { describe, expect, it } from 'vitest'
import { plan } from '~~/core/plan/plan'
import type { PostPlan } from '~~/core/plan/types'
import { measuresIn } from '~~/core/units/quantity'
import { jobOf, runOfPosts, tables } from '~~/tests/support/builders'
import { experienceSentence, historySentence, standingSentence, stateSentence, upgradeSentence } from './stateWords'

/* Sentences as they stand on screen and sheet. */

const { gust } = measuresIn('metric')
const line = {
  ...runOfPosts(11, 2.4, () => ({
    soil: 'firm-clay',
    footing: { kind: 'concrete' as const, diameter: 0.25, top: 0.05, bottom: 0.6 },
  })),
  height: 1.8,
  gap: 0.05,
}
const site = { exposure: 'sheltered' as const, shelter: 0.7, gust50: 38 }

describe('what a line has been through', () => {
  const said = (history?: { posts: number; ageYears: number; gone: number }) => {
    const job = jobOf({ ...line, history }, site)
    return historySentence(plan(job, tables), job.lines[0]!)
  }
  it('is said where somebody told it, with the range', () => {
    expect(said({ posts: 10, ageYears: 16, gone: 0 })).toMatch(
      /^This fence has stood 16 years: here gusts bite less than the book has it \(0\.2\d of the bare wind, 0\.1\d to 0\.[34]\d; the book has 0\.40\)\.$/,
    )
    expect(said({ posts: 20, ageYears: 12, gone: 14 })).toMatch(
      /^14 of 20 posts went in 12 years: here gusts bite about as/,
    )
    expect(said({ posts: 20, ageYears: 3, gone: 18 })).toMatch(/gusts bite more than the book/)
    expect(said({ posts: 2000, ageYears: 100, gone: 0 })).toContain('look again whether the footings')
    expect(said()).toBe('')
  })
})

describe('one sentence on a post', () => {
  const [first] = plan(jobOf(line, site), tables).posts
  it('says that nobody has looked, and what it holds', () => {
    expect(stateSentence(first!)).toBe('Not looked at yet.')
    const { standing } = first!
    const weakest = standing.links.find(({ link }) => link === standing.weakest)!.name
    expect(standingSentence(standing, weakest, gust)).toMatch(
      /^It leans from \d\d m\/s, .*; goes over at \d\d m\/s, .*: the .* first\.$/,
    )
    expect(experienceSentence(standing, gust)).toMatch(
      /^By experience; the bare formulas would say \d\d, not \d\d m\/s\.$/,
    )
  })
  it('has no figure for what has given way', () => {
    const gone = { state: 'given-way', says: 'it is broken', links: [] } as const
    expect(standingSentence(gone as never, undefined, gust)).toBe('It has given way: it is broken.')
  })
})

describe('a sound post that is to become more than it is', () => {
  const target = { gust: 40, returnYears: 50, leanGust: 30, leanReturnYears: 10, gust50: 40, by: 'years' as const }
  const show = (gust: number) => `${Math.round(gust)} m/s`
  type Shown = Pick<PostPlan, 'standing' | 'recommended'>
  const standing = (holdingGust: number, leanGust: number): Shown => ({
    standing: { state: 'holds', links: [], holdingGust, leanGust },
    recommended: { method: 'a', because: '' },
  })
  const says = (upgrade: 'gate' | 'stronger', over: number, lean = over) =>
    upgradeSentence(upgrade, true, standing(over, lean), target, show)
  it('is said with what it does already', () => {
    expect(says('gate', 45)).toBe(
      'It is to become a gate post. As it stands it goes over at 45 m/s and carries the leaf.',
    )
    expect(says('gate', 32)).toBe('It is to become a gate post. As it stands it goes over at 32 m/s, under the target.')
    expect(says('stronger', 45, 25)).toContain('As it stands it leans from 25 m/s, under the target.')
    expect(says('gate', 42, 0)).toContain('As it stands it leans without any wind.')
  })
  it('asks for the leaf first, and says where nothing holds more', () => {
    expect(upgradeSentence('gate', false, standing(45, 45), target, show)).toContain('how wide the leaf is')
    const none: Shown = { standing: { state: 'range', links: [] } }
    expect(upgradeSentence('stronger', false, none, target, show)).toBe(
      'It is to hold more. What it holds as it stands is not known. Nothing that can be done here holds more.',
    )
    expect(upgradeSentence(undefined, false, standing(45, 45), target, show)).toBe('')
  })
})
