import { describe, expect, it } from 'vitest'
import { tables } from '../../data/tables'
import { jobOf, runOfPosts } from '../../tests/support/builders'
import type { Entry, Job, Pour, Post } from '../document/job'
import { plan } from '../plan/plan'
import type { CatalogueRow } from '../cost/catalogue'
import { jobBills } from '../cost/jobBills'
import { spareOf } from '../cost/merge'
import { exact } from '../money/exact'
import { resolveJob } from '../resolve/resolve'
import { learntKey, learntOf, learntSpares, type LearntRow } from '../tables/learnt'
import { lessonsOf, teaches, type RatioLesson } from './lessons'
import { bootstrapInterval, learntFigures, rowOfFigure } from './learnt'

const ratio = (of: number, more: Partial<RatioLesson> = {}): RatioLesson => ({
  kind: 'over-dig',
  post: 'A1',
  at: '2026-03-01T10:00:00Z',
  tool: 'spade',
  soil: 'firm-clay',
  ratio: of,
  ...more,
})

describe('the interval of a median', () => {
  it('is that of two thousand resamples: by the binomial law its ends are known', () => {
    // Of eleven values the median of a resample is at most the k-th with the binomial chance of six or more of eleven.
    const values = Array.from({ length: 11 }, (_, i) => i + 1)
    const [low, high] = bootstrapInterval(values)
    const atMost = (k: number) => {
      const p = k / 11
      let sum = 0
      for (let i = 6; i <= 11; i++) sum += choose(11, i) * p ** i * (1 - p) ** (11 - i)
      return sum
    }
    const quantile = (share: number) => values.find((k) => atMost(k) >= share)!
    expect(low).toBe(quantile(0.05))
    expect(high).toBe(quantile(0.95))
  })
  it('is the same for the same records, and of one value that value', () => {
    expect(bootstrapInterval([1.1, 1.3, 1.2])).toEqual(bootstrapInterval([1.1, 1.3, 1.2]))
    expect(bootstrapInterval([1.2])).toEqual([1.2, 1.2])
  })
})
function choose(of: number, take: number): number {
  return take === 0 ? 1 : (choose(of, take - 1) * (of - take + 1)) / take
}

describe('learnt figures', () => {
  const five = [1.2, 1.1, 1.3, 1.15, 1.25]
  it('are none of four records, and of five the one in the middle', () => {
    expect(learntFigures(five.slice(1).map((of) => ratio(of)))).toEqual([])
    const found = learntFigures(five.map((of) => ratio(of)))
    expect(found.map(({ key }) => key)).toEqual(['over-dig-spade-firm-clay', 'over-dig-spade', 'over-dig'])
    expect(found[0]).toMatchObject({ median: 1.2, records: 5 })
    expect(found[0]!.ninety).toBeCloseTo(1.28, 12)
  })
  it('of a tool come from all soils, of all from all tools', () => {
    const mixed = [...five.map((of) => ratio(of)), ratio(2, { soil: 'gravel' }), ratio(1, { tool: 'auger' })]
    const by = new Map(learntFigures(mixed).map((each) => [each.key, each]))
    expect(by.get('over-dig-spade')!.records).toBe(6)
    expect(by.get('over-dig')!.records).toBe(7)
    expect(by.has('over-dig-spade-gravel')).toBe(false)
  })
  it('of pace are by step, and of one person where only that is wanted', () => {
    const paces = five.flatMap((of, i) => [
      ratio(of, { kind: 'minutes', task: 'dig', person: 'Wren' }),
      ratio(of * 2, { kind: 'minutes', task: 'dig', ...(i < 2 ? { person: 'Alder' } : {}) }),
    ])
    expect(learntFigures(paces).map(({ key, records }) => [key, records])).toEqual([['minutes-dig', 10]])
    expect(learntFigures(paces, 'Wren')[0]).toMatchObject({ median: 1.2, records: 5 })
    expect(learntFigures(paces, 'Alder')).toEqual([])
  })
  const rowFor = (of: { tool?: string; soil?: string }, median: number): LearntRow => ({
    key: learntKey('over-dig', of),
    name: 'x',
    kind: 'over-dig',
    median,
    ninety: median,
    records: 5,
  })
  it('stand for the tool in that soil, else for the tool, else for all', () => {
    const rows = [rowFor({}, 1.3), rowFor({ tool: 'spade' }, 1.2), rowFor({ tool: 'spade', soil: 'gravel' }, 1.4)]
    expect(learntOf(rows, 'over-dig', 'spade', 'gravel')!.median).toBe(1.4)
    expect(learntOf(rows, 'over-dig', 'spade', 'peat')!.median).toBe(1.2)
    expect(learntOf(rows, 'over-dig', 'auger', 'gravel')!.median).toBe(1.3)
    expect(learntOf(rows, 'bags', 'spade', 'gravel')).toBeUndefined()
  })
})

const AT = { line: 'A', post: 'A2' }
const post: Partial<Post> = {
  soil: 'firm-clay',
  material: 'treated-softwood',
  section: { shape: 'rectangle', along: 0.1, across: 0.1 },
  repair: {
    method: 'new-post-concrete',
    tool: 'spade',
    mix: 'post-mix-20',
    filling: 'wet-barrow',
    holes: { 'new-post-concrete': { diameter: 0.3, depth: 0.75, stoneBed: 0 } },
  },
}
const built = (value: unknown, more: Partial<Entry> = {}): Entry =>
  ({ id: 'b', at: '2026-03-01T12:00:00Z', by: 'Wren', ...AT, kind: 'as-built', value, ...more }) as Entry
const jobWith = (entries: Entry[], change: Partial<Post> = {}, pours: Pour[] = []): Job => ({
  ...jobOf(runOfPosts(3, 2.4, (i) => (i === 1 ? { ...post, ...change } : {}))),
  entries,
  pours,
})
const ratiosOf = (job: Job) => lessonsOf(job, tables).flatMap((each) => (each.kind === 'cause' ? [] : [each]))

describe('what a job teaches', () => {
  it('is how much larger a hole was than it was planned, by the tape', () => {
    const found = ratiosOf(jobWith([built({ depths: { start: 0.75, end: 0.75 }, width: 0.33 })]))
    expect(found).toMatchObject([{ kind: 'over-dig', tool: 'spade', soil: 'firm-clay' }])
    expect(found[0]!.ratio).toBeCloseTo(1.21, 9)
  })
  it('or by what went in, where nobody measured: the very share that the plan adds', () => {
    const job = jobWith([])
    const { concrete } = plan(job, tables).posts[1]!.methods.find(({ method }) => method === 'new-post-concrete')!
    const dug = concrete!.hole / (1 + concrete!.overdig)
    const bags = (concrete!.concrete - dug * concrete!.overdig + dug * 0.18) / 0.01
    const found = ratiosOf(jobWith([built({ bags })]))
    expect(found.map(({ kind }) => kind)).toEqual(['over-dig', 'bags'])
    expect(found[0]!.ratio).toBeCloseTo(1.18, 9)
  })
  it('does not hang on what was learnt before', () => {
    const learnt = [{ key: 'over-dig', name: 'x', kind: 'over-dig' as const, median: 1.5, ninety: 1.8, records: 9 }]
    const job = jobWith([built({ bags: 6 })])
    expect(lessonsOf(job, { ...tables, learnt })).toEqual(lessonsOf(job, tables))
  })
  it('is nothing of a hole that something met made another one', () => {
    expect(
      ratiosOf(jobWith([built({ bags: 9 })], { met: [{ kind: 'boulder', depth: 0.4, decision: 'wider' }] })),
    ).toEqual([])
    expect(
      ratiosOf(jobWith([built({ bags: 6 })], { met: [{ kind: 'boulder', depth: 0.4, decision: 'round' }] })),
    ).toHaveLength(2)
  })
  it('is nothing that nobody can have meant', () => {
    expect(ratiosOf(jobWith([built({ bags: 60 })]))).toEqual([])
  })
  it('is what steps took against what they were planned, of whoever did them', () => {
    const minutes: Entry = { ...built({ step: 'dig', minutes: 40 }), kind: 'minutes' }
    const [found] = ratiosOf(jobWith([minutes]))
    expect(found).toMatchObject({ kind: 'minutes', task: 'dig', person: 'Wren' })
    const twice = ratiosOf(jobWith([{ ...minutes, value: { step: 'dig', minutes: 80 } }]))
    expect(twice[0]!.ratio).toBeCloseTo(2 * found!.ratio, 9)
    expect(ratiosOf(jobWith([{ ...minutes, value: { step: 'nothing', minutes: 40 } }]))).toEqual([])
  })
  it('is nothing of a job with nothing entered', () => {
    expect(teaches(jobWith([]))).toBe(false)
    expect(teaches(jobWith([built({ bags: 6 })]))).toBe(true)
  })
})

describe('a learnt figure in use', () => {
  const job = jobWith([])
  const concreteWith = (learnt: LearntRow[]) =>
    plan(job, { ...tables, learnt }).posts[1]!.methods.find(({ method }) => method === 'new-post-concrete')!.concrete!
  const figure = rowOfFigure(
    learntFigures([1.4, 1.42, 1.38, 1.45, 1.36].map((of) => ratio(of)))[0]!,
    'spade in firm clay',
  )

  it('takes the place of the working value, and says from how many records', () => {
    const shipped = concreteWith([])
    expect(shipped.overdig).toBe(0.25)
    expect(shipped.overdigFrom).toBeUndefined()
    const learnt = concreteWith([figure])
    expect(learnt.overdig).toBeCloseTo(0.4, 9)
    expect(learnt.overdigFrom).toBe('from your last 5 holes')
    expect(learnt.concrete).toBeGreaterThan(shipped.concrete)
  })
  it('buys bags by nine in ten, not by the middle', () => {
    const learnt = concreteWith([figure])
    expect(learnt.bags.exactCount).toBeGreaterThan(learnt.concrete / 0.01)
    const bags: LearntRow = { ...figure, key: 'bags-spade-firm-clay', kind: 'bags', median: 1.2, ninety: 2 }
    const byBags = concreteWith([figure, bags])
    expect(byBags.bagsFrom).toBe('from your last 5 fills')
    const bare = learnt.concrete - (learnt.hole / (1 + learnt.overdig)) * learnt.overdig
    expect(byBags.bags.exactCount).toBeCloseTo((bare * 2) / 0.01, 6)
  })
  it('is never less than nothing over the plan', () => {
    expect(concreteWith([{ ...figure, median: 0.9, ninety: 0.95 }]).overdig).toBe(0)
  })
  it('of a pace changes the minutes of its step and of the method', () => {
    const minutesOf = (learnt: LearntRow[]) =>
      plan(job, { ...tables, learnt }).posts[1]!.methods.find(({ method }) => method === 'new-post-concrete')!.minutes
    const pace: LearntRow = {
      key: 'minutes-dig',
      name: 'digging',
      kind: 'minutes',
      task: 'dig',
      median: 2,
      ninety: 3,
      records: 6,
    }
    const still: LearntRow = { ...pace, median: 1 }
    expect(minutesOf([still])).toBeCloseTo(minutesOf([]), 6)
    expect(minutesOf([pace])).toBeGreaterThan(minutesOf([still]) + 10)
  })
})

describe('spares', () => {
  const spur = jobWith([], {
    observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03 },
    footing: { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.6 },
    repair: { method: 'repair-spur' },
  })
  const used = (settled: string | undefined, ...things: [key: string, used: number][]): Job => ({
    ...spur,
    load: { ...(settled ? { settled } : {}), used: things.map(([key, count]) => ({ key, used: count })) },
  })
  it('are what was used over what was planned, once the van was emptied', () => {
    const at = '2026-03-05T10:00:00Z'
    const planned = jobBills({ job: spur, resolved: resolveJob(spur, tables), plan: plan(spur, tables) }, tables)
    const thing = planned
      .flatMap(({ lines }) => lines)
      .find(({ key, piece }) => !piece && /^(fixing|part|preservative|stone)/.test(key))!
    const count = thing.quantity.valueOf()
    const found = ratiosOf(
      used(at, [thing.key, count * 1.5], ['labour/dig', 9], ['mix/post-mix-20', 9], ['nothing', 3]),
    )
    expect(found).toHaveLength(1)
    expect(found[0]).toMatchObject({ kind: 'spares', task: thing.key })
    expect(found[0]!.ratio).toBeCloseTo(1.5, 9)
    expect(ratiosOf(used(undefined, [thing.key, 9]))).toEqual([])
  })
  it('in use are bought by nine jobs in ten, and nothing else changes', () => {
    const rows: LearntRow[] = [
      { key: 'spares-x', name: 'x', kind: 'spares', task: 'fixing/bolt-12', median: 1.2, ninety: 1.5, records: 6 },
    ]
    expect(learntSpares(rows)).toEqual({ 'fixing/bolt-12': 0.5 })
    const bolt = { key: 'fixing/bolt-12', group: 'fixing', unit: 'each' } as CatalogueRow
    const nail = { key: 'fixing/nail', group: 'fixing', unit: 'each' } as CatalogueRow
    const terms = { byKey: learntSpares(rows) }
    expect(spareOf(exact(10), bolt, terms).valueOf()).toBeCloseTo(5, 9)
    expect(spareOf(exact(10), nail, terms).valueOf()).toBeCloseTo(1, 9)
  })
})
