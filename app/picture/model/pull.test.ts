import { describe, expect, it } from 'vitest'
import { plan } from '~~/core/plan/plan'
import { resolveJob } from '~~/core/resolve/resolve'
import type { Post } from '~~/core/document/job'
import { measuresIn } from '~~/core/units/quantity'
import { jobOf, runOfPosts, tables } from '~~/tests/support/builders'
import { pullModel } from './pullModel'

const hinge: Partial<Post> = { duty: 'gate-hinge', gate: { leafWidth: 1.2, leafMass: 40, hingeSpacing: 0.9 } }
const latch: Partial<Post> = { duty: 'gate-latch' }
function pullOf(second: Partial<Post>, third: Partial<Post>, of: 1 | 2) {
  const job = jobOf({ ...runOfPosts(4, 1.3, (i) => (i === 1 ? second : i === 2 ? third : {})), height: 1.8, gap: 0.05 })
  const line = resolveJob(job, tables).lines[0]!
  return pullModel(line, line.posts[of]!, plan(job, tables).posts[of]!, measuresIn('metric').force)
}

describe('the pull of a leaf', () => {
  it('goes towards the leaf, at the upper hinge', () => {
    const after = pullOf(hinge, latch, 1)!
    expect(after.to[0]).toBeGreaterThan(after.from[0])
    expect(after.from[1]).toBeCloseTo((1.8 + 0.05 + 0.9) / 2, 9)
    // 40 kg of 1.2 m: 40 · 9.80665 · 0.6 / 0.9 = 262 N.
    expect(after.note.text).toBe('the leaf pulls 0.3 kN')
    expect(after.note.side).toBe('right')
    const before = pullOf(latch, hinge, 2)!
    expect(before.to[0]).toBeLessThan(before.from[0])
    expect(before.note.side).toBe('left')
  })
  it('is not drawn where no leaf hangs, or nobody said where its hinges are', () => {
    expect(pullOf(hinge, latch, 2)).toBeUndefined()
    expect(pullOf({ ...hinge, gate: { leafWidth: 1.2, leafMass: 40 } }, latch, 1)).toBeUndefined()
    expect(pullOf({}, {}, 1)).toBeUndefined()
  })
})
