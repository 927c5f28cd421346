import { describe, expect, it } from 'vitest'
import { questionOf } from '../../tests/support/demoDay'
import { demoDays } from '../../data/demo/days'
import { dayBound } from './bound'
import { breaches } from './check'
import { midnightIn } from './midnight'
import { planDays } from './search'

describe('the days that ship', () => {
  const planned = demoDays.map((day) => {
    const question = questionOf(day)
    const found = planDays(question)
    return { name: day.name, question, found, bound: dayBound(question, found) }
  })
  it.each(planned)('$name: a plan that breaks nothing and leaves nothing', ({ question, found }) => {
    expect(found.plan.left).toEqual([])
    expect(breaches(question, found.plan)).toEqual([])
  })
  it('are planned within a twentieth of what no plan can be better than, ten of twelve at least', () => {
    expect(planned).toHaveLength(12)
    const gaps = planned.map(({ name, bound }) => ({ name, gap: bound!.gap }))
    expect(gaps.filter(({ gap }) => gap <= 0.05).length, JSON.stringify(gaps)).toBeGreaterThanOrEqual(10)
  })
})

describe('midnight where the site is', () => {
  it('goes by its zone, on both sides of a change of the clocks', () => {
    const at = (date: string, zone?: string) => new Date(midnightIn(date, zone)).toISOString()
    expect(at('2026-07-01')).toBe('2026-07-01T00:00:00.000Z')
    expect(at('2026-07-01', 'Europe/Lisbon')).toBe('2026-06-30T23:00:00.000Z')
    expect(at('2026-03-29', 'Europe/Berlin')).toBe('2026-03-28T23:00:00.000Z')
    expect(at('2026-03-30', 'Europe/Berlin')).toBe('2026-03-29T22:00:00.000Z')
    expect(at('2026-11-01', 'America/New_York')).toBe('2026-11-01T04:00:00.000Z')
    expect(at('2026-11-02', 'America/New_York')).toBe('2026-11-02T05:00:00.000Z')
  })
})
