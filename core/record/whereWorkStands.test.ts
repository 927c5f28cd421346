import { describe, expect, it } from 'vitest'
import { tables } from '../../data/tables'
import { orchardSide } from '../../data/demo/orchardSide'
import type { Job, Post } from '../document/job'
import { plan } from '../plan/plan'
import { whereWorkStands } from './whereWorkStands'

const orchard = orchardSide()
const at = (job: Job) => plan(job, tables).posts[whereWorkStands(job, plan(job, tables))]?.post
const withPost = (job: Job, id: string, post: Partial<Post>): Job => ({
  ...job,
  lines: job.lines.map((line) => ({
    ...line,
    posts: line.posts.map((each) => (each.id === id ? { ...each, ...post } : each)),
  })),
})
const failed: Partial<Post> = { pointedAt: true, observations: { pushPivot: 'at-ground-line', probeAtGround: 0.02 } }

describe('where a job opens', () => {
  it('is where somebody is to come back, once all is mended', () => {
    expect(at(orchard)).toBe('O3')
  })
  it('is the post whose repair is chosen and not signed off, before that', () => {
    expect(at(withPost(orchard, 'O6', { repair: { method: 'new-post-concrete' } }))).toBe('O6')
  })
  it('is a post that nobody has looked at, before that', () => {
    const chosen = withPost(orchard, 'O6', { repair: { method: 'new-post-concrete' } })
    expect(at(withPost(chosen, 'O7', { pointedAt: true, observations: {} }))).toBe('O7')
  })
  it('is a post that failed and has no repair, before all others', () => {
    const two = withPost(orchard, 'O7', { pointedAt: true, observations: {} })
    expect(at(withPost(two, 'O8', failed))).toBe('O8')
    expect(at(withPost(two, 'O8', { ...failed, repair: { method: 'new-post-concrete' } }))).toBe('O7')
  })
  it('is the first post where nothing waits, and of no post the first', () => {
    const { entries: _entries, visits: _visits, ...rest } = withPost(orchard, 'O3', { repair: {} })
    const sound = withPost(rest, 'O3', {
      observations: { pushPivot: 'nothing-moves', probeAtGround: 0 },
      judgement: {},
    })
    expect(at(sound)).toBe('O1')
    expect(whereWorkStands({ ...rest, lines: [] }, plan({ ...rest, lines: [] }, tables))).toBe(0)
  })
})
