import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import type { Job, Post } from '../document/job'
import { methodDetail } from './detail'
import { plan } from './plan'

/* A new post that is sized for the ground as it is, and what water makes of it. */

const METHOD = 'new-post-concrete'
const job = (post: Partial<Post>): Job => {
  const all = jobOf(
    {
      ...runOfPosts(5, 2.4, () => ({ soil: 'medium-sand', observations: { pushPivot: 'in-the-soil' } })),
      height: 1.8,
      gap: 0.05,
    },
    { exposure: 'sheltered', shelter: 0.7, gust50: 38 },
  )
  all.lines[0]!.posts[2] = { ...all.lines[0]!.posts[2]!, ...post }
  return all
}
const soaked = (post: Partial<Post> = {}) => methodDetail(job(post), tables, 'A3', METHOD)!.soaked
const newPost = (post: Partial<Post> = {}) =>
  plan(job(post), tables).posts[2]!.methods.find(({ method }) => method === METHOD)!

describe('on soaked ground', () => {
  it('a post in sand comes down to what the same hole holds in water', () => {
    const { hole, holdingGust } = newPost()
    const inWater = newPost({
      saturated: true,
      repair: { method: METHOD, holes: { [METHOD]: { depth: hole!.depth, diameter: hole!.diameter } } },
    })
    expect(holdingGust).toBeGreaterThan(38)
    expect(soaked()!.gust).toBeCloseTo(inWater.holdingGust!, 6)
    expect(soaked()!.returnYears).toBeCloseTo(inWater.returnYears!, 6)
    // Buoyed up and without its little cohesion, sand loses more than a third.
    expect(soaked()!.gust / holdingGust!).toBeLessThan(0.75)
  })
  it('nothing is said where it holds all the same, where water is in it already, or where it falls short dry', () => {
    expect(soaked({ soil: 'firm-clay' })).toBeUndefined()
    expect(soaked({ saturated: true })).toBeUndefined()
    expect(soaked({ repair: { method: METHOD, holes: { [METHOD]: { depth: 0.45, diameter: 0.2 } } } })).toBeUndefined()
    expect(methodDetail(job({}), tables, 'A3', 'refix-panels')?.soaked).toBeUndefined()
  })
})
