import { describe, expect, it } from 'vitest'
import { tables } from '../data/tables'
import { withCounts, type CountedRow } from '../core/cause/counted'
import { diagnose } from '../core/cause/diagnose'
import { valuesOf } from '../core/cause/readings'
import type { Cause, CauseTables } from '../core/cause/tables'
import type { ObservationKey, Observations } from '../core/cause/observations'
import { drawsFrom } from '../core/numeric/draws'
import { mean } from '../core/numeric/statistics'
import { learntFigures } from '../core/record/learnt'
import { brierScore, countedRows, ENOUGH_CASES, type OpinionCase } from '../core/record/opinion'
import { drawPost, type DrawnPost } from './simulate'
import { CREW, simulateYear } from './year'

const year = simulateYear(60, tables)
const first30 = learntFigures(
  year.lessons.filter(({ at }) => at <= new Date(Date.UTC(2026, 0, 5 + 6 * 30)).toISOString()),
)
const figure = (key: string) => first30.find((each) => each.key === key)!

/** What a diagnosis by these tables scores on a post of which the cause is known. */
function scoreOn({ facts, all, cause }: DrawnPost, causes: CauseTables): number {
  const { causes: found } = diagnose(facts, all, causes)
  const chances = Object.fromEntries(found.map((each) => [each.cause, each.probability]))
  return brierScore([{ chances, found: [cause] }])
}
const name = (_cause: Cause, _key: ObservationKey, value: string) => value

describe('a simulated year of sixty jobs', () => {
  it.each(['spade', 'post-hole-digger'] as const)(
    'teaches what the %s digs over within a tenth by the thirtieth job',
    (tool) => {
      const { median, low, high } = figure(`over-dig-${tool}`)
      expect(Math.abs(median / CREW.overdig[tool] - 1)).toBeLessThan(0.1)
      expect(low).toBeLessThan(median)
      expect(high).toBeGreaterThan(median)
      // Over the plan, not of the whole: a spade's 30 % is learnt as some 30 %.
      expect(Math.abs(median - CREW.overdig[tool])).toBeLessThan(0.05)
    },
  )
  it('teaches the pace within a tenth by the thirtieth job', () => {
    expect(Math.abs(figure('minutes-dig').median / CREW.pace - 1)).toBeLessThan(0.1)
  })
  it('leaves fewer than one job in ten short of bags, every hair counted', () => {
    const short = year.jobs.filter(({ bagsPlanned, bagsNeeded }) => bagsPlanned < bagsNeeded)
    expect(short.length / year.jobs.length).toBeLessThan(0.1)
    const late = short.filter(({ number }) => number > 30)
    expect(late.length / 30).toBeLessThan(0.05)
    // Nor is that bought with a van full of bags.
    expect(mean(year.jobs.map(({ bagsPlanned, bagsNeeded }) => bagsPlanned - bagsNeeded))).toBeLessThan(1.5)
  })
  it('plans with nothing before there are five records of it', () => {
    expect(year.jobs.slice(0, 5).every(({ learnt }) => learnt === undefined)).toBe(true)
    expect(year.jobs.at(-1)!.learnt).toBeDefined()
  })
  it('does not make the diagnosis worse, as far as thirty posts can tell', () => {
    const counted = countedRows(year.cases.slice(0, ENOUGH_CASES), name)
    const own = withCounts(tables.causes, counted)
    const differences = year.posts.slice(ENOUGH_CASES).map((post) => scoreOn(post, own) - scoreOn(post, tables.causes))
    const middle = mean(differences)
    const scatter = Math.sqrt(mean(differences.map((each) => (each - middle) ** 2)) / differences.length)
    expect(middle).toBeLessThan(1.645 * scatter)
    expect(middle).toBeLessThan(0.03)
  })
})

describe('where posts fail otherwise than the shipped figures have it', () => {
  /** Here rotted posts turn down in the soil, and small footings hinge at the ground line. */
  const otherwise: CountedRow[] = [
    ['ground-line-decay', 'in-the-soil'],
    ['undersized-footing', 'at-ground-line'],
    ['no-footing', 'footing-moves'],
  ].map(([cause, value]) => ({
    key: `${cause}:${value}`,
    name: '',
    cause: cause as Cause,
    observation: 'pushPivot',
    value: value!,
    count: 400,
    posts: 400,
  }))
  const world = withCounts(tables.causes, otherwise)
  const facts = { material: 'treated-softwood', duty: 'line', ageYears: 10, pointedAt: true }
  const READ = ['pushPivot', 'onset'] as const
  const posts = (count: number, seed: number): DrawnPost[] => {
    const draws = drawsFrom(seed)
    return Array.from({ length: count }, () => {
      const post = drawPost(facts, world, draws.share)
      return { ...post, all: Object.fromEntries(READ.map((key) => [key, post.all[key]])) as Observations }
    })
  }
  it('sixty opened posts make it better', () => {
    const cases = posts(60, 3).map(
      ({ all, cause }): OpinionCase => ({
        post: 'A1',
        at: '2026-01-01T00:00:00Z',
        said: cause,
        chances: {},
        found: [cause],
        read: READ.flatMap((observation) =>
          valuesOf(all[observation], tables.causes.evidence.find((row) => row.observation === observation)!).map(
            (value) => ({ observation, value }),
          ),
        ),
      }),
    )
    const own = withCounts(tables.causes, countedRows(cases, name))
    const fresh = posts(400, 4)
    const shipped = mean(fresh.map((post) => scoreOn(post, tables.causes)))
    expect(mean(fresh.map((post) => scoreOn(post, own)))).toBeLessThan(0.9 * shipped)
  })
})
