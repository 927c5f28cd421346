import { postsFromTape } from '../document/tapePosts'
import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { groundLevel, rodReading } from './levels'
import { ACROSS, ALONG, leanByAngle, leanByBubble, leanIn, leanSlopes, topOffset, withLean } from './lean'
import { pivotHeight, whereItTurns } from './pivot'
import { parseTape } from './tape'

const stations = (text: string, system: 'metric' | 'feet-inches' = 'metric') =>
  parseTape(text, system).map((reading) => reading.station)
const idOf = (i: number) => `A${i + 1}`

describe('running tape readings', () => {
  it.each([
    ['0, 2.4, 4.83', [0, 2.4, 4.83]],
    ['0,2.4,4.83', [0, 2.4, 4.83]],
    ['0 2.4 4.83', [0, 2.4, 4.83]],
    ['0\n2,4\n4,83', [0, 2.4, 4.83]],
    ['0; 2,4; 4,83;', [0, 2.4, 4.83]],
    ['0, 240cm, 4830 mm', [0, 2.4, 4.83]],
    ['6 x 2.4', [0, 2.4, 4.8, 7.2, 9.6, 12, 14.4]],
    ['0.6, 2 x 1.83, 5', [0.6, 2.43, 4.26, 5]],
  ])('%j', (text, expected) => {
    expect(stations(text)).toEqual(expected.map((each) => expect.closeTo(each, 9) as number))
  })

  it('takes feet and inches', () => {
    expect(stations(`0, 7' 10 1/2", 96, 2x8'`, 'feet-inches')).toEqual(
      [0, 2.4003, 2.4384, 4.8768, 7.3152].map((each) => expect.closeTo(each, 9) as number),
    )
  })

  it('hears gates, corners and ends', () => {
    const posts = postsFromTape(
      parseTape('0 end, 2.4 corner, 7.2 gate 1.1, 8.45, 12 double gate 1.5', 'metric'),
      {},
      idOf,
    )
    expect(posts).toEqual([
      { id: 'A1', station: 0, duty: 'end' },
      { id: 'A2', station: 2.4, duty: 'corner' },
      { id: 'A3', station: 7.2, duty: 'gate-hinge', gate: { leafWidth: 1.1 } },
      { id: 'A4', station: 8.45, duty: 'gate-latch' },
      { id: 'A5', station: 12, duty: 'gate-hinge', gate: { leafWidth: 1.5 } },
      // Two leaves, two hinge gaps, one meeting gap and a post of 100: nobody called this one.
      { id: 'A6', station: 15.15, duty: 'gate-hinge', gate: { leafWidth: 1.5 } },
    ])
  })

  it.each([
    ['', 'readings is ""'],
    ['0, 4.8, 2.4', 'reading 3 is "2.4"; it must be beyond 4.8 m'],
    ['0, deep', 'reading 2 is "deep"'],
    ['0, 2.4 gate wide', 'reading 2, gate is "wide"'],
    ['0, 2.4 corner 3', 'reading 2 is "2.4 corner 3"'],
    ['-1', 'reading 1 is "-1"; it must be at least 0'],
    ['0, 2.4, 2.4', 'reading 3 is "2.4"'],
    ['3000 x 2', 'reading 1 is 3000'],
    [`0, ${'1'.repeat(90)}`, 'reading 2 is "1111'],
    [`0, ${' '.repeat(39_000)}2.4 gate${' '.repeat(900)}x`, 'reading 2 is'],
    [', '.repeat(20_000), 'readings is'],
    ['0,'.repeat(20_001), 'readings is 40002; it must be at most 40000 letters'],
  ])('%j is refused by the reading', (text, message) => {
    expect(() => parseTape(text, 'metric')).toThrow(message)
  })

  property.prop([fc.array(fc.integer({ min: 1, max: 6000 }), { minLength: 1, maxLength: 60 })])(
    'any run of bays comes back in millimetres',
    (bays) => {
      let at = 0
      const running = bays.map((bay) => (at += bay))
      expect(stations(running.map((each) => `${each} mm`).join(', ')).map((each) => Math.round(each * 1e3))).toEqual(
        running,
      )
    },
  )
})

describe('levels by rod or level line', () => {
  it('counts from the first post, there and back', () => {
    expect(groundLevel(1.2, 1.32)).toBe(-0.12)
    expect(rodReading(1.2, groundLevel(1.2, 0.955))).toBe(0.955)
  })
})

describe('where it turns', () => {
  it.each([
    [0.05, 0.1, -0.5, 'in-the-soil'],
    [0.05, 0.15, 0, 'at-ground-line'],
    [0.02, 0.1, 0.25, 'above-ground'],
  ] as const)('offsets %f at 0.5 and %f at 1.5', (low, high, height, words) => {
    const found = pivotHeight({ height: 0.5, offset: low }, { height: 1.5, offset: high })
    expect(found).toBeCloseTo(height, 9)
    expect(whereItTurns(found)).toBe(words)
  })
  it('refuses what tells nothing', () => {
    expect(() => pivotHeight({ height: 0.5, offset: 0.1 }, { height: 1.5, offset: 0.1 })).toThrow('has not turned')
    expect(() => pivotHeight({ height: 0.5, offset: 0.1 }, { height: 0.52, offset: 0.2 })).toThrow('at least 50 mm')
  })
})

describe('lean by bubble and by angle', () => {
  it('come to an offset over the level', () => {
    expect(leanByBubble(2, 1.2)).toEqual({ offset: expect.closeTo(0.012, 12), over: 1.2, direction: 0 })
    expect(leanByAngle(0.05, 1, ACROSS).offset).toBeCloseTo(0.05004, 5)
  })
  it('two directions make one observation, each taken back by itself', () => {
    const along = { offset: 0.03, over: 1.2 }
    const across = { offset: -0.01, over: 1.2 }
    const first = withLean(undefined, ACROSS, across)!
    const both = withLean(first, ALONG, along)!
    expect(both).toEqual([
      { ...along, direction: ALONG },
      { ...across, direction: ACROSS },
    ])
    expect(leanSlopes(both)).toEqual({ along: expect.closeTo(0.025, 9), across: expect.closeTo(-1 / 120, 9) })
    expect(leanIn(both, ACROSS)!.offset).toBe(-0.01)
    expect(topOffset(both, 1.8)).toBeCloseTo(Math.hypot(0.045, 0.015), 9)
    expect(topOffset(undefined, 1.8)).toBe(0)
    expect(withLean(both, ALONG, null)).toEqual({ ...across, direction: ACROSS })
    expect(withLean(withLean(both, ALONG, null)!, ACROSS, null)).toBeNull()
  })
})
