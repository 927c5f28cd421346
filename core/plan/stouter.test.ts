import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '~~/tests/support/builders'
import type { Post } from '../document/job'
import { methodDetail } from './detail'
import { plan } from './plan'

const METHOD = 'new-post-concrete'
const rotted: Partial<Post> = {
  soil: 'firm-clay',
  section: { shape: 'rectangle', along: 0.1, across: 0.1 },
  observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03, comesUpright: 'easily' },
}
const job = (repair: Post['repair'] = {}) =>
  jobOf(
    runOfPosts(5, 1.8, () => ({ ...rotted, repair })),
    { exposure: 'sheltered', shelter: 0.7 },
  )
const way = (repair?: Post['repair']) =>
  plan(job(repair), tables).posts[2]!.methods.find(({ method }) => method === METHOD)!
const stouter = (repair?: Post['repair']) => methodDetail(job(repair), tables, 'A3', METHOD)!.stouter

describe('what a stouter post buys', () => {
  it('is what the plan says of one that is chosen', () => {
    const found = stouter({ method: METHOD })!
    expect(found.name).toBe('125 × 125 post')
    expect(found.before).toBeCloseTo(way({ method: METHOD }).holdingGust!, 9)
    // Its hole is asked anew: it is as wide as the stouter post wants.
    const chosen = way({ method: METHOD, parts: { post: 'post-125' } })
    expect(found.holdingGust).toBeCloseTo(chosen.holdingGust!, 9)
    expect(chosen.links.find(({ link }) => link === chosen.weakest)!.name).toBe(found.first)
  })
  it('is nothing where no stouter one is sold, or there is no new post', () => {
    expect(stouter({ method: METHOD, parts: { post: 'post-200' } })).toBeUndefined()
    expect(methodDetail(job(), tables, 'A3', 'repair-spur')!.stouter).toBeUndefined()
  })
})

describe('a post of one’s own', () => {
  it('is long enough, or short by so much', () => {
    const { length } = way().newPost!
    expect(way().newPost!.short).toBeUndefined()
    expect(way({ post: { length: length + 0.2 } }).newPost!.short).toBe(0)
    // The length that is asked is on the tape's step: what is wanting is counted to the millimetre.
    expect(way({ post: { length: length - 0.3 } }).newPost!.short).toBeCloseTo(0.3, 1)
  })
  it('bends as its own wood and section do', () => {
    const post = (material: NonNullable<Post['material']>) =>
      way({ post: { material, section: { shape: 'round', diameter: 0.12 } } }).links.find(
        ({ link }) => link === 'post',
      )!
    expect(post('oak').over).toBeGreaterThan(post('untreated-softwood').over!)
  })
})
