import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../data/demo/jobs'
import { AT, made, bare, pour } from '../../tests/support/someRecord'
import type { Job } from '../document/job'
import { timeline } from './timeline'

describe('the column of what happened', () => {
  const job = demoJobs()[1]!
  const all = timeline(job)
  it('has all of it, the newest first: read, said, entered, visited', () => {
    expect(all.map(({ at }) => at)).toEqual([...all.map(({ at }) => at)].sort((a, b) => b - a))
    const kinds = new Set(all.map(({ kind }) => kind))
    for (const kind of ['reading', 'verdict', 'choice', 'met', 'tick', 'as-built', 'minutes', 'sign-off', 'visit'])
      expect(kinds).toContain(kind)
    expect(new Set(all.map(({ id }) => id)).size).toBe(all.length)
  })
  it('shows what came after the sign-off as later', () => {
    const later = all.filter(({ isLater }) => isLater)
    expect(later.map(({ kind }) => kind)).toEqual(['reading', 'reading', 'reading'])
    expect(all.find(({ kind }) => kind === 'met')!.isLater).toBe(false)
  })
  it('keeps what was corrected or taken back, and says so', () => {
    const first = made('e1', '2026-03-01T10:00:00Z', 'observation', { says: 'wet' })
    const second = made('e2', '2026-03-01T11:00:00Z', 'correction', { says: 'dry' }, { corrects: 'e1' })
    const third = made('e3', '2026-03-01T12:00:00Z', 'observation', { says: 'no' }, { withdrawn: {} })
    const states = timeline({ ...bare(), entries: [first, second, third] }).map(({ id, state }) => [id, state])
    expect(states).toEqual([
      ['e3', 'withdrawn'],
      ['e2', 'stands'],
      ['e1', 'corrected'],
    ])
  })
  it('of a pour has its beginning, what went in, and its checks', () => {
    const poured: Job = {
      ...bare(),
      pours: [
        {
          ...pour,
          checks: [{ at: '2026-03-01T11:08:00Z', how: 'eye', face: 'along' }],
          handsOffAt: '2026-03-01T11:12:00Z',
        },
      ],
    }
    expect(timeline(poured, AT).map(({ kind }) => kind)).toEqual(['pour', 'check', 'lift', 'pour', 'lift'])
    expect(timeline(poured, { line: 'A', post: 'A1' })).toEqual([])
  })
})
