import { describe, expect, it } from 'vitest'
import { concreteTime } from '~~/core/day/concreteTime'
import { problemOf } from '~~/core/day/problem'
import { planOf } from '~~/core/day/schedule'
import type { Placed, Task } from '~~/core/day/question'
import { dayQuestion, dayTask } from '~~/tests/support/dayQuestion'
import { dayModel, nameOf } from './dayModel'

const task = (id: string, post: string | undefined, more: Partial<Task> = {}) =>
  dayTask(id, { posts: post === undefined ? [] : [post], says: `${id} of ${post ?? 'all'}`, ...more })
const placed = (id: string, start: number, minutes = 30): Placed => ({
  task: id,
  start,
  end: start + minutes,
  by: ['A'],
})
const DAY = 1_440
const question = dayQuestion(
  [
    task('dig', 'B/B1'),
    task('pour', 'B/B1', { pour: { placing: 15, works: 30, milestones: { props: 240 } } }),
    task('off', 'B/B1', { after: [{ task: 'pour', least: 0, milestone: 'props' }] }),
    task('saw', 'B/B2'),
    task('fetch', undefined),
  ],
  {
    crew: [{ id: 'A', name: 'A', skills: ['dig', 'mix'] }],
    hours: [[{ from: 480, to: 1_020 }], [{ from: DAY + 480, to: DAY + 1_020 }]],
    weather: Array.from({ length: 48 }, (_, hour) => ({
      temperature: hour === 26 ? -2 : 20,
      gust: hour === 23 ? 19 : 5,
      rain: 0,
    })),
    pins: [{ task: 'dig', start: 500 }],
  },
)
const all = [
  placed('dig', 500),
  placed('pour', 540),
  placed('saw', 600),
  placed('fetch', 640),
  placed('off', DAY + 500),
]
const plan = planOf(all, [], problemOf(question))
const modelIn = (size: { width: number; height: number }) =>
  dayModel(
    question,
    plan,
    {
      breaks: [{ rule: 'early', says: 'saw comes too soon', task: 'saw' }],
      binds: [{ task: 'pour' }, { task: 'off' }] as never,
      time: concreteTime(question),
    },
    size,
  )
const model = modelIn({ width: 800, height: 900 })
const block = (id: string) => model.blocks.find(({ task: of }) => of === id)!

describe('the drawing of the days', () => {
  it('has a column for each post, and one for what is done for all', () => {
    expect(model.columns.map(({ name }) => name)).toEqual(['B1', 'B2', nameOf('site')])
    expect(model.columns.map(({ x }) => x)).toEqual([152, 272, 392])
    expect([block('dig').column, block('saw').column, block('fetch').column]).toEqual([0, 1, 2])
  })
  it('has a day in one scale from the hour before the visit to the hour behind it, and a night between two', () => {
    expect(model.bands.map(({ day, visit }) => [day, visit.from, visit.to])).toEqual([
      [0, 480, 690],
      [1, DAY + 480, DAY + 550],
    ])
    expect(model.bands[0]!.hours.map(({ says }) => says)).toEqual(['08:00', '09:00', '10:00', '11:00', '12:00'])
    expect(model.bands[1]!.top - model.bands[0]!.bottom).toBe(46)
    const [first, second] = model.bands[0]!.hours
    expect(second!.y - first!.y).toBeCloseTo(60 * (block('dig').height / 30), 6)
    // From noon to eight in the morning: the coldest and the windiest of these hours.
    expect(model.bands[0]!.night).toMatchObject({ temperature: -2, gust: 19 })
    expect(model.bands[0]!.weather).toHaveLength(4)
  })
  it('stands each block at its time, with what it breaks and whether it was set by hand', () => {
    expect(block('dig').y).toBeCloseTo(model.yOf(500), 9)
    expect(block('dig').height).toBeCloseTo(model.yOf(530) - model.yOf(500), 9)
    expect(block('off').y).toBeGreaterThan(model.bands[1]!.top)
    expect([block('dig').isPinned, block('saw').isPinned]).toEqual([true, false])
    expect([block('saw').breaks, block('dig').breaks]).toEqual([['saw comes too soon'], []])
  })
  it('waits for concrete from the end of its pour to when it carries', () => {
    const [tail] = model.tails
    expect(model.tails).toHaveLength(1)
    expect(tail!.from).toBeCloseTo(block('pour').y + block('pour').height, 9)
    // 540 + 240 minutes at 20 °C lies behind the visit: in the night.
    expect(tail!.to).toBeCloseTo(model.bands[0]!.bottom + 23, 9)
    expect(tail!.x).toBe(model.columns[0]!.x)
  })
  it('draws what decides the end from block to block', () => {
    const middle = (id: string) => ({ x: block(id).x + block(id).width / 2, y: block(id).y + block(id).height / 2 })
    expect(model.chain).toEqual([middle('pour'), middle('off')])
  })
  it('reads a height back to five minutes, and none between the days', () => {
    for (const minute of [485, 540, 690, DAY + 500]) expect(model.minuteAt(model.yOf(minute))).toBe(minute)
    expect(model.minuteAt(model.yOf(542))).toBe(540)
    expect(model.minuteAt(-100)).toBeUndefined()
    expect(model.yOf(5 * DAY)).toBeGreaterThan(model.bands[1]!.bottom)
  })
  it('grows beyond its frame where it has to be read, and fills it where there is room', () => {
    const small = modelIn({ width: 150, height: 100 })
    expect(small.height).toBeGreaterThan(100)
    expect(small.width).toBe(92 + 3 * 28 + 8)
    expect(small.blocks.every(({ height }) => height >= 3)).toBe(true)
    expect(modelIn({ width: 800, height: 1_600 }).height).toBe(1_600)
  })
})
