import { fc, test } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { gustOfReturnPeriod, reducedGust, returnPeriodOfGust } from '../wind/returnPeriod'
import { goesOverChances } from './goesOver'

describe('the gust of a yearly rate', () => {
  it('is the one that is passed so often', () => {
    const rate = -Math.log(1 - 1 / 50)
    expect(reducedGust(rate, 38)).toBeCloseTo(38, 9)
    expect(reducedGust(-Math.log(1 - 1 / 10), 38)).toBeCloseTo(gustOfReturnPeriod(10, 38), 9)
  })
})

describe('the chance that a post goes over', () => {
  const question = { gust50: 38, years: 15 }
  /** Chance over a year's largest three gusts from every side, by counting over a fine grid of what is drawn. */
  function byGrid(over: number): number {
    // One post of soil as it is named, wind from every side: rate of gusts that are strong enough in their direction.
    const STEPS = 2_000
    let rate = 0
    for (let i = 0; i < STEPS; i++) {
      const across = Math.abs(Math.cos((2 * Math.PI * (i + 0.5)) / STEPS))
      // The yearly rate at which a gust passes what this direction asks for.
      const asked = over / Math.max(across, 1e-6)
      rate += -Math.log(1 - 1 / returnPeriodOfGust(asked, 38)) / STEPS
    }
    return 1 - Math.exp(-rate)
  }
  /** The same over the scatter of the soil, by Gauss–Hermite-like steps of a normal. */
  function overSoil(over: number): number {
    const sigma = Math.hypot(0.271, 0.221)
    let [sum, weight] = [0, 0]
    for (let z = -4; z <= 4; z += 0.1) {
      const w = Math.exp(-(z ** 2) / 2)
      sum += w * byGrid(over * Math.exp((sigma * z) / 2))
      weight += w
    }
    return sum / weight
  }

  it.each([30, 36, 42])('at %i m/s is that of the law of gusts over directions and soil', (over) => {
    const [found] = goesOverChances([{ over }], question)
    const expected = overSoil(over)
    const error = Math.sqrt((expected * (1 - expected)) / 20_000)
    // Three gusts of a year are drawn, not all: the law has a little more.
    expect(Math.abs(found!.year - expected)).toBeLessThan(4 * error + 0.03 * expected)
  })
  it('of a life is that of its years, less what weak ground has taken in the first of them', () => {
    const [found] = goesOverChances([{ over: 45 }], question)
    expect(found!.life).toBeGreaterThan(found!.year * 5)
    expect(found!.life).toBeLessThan(found!.year * 15)
  })
  it('is the same for the same seed, and for every post the same years', () => {
    const once = goesOverChances([{ over: 40 }, { over: 40 }], question)
    expect(goesOverChances([{ over: 40 }, { over: 40 }], question)).toEqual(once)
    // Two posts alike meet the same gusts: their own ground alone tells them apart.
    expect(Math.abs(once[0]!.life - once[1]!.life)).toBeLessThan(0.01)
  })
  it('is more on ground that holds less when it is wet', () => {
    const [dry, wet] = goesOverChances([{ over: 40 }, { over: 40, saturated: 33 }], question)
    expect(wet!.life).toBeGreaterThan(dry!.life * 1.3)
  })
  test.prop([fc.integer({ min: 12, max: 60 }), fc.integer({ min: 1, max: 20 })])(
    'never falls where a post holds less',
    (over, less) => {
      const [more, weaker] = goesOverChances([{ over: over + less }, { over }], { ...question, lives: 2_000 })
      expect(weaker!.life).toBeGreaterThanOrEqual(more!.life - 0.03)
      expect(more!.year).toBeLessThanOrEqual(more!.life)
    },
  )
})
