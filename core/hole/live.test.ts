import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import { holeBench } from './bench'
import { liveCount, runsOut } from './live'

const bench = holeBench(
  jobOf(
    runOfPosts(3, 2.4, () => ({
      soil: 'firm-clay',
      section: { shape: 'rectangle', along: 0.1, across: 0.1 },
      observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03 },
      repair: { holes: { 'new-post-concrete': { diameter: 0.3, depth: 0.75, stoneBed: 0.1, fillTop: 0.05 } } },
    })),
  ),
  tables,
  'A2',
  'new-post-concrete',
)!
const { hole, concrete } = bench.now
const post = { shape: 'rectangle', along: 0.1, across: 0.1 } as const
const live = (bags: number, face: number) => liveCount({ bags, face }, hole!, concrete!, { yields: 0.01 }, post)

describe('counting while pouring', () => {
  it('a hole that takes what was planned takes the rest of it too', () => {
    // Half of the concrete's height: half of its litres.
    const half = live(concrete!.concrete / 2 / 0.01, 0.35)!
    expect(half.over).toBeCloseTo(0, 6)
    expect(half.togo).toBeCloseTo(concrete!.concrete / 2 / 0.01, 6)
  })
  it('one that took a fifth more goes on so', () => {
    const planned = (concrete!.concrete * (0.65 - 0.25)) / 0.6
    const found = live((1.2 * planned) / 0.01, 0.25)!
    expect(found.over).toBeCloseTo(0.2, 6)
    expect(found.togo).toBeCloseTo((1.2 * (concrete!.concrete - planned)) / 0.01, 6)
    expect(found.bags).toBe(Math.ceil((1.2 * concrete!.concrete) / 0.01 - 0.03))
  })
  it('says nothing before there is enough in it', () => {
    expect(live(1, 0.6)).toBeUndefined()
    expect(live(0, 0.2)).toBeUndefined()
  })
  it('says where the bags run out before the shop closes', () => {
    const holes = [
      { post: 'A7', bags: 3.2 },
      { post: 'A9', bags: 3.4 },
    ]
    // 6.6 by the plan, 7.59 as they are dug.
    expect(runsOut(holes, 7, 0)).toBeUndefined()
    expect(runsOut(holes, 7, 0.15)).toEqual({ at: 'A9', short: 1 })
  })
})
