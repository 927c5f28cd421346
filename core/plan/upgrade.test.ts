import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '~~/tests/support/builders'
import { lineChoice } from '../choose/waysOpen'
import type { Post } from '../document/job'
import { plan } from './plan'

const sound: Partial<Post> = {
  soil: 'firm-clay',
  ageYears: 6,
  footing: { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.5 },
  observations: { pushPivot: 'nothing-moves', probeAtGround: 0, tap: 'rings', fixings: 'sound' },
}
const site = { exposure: 'sheltered', shelter: 0.7 } as const
const planned = (post: Partial<Post>) =>
  plan(
    jobOf(
      runOfPosts(5, 1.8, (i) => (i === 2 ? { ...sound, ...post } : sound)),
      site,
    ),
    tables,
  )
const third = (post: Partial<Post>) => planned(post).posts[2]!

describe('a sound post that is to become more than it is', () => {
  it('is asked for nothing before somebody wants it', () => {
    expect(third({}).diagnosis.state).toBe('nothing-wrong')
    expect(third({}).recommended).toBeUndefined()
  })
  it('gets the first repair that holds both targets and more than it does', () => {
    const { standing, recommended, methods } = third({ upgrade: 'stronger' })
    const taken = methods.find(({ method }) => method === recommended!.method)!
    expect(taken).toMatchObject({ allowed: true, holdsTarget: true })
    expect(taken.holdingGust).toBeGreaterThan(standing.holdingGust! + 1)
    expect(recommended!.depth).toBeGreaterThan(0.5)
  })
  it('asks as a gate post under its leaf', () => {
    const gate = {
      upgrade: 'gate',
      duty: 'gate-hinge',
      gate: { leafWidth: 1.2, leafMass: 45, hingeSpacing: 1.2 },
    } as const
    const [line, hung] = [third({}), third(gate)]
    // The leaf pulls day and night: what stood well goes over sooner.
    expect(hung.standing.holdingGust).toBeLessThan(line.standing.holdingGust!)
    const taken = hung.methods.find(({ method }) => method === hung.recommended!.method)!
    expect(taken.holdingGust).toBeGreaterThan(hung.standing.holdingGust!)
    expect(taken.method).not.toBe('refix-panels')
  })
  it('is mended first where something has failed, and looked at first where nobody has', () => {
    const rotted: Partial<Post> = {
      observations: { pushPivot: 'at-ground-line', probeAtGround: 0.04, comesUpright: 'easily' },
    }
    expect(third({ ...rotted, upgrade: 'stronger' }).recommended).toEqual(third(rotted).recommended)
    expect(third({ observations: {}, upgrade: 'stronger' }).recommended).toBeUndefined()
  })
  it('is planned with its line, among ways that hold more', () => {
    const job = planned({ upgrade: 'stronger' })
    const { posts } = lineChoice(job, 'A', tables)
    expect(posts.map(({ post }) => post)).toEqual(['A3'])
    const { standing, methods } = job.posts[2]!
    for (const { method } of posts[0]!.options)
      expect(methods.find((each) => each.method === method)!.holdingGust).toBeGreaterThan(standing.holdingGust!)
  })
})
