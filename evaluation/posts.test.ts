import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { CAUSES } from '../core/cause/tables'
import { tables } from '../tests/support/builders'
import { trialPosts } from './posts'
import { judged, postsPage } from './postsPage'

describe('thirty posts', () => {
  it('are of every cause and state', () => {
    expect(trialPosts).toHaveLength(30)
    expect(new Set(trialPosts.flatMap(({ expects }) => expects.cause ?? []))).toEqual(new Set(CAUSES))
    expect(new Set(trialPosts.map(({ expects }) => expects.state)).size).toBe(4)
  })

  it.each(trialPosts)('$name', (trial) => {
    const { expects } = trial
    const { post, first } = judged(trial, tables)
    expect(post.diagnosis.state).toBe(expects.state)
    if (expects.cause) expect(post.diagnosis.inForce).toContain(expects.cause)
    if (expects.repair.length === 0) expect(post.recommended).toBeUndefined()
    else expect(expects.repair).toContain(first?.method)
    // Nothing that is proposed leaves a cause unanswered; where only making safe is allowed, somebody else decides.
    if (first && first.method !== 'make-safe') expect(first.leavesUnsolved).toEqual([])
    else if (first) expect(post.diagnosis.redFlags).not.toEqual([])
    within(first?.hole?.depth, expects.depth)
    within(first?.concrete?.bags.count, expects.bags)
    // What moves, is broken or leans far is never said to hold.
    const { pushPivot = 'nothing-moves', breakFace = 'none' } = trial.post.observations ?? {}
    if (!['nothing-moves', 'panel-only'].includes(pushPivot) || breakFace !== 'none')
      expect(['moves', 'given-way']).toContain(post.standing.state)
  })

  it('are on the page as they come out', () => {
    expect(readFileSync('docs/thirty-posts.md', 'utf8')).toBe(postsPage(trialPosts, tables))
  })
})

function within(value: number | undefined, range: readonly [number, number] | undefined): void {
  if (value === undefined || range === undefined) return
  expect(value).toBeGreaterThanOrEqual(range[0] - 1e-9)
  expect(value).toBeLessThanOrEqual(range[1] + 1e-9)
}
