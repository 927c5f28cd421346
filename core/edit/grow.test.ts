import { describe, expect, it } from 'vitest'
import { snapStation } from '../setout/snap'
import { jobOf, runOfPosts } from '../../tests/support/builders'
import { copyOf, nextLineId, nextPostIds, sharedFacts } from './grow'

const job = jobOf(
  runOfPosts(4, 2.4, (i) => (i === 0 ? { material: 'oak', soil: 'gravel', observations: { tap: 'dull' } } : {})),
)
const [line] = job.lines

describe('growing a job', () => {
  it('names lines and posts that are not there yet', () => {
    expect(nextLineId(job)).toBe('B')
    const all = { ...job, lines: [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].map((id) => ({ ...line!, id })) }
    expect(nextLineId(all)).toBe('A2')
    const idOf = nextPostIds(job, 'A')
    expect([idOf(0), idOf(2), idOf(1)]).toEqual(['A5', 'A7', 'A6'])
  })

  it('hands on what a post is made of, not what was seen of it', () => {
    expect(sharedFacts(line!.posts[0]!)).toEqual({ material: 'oak', soil: 'gravel' })
  })

  it('copies a post a bay further on, or halfway where there is no room', () => {
    expect(copyOf(line!, line!.posts[3]!, 'A5')).toEqual({ id: 'A5', station: 9.6 })
    // 4.8 + 2.4 is a hair less than 7.2 in floating point.
    expect(copyOf(line!, line!.posts[2]!, 'A5').station).toBe(6)
    expect(copyOf(line!, line!.posts[0]!, 'A5')).toEqual({ id: 'A5', station: 1.2, material: 'oak', soil: 'gravel' })
  })
})

describe('a dragged post', () => {
  const between = { before: 0, after: 4.8, step: 0.01, reach: 0.05 }
  it.each([
    [2.37, between, 2.4, 'equal bays'],
    [2.303, between, 2.3, undefined],
    [1.85, { ...between, bayBefore: 1.83 }, 1.83, 'same bay'],
    [-1, between, 0.1, undefined],
    [9, between, 4.7, undefined],
    [5.234, { step: 0.0127, reach: 0.05 }, 5.2324, undefined],
    [-0.4, { step: 0.01, reach: 0.05, after: 2 }, 0, undefined],
  ])('pulled to %f rests at', (wanted, options, station, to) => {
    expect(snapStation(wanted, options)).toEqual({
      station: expect.closeTo(station, 9) as number,
      ...(to ? { to } : {}),
    })
  })
})
