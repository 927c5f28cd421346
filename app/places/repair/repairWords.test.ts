import { describe, expect, it } from 'vitest'
import type { ComparedWay } from '~~/core/choose/compare'
import type { LinePlan } from '~~/core/choose/wholeLine'
import { measuresIn } from '~~/core/units/quantity'
import { againstWords, kindWords, missWords, sumWords } from './lineWords'
import { tradeOffModel } from './tradeOffModel'

const metric = measuresIn('metric')
const plan = (more: Partial<LinePlan> = {}): LinePlan => ({
  ways: [],
  kinds: [
    { method: 'a', name: 'Spur beside it', posts: ['A1', 'A2'] },
    { method: 'b', name: 'New post, concrete', posts: ['A3'] },
  ],
  minutes: 730,
  carried: 360,
  breaks: 0.025,
  ...more,
})

describe('a plan of the whole line in words', () => {
  it('says its sums', () => {
    expect(sumWords(plan(), metric)).toBe(
      '12 h 10 of work, 360 kg to bring; the wind takes one down about once in 40 years',
    )
    expect(sumWords(plan({ carried: 0, breaks: 0.001 }), metric)).toBe(
      '12 h 10 of work, nothing to bring; the wind hardly ever takes one down',
    )
    expect(sumWords(plan({ breaks: 2.2 }), metric)).toContain('the wind takes 2 down every year')
    expect(sumWords(plan(), measuresIn('feet-inches'))).toContain('794 lb to bring')
  })
  it('says what another is against it', () => {
    expect(againstWords(plan({ minutes: 930, carried: 300 }), plan(), metric)).toBe('3 h 20 more, 60 kg less')
    expect(againstWords(plan({ breaks: 0.05 }), plan(), metric)).toBe('more of them go over')
    expect(againstWords(plan(), plan(), metric)).toBe('no different in work, weight or wind')
  })
  it('names its ways, and why there is none', () => {
    expect(kindWords(plan())).toBe('Spur beside it at 2; New post, concrete at 1')
    expect(kindWords(plan({ kinds: plan().kinds.slice(0, 1) }))).toBe('Spur beside it at all of them')
    expect(missWords({ minutes: 340, carried: 140 }, metric)).toBe(
      'No plan keeps to all of that: the quickest takes 5 h 40, the lightest 140 kg.',
    )
    expect(missWords(undefined, metric)).toMatch(/^No plan: /)
  })
})

describe('work against hold', () => {
  const way = (name: string, holdingGust: number | undefined, minutes: number, beatenBy?: string) =>
    ({ way: { method: name, name, holdingGust, minutes }, beatenBy: beatenBy && { name: beatenBy } }) as ComparedWay
  const frame = { width: 300, height: 170 }
  it('has what holds more further right, and what is quicker further down', () => {
    const { marks, target } = tradeOffModel([way('a', 50, 60), way('b', 40, 150)], 45, frame, 1)
    expect(marks[0]!.x).toBeGreaterThan(target)
    expect(marks[1]!.x).toBeLessThan(target)
    expect(marks[0]!.y).toBeGreaterThan(marks[1]!.y)
    for (const { x, y } of marks) {
      expect(x).toBeGreaterThanOrEqual(0)
      expect(x).toBeLessThanOrEqual(300)
      expect(y).toBeGreaterThanOrEqual(0)
      expect(y).toBeLessThanOrEqual(170)
    }
  })
  it('draws as one what would cover each other, hollow only where all are beaten', () => {
    const { marks } = tradeOffModel([way('a', 50, 60), way('b', 50.1, 61, 'a'), way('c', 40, 150, 'a')], 45, frame, 1)
    expect(marks.map(({ numbers, isBeaten }) => [numbers, isBeaten])).toEqual([
      [[1, 2], false],
      [[3], true],
    ])
  })
  it('has round figures in the unit of the reader, and room for what no wind reaches', () => {
    const one = 0.44704
    const { gusts, marks } = tradeOffModel([way('a', undefined, 60), way('b', 40, 90)], 45, frame, one)
    for (const { gust } of gusts) expect(Math.abs(gust / one / 5 - Math.round(gust / one / 5))).toBeLessThan(1e-9)
    expect(marks[0]!.x).toBe(300)
  })
})
