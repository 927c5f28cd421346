import { describe, expect, it } from 'vitest'
import type { DaySetup } from '../document/job'
import { daysLeft, keptPlan, pinEdits, planEdits } from './keptPlan'
import { dayQuestion, dayTask } from '../../tests/support/dayQuestion'

const task = (id: string, minutes = 30) => dayTask(id, { minutes })
/** As the document keeps it. */
type Kept = NonNullable<DaySetup['planned']>['tasks'][number]
const placed = (id: string, start: number, minutes = 30): Kept => ({
  task: id,
  start,
  end: start + minutes,
  by: ['A'],
})
const AT = '2026-11-24T09:10:00Z'
const DAY = 1_440

describe('the days that are left to plan', () => {
  const setup: DaySetup = {
    first: '2026-11-24',
    free: [1, 3],
    pins: [{ task: 'b', start: 2 * DAY + 500 }],
    planned: {
      at: AT,
      visited: 1,
      tasks: [placed('a', 500), placed('b', 560), placed('c', DAY + 500), placed('d', 2 * DAY + 500)],
    },
  }
  it('begin as they were planned while the first is still to come', () => {
    expect(daysLeft(setup, '2026-11-24', '2026-11-23')).toMatchObject({
      begins: '2026-11-24',
      visited: 1,
      setup: { free: [1, 3] },
    })
    expect(daysLeft(setup, '2026-11-24', '2026-11-24')).toMatchObject({ begins: '2026-11-24', visited: 1 })
  })
  it('begin today, what counts its days from the first with them; each day that was worked is one', () => {
    const left = daysLeft(setup, '2026-11-24', '2026-11-26')
    expect(left).toMatchObject({ begins: '2026-11-26', visited: 3 })
    expect(left.setup).toMatchObject({ first: '2026-11-26', free: [1], pins: [{ task: 'b', start: 500 }] })
  })
  it('are as many over a month’s end, a leap day, and where the clocks change', () => {
    for (const [first, today] of [
      ['2026-11-30', '2026-12-02'],
      ['2028-02-28', '2028-03-01'],
      ['2027-03-27', '2027-03-29'],
      ['2027-10-30', '2027-11-01'],
      ['2026-12-31', '2027-01-02'],
    ] as const)
      expect(daysLeft({ free: [5] }, first, today).setup.free).toEqual([3])
  })
})

describe('the edits that keep a new plan', () => {
  const left = (begins: string) => ({ begins, setup: { free: [1], pins: [{ task: 'b', start: 500 }] }, visited: 0 })
  const keys = (begins: string, first: string) =>
    planEdits(left(begins), { first, placed: [placed('a', 500)], at: AT }).map((edit) => (edit as { key: string }).key)
  it('move what counts its days only where the first day moves', () => {
    expect(keys('2026-11-24', '2026-11-24')).toEqual(['first', 'planned'])
    expect(keys('2026-11-26', '2026-11-24')).toEqual(['first', 'free', 'pins', 'planned'])
  })
  it('count the days that were worked only where there are any', () => {
    const plannedWith = (visited: number) =>
      planEdits({ ...left('2026-11-24'), visited }, { first: '2026-11-24', placed: [placed('a', 500)], at: AT }).at(-1)
    expect(plannedWith(0)).toEqual({ name: 'setDay', key: 'planned', value: { at: AT, tasks: [placed('a', 500)] } })
    expect(plannedWith(2)).toMatchObject({ value: { visited: 2 } })
  })
})

describe('a kept plan', () => {
  const asked = dayQuestion([task('a'), task('b', 45), task('new')])
  const kept = { at: AT, tasks: [placed('a', 500), placed('b', 540, 45), placed('gone', 600)] }
  it('has what is still asked; what was asked since is left over', () => {
    const plan = keptPlan(asked, kept)!
    expect(plan.placed.map(({ task: id, start }) => [id, start])).toEqual([
      ['a', 500],
      ['b', 540],
    ])
    expect(plan.left).toEqual([{ task: 'new', why: 'not planned yet' }])
    expect(keptPlan(asked, {})).toBeUndefined()
    expect(keptPlan(asked, { tasks: [] })).toBeUndefined()
  })
  it('shows a task where it is pulled to, for as long as it takes, and nothing else moves', () => {
    const plan = keptPlan(asked, kept, { task: 'b', start: 700 })!
    expect(plan.placed.find(({ task: id }) => id === 'b')).toMatchObject({ start: 700, end: 745 })
    expect(plan.placed.find(({ task: id }) => id === 'a')).toMatchObject({ start: 500, end: 530 })
  })
  it('keeps a task where it was set by hand, once', () => {
    const setup: DaySetup = {
      pins: [
        { task: 'b', start: 500 },
        { task: 'a', start: 480 },
      ],
      planned: kept,
    }
    const [pins, planned] = pinEdits(asked, setup, { task: 'b', start: 700 }) as unknown as { value: never }[]
    expect(pins!.value).toEqual([
      { task: 'a', start: 480 },
      { task: 'b', start: 700 },
    ])
    expect((planned!.value as typeof kept).tasks.map(({ task: id, start, end }) => [id, start, end])).toEqual([
      ['a', 500, 530],
      ['b', 700, 745],
      ['gone', 600, 630],
    ])
    expect(pinEdits(asked, {}, { task: 'b', start: 700 })).toHaveLength(1)
  })
})
