import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import { plan } from '../plan/plan'
import { lineTotals } from './totals'

const rotted = { observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03 } } as const
const job = jobOf({
  ...runOfPosts(5, 2.4, (i) =>
    i === 0
      ? {}
      : i === 1
        ? { observations: { pushPivot: 'nothing-moves' as const } }
        : { ...rotted, ...(i === 2 ? { repair: { method: 'new-post-concrete' } } : {}) },
  ),
  height: 1.5,
})
const { posts } = plan(job, tables)
const chosen = (post: string) => (post === 'A3' ? 'new-post-concrete' : undefined)
const totals = lineTotals(posts, chosen, tables)
const methodOf = (post: string, key: string) =>
  posts.find((each) => each.post === post)!.methods.find(({ method }) => method === key)!

describe('the totals of a line', () => {
  it('count the posts that are mended, and say how many of them nobody has chosen yet', () => {
    expect([totals.posts, totals.proposed]).toEqual([3, 2])
    expect(totals.repairs.reduce((sum, { count }) => sum + count, 0)).toBe(3)
  })

  it('are the sums of their posts', () => {
    const mended = [
      methodOf('A3', 'new-post-concrete'),
      ...['A4', 'A5'].map((post) => methodOf(post, posts.find((each) => each.post === post)!.recommended!.method)),
    ]
    const sum = (of: (each: (typeof mended)[number]) => number) => mended.reduce((total, each) => total + of(each), 0)
    expect(totals.minutes).toBeCloseTo(
      sum(({ minutes }) => minutes),
      9,
    )
    expect(totals.concrete).toBeCloseTo(
      sum(({ concrete }) => concrete!.concrete),
      12,
    )
    expect(totals.spoil).toBeCloseTo(
      sum(({ concrete }) => concrete!.spoil),
      12,
    )
    expect(totals.water).toBeCloseTo(
      sum(({ concrete }) => concrete!.bags.water),
      12,
    )
    const [bags] = totals.bags
    expect(bags!.count).toBe(sum(({ concrete }) => concrete!.bags.count))
    expect(bags!.exact).toBeLessThanOrEqual(bags!.count * 1.03)
  })

  it('of a line in which nothing is wrong are nothing', () => {
    const sound = plan(jobOf(runOfPosts(3)), tables)
    expect(lineTotals(sound.posts, () => undefined, tables)).toEqual({
      posts: 0,
      proposed: 0,
      repairs: [],
      bags: [],
      concrete: 0,
      water: 0,
      stone: 0,
      spoil: 0,
      oldConcrete: 0,
      minutes: 0,
    })
  })
})
