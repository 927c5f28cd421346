import { describe, expect, it } from 'vitest'
import { fence } from '../../data/demo/days'
import { tables } from '../../data/tables'
import type { Job, Pour } from '../document/job'
import { plan } from '../plan/plan'
import { pourClock } from '../pour/clock'
import { resolveJob } from '../resolve/resolve'
import { HOUR_MS } from '../weather/forecast'
import { bindings } from './binds'
import { breaches } from './check'
import { withoutDone } from './done'
import { dayEvents } from './events'
import { dayPosts } from './posts'
import { DAY_MINUTES, type Task } from './question'
import { planDays } from './search'
import { dayQuestion, startingLater } from './setup'
import { tasksOf } from './tasks'

const EFFORT = { seed: 1, rounds: 16 }
/** A Monday. */
const MIDNIGHT = Date.UTC(2026, 3, 13)
const FIRST = '2026-04-13'
const hours = Array.from({ length: 24 * 8 }, (_, i) => ({
  at: new Date(MIDNIGHT + (i - 24) * HOUR_MS).toISOString(),
  temperature: 10,
  gust: 4,
  rain: 0,
}))
const pour: Pour = {
  id: '3f0c2f6a-9f0b-4b7e-8f5e-2b8f0c8d1a01',
  line: 'B',
  post: 'B1',
  mix: 'post-mix-20',
  startedAt: new Date(MIDNIGHT + 7 * HOUR_MS).toISOString(),
  temperature: 10,
}
const postsOf = (job: Job) =>
  dayPosts({ prefix: '', job, resolved: resolveJob(job, tables), plan: plan(job, tables) }, tables)
const asked = (job: Job, setup: Job['day'] = {}) =>
  dayQuestion(postsOf(job), { first: FIRST, ...setup }, { midnight: MIDNIGHT, hours }, tables)
const job = fence({ posts: 3 })
const poured: Job = { ...job, pours: [pour] }
const steps = (tasks: readonly Task[], post: string) =>
  tasks.filter(({ posts }) => posts[0] === `B/${post}`).map(({ step }) => step)

describe('what is poured already', () => {
  const question = asked(poured)
  const off = question.tasks.find(({ id }) => id === 'B/B1:props-stay')!

  it('is planned no more; its props stay out, and come off when its own concrete carries that', () => {
    expect(steps(question.tasks, 'B1')).toEqual(['props-stay', 'lift-panels'])
    expect(steps(question.tasks, 'B2')).toHaveLength(8)
    const { latest } = pourClock(pour, MIDNIGHT, tables)!.milestones.find(({ key }) => key === 'props')!
    expect(off).toMatchObject({ after: [], givesBack: 'props', ripens: 'props' })
    expect(off.window!.from).toBe(Math.ceil((latest! - MIDNIGHT) / 60_000))
    const { plan: days } = planDays(question, EFFORT)
    expect(days.left).toEqual([])
    expect(breaches(question, days)).toEqual([])
    expect(days.placed.find(({ task }) => task === off.id)!.start).toBeGreaterThanOrEqual(off.window!.from)
  })
  it('keeps its set of props from the others until then', () => {
    const one = asked(poured, { tools: { props: 1 } })
    const { plan: days } = planDays(one, EFFORT)
    const given = days.placed.find(({ task }) => task === off.id)!.end
    for (const post of ['B2', 'B3'])
      expect(days.placed.find(({ task }) => task === `B/${post}:plumb`)!.start).toBeGreaterThanOrEqual(given)
    const early = days.placed.map((each) => (each.task === 'B/B2:plumb' ? { ...each, start: 500, end: 512 } : each))
    expect(breaches(one, { ...days, placed: early }).map(({ rule }) => rule)).toContain('tools')
    // More stand outside than anybody said there are: they are there all the same.
    expect(
      asked(
        { ...job, pours: [pour, { ...pour, id: pour.id.replace('3f', '4f'), post: 'B2' }] },
        { tools: { props: 1 } },
      ).tools.props,
    ).toBe(2)
  })
  it('waits for ever where it lies in lasting frost', () => {
    const frozen = withoutDone(asked(job).tasks, new Map([['B/B1:pour', { at: 0, carries: { props: Infinity } }]]))
    const { plan: days } = planDays({ ...question, tasks: frozen }, EFFORT)
    expect(days.left).toContainEqual({ task: off.id, why: 'in this cold it never hardens' })
  })
  it('stands in the calendar under the name that it was planned with', () => {
    const of = { job: 'x', name: 'Bank side', midnight: MIDNIGHT }
    const uids = (tasks: typeof question) =>
      dayEvents(tasks, planDays(tasks, EFFORT).plan, of)
        .filter(({ says }) => says === 'B1: props may come off')
        .map(({ uid }) => uid)
    expect(uids(question)).toEqual(uids(asked(job)))
  })
  it('is said to decide the end where it does', () => {
    const alone = { ...question, tasks: question.tasks.filter(({ id }) => id === off.id) }
    expect(bindings(alone, planDays(alone, EFFORT).plan)).toEqual([{ task: off.id, because: 'poured' }])
  })
  it('stands for the setting of a post in resin, which cures from then on', () => {
    const glued = fence({ posts: 1, method: 'sleeve-resin' })
    const with2 = { ...glued, pours: [{ ...pour, mix: 'post-resin' }] }
    const [post] = postsOf(glued)
    if (!post) return expect(postsOf(glued)).toEqual([])
    const left = asked(with2).tasks
    expect(left.length).toBeLessThan(tasksOf(post, { crew: question.crew, tools: {} }, tables).length)
  })
})

describe('what is ticked off', () => {
  const at = new Date(MIDNIGHT + 9 * HOUR_MS).toISOString()
  it('takes what comes before it along, and leaves a dug hole to be covered until it is poured', () => {
    const question = asked(job, { done: [{ task: 'B/B1:dig', at }] })
    expect(steps(question.tasks, 'B1')[0]).toBe('plumb')
    expect(question.tasks.find(({ id }) => id === 'B/B1:pour')).toMatchObject({ isOpen: true })
    const late = {
      ...question,
      tasks: question.tasks.map((task) => (task.pour ? { ...task, window: { from: 2 * DAY_MINUTES, to: 9e3 } } : task)),
    }
    const { plan: days } = planDays(late, EFFORT)
    expect(days.covers.filter(({ post }) => post === 'B/B1').map(({ day }) => day)).toEqual([0, 1])
    expect(breaches(late, days)).toEqual([])
    expect(breaches(late, { ...days, covers: [] }).map(({ rule }) => rule)).toContain('open')
  })
  it('holds what follows it for its least minutes', () => {
    const soaked: Task[] = [
      { id: 'a', posts: ['P'], step: 'a', says: 'a', minutes: 5, hands: 1, skills: [], tools: {}, after: [] },
      {
        id: 'b',
        posts: ['P'],
        step: 'b',
        says: 'b',
        minutes: 5,
        hands: 1,
        skills: [],
        tools: {},
        after: [{ task: 'a', least: 30, most: 40 }],
      },
    ]
    expect(withoutDone(soaked, new Map([['a', { at: 600 }]]))).toEqual([
      { ...soaked[1], after: [], window: { from: 630, to: Infinity } },
    ])
    expect(withoutDone(soaked, new Map())).toEqual(soaked)
    expect(withoutDone(soaked, new Map([['b', { at: 600 }]]))).toEqual([])
    expect(withoutDone(soaked, new Map([['gone', { at: 600 }]]))).toEqual(soaked)
  })
})

describe('a crater that a boulder left', () => {
  it('is rammed, and rests for a night before anything stands in it', () => {
    const met = [{ kind: 'crater' as const, depth: 0.5 }]
    const line = job.lines[0]!
    const cratered: Job = {
      ...job,
      lines: [{ ...line, posts: line.posts.map((each, i) => (i === 0 ? { ...each, met } : each)) }],
    }
    const question = asked(cratered)
    const plumb = question.tasks.find(({ id }) => id === 'B/B1:plumb')!
    expect(plumb.after).toEqual([{ task: 'B/B1:dig', least: 720 }])
    expect(question.tasks.find(({ id }) => id === 'B/B2:plumb')!.after).toEqual([{ task: 'B/B2:dig', least: 0 }])
    const { plan: days } = planDays(question, EFFORT)
    expect(days.covers).toContainEqual({ post: 'B/B1', day: 0 })
  })
})

describe('days that have gone by', () => {
  it('are no days of a plan, nor are the hours of the one that it is', () => {
    const question = dayQuestion(
      postsOf(job),
      { first: FIRST },
      { midnight: MIDNIGHT, hours, from: MIDNIGHT + 10.02 * HOUR_MS },
      tables,
    )
    expect(question.hours[0]).toEqual([
      { from: 605, to: 720 },
      { from: 750, to: 1_020 },
    ])
    // The way there and the set-up first; whoever has done something on that day is there.
    expect(planDays(question, EFFORT).plan.placed[0]!.start).toBe(605 + 20 + 20)
    const there = dayQuestion(
      postsOf(poured),
      { first: FIRST },
      { midnight: MIDNIGHT, hours, from: MIDNIGHT + 10.02 * HOUR_MS },
      tables,
    )
    expect(planDays(there, EFFORT).plan.placed[0]!.start).toBe(605)
  })
  it('take along what was said of them', () => {
    const setup: Job['day'] = {
      free: [1, 4],
      hires: [
        { tool: 'mixer', from: 0, to: 9 },
        { tool: 'auger', day: 1, from: 0, to: 9 },
        { tool: 'auger', day: 3, from: 0, to: 9 },
      ],
      deliveries: [
        { day: 0, from: 540, to: 570 },
        { day: 2, from: 540, to: 570 },
      ],
      pins: [
        { task: 'x', start: 600 },
        { task: 'y', start: 2 * DAY_MINUTES + 600 },
      ],
      travel: 5,
    }
    expect(startingLater(setup, 2)).toEqual({
      free: [2],
      hires: [
        { tool: 'mixer', from: 0, to: 9 },
        { tool: 'auger', day: 1, from: 0, to: 9 },
      ],
      deliveries: [{ day: 0, from: 540, to: 570 }],
      pins: [{ task: 'y', start: 600 }],
      travel: 5,
    })
    expect(startingLater({ travel: 5 }, 3)).toEqual({ travel: 5 })
  })
  it('are not worked on at a weekend where nobody said so', () => {
    const days = (setup: Job['day']) =>
      asked(job, setup)
        .hours.slice(0, 8)
        .map((spans) => spans.length > 0)
    expect(days({})).toEqual([true, true, true, true, true, false, false, true])
    expect(days({ rest: [0] })).toEqual([true, true, true, true, true, true, false, true])
    expect(days({ first: '2026-04-17' })).toEqual([true, false, false, true, true, true, true, true])
  })
})
