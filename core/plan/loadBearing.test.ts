import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '~~/tests/support/builders'
import { tablesIn } from '~~/data/tables'
import type { Post } from '../document/job'
import { methodDetail } from './detail'
import { plan } from './plan'

const carrying: Partial<Post> = {
  duty: 'load-bearing',
  soil: 'firm-clay',
  carries: { area: 3, from: 'roof' },
  footing: { kind: 'concrete', diameter: 0.4, top: 0.1, bottom: 0.8 },
  observations: { pushPivot: 'at-ground-line', probeAtGround: 0.02 },
}
const job = (post: Partial<Post> = {}) => jobOf(runOfPosts(3, 2.4, () => ({ ...carrying, ...post })))
const way = (method: string, post?: Partial<Post>, units: 'metric' | 'feet-inches' = 'metric') =>
  plan(job(post), tablesIn[units]).posts[1]!.methods.find((each) => each.method === method)!

describe('a post that carries people', () => {
  it('stays closed without a name, and has its figures for whoever decides', () => {
    const pier = way('raise-pier')
    expect(pier.allowed).toBe(false)
    expect(pier.checks.length).toBeGreaterThan(2)
    for (const { demand, capacity } of pier.checks) {
      expect(demand).toBeGreaterThanOrEqual(0)
      expect(capacity).toBeGreaterThan(0)
    }
    // A spur does not carry people, whoever decides.
    expect(way('repair-spur').allowed).toBe(false)
  })
  it('is cast in a mix that is slow and strong, unless somebody chose another', () => {
    expect(way('new-pier').concrete!.mix).toBe('general-20')
    expect(way('new-pier', {}, 'feet-inches').concrete!.mix).toBe('general-27')
    expect(way('new-pier', { repair: { mix: 'post-mix-20' } }).concrete!.mix).toBe('post-mix-20')
    const fence = plan(job({ duty: 'line', carries: undefined }), tables).posts[1]!.methods
    expect(fence.find(({ method }) => method === 'new-post-concrete')!.concrete!.mix).toBe('post-mix-20')
  })
  it('is lowered on to its pier after days', () => {
    const lower = methodDetail(job(), tables, 'A2', 'new-pier')!.steps.find(({ key }) => key === 'lower')!
    // 0.70 of its strength by EN 1992-1-1, s = 0.25: 28 d / (1 + ln(1 / 0.7) / 0.25)² = 4.75 d at 20 °C; at 10 °C 0.497
    // times as fast: 9.6 days.
    expect(lower.after!.hours / 24).toBeCloseTo(9.56, 1)
  })
})
