import { describe, expect, it } from 'vitest'
import { tables } from '../../tests/support/builders'
import { standardFence } from '../../tests/support/stands'
import type { Post } from '../document/job'
import { AS_IT_STANDS, medianYears, standingYears, wholeYears, YEARS_DRAWN, yearsDrawn } from './years'
import { endsWords, medianWords, plumbSentence, plumbWords, restsOnWords, tenths } from './words'

const at = (job: ReturnType<typeof standardFence>, methods?: string[], lives = 4_000) =>
  standingYears(job, tables, job.lines[0]!.posts[8]!.id, { lives, ...(methods ? { methods } : {}) })!
const sound: Partial<Post> = { ageYears: 0, observations: { pushPivot: 'nothing-moves', probeAtGround: 0 } }

describe('how long each way stands', () => {
  it('has a curve of what stands, and of every way that is allowed', () => {
    const found = at(standardFence({ post: sound }))
    const ways = found.curves.map(({ method }) => method)
    expect(ways[0]).toBe(AS_IT_STANDS)
    expect(ways).toContain('new-post-concrete')
    expect(ways).not.toContain('make-safe')
    expect(ways).not.toContain('tie-in')
    for (const { plumb, low, high, gone } of found.curves) {
      expect([plumb, low, high, gone].every((each) => each.length === YEARS_DRAWN)).toBe(true)
      plumb.forEach((share, year) => {
        expect(low[year]!).toBeLessThanOrEqual(share)
        expect(high[year]!).toBeGreaterThanOrEqual(share)
      })
    }
  })
  it('stands so long as experience has it', () => {
    const [now] = at(standardFence({ post: sound }), [], 20_000).curves
    expect(now!.median).toBeGreaterThan(12)
    expect(now!.median).toBeLessThan(15)
    // So the range at 1.93 times the pressure, and at a 1.93rd of it, is wide.
    expect(now!.low[9]!).toBeLessThan(0.2)
    expect(now!.high[9]!).toBeGreaterThan(0.8)
  })
  it('has none of a post that has gone, and none of what has failed as it stands', () => {
    const failed = standardFence({ post: { observations: { pushPivot: 'at-ground-line', probeAtGround: 0.045 } } })
    expect(at(failed, []).curves).toEqual([])
    expect(standingYears(failed, tables, 'Z9')).toBeUndefined()
  })
  it('is told more narrowly by a history and a pull, and says so', () => {
    const history = { posts: 40, ageYears: 13, gone: 20 }
    const pull = { force: 200, height: 1.2, at: 1.2, movement: 0.009, held: true, saturated: true }
    const plain = at(standardFence({ post: sound }), [])
    const told = at(standardFence({ post: { ...sound, pulls: [pull] }, line: { history } }), [])
    const width = ({ factor: { low, high } }: typeof plain.restsOn) => high / low
    expect(width(plain.restsOn)).toBeCloseTo(1.93 ** 2, 1)
    expect(width(told.restsOn)).toBeLessThan(0.8 * width(plain.restsOn))
    expect(told.restsOn).toMatchObject({ history, pulls: 17 })
    expect(restsOnWords(plain.restsOn)).toBe(
      'Rests on the wind by experience × 0.40 (0.21 to 0.77), no history of this fence, no pull on its ground.',
    )
    expect(restsOnWords(told.restsOn)).toMatch(/, 13 years of this fence, 17 pulls on its ground\.$/)
  })
  it('counts the years within the life of the fence', () => {
    const five = at(standardFence({ post: sound, line: { remainingYears: 5 } }), ['new-post-concrete'])
    const { plumb, expected } = five.curves.at(-1)!
    expect(expected).toBeCloseTo(1 + plumb.slice(0, 4).reduce((sum, share) => sum + share, 0), 9)
    expect(five.restsOn).toMatchObject({ fenceYears: 5, isFenceAssumed: false })
    expect(at(standardFence(), []).restsOn).toMatchObject({ fenceYears: 15, isFenceAssumed: true })
    expect([wholeYears(0), wholeYears(7.6), wholeYears(200)]).toEqual([1, 8, 50])
  })
  it('is drawn past the end of the fence, and for ten years at least', () => {
    expect([1, 4, 8, 11, 15, 40].map(yearsDrawn)).toEqual([10, 10, 15, 20, 20, 30])
  })
  it('outlasts the standard hole with a deeper one', () => {
    const deep = { repair: { method: 'new-post-concrete', hole: { depth: 0.9 } } }
    const [shallow, deeper] = [standardFence(), standardFence({ post: deep })].map(
      (job) => at(job, ['new-post-concrete']).curves.at(-1)!,
    )
    expect(deeper!.expected).toBeGreaterThan(shallow!.expected)
    expect(deeper!.ends.leans).toBeLessThan(shallow!.ends.leans)
  })
})

describe('its words', () => {
  const curve = { plumb: [0.98, 0.72, 0.31], low: [0.9, 0.4, 0.02], high: [1, 0.93, 0.8] }
  it.each([
    [0.72, '7 of 10'],
    [0.96, 'nearly all'],
    [0.02, 'hardly any'],
  ])('%f is %s', (share, words) => expect(tenths(share)).toBe(words))
  it('says how many are plumb in a year of the calendar, with the range', () => {
    expect(plumbWords(curve, 2, 2026)).toBe('7 of 10 still plumb in 2028 (4 to 9)')
    expect(plumbWords({ plumb: [0.98], low: [0.97], high: [1] }, 1, 2026)).toBe('nearly all still plumb in 2027')
  })
  it('says it as a sentence', () => {
    expect(plumbSentence(curve, 2, 2026)).toBe('7 of 10 such posts are still plumb in 2028 (4 to 9)')
    expect(plumbSentence({ plumb: [0.98], low: [0.97], high: [1] }, 1, 2026)).toBe(
      'Nearly all such posts are still plumb in 2027',
    )
  })
  it('says when half are out of plumb', () => {
    expect(medianYears(curve.plumb)).toBeCloseTo(2.54, 2)
    expect(medianYears([0.4])).toBeCloseTo(0.83, 2)
    expect(medianYears([0.9])).toBeUndefined()
    expect(medianWords({ plumb: curve.plumb, median: 2.54 })).toBe('Half of such posts are out of plumb after 3 years.')
    expect(medianWords({ plumb: Array<number>(30).fill(0.9) })).toBe(
      'More than half of such posts are still plumb after 30 years.',
    )
    expect(medianWords({ plumb: [0.4], median: 0.83 })).toMatch(/within the first year/)
  })
  it('says what it ends by, the commonest first', () => {
    const ends = { leans: 0.55, ground: 0.04, wood: 0.41, fixings: 0, pin: 0, anchor: 0, part: 0 }
    expect(endsWords(ends)).toBe(
      'Where it ends: 6 in 10 that it leans in the ground, 4 in 10 that it rots at the ground.',
    )
    expect(endsWords({ ...ends, leans: 0.95, wood: 0.01 })).toBe('Where it ends, it leans in the ground.')
    expect(endsWords({ ...ends, leans: 0, wood: 0, ground: 0 })).toBe('')
  })
})
