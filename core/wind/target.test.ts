import { describe, expect, it } from 'vitest'
import { tables } from '../../tests/support/builders'
import { calculate } from '../calc/registry'
import { lifeReturnYears, neighboursTarget } from './target'

describe('what a repair has to hold', () => {
  it('by the life that is left: 36.4 years for eight, 9.5 for two', () => {
    expect(lifeReturnYears(8)).toBeCloseTo(36.4, 1)
    expect(lifeReturnYears(2)).toBeCloseTo(9.5, 1)
    expect(calculate('target', { life: 8, gust50: 38 }, tables).returnYears).toBeCloseTo(36.4, 1)
  })
  it('by its neighbours: a tenth over the middle one', () => {
    expect(neighboursTarget([30, 40, 34], 38).gust).toBeCloseTo(37.4, 9)
    expect(calculate('target', { standing: [30, 34, 40, 36], gust50: 38 }, tables).gust).toBeCloseTo(38.5, 9)
    expect(() => neighboursTarget([30], 38)).toThrow(/2 sound posts/)
  })
  it('by years: the 50-year gust itself', () => {
    expect(calculate('target', { years: 50, gust50: 38 }, tables)).toEqual({
      gust: expect.closeTo(38, 6),
      returnYears: 50,
    })
    expect(() => calculate('target', { gust50: 38 }, tables)).toThrow(/one of the three/)
    expect(() => calculate('target', { years: 50, life: 8, gust50: 38 }, tables)).toThrow(/one of the three/)
  })
})
