import { describe, expect, it } from 'vitest'
import { tables } from '~~/tests/support/builders'
import { demoJobs } from '~~/data/demo/jobs'
import type { MethodPlan } from '../plan/types'
import { plan } from '../plan/plan'
import { STOP_GAPS } from '../repair/methods'
import { compareWays, criteria, type Criterion } from './compare'

const target = { gust: 40, returnYears: 50, leanGust: 30, leanReturnYears: 10, gust50: 40, by: 'years' as const }
const way = (method: string, holdingGust: number, minutes: number): MethodPlan =>
  ({ method, name: method, allowed: true, holdingGust, minutes }) as MethodPlan
const two: Criterion[] = [
  { key: 'wind', name: 'wind', better: 'more', of: ({ holdingGust }) => holdingGust! },
  { key: 'work', name: 'work', better: 'less', of: ({ minutes }) => minutes },
]
const compare = (ways: MethodPlan[], weights: Record<string, number>) =>
  compareWays(ways, { target, tables }, weights, two)

describe('ways side by side', () => {
  it('is full marks where one is best in all that counts, and it beats the rest', () => {
    const [best, next, last] = compare([way('a', 50, 60), way('b', 40, 90), way('c', 45, 120)], { wind: 1, work: 1 })
    expect(best).toMatchObject({ way: { method: 'a' }, score: 1, parts: [0.5, 0.5] })
    expect(best!.beatenBy).toBeUndefined()
    // b: nothing of the wind, half of the work; c: half of the wind, nothing of the work. As they came.
    expect(next).toMatchObject({ way: { method: 'b' }, score: 0.25, beatenBy: { method: 'a' } })
    expect(last).toMatchObject({ way: { method: 'c' }, score: 0.25, beatenBy: { method: 'a' } })
  })
  it('does not beat what is better in anything', () => {
    for (const { beatenBy } of compare([way('a', 50, 120), way('b', 40, 60)], {})) expect(beatenBy).toBeUndefined()
  })
  it('orders by what counts', () => {
    const first = (weights: Record<string, number>) =>
      compare([way('strong', 50, 120), way('quick', 40, 60)], weights)[0]!.way.method
    expect(first({ wind: 3, work: 1 })).toBe('strong')
    expect(first({ wind: 1, work: 3 })).toBe('quick')
  })
  it('counts alike ways as alike, and what no wind reaches as best', () => {
    const alike = compare([way('a', 50, 60), way('b', 50, 60)], { wind: 1, work: 1 })
    expect(alike.map(({ score, beatenBy }) => [score, beatenBy])).toEqual([
      [1, undefined],
      [1, undefined],
    ])
    const [still] = compare([way('a', 50, 60), way('b', Infinity, 60)], { wind: 1 })
    expect(still!.way.method).toBe('b')
  })
  it('of the demo jobs leaves none out, and whoever is beaten is no better in anything', () => {
    for (const job of demoJobs()) {
      const planned = plan(job, tables)
      for (const { methods } of planned.posts.filter(({ diagnosis }) => diagnosis.state === 'failed')) {
        const compared = compareWays(methods, { target: planned.target, tables }, { wind: 1 })
        expect(compared.map(({ way: { method } }) => method).sort()).toEqual(
          methods
            .filter(({ allowed, method }) => allowed && !STOP_GAPS.has(method))
            .map(({ method }) => method)
            .sort(),
        )
        for (const { beatenBy, figures } of compared) {
          if (!beatenBy) continue
          const other = compared.find(({ way: { method } }) => method === beatenBy.method)!
          criteria.forEach(({ better }, i) => {
            const sign = better === 'more' ? 1 : -1
            expect(sign * other.figures[i]!).toBeGreaterThanOrEqual(sign * figures[i]! - 1e-6)
          })
        }
      }
    }
  })
})
