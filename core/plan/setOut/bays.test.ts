import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '~~/tests/support/builders'
import type { Line, Post } from '../../document/job'
import { resolveJob } from '../../resolve/resolve'
import { sharedOut } from './bays'

function shared(facts: Partial<Line>, set: string[], id: string, posts: Record<string, Partial<Post>> = {}) {
  const line = runOfPosts(4, 2.4, () => ({}))
  const job = jobOf({ ...line, ...facts, posts: line.posts.map((post) => ({ ...post, ...posts[post.id] })) })
  return sharedOut(resolveJob(job, tables).lines[0]!, (post) => set.includes(post), id)
}
const pipe = { id: 'pipe', kind: 'service', service: 'water', station: 2.5, offset: 0 } as const

describe('bays shared out between posts that stay', () => {
  it('are even where nothing is in the way', () => {
    const { from, to, moves, after } = shared({}, ['A2', 'A3'], 'A2', { A2: { station: 2 } })!
    expect([from, to]).toEqual(['A1', 'A4'])
    expect(moves.map(({ to: station }) => station)).toEqual([2.4, 4.8].map((each) => expect.closeTo(each, 4)))
    expect(after).toEqual([2.4, 2.4].map((each) => expect.closeTo(each, 4)))
  })
  it('keep clear of a pipe under the line, with the smallest largest bay', () => {
    // A2 may stand at 2.0 or at 3.0: with 2.0 the largest bay is 2.6, with 3.0 it is 3.0.
    const { moves, after } = shared({ marks: [pipe] }, ['A2', 'A3'], 'A2')!
    expect(moves.map(({ to }) => to)).toEqual([2, 4.6].map((each) => expect.closeTo(each, 4)))
    expect(after[1]).toBeCloseTo(2.6, 4)
  })
  it('do not mind a pipe that hangs on the fence', () => {
    const { moves } = shared({ marks: [{ ...pipe, above: true }] }, ['A2', 'A3'], 'A2')!
    expect(moves[0]!.to).toBeCloseTo(2.4, 4)
  })
  it('leave a place that was given up', () => {
    const moved = { A2: { met: [{ kind: 'boulder', depth: 0.4, decision: 'moved' }] } } as const
    const { moves } = shared({}, ['A2', 'A3'], 'A2', moved as never)!
    expect(Math.abs(moves[0]!.to - 2.4)).toBeGreaterThanOrEqual(0.35 - 1e-4)
  })
  it('are nothing for a post that stays', () => {
    expect(shared({}, ['A3'], 'A2')).toBeUndefined()
    expect(shared({}, ['A1'], 'A1')).toBeUndefined()
  })
})
