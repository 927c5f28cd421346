import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '../../../tests/support/builders'
import type { Post } from '../../document/job'
import { plan } from '../plan'
import { seenHistory } from './seenHistory'

const tilted: Partial<Post> = {
  observations: { pushPivot: 'footing-moves', footingFound: 'small', probeAtGround: 0, probeBelow: 0 },
}
const rotted: Partial<Post> = {
  observations: { pushPivot: 'at-ground-line', probeAtGround: 0.045, comesUpright: 'easily' },
}
const of = (change: (i: number) => Partial<Post>) => {
  const job = jobOf(runOfPosts(6, 2.4, (i) => ({ ageYears: 14, ...change(i) })))
  const ages = job.lines[0]!.posts.map(({ ageYears }) => ageYears)
  return seenHistory(plan(job, tables), 'A', ages, tables)
}

describe('the history that is seen', () => {
  it('counts what went by its footing, not what rotted', () => {
    expect(of((i) => (i === 1 ? tilted : i === 3 ? rotted : {}))).toEqual({ posts: 6, ageYears: 14, gone: 1 })
    expect(of(() => ({}))).toEqual({ posts: 6, ageYears: 14, gone: 0 })
  })
  it('takes the middle of the ages that are known, and is none where half of them are not', () => {
    expect(of((i) => ({ ageYears: i < 2 ? 3 : 15 }))!.ageYears).toBe(15)
    expect(of((i) => (i < 3 ? { ageYears: undefined as never } : {}))).toBeUndefined()
    expect(of(() => ({ ageYears: 0 }))).toBeUndefined()
  })
})
