import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyJob } from '~~/tests/properties/anyJob'
import { jobOf, runOfPosts, tables } from '~~/tests/support/builders'
import { checkJob } from '../document/check'
import type { Job, Line, Post } from '../document/job'
import { lineSchema, markSchema } from '../document/lineSchema'
import { observationsSchema } from '../document/observationsSchema'
import { postSchema } from '../document/postSchema'
import { repairSchema } from '../document/repairSchema'
import { siteSchema } from '../document/siteSchema'
import { givesWay } from '../repair/links'
import { repairMethods } from '../repair/methods'
import type { MethodPlan } from './types'
import { plan, planner } from './plan'

/*
 * What must hold of every method, whichever there are: they are put together with posts, lines, loads and ground
 * here, and a method that is added is tried by being in the list.
 */

const METHODS = repairMethods.map(({ key }) => key)

const rotted: Partial<Post> = {
  section: { shape: 'rectangle', along: 0.125, across: 0.125 },
  footing: { kind: 'concrete', diameter: 0.3, top: 0.05, bottom: 0.7 },
  observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03, footingFound: 'adequate' },
  ageYears: 16,
}
const POSTS: [string, Partial<Post>][] = [
  ['rotted on a sound footing', rotted],
  [
    'leaning on a small footing',
    {
      ...rotted,
      footing: { kind: 'concrete', diameter: 0.2, bottom: 0.4 },
      observations: { pushPivot: 'footing-moves', probeAtGround: 0 },
    },
  ],
  [
    'round, in saturated sand, with soil behind it',
    {
      ...rotted,
      section: { shape: 'round', diameter: 0.12 },
      soil: 'medium-sand',
      saturated: true,
      steadyLoad: { pressure: 600, height: 0.4 },
    },
  ],
  ['with a leaf on it', { ...rotted, duty: 'gate-hinge', gate: { leafWidth: 1.1, leafMass: 30, hingeSpacing: 1.1 } }],
]
const alike = (count: number, post: Partial<Post>): Job => jobOf({ ...runOfPosts(count, 2.5, () => post), height: 1.5 })
/** One method of a post, beside making safe, which is always open. */
function methodOf(job: Job, id: string, key: string): MethodPlan {
  const among = repairMethods.filter((method) => method.key === key || method.key === 'make-safe')
  const { methods } = plan(job, tables, among).posts.find(({ post }) => post === id)!
  return methods.find(({ method }) => method === key)!
}
const changed = (job: Job, post: string, change: Partial<Post>): Job => ({
  ...job,
  lines: job.lines.map((line) => ({
    ...line,
    posts: line.posts.map((each) => (each.id === post ? { ...each, ...change } : each)),
  })),
})

describe.each(METHODS)('%s', (key) => {
  it.each(POSTS)('of a post %s among alike neighbours is the same wherever it stands among them', (_name, post) => {
    // Further from both ends than the wind feels them.
    const first = methodOf(alike(11, post), 'A6', key)
    const inMore = alike(13, post)
    for (const id of ['A6', 'A7', 'A8']) expect(methodOf(inMore, id, key)).toEqual(first)
  })

  it.each(POSTS)('of a post %s is moved by nothing that does not touch it', (_name, post) => {
    const job = alike(5, post)
    const before = methodOf(job, 'A3', key)
    const elsewhere: Partial<Post>[] = [
      { observations: { pushPivot: 'nothing-moves' } },
      { soil: 'loose-sand', saturated: true },
      { material: 'oak', section: { shape: 'round', diameter: 0.2 }, length: 3 },
      { footing: { kind: 'none' }, ageYears: 1 },
      { repair: { method: 'new-post-concrete', hole: { depth: 1.2 } } },
      { steadyLoad: { pressure: 9_000, height: 1 } },
      { photographs: [{ id: 'p', pixelWidth: 1, pixelHeight: 1 }] },
    ]
    // A post that is tied to its neighbour rests on it.
    const other = key === 'tie-in' ? 'A5' : 'A4'
    for (const change of elsewhere) expect(methodOf(changed(job, other, change), 'A3', key)).toEqual(before)
    const noted = changed(job, 'A3', { photographs: [{ id: 'p', pixelWidth: 1, pixelHeight: 1 }], readings: [] })
    expect(methodOf(noted, 'A3', key)).toEqual(before)
    const another: Line = { ...runOfPosts(2, 3), id: 'Z', height: 3, posts: [{ id: 'Z1', station: 0 }] }
    expect(methodOf({ ...job, name: 'Other', lines: [...job.lines, another] }, 'A3', key)).toEqual(before)
  })

  /** A hole that does not grow with what is asked of it. */
  const small: Partial<Post> = { repair: { method: key, hole: { diameter: 0.3, depth: 0.8 } } }

  it('under a load that crushes it has no link that still stands', () => {
    for (const load of [
      { steadyLoad: { pressure: 20_000, height: 1.5 } },
      { duty: 'gate-hinge' as const, gate: { leafWidth: 6, leafMass: 1_000, hingeSpacing: 0.3 } },
    ]) {
      const { links, holdsTarget, holdingGust } = methodOf(alike(5, { ...rotted, ...load, ...small }), 'A3', key)
      // Rails carry their share of what leans on the panel, and no more.
      expect(links.filter((link) => link.link !== 'rail-fixings' && givesWay(link) > 0)).toEqual([])
      expect(holdsTarget).toBe(false)
      expect(holdingGust ?? 0).toBe(0)
    }
  })

  it('with more on it never holds more', () => {
    const held = (post: Partial<Post>) =>
      methodOf(alike(5, { ...rotted, ...post, ...small }), 'A3', key).holdingGust ?? 0
    const gusts = [0, 200, 800, 2_500, 8_000].map((pressure) => held({ steadyLoad: { pressure, height: 0.5 } }))
    expect(gusts).toEqual([...gusts].sort((a, b) => b - a))
  })

  it.each(POSTS)('of a post %s pours what the hole and the old block left, less what stands in it', (_name, post) => {
    for (const diameter of [0.25, 0.45, 0.8]) {
      const of = { ...post, repair: { method: key, hole: { diameter, depth: 0.9 } } }
      // Beside an old block a spur fills what came out of it, which has a test of its own.
      if (key === 'repair-spur' && post.footing?.kind === 'concrete') continue
      const { concrete, hole: designed } = methodOf(alike(5, of), 'A3', key)
      if (!concrete) continue
      // A pier stands over the ground in its tube.
      const collar = Math.max(0, -designed!.fillTop) * Math.PI * (designed!.diameter / 2) ** 2
      const { hole, void: left, concrete: poured, stone, topping, solids } = concrete
      // Over-dig is filled with concrete, and is in what was dug.
      expect(poured + stone + topping + solids).toBeCloseTo(hole + left + collar, 9)
      for (const part of [poured, stone, topping, solids, left]) expect(part).toBeGreaterThanOrEqual(0)
    }
  })

  it('stands where it says: nothing over the fence, nothing under its hole', () => {
    const job = alike(5, rotted)
    const { hole } = methodOf(job, 'A3', key)
    expect(hole === undefined || hole.footingBottom < hole.depth + 1e-9).toBe(true)
  })
})

describe('what a planner remembers', () => {
  const POOL = fc.sample(anyJob(tables), { numRuns: 600, seed: 20260314 })
  /** Keys that are kept for the record, for the drawing or for other work: they change no figure. */
  const RECORD = new Set([
    'id',
    'name',
    'note',
    'station',
    'posts',
    'course',
    'levelReference',
    'cornerAtEnd',
    'length',
    'readings',
    'photographs',
    'parts',
    'judgement',
  ])
  const base = alike(3, { ...rotted, gate: { leafWidth: 1, leafMass: 20 } })
  const fieldsOf = (schema: unknown) => Object.keys((schema as { fields: object }).fields)

  /** Values that valid jobs have under a key. */
  function values<T extends object>(of: (job: Job) => (T | undefined)[], key: string): unknown[] {
    return POOL.flatMap(of).flatMap((each) => {
      const value = (each as Record<string, unknown> | undefined)?.[key]
      return value === undefined ? [] : [value]
    })
  }
  const PLACES: [
    string,
    unknown,
    (job: Job) => (object | undefined)[],
    (job: Job, key: string, value: unknown) => Job,
  ][] = [
    ['site', siteSchema, (job) => [job.site], (job, key, value) => ({ ...job, site: { ...job.site, [key]: value } })],
    [
      'line',
      lineSchema,
      (job) => job.lines,
      (job, key, value) => ({ ...job, lines: [{ ...job.lines[0]!, [key]: value }] }),
    ],
    ['post', postSchema, (job) => job.lines[0]!.posts, (job, key, value) => changed(job, 'A2', { [key]: value })],
    [
      'observations',
      observationsSchema,
      (job) => job.lines[0]!.posts.map(({ observations }) => observations),
      (job, key, value) =>
        changed(job, 'A2', { observations: { ...job.lines[0]!.posts[1]!.observations, [key]: value } }),
    ],
    [
      'repair',
      repairSchema,
      (job) => job.lines[0]!.posts.map(({ repair }) => repair),
      (job, key, value) => changed(job, 'A2', { repair: { ...job.lines[0]!.posts[1]!.repair, [key]: value } }),
    ],
    [
      'mark',
      markSchema,
      (job) => job.lines[0]!.marks ?? [],
      (job, key, value) => ({
        ...job,
        lines: [
          { ...job.lines[0]!, marks: [{ id: 'm', kind: 'service', station: 2.5, offset: 0, [key]: value } as never] },
        ],
      }),
    ],
  ]
  const KEYS = PLACES.flatMap(([place, schema, of, put]) =>
    fieldsOf(schema)
      .filter((key) => !RECORD.has(key))
      .map((key) => [place, key, of, put] as const),
  )

  it.each(KEYS)('%s %s: a change of it is planned anew', (_place, key, of, put) => {
    const jobs = values(of, key)
      .slice(0, 8)
      .map((value) => put(base, key, value))
      .filter((job) => checkJob(job, tables).length === 0)
    expect(jobs.length).toBeGreaterThan(0)
    const remembering = planner(tables)
    remembering(base)
    for (const job of jobs) {
      expect(remembering(job)).toEqual(plan(job, tables))
      remembering(base)
    }
  })

  it('holds for parts and judgements too', () => {
    const remembering = planner(tables)
    for (const change of [
      {},
      { repair: { method: 'repair-spur', parts: { spur: tables.parts.lists.spur.rows.at(-1)!.key } } },
      { repair: { method: 'repair-spur', parts: { fixing: tables.parts.lists.fixing.rows.at(-1)!.key } } },
      { judgement: { found: { cause: tables.causes.causes[1]!.key, at: '2026-03-14T09:30:00Z', note: '' } } },
      { judgement: { cleared: { note: 'the owner knows', at: '2026-03-14T09:30:00Z' } } },
    ] as Partial<Post>[]) {
      const job = changed(base, 'A2', change)
      expect(remembering(job)).toEqual(plan(job, tables))
    }
  })

  it('of a post far away moves no other: a mark, a neighbour’s place', () => {
    const remembering = planner(tables)
    remembering(base)
    const moved = {
      ...base,
      lines: [
        { ...base.lines[0]!, posts: base.lines[0]!.posts.with(2, { ...base.lines[0]!.posts[2]!, station: 5.6 }) },
      ],
    }
    expect(remembering(moved)).toEqual(plan(moved, tables))
  })
})
