import { describe, expect, it } from 'vitest'
import type { SetOutPost } from '~~/core/plan/setOut/line'
import { placeLabels } from './labels'
import { markModel, markWords } from './markModel'
import { plumbRose } from './plumbRose'
import { stringLabels } from './stringLabels'

const small = (length: number) => `${Math.round(length * 1e3)} mm`
const post = (over: Partial<SetOutPost> = {}): SetOutPost => ({
  post: 'A3',
  station: 4.8,
  carries: false,
  isSet: true,
  upper: 1.8,
  lower: 0.3,
  gapLow: 0.012,
  gapHigh: 0.03,
  target: 0,
  found: {},
  ...over,
})

describe('the post from above', () => {
  it('has its top where it leans, away upwards, in a circle of a round measure', () => {
    // 20 mm in a metre to the right, 10 away: at 1.8 m 36 and 18 mm.
    const lean = [
      { offset: 0.02, over: 1, direction: 0 },
      { offset: 0.01, over: 1, direction: 90 },
    ]
    const rose = plumbRose(post(), lean, undefined, small)
    expect(rose.reach).toBe('50 mm')
    expect(rose.top).toEqual([expect.closeTo(57.6, 1), expect.closeTo(-28.8, 1)])
    expect(rose.words).toBe('The post from above: its top lies 18 mm away from you and 36 mm to the right')
  })
  it('rings where its neighbours lean, and shows what a level says now', () => {
    const weighed = { plumb: 0, match: -0.02, difference: -0.02, advice: 'ask' } as const
    const rose = plumbRose(post({ weighed }), undefined, { direction: 'along', slope: -0.01 }, small)
    expect(rose.match![1]).toBeGreaterThan(0)
    expect(rose.live![0]).toBeLessThan(0)
    expect(rose.top).toBeUndefined()
    expect(rose.words).toContain('its lean was not measured; its neighbours ask for 20 mm towards you')
  })
})

describe('what is written at the strings', () => {
  const viewport = { width: 800, height: 500, pixelsPerMetre: 120, groundY: 300 }
  it('is both gaps and the running reading of each post, the chosen one before all others', () => {
    const posts = [post({ post: 'A2', station: 4.7 }), post()].map((each) => ({ ...each, rise: 0 }))
    const labels = stringLabels(posts, 'A3', viewport, { small, length: (length) => `${length} m` })
    expect(labels.map(({ text }) => text).slice(0, 3)).toEqual(['30 mm', '12 mm', '4.8 m'])
    // They stand so close that only one of each has room.
    const kept = placeLabels(labels).map(({ key }) => key)
    expect(kept).toContain('tape-A3')
    expect(kept).not.toContain('tape-A2')
  })
})

describe('a run of something along the line', () => {
  const pipe = { id: 'p', kind: 'service', service: 'water', station: 8, to: 2, above: true } as const
  it('is drawn from end to end at the height where it hangs', () => {
    const { points, isRun } = markModel(pipe, 0, small)
    expect(isRun).toBe(true)
    expect(Math.min(...points.map(([x]) => x))).toBeCloseTo(2, 1)
    expect(Math.max(...points.map(([x]) => x))).toBeCloseTo(8, 1)
    expect(Math.min(...points.map(([, y]) => y))).toBeGreaterThan(0)
    expect(Math.max(...markModel({ ...pipe, above: false }, 0, small).points.map(([, y]) => y))).toBeLessThan(0)
  })
  it('says where it runs', () => {
    expect(markWords(pipe, small)).toBe('water, on the fence, from 2000 mm to 8000 mm')
    expect(markWords({ ...pipe, above: false, offset: 0.4 }, small)).toBe(
      'water, 400 mm to the right, from 2000 mm to 8000 mm',
    )
  })
})
