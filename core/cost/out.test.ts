import { describe, expect, it } from 'vitest'
import { catalogue } from '../../data/catalogue'
import { demoJobs } from '../../data/demo/jobs'
import { tables } from '../../data/tables'
import { stormFence } from '../../tests/support/someOffer'
import { dayPosts } from '../day/posts'
import { meansOf } from '../day/setup'
import { tasksOf } from '../day/tasks'
import { plan } from '../plan/plan'
import { resolveJob } from '../resolve/resolve'
import { measuresIn } from '../units/quantity'
import { claddingLines, mendingOf, type Cladding, type RailMending } from './cladding'
import { buyingNotes, sharedBags } from './buying'
import { misfits } from './fits'
import { hiresOf } from './hire'
import { jobBills, postBill, proposedMethods, withMethods } from './jobBills'
import { toolNotes, type OwnedTool } from './tools'
import { vanStock } from './vanStock'
import { vanToday, type WaysOfPost } from './vanToday'

const says = measuresIn('metric')
const { job, methods } = stormFence()
const planned = (way: string) => {
  const changed = withMethods(job, methods(way))
  const resolved = resolveJob(changed, tables)
  return { job: changed, resolved, plan: plan(changed, tables) }
}
const spurs = planned('repair-spur')
const bills = jobBills(spurs, tables)
const withLength = (length: number) =>
  catalogue.map((row) => (row.key === 'fixing/bolt-12' ? { ...row, length, coating: 'hot-dip' as const } : row))

describe('a fixing of the yard', () => {
  it('that is too short for its spur is found out before leaving', () => {
    const [found] = misfits(bills, spurs.resolved, withLength(0.15), tables, says)
    expect(found).toMatchObject({ key: 'fixing/bolt-12' })
    expect(found!.posts.length).toBeGreaterThan(0)
    expect(found!.refusals.join(' ')).toMatch(/short|long/)
  })
  it('of the right length is said nothing of, nor one that nobody measured', () => {
    const spur = bills[0]!.method.parts.find(({ kind }) => kind === 'spur')!
    const size = tables.parts.lists.spur.rows.find(({ key }) => key === spur.key)!.size
    expect(misfits([bills[0]!], spurs.resolved, withLength(size + 0.1 + 0.03), tables, says)).toEqual([])
    expect(misfits(bills, spurs.resolved, catalogue, tables, says)).toEqual([])
  })
})

describe('tools', () => {
  const posts = planned('new-post-concrete')
  const deep = jobBills(posts, tables)
  const tasks = dayPosts({ prefix: '', ...posts }, tables).flatMap((post) =>
    tasksOf(post, { ...meansOf({}), tools: { props: 4, level: 1, breaker: 1 } }, tables),
  )
  const digger = (reach: number): OwnedTool => ({ key: 'd', name: 'digger', does: 'post-hole-digger', count: 1, reach })
  const breaker = (battery: number): OwnedTool => ({ key: 'b', name: 'breaker', does: 'breaker', count: 1, battery })
  const notes = (...owned: OwnedTool[]) =>
    toolNotes(deep, tasks, { job: posts.job, owned, says }).map((each) => each.says)

  it('that do not reach the bottom are named with both depths', () => {
    const [hole] = deep.map(({ method }) => method.hole!.depth)
    expect(notes(digger(hole! - 0.1))[0]).toMatch(/^B\d+: 0\.\d\d m deep, and the post hole digger reaches 0\.\d\d m\./)
    expect(notes(digger(2))).toEqual([])
  })
  it('whose batteries do not last are named with both times', () => {
    const minutes = tasks.reduce((sum, task) => sum + (task.tools.breaker ? task.minutes : 0), 0)
    expect(minutes).toBeGreaterThan(10)
    expect(notes(digger(2), breaker(minutes - 1)).join()).toContain(`about ${Math.round(minutes)} minutes`)
    expect(notes(digger(2), breaker(minutes))).toEqual([])
  })
})

describe('hires', () => {
  const span = (day: number, from: number, to: number) => ({ tool: 'mixer' as const, day, from, to })
  it.each([
    ['a morning is half a day', [span(0, 480, 720)], { 'hire/mixer/half-day': 1 }],
    ['a long day is one', [span(0, 480, 1_020)], { 'hire/mixer': 1 }],
    [
      'two days are a weekend, where that costs less',
      [span(0, 480, 1_020), span(1, 480, 1_020)],
      { 'hire/mixer/weekend': 1 },
    ],
    [
      'three are a weekend and a day',
      [0, 1, 2].map((day) => span(day, 480, 1_020)),
      { 'hire/mixer/weekend': 1, 'hire/mixer': 1 },
    ],
  ])('%s', (_what, hires, counts) => {
    expect(hiresOf(hires, catalogue)).toEqual(counts)
  })
  it('are days where nothing cheaper is for hire', () => {
    const days = catalogue.filter(({ key }) => !key.includes('half-day') && !key.includes('weekend'))
    expect(hiresOf([span(0, 480, 720)], days)).toEqual({ 'hire/mixer': 1 })
    expect(hiresOf([], catalogue)).toEqual({})
  })
})

describe('what is on the van today', () => {
  const ways: WaysOfPost[] = [...new Set(bills.map(({ address }) => address))].map((address, i) => ({
    address,
    standing: i,
    ways: [
      ...bills.filter((each) => each.address === address),
      ...jobBills(planned('make-safe'), tables).filter((each) => each.address === address),
    ],
  }))
  const loaded = (counts: Record<string, number>) => new Map(Object.entries(counts))
  const enough = {
    'mix/post-mix-20': 60,
    'spur/spur-100': 20,
    'spur/spur-75': 20,
    'spur/spur-100-pair': 9,
    'spur/spur-75-pair': 9,
    'fixing/bolt-12': 90,
    preservative: 5,
    'stone/gravel': 900,
    'rail/rail-38x88': 9,
  }

  it('counts the bags that somebody counted for this job, whatever the yard keeps on the van', () => {
    const yard = catalogue.map((each) => ({
      ...each,
      ...(each.key in enough ? { onVan: enough[each.key as keyof typeof enough] } : {}),
    }))
    const served = (bags?: number) =>
      vanToday(ways, catalogue, vanStock(bags === undefined ? undefined : { mix: 'post-mix-20', bags }, yard)).posts
    expect(served().every(({ way }) => way?.method === 'repair-spur')).toBe(true)
    expect(served(0).some(({ way }) => way?.method === 'repair-spur')).toBe(false)
  })

  it('does nothing with an empty van, and says the fewest things that raise the weakest', () => {
    const { posts, shopping } = vanToday(ways, catalogue, new Map())
    expect(posts.every(({ way }) => way === undefined)).toBe(true)
    expect(shopping).toMatchObject({ address: ways[0]!.address, from: 0 })
    expect(shopping!.to).toBeGreaterThan(0)
    const bought = Object.fromEntries(shopping!.items.map(({ row, count }) => [row.key, count * row.pack]))
    const then = vanToday(ways, catalogue, loaded(bought)).posts.find(({ address }) => address === shopping!.address)!
    expect(then.way!.gust).toBe(shopping!.to)
    // Any one of them less, and it does not go.
    for (const { row } of shopping!.items) {
      const { [row.key]: _without, ...rest } = bought
      expect(
        vanToday(ways, catalogue, loaded(rest)).posts.find(({ address }) => address === shopping!.address)!.way?.gust ??
          0,
      ).toBeLessThan(shopping!.to)
    }
  })

  it('mends every post with a full one, the weakest first, and each thing is used once', () => {
    const all = vanToday(ways, catalogue, loaded(enough))
    expect(all.posts.map(({ address }) => address)).toEqual(ways.map(({ address }) => address))
    expect(all.posts.every(({ way }) => way!.method === 'repair-spur')).toBe(true)
    const spur = bills[0]!.method.parts.find(({ kind }) => kind === 'spur')!
    const one = vanToday(ways, catalogue, loaded({ ...enough, [`spur/${spur.key}`]: 1 }))
    const same = one.posts.filter(({ way }) => way?.method === 'repair-spur')
    expect(same.length).toBeLessThan(ways.length)
    expect(same[0]!.address).toBe(ways[0]!.address)
  })
})

it('posts that ask for a repair and have none chosen are proposed what the plan recommends', () => {
  const proposed = proposedMethods({ job, plan: plan(job, tables) })
  expect(Object.keys(proposed).sort()).toEqual(['B/B13', 'B/B17', 'B/B4', 'B/B7', 'B/B8'])
  const [first] = Object.keys(proposed)
  const chosen = withMethods(job, { [first!]: 'make-safe' })
  expect(proposedMethods({ job: chosen, plan: plan(chosen, tables) })).not.toHaveProperty([first!])
})

describe('before things are bought', () => {
  it('mortises are measured, and a second-hand post is known for what it is', () => {
    const rails = { ...job, lines: job.lines.map((line) => ({ ...line, kind: 'post-and-rail' as const })) }
    const chosen = withMethods(rails, { 'B/B4': 'new-post-stone' })
    const all = { job: chosen, resolved: resolveJob(chosen, tables), plan: plan(chosen, tables) }
    const [said] = buyingNotes(jobBills(all, tables), chosen)
    expect(said).toMatch(/^B4: where the rails run in mortises/)
    const own = {
      ...chosen,
      lines: chosen.lines.map((line) => ({
        ...line,
        kind: 'close-boarded' as const,
        posts: line.posts.map((post) =>
          post.id === 'B4' ? { ...post, repair: { ...post.repair!, post: { material: 'oak' as const } } } : post,
        ),
      })),
    }
    const mine = { job: own, resolved: resolveJob(own, tables), plan: plan(own, tables) }
    expect(buyingNotes(jobBills(mine, tables), own)).toEqual([expect.stringContaining('B4: a second-hand post')])
    expect(buyingNotes(bills, spurs.job)).toEqual([])
  })

  it('holes that are filled one after the other share their bags', () => {
    const shared = sharedBags(bills)
    const each = bills.map(({ lines }) => lines.find(({ key }) => key.startsWith('mix/'))!.quantity.valueOf())
    expect(shared).toEqual({
      together: Math.ceil(each.reduce((sum, one) => sum + one, 0)),
      apart: each.reduce((sum, one) => sum + Math.ceil(one), 0),
    })
    expect(shared.together).toBeLessThan(shared.apart)
    expect(sharedBags([])).toEqual({ together: 0, apart: 0 })
  })
})

describe('rails and boards at a post', () => {
  const place = { post: 'B/B4', bay: 2.4, height: 1.8 }
  const of = (cladding: Cladding, mending: RailMending = 'splice') =>
    Object.fromEntries(
      claddingLines(cladding, mending, place, tables).map(({ key, quantity }) => [key, quantity.valueOf()]),
    )

  it('take what is counted of them, by hand', () => {
    // Two ends spliced: two pieces, 12 screws, 40 minutes; ten boards again and two new ones on three rails.
    expect(of({ railEnds: 2 })).toEqual({ 'rail/rail-38x88': 2, 'rail-fixing/screw-5x80': 12, 'labour/saw': 40 / 60 })
    expect(of({ salvaged: 10, broken: 2 })).toEqual({
      'board/feather-edge': 2,
      'fixing/nail-65': 72,
      'labour/saw': 66 / 60,
    })
    expect(of({})).toEqual({})
    const [rail] = claddingLines({ railEnds: 1 }, 'new', place, tables)
    expect(rail!.piece).toEqual({ stock: 'rail/rail-38x88', length: 2.4 })
  })

  it('are spliced where a splice holds, and as it was chosen', () => {
    expect(mendingOf({ railEnds: 1 })).toBe('splice')
    expect(mendingOf({ railEnds: 1, torn: 0.45, mend: 'new' })).toBe('new')
    expect(mendingOf({ railEnds: 1, torn: 0.5, mend: 'splice' })).toBe('new')
  })

  it('stand in the bill of a lasting repair, and not of one that is propped for today', () => {
    const counted = {
      ...job,
      lines: job.lines.map((line) => ({
        ...line,
        posts: line.posts.map((post) => (post.id === 'B4' ? { ...post, cladding: { railEnds: 2 } } : post)),
      })),
    }
    const rails = (way: string) => {
      const changed = withMethods(counted, { 'B/B4': way })
      const all = { job: changed, resolved: resolveJob(changed, tables), plan: plan(changed, tables) }
      return jobBills(all, tables)[0]!.lines.filter(({ key }) => key.startsWith('rail/')).length
    }
    expect([rails('new-post-concrete'), rails('make-safe')]).toEqual([1, 0])
    expect(catalogue.some(({ stockOf }) => stockOf === 'board/feather-edge')).toBe(true)
  })
})

describe('a pier that is cast in a tube', () => {
  it('has its form cut to its length, the next width that is made', () => {
    const store = demoJobs().find(({ name }) => name.startsWith('Store veranda'))!
    const [first] = plan(store, tables).posts
    const method = first!.methods.find((each) => each.method === 'new-pier')!
    const post = { address: `${first!.line}/${first!.post}`, method: 'new-pier', steps: [] }
    const pier = postBill(post, method, { job: store, resolved: resolveJob(store, tables) }, tables)
    const { diameter, depth, stoneBed, fillTop } = pier.method.hole!
    expect(fillTop).toBeLessThan(0)
    const form = pier.lines.find(({ key }) => key.startsWith('form/'))!
    expect(Number(form.key.split('-')[1]) / 1e3).toBeGreaterThanOrEqual(diameter - 1e-6)
    expect(form.piece!.length).toBeCloseTo(depth - stoneBed - fillTop, 9)
    expect(catalogue.some(({ stockOf, length }) => stockOf === form.key && length! >= form.piece!.length)).toBe(true)
    expect(bills.every(({ lines }) => lines.every(({ key }) => !key.startsWith('form/')))).toBe(true)
  })
})
