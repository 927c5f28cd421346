import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../data/demo/jobs'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import { plan } from '../plan/plan'
import type { Job, Post } from '../document/job'
import { alikeSets } from './alikeSets'

const rotted: Partial<Post> = {
  observations: { pushPivot: 'at-ground-line', comesUpright: 'easily', probeAtGround: 0.03 },
}
const other = { ...runOfPosts(3), id: 'B', posts: runOfPosts(3).posts.map((post) => ({ ...post, id: `B${post.id}` })) }
other.posts[2] = { ...other.posts[2]!, ...rotted }
const run = jobOf(runOfPosts(5, 2.4, (i) => (i === 1 || i === 3 ? rotted : {})))
const job: Job = { ...run, lines: [...run.lines, other] }
const named = (from: string, line = 'A') =>
  Object.fromEntries(
    alikeSets(plan(job, tables).posts, { line, post: from }).map(({ words, posts }) => [words, [...posts]]),
  )

describe('sets of posts to give something to', () => {
  it('are the line, what nobody looked at, and what failed alike, on other lines too', () => {
    expect(named('A2')).toEqual({
      'the whole line': ['A1', 'A2', 'A3', 'A4', 'A5'],
      'not looked at': ['A1', 'A3', 'A5'],
      'failed as this one': ['A2', 'A4', 'BA3'],
      none: [],
    })
  })
  it('know no likeness where nothing has failed', () => {
    expect(Object.keys(named('A3'))).toEqual(['the whole line', 'not looked at', 'none'])
    expect(named('BA1', 'B')['the whole line']).toEqual(['BA1', 'BA2', 'BA3'])
  })
  it('of the demo hold the post itself among those that failed like it', () => {
    const { posts } = plan(demoJobs().at(-1)!, tables)
    for (const from of posts) {
      const failed = alikeSets(posts, from).find(({ words }) => words === 'failed as this one')
      expect(failed?.posts.has(from.post) ?? false).toBe(from.diagnosis.inForce.length > 0)
    }
  })
})
