import { fc, test } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { tables } from '../../data/tables'
import { demoJobs } from '../../data/demo/jobs'
import { updatedShares, withCounts, type CountedRow } from '../cause/counted'
import { diagnose } from '../cause/diagnose'
import type { Cause } from '../cause/tables'
import { resolveJob } from '../resolve/resolve'
import { YARD_TABLES } from '../../data/yard'
import { rowProblems } from '../yard/check'
import {
  brierScore,
  countedKey,
  countedRows,
  openedPosts,
  opinionTable,
  reliability,
  type OpinionCase,
} from './opinion'

const opened = (
  said: Cause,
  chances: Partial<Record<Cause, number>>,
  found: Cause[],
  read: OpinionCase['read'] = [],
): OpinionCase => ({
  post: 'A1',
  at: '2026-03-01T10:00:00Z',
  said,
  chances,
  found,
  read,
})

describe('the first opinion of a post that was opened', () => {
  it('is that of the readings before the digging, and what a person said then', () => {
    const job = demoJobs()[1]!
    const [only, ...others] = openedPosts(job, tables, resolveJob(job, tables))
    expect(others).toEqual([])
    expect(only).toMatchObject({ post: 'O3', said: 'ground-line-decay', found: ['bad-concrete'] })
    // What the digging showed is no opinion before it.
    expect(only!.read.map(({ observation }) => observation)).toEqual(['pushPivot', 'probeAtGround'])
    const sum = Object.values(only!.chances).reduce((total, each) => total + each, 0)
    expect(sum).toBeCloseTo(1, 9)
  })
  it('is the likeliest cause where nobody said another, and none where nothing was read', () => {
    const [job] = [demoJobs()[1]!]
    const change = (post: object) => ({
      ...job,
      lines: job.lines.map((line) => ({
        ...line,
        posts: line.posts.map((each) => (each.id === 'O3' ? { ...each, ...post } : each)),
      })),
    })
    const found = job.lines[0]!.posts[2]!.judgement!.found!
    const silent = change({ judgement: { found } })
    const [first] = openedPosts(silent, tables, resolveJob(silent, tables))
    const [most] = Object.entries(first!.chances).sort(([, a], [, b]) => b - a)
    expect(first!.said).toBe(most![0])
    const unread = change({ judgement: { found }, readings: [], observations: { footingFound: 'cracked' } })
    expect(openedPosts(unread, tables, resolveJob(unread, tables))).toEqual([])
  })
})

describe('said against found', () => {
  const cases = [
    opened('ground-line-decay', { 'ground-line-decay': 0.7, 'bad-concrete': 0.3 }, ['ground-line-decay']),
    opened('ground-line-decay', { 'ground-line-decay': 0.9, 'bad-concrete': 0.1 }, ['bad-concrete']),
    opened('no-footing', { 'no-footing': 1 }, ['no-footing', 'soft-ground']),
  ]
  it('is a table by cause, with what was missed', () => {
    expect(opinionTable(cases)).toEqual([
      { cause: 'ground-line-decay', said: 2, right: 1, found: 1 },
      { cause: 'no-footing', said: 1, right: 1, found: 0.5 },
      { cause: 'bad-concrete', said: 0, right: 0, found: 1 },
      { cause: 'soft-ground', said: 0, right: 0, found: 0.5 },
    ])
  })
  it('is scored as Brier has it, several causes sharing one', () => {
    expect(brierScore([cases[0]!])).toBeCloseTo(0.09 + 0.09, 12)
    expect(brierScore([cases[1]!])).toBeCloseTo(0.81 + 0.81, 12)
    expect(brierScore([cases[2]!])).toBeCloseTo(0.25 + 0.25, 12)
    expect(brierScore(cases)).toBeCloseTo((0.18 + 1.62 + 0.5) / 3, 12)
    expect(brierScore([])).toBeNaN()
  })
  it('is reliable where what was said 0.2 comes in one of five', () => {
    const many = Array.from({ length: 50 }, (_, i) =>
      opened('wind-snap', { 'wind-snap': 0.8, 'gate-pull': 0.2 }, [i % 5 === 0 ? 'gate-pull' : 'wind-snap']),
    )
    const bins = reliability(many)
    expect(bins).toHaveLength(10)
    expect(new Set(bins.map(({ count }) => count))).toEqual(new Set([10]))
    for (const { said, came } of bins) expect(came).toBeCloseTo(said, 12)
  })
})

describe('likelihoods of one’s own', () => {
  it('are the worked ones', () => {
    const found = updatedShares({ a: 0.7, b: 0.2, c: 0.1 }, { a: 4, b: 5, c: 1 })
    expect(Object.values(found).map((each) => Math.round(each * 1e9) / 1e9)).toEqual([0.6, 0.3, 0.1])
  })
  test.prop([
    fc
      .array(fc.integer({ min: 0, max: 20 }), { minLength: 3, maxLength: 8 })
      .filter((list) => list.some((each) => each > 0)),
    fc.array(fc.integer({ min: 0, max: 40 }), { minLength: 8, maxLength: 8 }),
  ])('are shares of one, keep what cannot be, and go to what was counted', (weights, counted) => {
    const total = weights.reduce((sum, each) => sum + each, 0)
    const shipped = Object.fromEntries(weights.map((weight, i) => [`v${i}`, weight / total]))
    const counts = Object.fromEntries(counted.map((count, i) => [`v${i}`, count]))
    const found = updatedShares(shipped, counts)
    expect(Object.values(found).reduce((sum, each) => sum + each, 0)).toBeCloseTo(1, 9)
    for (const [value, share] of Object.entries(shipped)) {
      if (share === 0) expect(found[value]).toBe(0)
      else expect(found[value]).toBeGreaterThan(0)
    }
    const many = updatedShares(
      shipped,
      Object.fromEntries(Object.entries(counts).map(([value, count]) => [value, count * 1e6])),
    )
    const possible = Object.keys(shipped).filter((value) => shipped[value]! > 0)
    const all = possible.reduce((sum, value) => sum + (counts[value] ?? 0), 0)
    fc.pre(all > 0)
    for (const value of possible) expect(many[value]).toBeCloseTo((counts[value] ?? 0) / all, 3)
  })

  const name = (cause: Cause, observation: string, value: string) => `${cause} ${observation} ${value}`
  const rotted = Array.from({ length: 30 }, () =>
    opened('ground-line-decay', {}, ['ground-line-decay'], [{ observation: 'pushPivot', value: 'in-the-soil' }]),
  )
  it('count a half in each of two causes, and only what was read', () => {
    const rows = countedRows(
      [
        opened('no-footing', {}, ['no-footing', 'soft-ground'], [{ observation: 'pushPivot', value: 'in-the-soil' }]),
        ...rotted.slice(0, 2),
      ],
      name,
    )
    expect(rows.map(({ key, count, posts }) => [key, count, posts])).toEqual([
      ['no-footing-push-pivot-in-the-soil', 0.5, 0.5],
      ['soft-ground-push-pivot-in-the-soil', 0.5, 0.5],
      ['ground-line-decay-push-pivot-in-the-soil', 2, 2],
    ])
  })
  it('move the diagnosis, and give it back when they are taken out', () => {
    const facts = { material: 'treated-softwood', duty: 'line', ageYears: 10 }
    const chance = (counted: readonly CountedRow[]) =>
      diagnose(facts, { pushPivot: 'in-the-soil' }, withCounts(tables.causes, counted)).causes.find(
        ({ cause }) => cause === 'ground-line-decay',
      )!.probability
    const before = chance([])
    expect(chance(countedRows(rotted, name))).toBeGreaterThan(3 * before)
    expect(withCounts(tables.causes, [])).toBe(tables.causes)
    // Commonness is left as it is.
    expect(withCounts(tables.causes, countedRows(rotted, name)).causes).toBe(tables.causes.causes)
  })
})

describe('the name of a counted row', () => {
  it('is one that the yard takes, for every cause and value that there is', () => {
    for (const { key: cause } of tables.causes.causes)
      for (const row of tables.causes.evidence)
        for (const value of Object.keys(row.usual)) {
          const key = countedKey(cause, row.observation, value)
          const counted = { key, name: 'x', cause, observation: row.observation, value, count: 1, posts: 2 }
          expect([key, rowProblems(YARD_TABLES.find((each) => each.key === 'counted')!, counted)]).toEqual([key, []])
        }
  })
})
