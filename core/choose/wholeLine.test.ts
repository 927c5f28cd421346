import { beforeAll, describe, expect, it } from 'vitest'
import { dice } from '~~/scripts/lib/dice'
import { integerSolver } from '~~/shared/solver'
import type { SolveProgramme } from '../numeric/integerProgramme'
import type { LineChoice, WayOption } from './waysOpen'
import { LINE_GOALS, valueOf, wholeLine, type LineGoal, type LineLimits, type LinePlan } from './wholeLine'
import { cases } from '../../tests/support/cases'

let solve: SolveProgramme
beforeAll(async () => {
  solve = await integerSolver()
})

const way = (method: string, minutes: number, more: Partial<WayOption> = {}): WayOption => ({
  method,
  name: method,
  minutes,
  carried: 0,
  breaks: 0.01,
  breaker: false,
  ...more,
})
const lineOf = (...posts: WayOption[][]): LineChoice => ({
  line: 'A',
  posts: posts.map((options, i) => ({ post: `A${i + 1}`, options })),
  left: [],
})
const CHANGEOVER = 20

describe('a line whose posts are chosen together', () => {
  const [spur, post] = [way('spur', 90, { carried: 30 }), way('post', 140, { carried: 80, breaks: 0.002 })]
  const line = lineOf([spur, post], [spur, post], [post])

  it('takes the least work, changing over counted', () => {
    // 2 × 90 + 140 + 20 = 340; new posts alone 3 × 140 = 420.
    const { best, fewer } = wholeLine(line, 'work', {}, CHANGEOVER, solve)
    expect(best).toMatchObject({ minutes: 340, carried: 140 })
    expect(best!.kinds).toEqual([
      { method: 'spur', name: 'spur', posts: ['A1', 'A2'] },
      { method: 'post', name: 'post', posts: ['A3'] },
    ])
    expect(fewer).toMatchObject([{ minutes: 420, kinds: [{ posts: ['A1', 'A2', 'A3'] }] }])
  })
  it('goes one way where changing over costs more than it saves', () => {
    expect(wholeLine(line, 'work', {}, 101, solve).best).toMatchObject({ minutes: 420, carried: 240 })
  })
  it('keeps what the goal is where work does not matter', () => {
    expect(wholeLine(line, 'breaks', {}, CHANGEOVER, solve).best).toMatchObject({ minutes: 420, breaks: 0.006 })
    expect(wholeLine(line, 'carried', {}, CHANGEOVER, solve).best).toMatchObject({ carried: 140 })
  })
  it('keeps to its limits, and says what a day more would give', () => {
    const short = wholeLine(line, 'breaks', { minutes: 400 }, CHANGEOVER, solve)
    // One spur, two posts: 90 + 280 + 20 = 390.
    expect(short.best).toMatchObject({ minutes: 390 })
    expect(short.dayMore).toMatchObject({ minutes: 420 })
    expect(wholeLine(line, 'breaks', { minutes: 420 }, CHANGEOVER, solve).dayMore).toBeUndefined()
    expect(wholeLine(line, 'work', { ways: 1 }, CHANGEOVER, solve).best).toMatchObject({ minutes: 420 })
    expect(wholeLine(line, 'work', { alike: [['A2', 'A3']] }, CHANGEOVER, solve).best).toMatchObject({ minutes: 390 })
  })
  it('says what the limits would have to be where nothing keeps to them', () => {
    const none = wholeLine(line, 'work', { minutes: 300, carried: 500 }, CHANGEOVER, solve)
    expect(none).toMatchObject({ fewer: [], others: [], least: { minutes: 340, carried: 140 } })
    expect(none.best).toBeUndefined()
  })
  it('breaks nothing out where no breaker is there', () => {
    const heavy = lineOf([way('post', 100, { breaker: true }), spur])
    expect(wholeLine(heavy, 'breaks', { withoutBreaker: true }, CHANGEOVER, solve).best!.ways).toEqual([
      { post: 'A1', method: 'spur' },
    ])
    const stuck = lineOf([way('post', 100, { breaker: true })])
    expect(wholeLine(stuck, 'work', { withoutBreaker: true }, CHANGEOVER, solve)).toEqual({ fewer: [], others: [] })
  })
  it('offers plans that are made of other ways', () => {
    const three = lineOf([spur, post, way('pin', 95)], [spur, post, way('pin', 95)])
    const { best, others } = wholeLine(three, 'work', {}, CHANGEOVER, solve)
    const kinds = [best!, ...others].map((plan) =>
      plan.kinds
        .map(({ method }) => method)
        .sort()
        .join(),
    )
    expect(kinds).toEqual(['spur', 'pin', 'pin,spur'])
    expect(others.map(({ minutes }) => minutes)).toEqual([190, 205])
  })
  it('has nothing to plan on a line without choices', () => {
    expect(wholeLine(lineOf(), 'work', {}, CHANGEOVER, solve)).toEqual({ fewer: [], others: [] })
  })
})

/** Every plan there is, tried one by one. */
function everyPlan({ posts }: LineChoice): LinePlan[] {
  let plans: WayOption[][] = [[]]
  for (const { options } of posts) plans = plans.flatMap((made) => options.map((option) => [...made, option]))
  return plans.map((taken) => {
    const methods = [...new Set(taken.map(({ method }) => method))]
    const sum = (of: (option: WayOption) => number) => taken.reduce((total, each) => total + of(each), 0)
    return {
      ways: taken.map(({ method }, i) => ({ post: posts[i]!.post, method })),
      kinds: methods.map((method) => ({ method, name: method, posts: [] })),
      minutes: sum(({ minutes }) => minutes) + CHANGEOVER * (methods.length - 1),
      carried: sum(({ carried }) => carried),
      breaks: sum(({ breaks }) => breaks),
    }
  })
}

const keepsTo = (plan: LinePlan, choice: LineChoice, limits: LineLimits) =>
  plan.minutes <= (limits.minutes ?? Infinity) &&
  plan.carried <= (limits.carried ?? Infinity) &&
  plan.kinds.length <= (limits.ways ?? Infinity) &&
  (limits.alike ?? []).every(
    (stretch) => new Set(plan.ways.filter(({ post }) => stretch.includes(post)).map(({ method }) => method)).size === 1,
  ) &&
  (!limits.withoutBreaker ||
    plan.ways.every(({ method }, i) => !choice.posts[i]!.options.find((option) => option.method === method)!.breaker))

describe('random small lines, every plan of each tried', () => {
  const roll = dice(20261126)
  const upTo = (most: number) => roll(most)
  const oneIn = (chances: number) => roll(chances) === 0
  const METHODS = ['a', 'b', 'c', 'd', 'e']
  const lines = Array.from({ length: cases(60, 200) }, (_, n) => {
    const posts = Array.from({ length: 2 + upTo(4) }, () => {
      const options = METHODS.filter(() => roll(10) < 6).map((method) =>
        way(method, 40 + upTo(120), { carried: 10 * upTo(12), breaks: 1 / (20 + upTo(400)), breaker: oneIn(5) }),
      )
      return options.length > 0 ? options : [way('a', 60)]
    })
    const limits: LineLimits = {
      ...(roll(10) < 4 ? { minutes: 60 * posts.length + upTo(60 * posts.length) } : {}),
      ...(roll(10) < 4 ? { carried: 20 * posts.length + upTo(60 * posts.length) } : {}),
      ...(oneIn(3) ? { ways: 1 + upTo(3) } : {}),
      ...(oneIn(3) ? { alike: [['A1', 'A2']] } : {}),
      ...(oneIn(5) ? { withoutBreaker: true } : {}),
    }
    return { choice: lineOf(...posts), limits, goal: LINE_GOALS[n % LINE_GOALS.length]! as LineGoal }
  })
  it('equals the best of them', () => {
    let some = 0
    for (const { choice, limits, goal } of lines) {
      const open = everyPlan(choice).filter((plan) => keepsTo(plan, choice, limits))
      const { best, dayMore, fewer } = wholeLine(choice, goal, limits, CHANGEOVER, solve)
      if (open.length === 0) {
        expect(best).toBeUndefined()
        continue
      }
      some++
      expect(keepsTo(best!, choice, limits)).toBe(true)
      expect(valueOf(best!, goal)).toBeCloseTo(Math.min(...open.map((plan) => valueOf(plan, goal))), 6)
      for (const plan of fewer) {
        const ofSo = open.filter(({ kinds }) => kinds.length <= plan.kinds.length).map((each) => valueOf(each, goal))
        expect(valueOf(plan, goal)).toBeCloseTo(Math.min(...ofSo), 6)
      }
      if (dayMore) expect(valueOf(dayMore, goal)).toBeLessThan(valueOf(best!, goal))
    }
    expect(some).toBeGreaterThan(0.6 * lines.length)
  })
})
