import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import type { Job } from '../document/job'
import { plan } from './plan'
import { askedWords, targetSentence } from './targetWords'

const asked = (target: NonNullable<Job['site']>['target']) => {
  const sound = { pushPivot: 'nothing-moves', probeAtGround: 0 } as const
  const footing = { kind: 'concrete', diameter: 0.2, top: 0.05, bottom: 0.4 } as const
  const posts = runOfPosts(4, 2.4, () => ({ soil: 'firm-clay', footing, observations: sound }))
  const job = jobOf(posts, { ...(target ? { target } : {}) })
  const line = { ...job.lines[0]!, remainingYears: 8 }
  return plan({ ...job, lines: [line] }, tables).posts[0]!.target
}
const words = (target: NonNullable<Job['site']>['target']) =>
  targetSentence(asked(target), (gust) => `${gust.toFixed(1)} m/s`)

describe('what a repair has to hold, in words', () => {
  it('is by years where nobody asked otherwise', () => {
    expect(words(undefined)).toBe(
      'It shall not go over at 38.0 m/s, once in 50 years, nor lean at 34.3 m/s, once in 10 years.',
    )
  })
  it('is short on a sheet', () => {
    const short = (by: 'years' | 'life') => askedWords(asked({ by }), (gust) => `${gust.toFixed(0)} m/s`)
    expect(short('years')).toBe('Asked: 38 m/s without going over, 34 m/s without leaning.')
    expect(short('life')).toMatch(/^Asked, for the years that the rest of the fence has left: 3\d m\/s without/)
  })
  it('says so where the life that is left decides: eight years, once in 36', () => {
    expect(asked({ by: 'life' }).by).toBe('life')
    expect(words({ by: 'life' })).toMatch(
      /once in 36 years, for the years that the rest of the fence has left, nor lean/,
    )
  })
  it('says so where the neighbours decide', () => {
    expect(words({ by: 'neighbours' })).toMatch(/, a tenth more than its sound neighbours hold, nor lean/)
  })
})
