import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import type { Job, Post } from '../document/job'
import { plan } from '../plan/plan'
import { resolveJob } from '../resolve/resolve'
import { nextToGo, onWetGround } from './nextToGo'

const sound: Partial<Post> = {
  material: 'treated-softwood',
  section: { shape: 'rectangle', along: 0.1, across: 0.1 },
  soil: 'firm-clay',
  footing: { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.6 },
  observations: { pushPivot: 'nothing-moves', probeAtGround: 0 },
}
const jobWith = (change: (i: number) => Partial<Post> = () => ({})): Job =>
  jobOf(runOfPosts(5, 2.4, (i) => ({ ...sound, ...change(i) })))
const order = (job: Job, isWet = false) =>
  nextToGo(job, resolveJob(job, tables), plan(job, tables), 'A', isWet ? plan(onWetGround(job), tables) : undefined)

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
  it('goes sooner on ground that is wet when most storms come', () => {
    const job = jobWith()
    const [dry, wet] = [order(job), order(job, true)]
    for (const { post, life } of dry) expect(wet.find((each) => each.post === post)!.life).toBeGreaterThan(life)
  })
  it('is reckoned over what is left of the fence', () => {
    const short = { ...jobWith(), lines: jobWith().lines.map((line) => ({ ...line, remainingYears: 4 })) }
    const [first] = order(short)
    expect(first!.years).toBe(4)
    expect(first!.life).toBeLessThan(order(jobWith()).find(({ post }) => post === first!.post)!.life)
  })
  it('is none of a line that there is not', () => {
    expect(nextToGo(jobWith(), resolveJob(jobWith(), tables), plan(jobWith(), tables), 'Z')).toEqual([])
  })
})
