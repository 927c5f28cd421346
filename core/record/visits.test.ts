import { describe, expect, it } from 'vitest'
import { made, bare } from '../../tests/support/someRecord'
import type { Entry, Job, Visit } from '../document/job'
import { visitEvents } from './visitEvents'
import { afterStorm, monthsAfter, visitsDue, watchedPosts } from './visits'

describe('visits', () => {
  const signed = (at: string, method = 'new-post-concrete'): Entry =>
    made(`s-${at}`, at, 'sign-off', { method, name: 'Wren' })
  const visit = (why: Visit['why'], doneAt: string): Visit => ({
    id: `v-${why}`,
    posts: ['A2'],
    due: doneAt,
    why,
    doneAt,
  })
  const due = (job: Job) => visitsDue(job).map(({ why, due: when }) => [why, new Date(when).toISOString().slice(0, 10)])

  it('come after three months, after a year, and yearly where a gate hangs', () => {
    const job: Job = { ...bare({ duty: 'gate-hinge' }), entries: [signed('2026-03-03T10:00:00Z')] }
    expect(due(job)).toEqual([['months-3', '2026-06-03']])
    const quarter = { ...job, visits: [visit('months-3', '2026-06-10T10:00:00Z')] }
    expect(due(quarter)).toEqual([['year-1', '2027-03-03']])
    const year = { ...quarter, visits: [...quarter.visits, visit('year-1', '2027-03-05T10:00:00Z')] }
    expect(due(year)).toEqual([['yearly', '2028-03-03']])
    const second = { ...year, visits: [...year.visits, visit('yearly', '2028-02-20T10:00:00Z')] }
    expect(due(second)).toEqual([['yearly', '2029-03-03']])
    const { duty: _gate, ...plain } = year.lines[0]!.posts[1]!
    expect(due({ ...year, lines: [{ ...year.lines[0]!, posts: [plain] }] })).toEqual([])
  })
  it('of a stop-gap come within two weeks', () => {
    expect(due({ ...bare(), entries: [signed('2026-03-03T10:00:00Z', 'make-safe')] })).toEqual([
      ['return', '2026-03-17'],
    ])
  })
  it('of posts of one day and one reason are one', () => {
    const other = { ...signed('2026-03-03T15:00:00Z'), post: 'A3', id: 'other' }
    const [one] = visitsDue({ ...bare(), entries: [signed('2026-03-03T10:00:00Z'), other] })
    expect(one!.posts).toEqual(['A2', 'A3'])
  })
  it('keep the day of the month, or its last', () => {
    expect(new Date(monthsAfter(Date.parse('2026-11-30T10:00:00Z'), 3)).toISOString()).toBe('2027-02-28T10:00:00.000Z')
    expect(new Date(monthsAfter(Date.parse('2027-12-31T23:00:00Z'), 2)).toISOString()).toBe('2028-02-29T23:00:00.000Z')
  })
  it('come with the first storm since somebody was there', () => {
    const job: Job = {
      ...bare(),
      entries: [signed('2026-03-03T10:00:00Z')],
      visits: [visit('months-3', '2026-06-10T10:00:00Z')],
    }
    const gusts = [
      { at: Date.parse('2026-05-01T00:00:00Z'), gust: 31 },
      { at: Date.parse('2026-07-01T00:00:00Z'), gust: 27 },
      { at: Date.parse('2026-08-01T00:00:00Z'), gust: 29 },
    ]
    expect(watchedPosts(job)).toEqual([{ post: 'A2', since: Date.parse('2026-06-10T10:00:00Z') }])
    expect(afterStorm(watchedPosts(job), gusts, 28)).toMatchObject({ why: 'gust', posts: ['A2'], due: gusts[2]!.at })
    expect(afterStorm(watchedPosts(job), gusts, 30)).toBeUndefined()
    expect(visitsDue(job, { gusts, storm: 28 }).map(({ why }) => why)).toEqual(['gust', 'year-1'])
    const seen = { ...job, visits: [...job.visits!, visit('gust', '2026-08-02T10:00:00Z')] }
    expect(watchedPosts(seen)).toEqual([])
    // A storm visit of the repair before this one has seen nothing of it.
    const before = { ...job, visits: [visit('gust', '2026-03-01T10:00:00Z')] }
    expect(watchedPosts(before)).toEqual([{ post: 'A2', since: Date.parse('2026-03-03T10:00:00Z') }])
    expect(visitsDue(before, { gusts, storm: 28 }).map(({ why }) => why)).toEqual(['gust', 'months-3'])
  })
  it('that somebody wrote down stand among them with what is open, and in the calendar under a name that stays', () => {
    const written: Visit = { id: 'w', posts: ['A2'], due: '2026-04-01T09:00:00Z', why: 'return', open: ['two clips'] }
    const job: Job = { ...bare(), entries: [signed('2026-03-03T10:00:00Z')], visits: [written] }
    expect(due(job)).toEqual([
      ['return', '2026-04-01'],
      ['months-3', '2026-06-03'],
    ])
    expect(visitEvents(job, 'job-1').map(({ uid, details }) => [uid, details])).toEqual([
      ['job-1-due-w-A2@vindex', 'A2\ntwo clips'],
      ['job-1-due-months-3-2026-06-03-A2@vindex', 'A2'],
    ])
  })
})
