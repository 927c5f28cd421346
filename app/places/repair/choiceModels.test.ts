import { describe, expect, it } from 'vitest'
import type { ComparedWay } from '~~/core/choose/compare'
import type { LinePlan } from '~~/core/choose/wholeLine'
import type { MethodPlan } from '~~/core/plan/types'
import { measuresIn } from '~~/core/units/quantity'
import { tables } from '~~/data/tables'
import { compareRows } from './compareWords'
import { againstWords, kindWords, missWords, sumWords } from './lineWords'
import { tradeOffModel } from './tradeOffModel'

const metric = measuresIn('metric')

describe('work against gust, as a chart', () => {
  const way = (holdingGust: number | undefined, minutes: number, beatenBy?: string) =>
    ({ way: { holdingGust, minutes }, ...(beatenBy ? { beatenBy } : {}) }) as unknown as ComparedWay
  const size = { width: 400, height: 200 }
  const chart = tradeOffModel([way(33, 60), way(47, 150), way(undefined, 100, 'spur')], 38, size, 1)

  it('is drawn from a round gust below the weakest to one above the strongest', () => {
    expect(chart.gusts.map(({ gust }) => gust)).toEqual([30, 35, 40, 45, 50])
    expect(chart.gusts.map(({ at }) => at)).toEqual([0, 100, 200, 300, 400])
    expect(chart.target).toBe(160)
  })
  it('has more work further up, in at most five steps', () => {
    expect(chart.hours.map(({ minutes }) => minutes)).toEqual([0, 30, 60, 90, 120, 150, 180])
    expect([chart.hours[0]!.at, chart.hours.at(-1)!.at]).toEqual([200, 0])
    expect(tradeOffModel([way(40, 600)], 38, size, 1).hours.map(({ minutes }) => minutes)).toEqual([
      0, 120, 240, 360, 480, 600, 720,
    ])
  })
  it('marks each way by its number; what no wind reaches stands at the edge', () => {
    expect(chart.marks.map(({ numbers, isBeaten }) => [numbers, isBeaten])).toEqual([
      [[1], false],
      [[2], false],
      [[3], true],
    ])
    expect(chart.marks.map(({ x }) => x)).toEqual([60, 340, 400])
  })
  it('makes one of marks that would cover each other; it is beaten only where all of them are', () => {
    const near = (...beaten: (string | undefined)[]) =>
      tradeOffModel([way(40, 60, beaten[0]), way(40.1, 61, beaten[1]), way(60, 200)], 38, size, 1).marks[0]!
    expect(near('x', undefined)).toMatchObject({ numbers: [1, 2], isBeaten: false })
    expect(near('x', 'x')).toMatchObject({ numbers: [1, 2], isBeaten: true })
  })
})

describe('the table of ways', () => {
  const cell = (key: string, way: Partial<MethodPlan>) =>
    compareRows
      .find((row) => row.key === key)!
      .words({ links: [], wastes: [], leavesUnsolved: [], parts: [], ...way } as never, metric, tables)
  it.each<[string, Partial<MethodPlan>, string]>([
    ['over', { holdingGust: 47.4 }, '47 m/s'],
    ['over', { holdingGust: Infinity }, 'no wind reaches it'],
    ['over', {}, '–'],
    ['lean', { leanGust: 33, holdingGust: 47 }, '33 m/s'],
    ['lean', { holdingGust: 47 }, '47 m/s'],
    ['weakest', { weakest: 'post', links: [{ link: 'post', name: 'the post', returnYears: 1 }] }, 'the post'],
    ['weakest', { weakest: 'none' }, '–'],
    ['work', { minutes: 95 }, '1 h 35'],
    ['dug', {}, 'none'],
    ['dug', { concrete: { hole: 0.03 } as never }, '30.0 L'],
    ['dug', { packed: { hole: 0.02 } as never }, '20.0 L'],
    ['wastes', {}, 'nothing'],
    ['wastes', { wastes: ['footing', 'post'] }, 'footing and post'],
    ['unsolved', { leavesUnsolved: ['Soft ground'] }, 'soft ground'],
    ['suits', {}, 'yes'],
    ['suits', { unsuited: 'later' as never }, 'only if need be'],
    ['comes-out', { comesOut: true }, 'yes'],
    ['comes-out', {}, 'no'],
  ])('%s of %j is %s', (key, way, words) => {
    expect(cell(key, way)).toBe(words)
  })
})

describe('a plan of the whole line in words', () => {
  const plan = (minutes: number, carried: number, breaks: number): LinePlan =>
    ({ minutes, carried, breaks, kinds: [{ name: 'Spur beside it', posts: ['A', 'B'] }] }) as unknown as LinePlan
  it.each([
    [plan(730, 360, 1 / 41), '12 h 10 of work, 360 kg to bring; the wind takes one down about once in 41 years'],
    [plan(60, 0, 0), '1 h 00 of work, nothing to bring; the wind hardly ever takes one down'],
    [plan(60, 0, 1 / 250), '1 h 00 of work, nothing to bring; the wind hardly ever takes one down'],
    [plan(60, 0, 2.2), '1 h 00 of work, nothing to bring; the wind takes 2 down every year'],
  ])('%#: %s', (of, words) => {
    expect(sumWords(of, metric)).toBe(words)
  })
  it('is told against another by what differs, and by nothing where nothing does', () => {
    expect(againstWords(plan(200, 120, 0.1), plan(100, 0, 0.2), metric)).toBe(
      '1 h 40 more, 120 kg more, fewer of them go over',
    )
    expect(againstWords(plan(100, 0, 0.3), plan(160, 20, 0.2), metric)).toBe(
      '1 h 00 less, 20 kg less, more of them go over',
    )
    expect(againstWords(plan(100, 0, 0.2), plan(100.4, 0.4, 0.20005), metric)).toBe(
      'no different in work, weight or wind',
    )
  })
  it('names its ways, and what would have to be where there is none', () => {
    expect(kindWords(plan(1, 1, 1))).toBe('Spur beside it at all of them')
    const two = { ...plan(1, 1, 1), kinds: [...plan(1, 1, 1).kinds, { name: 'New post', posts: ['C'] }] } as LinePlan
    expect(kindWords(two)).toBe('Spur beside it at 2; New post at 1')
    expect(missWords(undefined, metric)).toMatch(/^No plan: for one of these posts no way is left/)
    expect(missWords({ minutes: 90, carried: 25 }, metric)).toBe(
      'No plan keeps to all of that: the quickest takes 1 h 30, the lightest 25 kg.',
    )
  })
})
