import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import type { Job, Post } from '../document/job'
import { plan } from '../plan/plan'
import { resolveJob } from '../resolve/resolve'
import { nextToGo } from './nextToGo'

const sound: Partial<Post> = {
  material: 'treated-softwood',
  section: { shape: 'rectangle', along: 0.1, across: 0.1 },
  soil: 'firm-clay',
  footing: { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.6 },
  observations: { pushPivot: 'nothing-moves', probeAtGround: 0 },
}
const jobWith = (change: (i: number) => Partial<Post> = () => ({})): Job =>
  jobOf(runOfPosts(5, 2.4, (i) => ({ ...sound, ...change(i) })))
const order = (job: Job, line = 'A') => nextToGo(resolveJob(job, tables), plan(job, tables), tables, line)

describe('the next post to go', () => {
  it('is the one that holds least, with its chances', () => {
    const small = jobWith((i) =>
      i === 2 ? { footing: { kind: 'concrete', diameter: 0.18, top: 0.05, bottom: 0.4 } } : {},
    )
    const [first, ...others] = order(small)
    expect(first!.post).toBe('A3')
    expect(first!.life).toBeGreaterThan(Math.max(...others.map(({ life }) => life)))
    expect(first!.years).toBe(15)
    expect(order(small).map(({ life }) => life)).toEqual(order(small).map(({ life }) => life))
  })
  it('is none that has failed without a repair, and one that is mended counts as mended', () => {
    const broken: Partial<Post> = { observations: { pushPivot: 'at-ground-line', probeAtGround: 0.04 } }
    const failed = jobWith((i) => (i === 1 ? broken : {}))
    expect(order(failed).map(({ post }) => post)).not.toContain('A2')
    const mended = jobWith((i) => (i === 1 ? { ...broken, repair: { method: 'new-post-concrete' } } : {}))
    expect(order(mended).find(({ post }) => post === 'A2')!.over).toBeGreaterThan(30)
  })
  it('goes sooner where its wood is on its way', () => {
    const old = jobWith((i) =>
      i === 1 ? { ageYears: 20, observations: { pushPivot: 'nothing-moves', probeAtGround: 0.004 } } : {},
    )
    const [first] = order(old)
    expect(first!.post).toBe('A2')
    expect(first!.life).toBeGreaterThan(order(jobWith()).find(({ post }) => post === 'A2')!.life + 0.05)
  })
  it('is reckoned over what is left of the fence', () => {
    const short = { ...jobWith(), lines: jobWith().lines.map((line) => ({ ...line, remainingYears: 4 })) }
    const [first] = order(short)
    expect(first!.years).toBe(4)
    expect(first!.life).toBeLessThan(order(jobWith()).find(({ post }) => post === first!.post)!.life)
  })
  it('is none of a line that there is not', () => {
    expect(order(jobWith(), 'Z')).toEqual([])
  })
})
