import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '~~/tests/support/builders'
import { resolveJob } from '../../resolve/resolve'
import { measuresIn } from '../../units/quantity'
import type { Post } from '../../document/job'
import { plan } from '../plan'
import { setOutAdvice } from './advice'
import { setOutLine } from './line'

function advice(facts: Partial<Post>, id = 'A2', method?: string): string {
  const rotted: Partial<Post> = {
    observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03 },
    repair: { method: 'new-post-concrete' },
    pointedAt: true,
  }
  const job = jobOf(runOfPosts(3, 2.4, (i) => ({ ...rotted, ...(i === 1 ? facts : {}) })))
  const line = resolveJob(job, tables).lines[0]!
  const i = line.posts.findIndex((post) => post.id === id)
  const { posts } = setOutLine(line, plan(job, tables).posts, tables)
  return setOutAdvice(line.posts[i]!, posts[i]!, method, measuresIn('metric')).join(' ')
}

describe('what is said at a post that is set', () => {
  it('names a tool that does not reach', () => {
    const hole = (depth: number) => ({
      repair: { method: 'new-post-concrete', tool: 'spade', holes: { 'new-post-concrete': { depth } } },
    })
    expect(advice(hole(0.9) as Partial<Post>)).toContain('reaches 0.70 m, the hole is 0.90 m')
    expect(advice(hole(0.7) as Partial<Post>)).not.toContain('reaches')
  })
  it('warns of panels that spring back after a long lean', () => {
    const leaning = (offset: number, onset?: 'after-storm'): Partial<Post> => ({
      observations: {
        pushPivot: 'at-ground-line',
        probeAtGround: 0.03,
        lean: { offset, over: 1.2 },
        ...(onset ? { onset } : {}),
      },
    })
    expect(advice(leaning(0.03, 'after-storm'))).not.toContain('spring back')
    expect(advice(leaning(0.03))).toContain('spring back')
    expect(advice(leaning(0.01))).not.toContain('spring back')
  })
  it('keeps the height by a mark on the post, braces an end, reads the brace', () => {
    expect(advice({})).toMatch(/Mark the ground on the post \d+ mm from its foot/)
    expect(advice({}, 'A1')).toContain('brace it off the old sound rail')
    expect(advice({}, 'A2', 'brace-and-resettle')).toContain('Read the pull on the brace')
  })
  it('says nothing at a post that stays', () => {
    expect(
      advice({ observations: { pushPivot: 'nothing-moves', probeAtGround: 0 }, repair: {}, pointedAt: false }),
    ).toBe('')
  })
})
