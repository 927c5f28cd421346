import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { InputError } from '../errors'
import { hardeningRate } from './setting'
import { hardenedBy, meanOfLastDay, milestoneTime, minutesUntil, type Span } from './wetClock'

const spans = fc.array(
  fc.record({ minutes: fc.integer({ min: 1, max: 180 }), temperature: fc.integer({ min: -8, max: 32 }) }),
  { minLength: 1, maxLength: 30 },
)
const held = (temperature: number, minutes = 60): Span => ({ minutes, temperature })

describe('a clock on wet concrete', () => {
  it('runs by the temperature of each while', () => {
    expect(minutesUntil(5, [held(5)])).toBeCloseTo(17.1, 1)
    // By hand: 0.2925 × 10 = 2.925 of 5 done; 2.075 left at 0.7476 are 2.775 minutes.
    expect(minutesUntil(5, [held(5, 10), held(15)])).toBeCloseTo(12.775, 2)
    expect(minutesUntil(5, [held(20)])).toBeCloseTo(5, 9)
  })
  it('stands still in frost, and for good where nothing warmer is known', () => {
    expect(minutesUntil(5, [held(-2), held(20)])).toBeCloseTo(65, 9)
    expect(minutesUntil(5, [held(-2)])).toBeNull()
    expect(minutesUntil(0, [held(-2)])).toBe(0)
    expect(() => minutesUntil(5, [])).toThrow(InputError)
  })
  it('goes on by the mean of the last day that is known', () => {
    // A day of 0 and 10 °C by turns after a hot one: 5 °C from then on.
    const day = Array.from({ length: 24 }, (_, i) => held(i % 2 === 0 ? 0 : 10))
    expect(meanOfLastDay([held(30, 600), ...day])).toBeCloseTo(5, 9)
    const known = hardenedBy(24 * 60, day)
    expect(minutesUntil(known + 60 * hardeningRate(5), day)).toBeCloseTo(25 * 60, 6)
  })
  property.prop([spans, fc.integer({ min: 1, max: 600 })])(
    'says what adding minute by minute says, the last one interpolated',
    (list, wanted) => {
      const byMinute = list.flatMap(({ minutes, temperature }) => new Array<number>(minutes).fill(temperature))
      let done = 0
      let at: number | undefined
      for (const [minute, temperature] of byMinute.entries()) {
        const rate = hardeningRate(temperature)
        if (at === undefined && done + rate >= wanted) at = minute + (wanted - done) / rate
        done += rate
      }
      fc.pre(at !== undefined)
      expect(Math.abs(minutesUntil(wanted, list)! - at!)).toBeLessThan(1e-6)
    },
  )
  property.prop([spans, fc.double({ min: 0, max: 4000, noNaN: true })])('is its own way back', (list, minutes) => {
    const done = hardenedBy(minutes, list)
    fc.pre(done > 0)
    const back = minutesUntil(done, list)!
    expect(back).toBeLessThanOrEqual(minutes + 1e-6)
    expect(hardenedBy(back, list)).toBeCloseTo(done, 6)
  })
})

describe('milestones by load', () => {
  const normal = { kind: 'cement', cement: 'normal' } as const
  it('come through the same hours, rough before three days', () => {
    // Props at 0.30: 19.9 h at 20 °C, 67.9 h at 5 °C; a quarter of the age either way.
    const warm = milestoneTime(0.3, normal, [held(20)])!
    expect(warm.at / 60).toBeCloseTo(19.9, 1)
    expect(warm.earliest).toBeCloseTo(warm.at * 0.75, 6)
    expect(warm.latest).toBeCloseTo(warm.at * 1.25, 6)
    expect(milestoneTime(0.3, normal, [held(5)])!.at / 60).toBeCloseTo(67.9, 1)
    // Past three days of age the figure is what it is.
    const late = milestoneTime(0.7, normal, [held(20)])!
    expect(late.at / 60).toBeCloseTo(114.1, 1)
    expect(late.latest).toBe(late.at)
    expect(late.earliest).toBe(late.at)
  })
  it('never come in lasting frost', () => {
    expect(milestoneTime(0.3, normal, [held(-3)])).toBeNull()
  })
})
