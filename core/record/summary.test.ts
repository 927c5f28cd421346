import { describe, expect, it } from 'vitest'
import { orchardSide } from '../../data/demo/orchardSide'
import type { Entry, Job } from '../document/job'
import { recordSummary } from './summary'

/** A line of posts that were all signed off, each on a day of its own. */
function signed(count: number): Job {
  const day = (i: number) => new Date(Date.UTC(2025, 0, 1 + i)).toISOString()
  return {
    format: 'vindex-job',
    version: 1,
    name: 'long',
    lines: [{ id: 'A', length: count, posts: Array.from({ length: count }, (_, i) => ({ id: `A${i}`, station: i })) }],
    entries: Array.from(
      { length: count },
      (_, i): Entry => ({
        id: `s${i}`,
        at: day(i),
        line: 'A',
        post: `A${i}`,
        kind: 'sign-off',
        value: { method: 'new-post-concrete', name: 'Wren' },
      }),
    ),
  }
}

describe('what the list of jobs shows of a record', () => {
  it('is nothing of a job without one', () => {
    const { entries: _entries, visits: _visits, ...bare } = orchardSide()
    expect(recordSummary({ ...bare, lines: [] })).toEqual({})
  })
  it('names the visits with what is left open, and only there', () => {
    const { visits, watched, teaches } = recordSummary(orchardSide())
    expect(visits![0]).toMatchObject({ why: 'return', open: ['Two clips of the lower rail are still missing.'] })
    expect(visits![1]).not.toHaveProperty('open')
    expect(watched).toEqual([{ post: 'O3', since: expect.any(Number) }])
    expect(teaches).toBe(true)
  })
  it('names a dozen visits and two hundred watched posts at most', () => {
    const { visits, watched } = recordSummary(signed(205))
    expect(visits).toHaveLength(12)
    expect(watched).toHaveLength(200)
  })
})
