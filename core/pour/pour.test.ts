import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { tables } from '../../data/tables'
import { hardeningRate } from '../concrete/setting'
import type { Pour } from '../document/job'
import { HOUR_MS, MINUTE_MS, type ForecastHour } from '../weather/forecast'
import { pourClock, shareAt } from './clock'
import { greenHolds } from './holds'
import { canBeSeenTo, nextStart, pourOrder, wantsOf, type Wants } from './order'
import { settingOf } from './setting'
import { pourWarnings } from './warnings'

const START = Date.UTC(2026, 10, 3, 9)
const iso = (at: number) => new Date(at).toISOString()
const air = (temperatures: number[], from = START) => ({ from: iso(from), temperatures })
const held = (celsius: number, from = START - 24 * HOUR_MS) => air(new Array<number>(24 * 9).fill(celsius), from)
const pour = (more: Partial<Pour> = {}): Pour => ({
  id: 'pour-0001',
  line: 'B',
  post: 'B4',
  mix: 'post-mix-20',
  startedAt: iso(START),
  ...more,
})
const clock = (more: Partial<Pour> = {}, minutes = 0, newest = held(5)) =>
  pourClock(pour(more), START + minutes * MINUTE_MS, tables, newest)!
const minutesTo = (at: number | null | undefined) => (at! - START) / MINUTE_MS

describe('the clock of a pour', () => {
  it('runs by the temperature of the ground', () => {
    const { marks, stiff, minutesLeft, stage } = clock({}, 4)
    // 5 minutes at 20 °C over 0.2925: by hand.
    expect(minutesTo(stiff)).toBeCloseTo(17.09, 2)
    expect(marks.map(({ at }) => minutesTo(at))).toEqual([
      expect.closeTo(8.55, 2),
      expect.closeTo(13.67, 2),
      expect.closeTo(17.09, 2),
    ])
    expect(minutesLeft).toBeCloseTo(13.09, 2)
    expect(stage).toBe('wet')
    expect([9, 14, 18].map((minutes) => clock({}, minutes).stage)).toEqual(['check', 'last-touch', 'set'])
    expect(clock({}, 18).minutesLeft).toBe(0)
  })
  it('takes the warmth of the mix for the working time alone', () => {
    const warm = clock({ temperature: 15 })
    expect(minutesTo(warm.stiff)).toBeCloseTo(5 / hardeningRate(15), 6)
    expect(warm.milestones).toEqual(clock().milestones)
    // Where nothing is forecast it counts for both.
    const alone = pourClock(pour({ temperature: 15 }), START, tables)!
    expect(alone.milestones.find(({ key }) => key === 'props')!.at).toBe(
      pourClock(pour({ reckoned: held(15) }), START, tables)!.milestones.find(({ key }) => key === 'props')!.at,
    )
    expect(alone.isAssumed).toBe(false)
    expect(pourClock(pour(), START, tables)).toMatchObject({ isAssumed: true })
  })
  it('keeps what it was reckoned with for the working time, and the newest for what comes after', () => {
    const reckoned = held(5)
    const before = clock({ reckoned })
    const after = clock({ reckoned }, 0, held(15))
    expect(after.stiff).toBe(before.stiff)
    expect(after.milestones[0]!.at).toBeLessThan(before.milestones[0]!.at)
    // Hours that the newest does not have are those of before.
    expect(clock({ reckoned }, 0, air([15], START + 400 * HOUR_MS)).milestones[0]!.at).not.toBeNaN()
  })
  it('says when it carries what, by the water that went in', () => {
    const label = clock({ lifts: [{ at: iso(START), bags: 3, water: 0.0084 }] })
    const wet = clock({ lifts: [{ at: iso(START), bags: 3, water: 0.0114 }] })
    // One litre more in each bag: 56 % of 15 MPa; 3 MPa are then 0.357 of it, and frost wants 0.416.
    expect(settingOf(wet.pour, tables)!.concrete!.strength! / 1e6).toBeCloseTo(8.42, 2)
    const hours = ({ milestones }: typeof label, key: string) =>
      minutesTo(milestones.find((each) => each.key === key)!.at) / 60
    // 4 h at 20 °C for a share of 0.30 are 13.7 h at 5 °C.
    expect(hours(label, 'props')).toBeCloseTo(4 / hardeningRate(5), 6)
    expect(hours(wet, 'props')).toBeGreaterThan(hours(label, 'props') + 4)
    expect(hours(wet, 'gate')).toBe(hours(label, 'gate'))
    const props = label.milestones.find(({ key }) => key === 'props')!
    expect(minutesTo(props.earliest)).toBeCloseTo(0.75 * minutesTo(props.at), 6)
    expect(minutesTo(props.latest)).toBeCloseTo(1.25 * minutesTo(props.at), 6)
  })
  it('ends when somebody saw it stiff or took the hands off', () => {
    expect(minutesTo(clock({ stiffAt: iso(START + 11 * MINUTE_MS) }, 12).stiff)).toBe(11)
    const seen = clock({ handsOffAt: iso(START + 15 * MINUTE_MS), stiffAt: iso(START + 16 * MINUTE_MS) }, 15)
    expect(seen).toMatchObject({ stage: 'set', minutesLeft: 0, passed: 1 })
  })
  it('knows how strong it will be', () => {
    // 4 h at 20 °C for 0.30, 24 h for 0.50: through hours of 5 °C at 0.2925.
    const at = (age: number) => shareAt(pour(), START + (age / hardeningRate(5)) * HOUR_MS, tables, held(5))
    expect(at(4)).toBeCloseTo(0.3, 6)
    expect(at(24)).toBeCloseTo(0.5, 6)
    expect(clock({}, 60).share).toBe(shareAt(pour(), START + HOUR_MS, tables, held(5)))
    expect(shareAt(pour({ mix: 'anchor-resin' }), START + HOUR_MS, tables)).toBe(0)
    expect(shareAt(pour({ mix: 'gone' }), START, tables)).toBe(0)
  })
  it('never sets in frost', () => {
    const frost = clock({}, 600, held(-2))
    expect(frost).toMatchObject({ stiff: null, minutesLeft: null, stage: 'wet', milestones: [], passed: 0 })
  })
  it('has a clock for resin too, and none for a mix that there is no more', () => {
    const resin = clock({ mix: 'anchor-resin' }, 0, held(10))
    expect(minutesTo(resin.stiff)).toBeCloseTo(15, 9)
    expect(resin.milestones).toEqual([expect.objectContaining({ key: 'cured', at: START + 120 * MINUTE_MS })])
    expect(clock({ mix: 'anchor-resin' }, 0, held(-5))).toMatchObject({ stiff: null, milestones: [] })
    expect(pourClock(pour({ mix: 'gone' }), START, tables)).toBeUndefined()
    // Between the rows of the label: 15 min at 10 °C, 6 at 20 °C.
    expect(minutesTo(clock({ mix: 'anchor-resin', temperature: 15 }).stiff)).toBeCloseTo(Math.sqrt(15 * 6), 6)
  })
})

describe('what may start now', () => {
  const setting = settingOf({ mix: 'post-mix-20', lifts: [] }, tables)!
  const spansFrom = () => [{ minutes: 60, temperature: 20 }]
  const wants = (start: number): Wants => ({ half: start + 2.5, from: start + 4, to: start + 5 })
  const start = (wet: Wants[], until = START + 12 * HOUR_MS, people = 1) =>
    nextStart(setting, wet, START, { spansFrom, until, people })

  it('begins with ends, corners and gate posts', () => {
    const posts = ['A1', 'A2', 'A3', 'A4'].map((post, i) => ({ post, isFirst: i === 0 || i === 3 }))
    expect(pourOrder(posts).map(({ post }) => post)).toEqual(['A1', 'A4', 'A2', 'A3'])
  })
  it('leaves one person to one last fifth, and free for the half-way mark', () => {
    expect(canBeSeenTo([wants(0), wants(0.9)], 1)).toBe(false)
    expect(canBeSeenTo([wants(0), wants(1)], 1)).toBe(true)
    // Half of the second, 2.5 after its start, in the last fifth of the first.
    expect(canBeSeenTo([wants(0), wants(2)], 1)).toBe(false)
    expect(canBeSeenTo([wants(0), wants(2)], 2)).toBe(true)
    expect(canBeSeenTo([wants(0), wants(0), wants(0)], 2)).toBe(false)
  })
  it('starts at once where nothing is in its way, and waits for others', () => {
    expect(start([])).toEqual({ at: START, waitsFor: 'nothing' })
    const other = { half: START + 2.5 * MINUTE_MS, from: START + 4 * MINUTE_MS, to: START + 5 * MINUTE_MS }
    expect(start([other])).toEqual({ at: START + MINUTE_MS, waitsFor: 'others' })
    expect(start([other], undefined, 2)).toEqual({ at: START, waitsFor: 'nothing' })
  })
  it('keeps the half-way mark of a new one out of the last fifth of another, as much as its end', () => {
    // At 2.5 minutes the half of what is started now: somebody is at the other's last fifth from 2 to 3.
    const inItsWay = { half: START - MINUTE_MS, from: START + 2 * MINUTE_MS, to: START + 3 * MINUTE_MS }
    expect(start([inItsWay])).toEqual({ at: START + MINUTE_MS, waitsFor: 'others' })
  })
  it('does not start where nobody stays, or where it never stiffens', () => {
    expect(start([], START + 5 * MINUTE_MS)).toEqual({ at: START, waitsFor: 'nothing' })
    expect(start([], START + 4.9 * MINUTE_MS)).toEqual({ at: null, because: 'nobody-stays' })
    const frost = { spansFrom: () => [{ minutes: 60, temperature: -3 }], until: START + HOUR_MS, people: 1 }
    expect(nextStart(setting, [], START, frost)).toEqual({ at: null, because: 'never-stiffens' })
  })
  it('has nothing to see to at a post that is set', () => {
    expect(wantsOf(clock())).toEqual({ half: expect.any(Number), from: expect.any(Number), to: expect.any(Number) })
    expect(wantsOf(clock({}, 30))).toBeUndefined()
    expect(wantsOf(clock({}, 0, held(-2)))).toBeUndefined()
  })
  property.prop([
    fc.array(fc.record({ start: fc.integer({ min: 0, max: 60 }), works: fc.integer({ min: 2, max: 90 }) }), {
      minLength: 1,
      maxLength: 5,
    }),
    fc.integer({ min: 1, max: 3 }),
  ])('says what looking at every moment says', (posts, people) => {
    const wet = posts.map(({ start: at, works }) => ({ half: at + works / 2, from: at + 0.8 * works, to: at + works }))
    const moments = wet.flatMap(({ half, from }) => [half, from])
    const holding = (at: number) => wet.filter((each) => each.from <= at && at < each.to).length
    const halves = (at: number) => wet.filter((each) => each.half === at).length
    const bySight = moments.every((at) => {
      const other = holding(at)
      return other <= people && (halves(at) === 0 || other < people)
    })
    expect(canBeSeenTo(wet, people)).toBe(bySight)
  })
})

describe('what the weather may do to it', () => {
  const hours = (of: (hour: number) => Partial<ForecastHour>, count = 72): { hours: ForecastHour[] } => ({
    hours: Array.from({ length: count }, (_, i) => ({
      at: iso(START + i * HOUR_MS),
      temperature: 8,
      gust: 4,
      rain: 0,
      ...of(i),
    })),
  })
  const warned = (
    of: (hour: number) => Partial<ForecastHour>,
    more: Partial<Pour> = {},
    holds?: (at: number) => number,
  ) => pourWarnings(clock(more), hours(of), START, holds).map(({ kind, at }) => [kind, (at - START) / HOUR_MS])
  const freezing = (hour: number) => ({ temperature: hour >= 8 && hour < 12 ? -2 : 6 })

  it('names the hour of the first frost before it is strong enough', () => {
    expect(warned(freezing)).toEqual([['frost', 8]])
    expect(warned((hour) => ({ temperature: hour >= 60 ? -2 : 6 }))).toEqual([])
    expect(warned(freezing, { overnight: ['covered'] })).toEqual([])
  })
  it('warns of heat while it is worked and of hard rain on its fresh top', () => {
    expect(warned(() => ({ temperature: 33 }))).toEqual([['heat', 0]])
    expect(warned((hour) => ({ temperature: hour > 2 ? 33 : 20 }))).toEqual([])
    expect(warned(() => ({ temperature: 33 }), { sheltered: ['shaded'] })).toEqual([])
    expect(warned((hour) => ({ rain: hour === 2 ? 2.1 : 2 }))).toEqual([['rain', 2]])
    expect(warned((hour) => ({ rain: hour === 6 ? 9 : 0 }))).toEqual([])
  })
  it('warns of rain for four hours, and longer where it is soft for longer', () => {
    // In the cold it stays soft past the four hours that its top is fresh anyway.
    const soft = clock({ mix: 'general-20' }, 0, held(1))
    const until = Math.ceil(minutesTo(soft.stiff) / 60)
    expect(until).toBeGreaterThan(5)
    const rainAt = (hour: number) =>
      pourWarnings(
        soft,
        hours((each) => ({ rain: each === hour ? 9 : 0 })),
        START,
      )
    expect(rainAt(until - 1).map(({ kind }) => kind)).toEqual(['rain'])
    expect(rainAt(until + 1)).toEqual([])
  })
  it('warns of no gust after its props may come off', () => {
    const props = clock().milestones.find(({ key }) => key === 'props')!
    const off = (props.latest! - START) / HOUR_MS
    const gustAt = (wanted: number) =>
      warned(
        (hour) => ({ gust: hour === wanted ? 24 : 8 }),
        {},
        () => 20,
      )
    expect(gustAt(Math.floor(off) - 1)).toEqual([['gust', Math.floor(off) - 1]])
    expect(gustAt(Math.ceil(off) + 1)).toEqual([])
  })
  it('warns of a gust over what the post holds by then', () => {
    const gusty = (hour: number) => ({ gust: hour === 10 ? 24 : 8 })
    expect(warned(gusty, {}, () => 20)).toEqual([['gust', 10]])
    expect(warned(gusty, {}, () => 25)).toEqual([])
    expect(warned(gusty)).toEqual([])
  })
  it('counts the larger of what the green footing and its props hold', () => {
    const link = (key: string, over: number, bare: number) => ({ link: key, name: key, over, bare, returnYears: 1 })
    const plan = {
      methods: [
        { method: 'new-post-concrete', links: [link('footing', 48, 30), link('post', 60, 45)] },
        { method: 'make-safe', links: [link('prop', 22, 22), link('stake', 14, 14)] },
      ],
    } as never
    expect(greenHolds(plan, 'new-post-concrete', 0.3, true)).toBe(14)
    expect(greenHolds(plan, 'new-post-concrete', 0.6, true)).toBe(18)
    expect(greenHolds(plan, 'new-post-concrete', 0.3, false)).toBe(9)
    expect(greenHolds(plan, undefined, 0.3, false)).toBeUndefined()
  })
})
