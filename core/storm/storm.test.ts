import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../data/demo/jobs'
import { tables } from '../../data/tables'
import type { Job, Pour } from '../document/job'
import { normalShare } from '../numeric/normal'
import { plan } from '../plan/plan'
import { resolveJob } from '../resolve/resolve'
import { HOUR_MS, type ForecastHour } from '../weather/forecast'
import { exposedPosts, goesOver, stormWatch, type ExposedPost } from './watch'

const NOW = Date.UTC(2026, 10, 28, 9)
const iso = (at: number) => new Date(at).toISOString()
const forecast = (gust: (hour: number) => number, hours = 120, from = NOW): { hours: ForecastHour[] } => ({
  hours: Array.from({ length: hours }, (_, i) => ({
    at: iso(from + i * HOUR_MS),
    temperature: 5,
    gust: gust(i),
    rain: 0,
  })),
})
const post = (standing: number, more: Partial<ExposedPost> = {}): ExposedPost => ({
  line: 'B',
  post: 'B4',
  standing,
  ...more,
})
const pour = (hoursAgo: number, more: Partial<Pour> = {}): Pour => ({
  id: 'pour-0001',
  line: 'B',
  post: 'B4',
  mix: 'post-mix-20',
  startedAt: iso(NOW - hoursAgo * HOUR_MS),
  ...more,
})

describe('the normal share', () => {
  it('is what tables say', () => {
    for (const [x, share] of [
      [0, 0.5],
      [1, 0.841344746],
      [-1.281551566, 0.1],
      [1.959963985, 0.975],
      [3, 0.998650102],
    ] as const)
      expect(normalShare(x)).toBeCloseTo(share, 6)
  })
})

describe('storm watch', () => {
  it('goes by the worst hour, less surely the further ahead', () => {
    // By hand: ln(20 ÷ 22) = −0.0953; σ 0.08 now, 0.16 in two days: Φ(−1.191) = 0.117, Φ(−0.596) = 0.276.
    expect(goesOver(20, 22, 0)).toBeCloseTo(0.1168, 3)
    expect(goesOver(20, 22, 2)).toBeCloseTo(0.2757, 3)
    expect(goesOver(20, 20, 1)).toBeCloseTo(0.5, 6)
    expect([goesOver(0, 20, 1), goesOver(20, Infinity, 1), goesOver(5, 0, 1)]).toEqual([0, 0, 1])
    const [found] = stormWatch(
      [post(22)],
      forecast((hour) => (hour === 48 ? 20 : 8)),
      NOW,
      tables,
    )
    expect(found).toMatchObject({ post: 'B4', at: NOW + 48 * HOUR_MS, gust: 20, over: 22, why: 'standing' })
    expect(found!.chance).toBeCloseTo(0.2757, 3)
  })
  it('names a tenth and more, of four days, the likeliest first', () => {
    const watch = (gust: number, at = 10) =>
      stormWatch(
        [post(20)],
        forecast((hour) => (hour === at ? gust : 5)),
        NOW,
        tables,
      )
    expect(watch(17)).toEqual([])
    expect(watch(18.5)).toHaveLength(1)
    expect(watch(40, 95)).toHaveLength(1)
    expect(watch(40, 96)).toEqual([])
    expect(watch(40, 97)).toEqual([])
    const two = stormWatch(
      [post(30, { post: 'B5' }), post(20)],
      forecast(() => 26),
      NOW,
      tables,
    )
    expect(two.map(({ post: id }) => id)).toEqual(['B4', 'B5'])
  })
  it('counts green concrete and props bare, the larger, and the repair once it carries', () => {
    const green = (hoursAgo: number, more: Partial<Pour> = {}) =>
      post(10, { green: { pour: pour(hoursAgo, more), ground: 30, props: 14, repaired: 48 } })
    const over = (of: ExposedPost) =>
      stormWatch(
        [of],
        forecast(() => 60, 1),
        NOW,
        tables,
      )[0]!
    // 0.30 of it after 4 h at 20 °C, linear in ln t from 10 minutes on: 0.119 of 30 m/s after two hours at 5 °C.
    expect(over(green(2))).toMatchObject({ over: 14, why: 'propped' })
    expect(over(green(2, { overnight: ['covered'] }))).toMatchObject({
      over: expect.closeTo(3.56, 1),
      why: 'green',
      chance: 1,
    })
    const later = over(green(100))
    expect(later.why).toBe('green')
    expect(later.over).toBeGreaterThan(14)
    expect(over(green(24 * 40))).toMatchObject({ over: 48, why: 'standing' })
  })
  it('counts resin as it was meant once it has cured, and before it what its props hold', () => {
    const [resin] = tables.resins
    const over = (hoursAgo: number) =>
      stormWatch(
        [post(10, { green: { pour: pour(hoursAgo, { mix: resin!.key }), ground: 30, props: 14, repaired: 48 } })],
        forecast(() => 60, 1),
        NOW,
        tables,
      )[0]!
    expect(over(0)).toMatchObject({ over: 14, why: 'propped' })
    expect(over(24 * 20)).toMatchObject({ over: 48, why: 'standing' })
  })
  it('counts what is known of the two where one is not, and nothing of a repair without a figure', () => {
    const found = (green: Omit<NonNullable<ExposedPost['green']>, 'pour'>, hoursAgo = 2) =>
      stormWatch(
        [post(10, { green: { pour: pour(hoursAgo), ...green } })],
        forecast(() => 60, 1),
        NOW,
        tables,
      )
    expect(found({ ground: 30 })[0]).toMatchObject({ over: expect.closeTo(3.56, 1), why: 'green' })
    expect(found({ props: 14 })[0]).toMatchObject({ over: 14, why: 'propped' })
    expect(found({})).toEqual([])
    expect(found({ ground: 30 }, 24 * 40)).toEqual([])
  })
  it('leaves out what it knows nothing of', () => {
    expect(
      stormWatch(
        [{ line: 'B', post: 'B1' }],
        forecast(() => 60),
        NOW,
        tables,
      ),
    ).toEqual([])
    expect(stormWatch([post(20)], { hours: [] }, NOW, tables)).toEqual([])
  })
  property.prop([
    fc.double({ min: 5, max: 60, noNaN: true }),
    fc.double({ min: 5, max: 60, noNaN: true }),
    fc.integer({ min: 0, max: 95 }),
  ])('says more of more wind, and less of what holds more', (gust, over, hour) => {
    const chance = (g: number, o: number) => goesOver(g, o, hour / 24)
    expect(chance(gust + 1, over)).toBeGreaterThanOrEqual(chance(gust, over))
    expect(chance(gust, over + 1)).toBeLessThanOrEqual(chance(gust, over))
  })
  it('is no chance in a calm, and none of what no gust puts over', () => {
    expect([goesOver(0, 20, 1), goesOver(20, Infinity, 1), goesOver(20, 0, 1)]).toEqual([0, 0, 1])
  })
  it('holds each green post to its own repair, whatever its neighbours have', () => {
    const base: Job = demoJobs().at(-1)!
    const methods: Record<string, string> = { B4: 'new-post-concrete', B17: 'recast-footing' }
    const job: Job = {
      ...base,
      lines: base.lines.map((line) => ({
        ...line,
        posts: line.posts.map((each) => (methods[each.id] ? { ...each, repair: { method: methods[each.id]! } } : each)),
      })),
      pours: ['B4', 'B17'].map((id, i) => pour(1, { id: `pour-${i}000`, post: id })),
    }
    const planned = plan(job, tables)
    const exposed = exposedPosts(job, resolveJob(job, tables), planned, tables)
    for (const [id, method] of Object.entries(methods)) {
      const own = planned.posts.find((each) => each.post === id)!.methods.find((each) => each.method === method)!
      expect(exposed.find((each) => each.post === id)!.green!.repaired, id).toBe(own.holdingGust)
    }
  })
  it('takes a job as it is planned: what moves by hand, what was poured', () => {
    const job: Job = demoJobs().at(-1)!
    const exposedOf = (of: Job) => exposedPosts(of, resolveJob(of, tables), plan(of, tables), tables)
    const exposed = exposedOf(job)
    expect(exposed.find(({ post: id }) => id === 'B8')).toMatchObject({ isGone: true, standing: 12 })
    expect(exposed.find(({ post: id }) => id === 'B5')!.standing).toBeGreaterThan(30)
    // Nobody has looked at the footing of a sound post: that is no news; one that gave way counts as what hangs loose.
    const plans = plan(job, tables)
    const shown = (standing: object, state: string) =>
      exposedPosts(
        job,
        resolveJob(job, tables),
        {
          ...plans,
          posts: [{ ...plans.posts[0]!, standing, diagnosis: { ...plans.posts[0]!.diagnosis, state } }],
        } as never,
        tables,
      )[0]
    expect(shown({ state: 'range', range: [21, 40] }, 'nothing-wrong')).toBeUndefined()
    expect(shown({ state: 'range', range: [21, 40] }, 'failed')).toMatchObject({ standing: 21 })
    expect(shown({ state: 'given-way' }, 'failed')).toMatchObject({ standing: 12, isGone: true })
    expect(shown({ state: 'moves', holdingGust: 19 }, 'failed')).toMatchObject({ standing: 19, isGone: true })
    expect(shown({ state: 'moves' }, 'failed')).toBeUndefined()
    expect(shown({ state: 'holds' }, 'failed')).toBeUndefined()
    expect(shown({ state: 'holds', holdingGust: 33 }, 'failed')).toMatchObject({ standing: 33 })
    expect(shown({ state: 'not-known' }, 'failed')).toBeUndefined()
    const poured: Job = {
      ...job,
      lines: job.lines.map((line) => ({
        ...line,
        posts: line.posts.map((each) =>
          each.id === 'B4' ? { ...each, repair: { method: 'new-post-concrete' } } : each,
        ),
      })),
      pours: [pour(1)],
    }
    const b4 = exposedOf(poured).find(({ post: id }) => id === 'B4')!
    expect(b4.green!.ground).toBeGreaterThan(20)
    expect(b4.green!.ground).toBeLessThan(b4.green!.repaired!)
    expect(b4.green!.props).toBeGreaterThan(5)
  })
})
