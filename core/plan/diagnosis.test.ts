import { checkJob } from '../document/check'
import { applyCommand, applyCommands, inverseOfAll } from '../edit/apply'
import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import type { Command } from '../edit/commands'
import { readBatch } from '../edit/batch'
import { plan, planner } from './plan'
import type { Observations } from '../cause/observations'
import type { Line, Mark, Post, Site, Verdict } from '../document/job'

const rotted: Partial<Post> = {
  ageYears: 12,
  observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03, comesUpright: 'easily' },
}
const at = '2026-11-02T10:00:00Z'

function planOf(post: Partial<Post>, line: Partial<Line> = {}, site: Site = {}) {
  const job = jobOf({ ...runOfPosts(5, 2.4, (i) => (i === 2 ? post : {})), ...line }, site)
  return plan(job, tables).posts[2]!
}
const flagsOf = (post: Partial<Post>, marks: Mark[] = []) => planOf(post, { marks }).diagnosis.redFlags
const conditionsOf = (post: Partial<Post>, line: Partial<Line> = {}, site: Site = {}) =>
  planOf(post, line, site).diagnosis.conditions.map(({ condition }) => condition)

describe('red flags', () => {
  const mark = (change: Partial<Mark>): Mark => ({ id: 'm', kind: 'service', station: 4.8, ...change })

  it.each<[string, Partial<Post>, Mark[], RegExp]>([
    ['a load-bearing post that moves', { ...rotted, duty: 'load-bearing' }, [], /keep people off.*licensed builder/],
    ['a load-bearing post', { duty: 'load-bearing' }, [], /licensed builder or engineer decides/],
    ['peat', { soil: 'peat' }, [], /ask an engineer/],
    ['a gas line', rotted, [mark({ service: 'gas', offset: 0.5 })], /gas line lies 0\.50 m/],
    ['a drain', rotted, [mark({ service: 'drain' })], /A buried drain lies 0\.00 m/],
    ['a service of which nobody knows', rotted, [mark({})], /A buried service lies/],
    ['a large tree', rotted, [mark({ kind: 'tree', size: 0.4, offset: 0.9 })], /tree of 400 mm stands 0\.90 m away/],
    [
      'a wall where the posts lean together',
      { ...rotted, observations: { ...rotted.observations, leanPattern: 'neighbours-too' } },
      [mark({ kind: 'wall', offset: 0.3 })],
      /look whether it leans too/,
    ],
  ])('%s', (_name, post, marks, words) => {
    const flags = flagsOf(post, marks)
    expect(flags).toHaveLength(1)
    expect(flags[0]).toMatch(words)
  })

  it.each<[string, Mark[], Partial<Observations>?]>([
    ['a service further off', [mark({ offset: 1.2 })]],
    ['a sapling', [mark({ kind: 'tree', size: 0.1 })]],
    ['a downpipe', [mark({ kind: 'downpipe' })]],
    ['a wall beside a post that leans alone', [mark({ kind: 'wall' })]],
    ['posts that lean together far from any wall', [], { leanPattern: 'neighbours-too' }],
  ])('not %s', (_name, marks, seen = {}) => {
    expect(flagsOf({ ...rotted, observations: { ...rotted.observations, ...seen } }, marks)).toEqual([])
  })

  it('stop every repair but making it safe, until it is in hand', () => {
    const marks = [mark({ service: 'electricity', offset: 0.2 })]
    const allowed = (post: Partial<Post>) =>
      planOf(post, { marks })
        .methods.filter((each) => each.allowed)
        .map((each) => each.method)
    expect(allowed(rotted)).toEqual(['make-safe'])
    const cleared = { ...rotted, judgement: { cleared: { note: 'dead and disconnected', at } } }
    expect(allowed(cleared)).toContain('new-post-concrete')
    expect(planOf(cleared, { marks }).diagnosis).toMatchObject({ cleared: true, redFlags: [expect.any(String)] })
    // A note does not make anybody a licensed builder.
    const bearing = { ...cleared, duty: 'load-bearing' as const }
    expect(allowed(bearing)).toEqual(['make-safe'])
  })
})

describe('who says what failed', () => {
  const overruled: Verdict = { cause: 'insect-damage', note: 'galleries next door', at }
  const found: Verdict = { cause: 'undersized-footing', note: '', at }

  it('the readings, then the technician, then the digging', () => {
    expect(planOf(rotted).diagnosis).toMatchObject({ inForce: ['ground-line-decay'], decidedBy: 'readings' })
    expect(planOf({ ...rotted, judgement: { overruled } }).diagnosis).toMatchObject({
      inForce: ['insect-damage'],
      decidedBy: 'technician',
      leading: ['ground-line-decay'],
    })
    expect(planOf({ ...rotted, judgement: { overruled, found } }).diagnosis).toMatchObject({
      inForce: ['undersized-footing'],
      decidedBy: 'digging',
    })
    expect(planOf({}).diagnosis).toMatchObject({ inForce: [], decidedBy: 'readings' })
  })

  it('and the repair answers the cause in force', () => {
    const leaves = (post: Partial<Post>, method: string) =>
      planOf(post).methods.find((each) => each.method === method)!.leavesUnsolved
    expect(leaves(rotted, 'repair-spur')).toEqual([])
    expect(leaves({ ...rotted, judgement: { found } }, 'repair-spur')).toEqual(['Footing too small'])
    expect(leaves({ ...rotted, judgement: { found } }, 'recast-footing')).toEqual([])
  })

  it('is kept by commands that can be taken back, and refused when it is no cause', () => {
    const job = jobOf(runOfPosts(2))
    const said: Command = { name: 'setJudgement', line: 'A', post: 'A2', key: 'overruled', value: overruled }
    const after = applyCommand(job, said)
    expect(after.lines[0]!.posts[1]!.judgement).toEqual({ overruled })
    expect(applyCommands(after, inverseOfAll(job, [said]))).toEqual(job)
    expect(checkJob(after, tables)).toEqual([])
    const wrong = applyCommand(job, { ...said, value: { ...overruled, cause: 'bad luck' } } as unknown as Command)
    expect(checkJob(wrong, tables)[0]!.key).toBe('lines[0].posts[1].judgement.overruled.cause')
    expect(() => readBatch({ id: '12345678', version: 1, commands: [{ ...said, key: 'guess' }] })).toThrow(
      expect.objectContaining({ key: 'commands[0].key' }),
    )
  })
})

describe('contributing conditions', () => {
  it.each<[string, Partial<Post>, Partial<Line>, Site, string]>([
    ['heaped soil', { observations: { groundAround: ['heaped-soil'] } }, {}, {}, 'heaped-soil'],
    ['a dish of water', { observations: { groundAround: ['water-holding-top'] } }, {}, {}, 'dished-footing'],
    ['a gaping wrap', { observations: { wrap: 'gaping' } }, {}, {}, 'gaping-wrap'],
    ['cladding on the soil', {}, { gap: 0 }, {}, 'cladding-in-soil'],
    ['boards in the open', {}, { kind: 'close-boarded' }, { exposure: 'open', shelter: 1 }, 'solid-in-the-wind'],
    ['a root', { observations: { groundAround: ['root'] } }, {}, {}, 'roots'],
    ['a downpipe near by', {}, { marks: [{ id: 'd', kind: 'downpipe', station: 5 }] }, {}, 'standing-water'],
    ['wet ground', { saturated: true }, {}, {}, 'standing-water'],
    ['a tick', { conditions: ['open-end-grain'] }, {}, {}, 'open-end-grain'],
  ])('%s', (_name, post, line, site, condition) => {
    expect(conditionsOf(post, line, site)).toContain(condition)
  })

  it('says nothing without a sign', () => {
    expect(conditionsOf({}, { gap: 0.05 }, { exposure: 'sheltered' })).toEqual([])
  })

  it('counts repairs of more than two kinds along the line', () => {
    const methods = ['repair-spur', 'recast-footing', 'new-post-concrete']
    const mixed = jobOf(
      runOfPosts(4, 2.4, (i) => (methods[i] ? { repair: { method: methods[i]! } } : {})),
      { exposure: 'sheltered' },
    )
    expect(plan(mixed, tables).posts[3]!.diagnosis.conditions.map(({ condition }) => condition)).toEqual([
      'mixed-repairs',
    ])
  })

  it('follows the repairs of the neighbours, remembered or not', () => {
    const kinds = ['repair-spur', 'recast-footing', 'new-post-concrete']
    const withRepairs = (count: number) =>
      jobOf(
        runOfPosts(4, 2.4, (i) => (i < count ? { repair: { method: kinds[i]! } } : {})),
        { exposure: 'sheltered' },
      )
    const remembering = planner(tables)
    for (const count of [2, 3, 2]) {
      const { conditions } = remembering(withRepairs(count)).posts[3]!.diagnosis
      expect(conditions.some(({ condition }) => condition === 'mixed-repairs')).toBe(count > 2)
    }
  })

  it('tells what was seen from what was ticked', () => {
    const both = planOf({
      conditions: ['heaped-soil', 'open-end-grain'],
      observations: { groundAround: ['heaped-soil'] },
    })
    expect(
      both.diagnosis.conditions
        .filter(({ condition }) => condition !== 'solid-in-the-wind')
        .map(({ condition, from }) => [condition, from]),
    ).toEqual([
      ['heaped-soil', 'readings'],
      ['open-end-grain', 'person'],
    ])
  })
})
