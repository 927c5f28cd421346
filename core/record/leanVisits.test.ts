import { describe, expect, it } from 'vitest'
import type { Entry, Job, Post, Reading } from '../document/job'
import { AT, bare, made, pour } from '../../tests/support/someRecord'
import { leanSinceSet, leanTrends } from './leanVisits'

const reading = (at: string, across: number, more: Partial<Reading> = {}): Reading => ({
  id: at,
  at: `${at}T10:00:00Z`,
  by: 'Wren',
  instrument: 'spirit-level',
  observation: 'lean',
  value: { offset: across, over: 1.2, direction: 90 },
  ...more,
})
const job = (readings: Reading[], entries: Entry[] = [], more: Partial<Job> = {}): Job => ({
  ...bare({ readings }),
  entries,
  ...more,
})
const post = (of: Job): Post => of.lines[0]!.posts[1]!
const trends = (of: Job) => leanTrends(of, AT, post(of))
const days = (of: Job) => trends(of).visits.map(({ at }) => new Date(at).toISOString().slice(0, 10))

describe('the visits at which a lean was read', () => {
  const four = ['2026-01-05', '2026-03-05', '2026-06-05', '2026-09-05'].map((at, i) => reading(at, i * 0.003))
  it('are those since the post was set, by whatever says so first', () => {
    expect(days(job(four))).toHaveLength(4)
    const signed = made('s', '2026-06-01T09:00:00Z', 'sign-off', { method: 'new-post-concrete', name: 'Wren' })
    const plumbed = made('b', '2026-03-02T09:00:00Z', 'as-built', {
      plumb: { along: { how: 'level', offset: 0, over: 1 } },
    })
    const dug = made('d', '2026-01-01T09:00:00Z', 'as-built', { width: 0.4 })
    expect(days(job(four, [signed]))).toEqual(['2026-06-05', '2026-09-05'])
    expect(days(job(four, [signed, plumbed]))).toEqual(['2026-03-05', '2026-06-05', '2026-09-05'])
    expect(days(job(four, [signed, dug]))).toEqual(['2026-06-05', '2026-09-05'])
    expect(days(job(four, [signed], { pours: [pour] }))).toEqual(['2026-03-05', '2026-06-05', '2026-09-05'])
  })
  it('stand in their order, without what was taken back or is of something else', () => {
    const some = [four[2]!, four[0]!, { ...four[1]!, withdrawn: {} }, { ...four[3]!, observation: 'push' as never }]
    expect(days(job(some))).toEqual(['2026-01-05', '2026-06-05'])
  })
  it('give a trend by axis and by how far it has gone', () => {
    const { along, across, size, again, out, sameSeason } = trends(job(four))
    expect(along!.slope).toBeCloseTo(0, 9)
    // 9 mm over 1.2 m in 243 days.
    expect(across!.slope).toBeCloseTo(0.0113, 3)
    expect(size!.slope).toBeCloseTo(across!.slope, 6)
    expect({ again, out, sameSeason }).toEqual({ again: true, out: false, sameSeason: false })
  })
  it('draw a photograph and do not reckon with it', () => {
    const seen = trends(job([...four, reading('2026-10-05', 0.1, { instrument: 'photograph' })]))
    expect(seen.visits.at(-1)).toMatchObject({ isPicture: true })
    expect(seen.counted).toHaveLength(4)
    expect(seen.out).toBe(false)
  })
  it('are out of plumb by both ways together, more than one in sixty', () => {
    const both = (along: number, across: number) => [
      { offset: along, over: 1.2, direction: 0 },
      { offset: across, over: 1.2, direction: 90 },
    ]
    expect(trends(job([reading('2026-01-05', 0, { value: both(0.015, 0.012) })])).out).toBe(false)
    expect(trends(job([reading('2026-01-05', 0, { value: both(0.016, 0.014) })])).out).toBe(true)
  })
  it('compare one time of the year once they span one', () => {
    const year = [...four, reading('2027-01-10', 0.004)]
    const found = trends(job(year))
    expect(found.sameSeason).toBe(true)
    expect(found.counted.map(({ at }) => new Date(at).toISOString().slice(0, 10))).toEqual(['2026-01-05', '2027-01-10'])
    // Two of one season a month apart are no year.
    expect(trends(job([four[0]!, reading('2026-02-05', 0.001)])).sameSeason).toBe(false)
    // And one that stands alone in its season is compared with all.
    expect(trends(job([four[0]!, reading('2026-10-30', 0.001)])).sameSeason).toBe(false)
  })
  it('give nothing where there is none, or one', () => {
    expect(trends(job([]))).toMatchObject({ visits: [], along: null, size: null, out: false, again: false })
    expect(trends(job([four[1]!])).across).toBeNull()
  })
})

describe('the lean since a post was set', () => {
  const old = reading('2026-01-05', 0.075)
  const observed = (of: Job): Job => ({
    ...of,
    lines: of.lines.map((line) => ({
      ...line,
      posts: line.posts.map((each) =>
        each.id === AT.post ? { ...each, observations: { lean: { offset: 0.075, over: 1.2, direction: 0 } } } : each,
      ),
    })),
  })
  const since = (of: Job) => leanSinceSet(of, AT, post(of))
  it('is what is known, before anybody set it', () => {
    expect(since(observed(job([old])))).toEqual({ offset: 0.075, over: 1.2, direction: 0 })
  })
  it('is nothing until it is read anew: how it stood is over', () => {
    expect(since(observed(job([old], [], { pours: [pour] })))).toBeUndefined()
    const anew = reading('2026-05-01', 0.002)
    expect(since(observed(job([anew, old], [], { pours: [pour] })))).toEqual(anew.value)
    expect(since(observed(job([old, { ...anew, withdrawn: {} }], [], { pours: [pour] })))).toBeUndefined()
    expect(since(observed(job([old, { ...anew, value: null }], [], { pours: [pour] })))).toBeUndefined()
  })
})
