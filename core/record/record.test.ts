import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../data/demo/jobs'
import { tables } from '../../data/tables'
import { jobOf, runOfPosts } from '../../tests/support/builders'
import type { Entry, Job, Pour, Post, Visit } from '../document/job'
import { applyCommand, applyCommands, inverseOf, inverseOfAll } from '../edit/apply'
import { checkEdit } from '../edit/check'
import type { Command } from '../edit/commands'
import { methodDetail } from '../plan/detail'
import { plan } from '../plan/plan'
import { asBuiltAt, depthsOf, differences } from './asBuilt'
import { builtSolids } from './builtSolids'
import { entriesAt, signOffAt, signOffs } from './entries'
import { notedWith } from './noted'
import { missingFor, signOffSteps, type Missing } from './signOff'
import { timeline } from './timeline'
import { visitEvents } from './visitEvents'
import { afterStorm, monthsAfter, visitsDue, watchedPosts } from './visits'

const AT = { line: 'A', post: 'A2' }
const made = (id: string, at: string, kind: Entry['kind'], value: unknown, more: Partial<Entry> = {}): Entry =>
  ({ id, at, by: 'Wren', ...AT, kind, value, ...more }) as Entry
const add = (entry: Entry): Command => ({ name: 'addEntry', entry: entry.id, value: entry })
const bare = (post: Partial<Post> = {}): Job => jobOf(runOfPosts(3, 2.4, (i) => (i === 1 ? post : {})))

describe('entries', () => {
  const first = made('e1', '2026-03-01T10:00:00Z', 'as-built', { width: 0.3 })
  const second = made('e2', '2026-03-01T11:00:00Z', 'as-built', { width: 0.35 }, { corrects: 'e1' })

  it('are only added: a correction stands in the place of the one that it names, which stays', () => {
    const job = applyCommands(bare(), [add(first), add(second)])
    expect(job.entries).toEqual([first, second])
    expect(entriesAt(job, AT, 'as-built').map(({ id }) => id)).toEqual(['e2'])
    expect(asBuiltAt(job, AT)).toEqual({ width: 0.35 })
  })
  it('stand again when what stood in their place is taken back', () => {
    const job = applyCommands(bare(), [
      add(first),
      add(second),
      { name: 'addEntry', entry: 'e2', value: null, back: true },
    ])
    expect(job.entries).toHaveLength(2)
    expect(job.entries![1]!.withdrawn).toEqual({ by: 'Wren', why: 'taken back by whoever made it' })
    expect(asBuiltAt(job, AT)).toEqual({ width: 0.3 })
  })
  it('are never written over by another under the same identity', () => {
    const other = { ...first, value: { width: 0.9 } }
    expect(applyCommands(bare(), [add(first), add(other)]).entries).toEqual([first])
  })
  it('go back and forth with undo, and nothing is lost on the way', () => {
    const job = applyCommand(bare(), add(first))
    const back = inverseOf(bare(), add(first))
    const without = applyCommand(job, back)
    expect(without.entries![0]!.withdrawn).toBeDefined()
    const again = inverseOf(job, back)
    expect(applyCommand(without, again).entries).toEqual([first])
    // The way back from coming again is to be marked once more.
    expect(applyCommand(applyCommand(without, again), inverseOf(without, again)).entries![0]!.withdrawn).toBeDefined()
  })
  it('are refused with key and range where they say what no entry says', () => {
    const wrong = made('e3', '2026-03-01T10:00:00Z', 'as-built', { width: 30 })
    expect(checkEdit(bare(), [add(wrong)], tables)?.message).toMatch(
      /width is 30; it must be a number from 0.05 to 3 m/,
    )
    expect(checkEdit(bare(), [add({ ...first, kind: 'party' as never })], tables)).toBeDefined()
    expect(checkEdit(bare(), [add({ ...first, at: 'yesterday' })], tables)?.message).toMatch(/2026-03-14T09:30:00Z/)
    expect(checkEdit(bare(), [add(first)], tables)).toBeUndefined()
  })
  it('of a long record are not all read anew for one more', () => {
    const spoilt = { ...made('old', '2020-01-01T00:00:00Z', 'tick', { step: '' }) }
    const job = { ...bare(), entries: [spoilt] }
    expect(checkEdit(job, [add(first)], tables)).toBeUndefined()
    expect(checkEdit(job, [{ name: 'setPost', ...AT, key: 'ageYears', value: 9 }], tables)).toBeUndefined()
  })
})

describe('what is noted with an edit', () => {
  const signed = { at: '2026-03-01T10:00:00Z', by: 'Wren' }
  let count = 0
  const noted = (job: Job, command: Command) => notedWith(job, [command], signed, () => `n${++count}`)
  const valueOf = (command: Command | undefined) => (command?.name === 'addEntry' ? command.value : undefined)

  it('is the repair that was chosen, and what it was before', () => {
    const job = bare({ repair: { method: 'repair-spur' } })
    const [entry] = noted(job, { name: 'chooseRepair', ...AT, value: 'new-post-concrete' })
    expect(valueOf(entry)).toMatchObject({
      kind: 'choice',
      ...AT,
      by: 'Wren',
      value: { method: 'new-post-concrete', from: 'repair-spur' },
    })
    expect(noted(job, { name: 'chooseRepair', ...AT, value: 'repair-spur' })).toEqual([])
    expect(noted(job, { name: 'chooseRepair', ...AT, value: null })).toEqual([])
  })
  it('is what was met, and a decision that changed stands in the place of the one before', () => {
    const boulder = { kind: 'boulder', depth: 0.45, decision: 'round' } as const
    const [entry] = noted(bare(), { name: 'setPost', ...AT, key: 'met', value: [boulder] })
    expect(valueOf(entry)).toMatchObject({ kind: 'met', value: boulder })
    const job = applyCommands(bare(), [{ name: 'setPost', ...AT, key: 'met', value: [boulder] }, entry!])
    const wider = { ...boulder, decision: 'wider' as const }
    const root = { kind: 'root', depth: 0.2 } as const
    const two = noted(job, { name: 'setPost', ...AT, key: 'met', value: [wider, root] })
    expect(two.map((each) => valueOf(each)?.corrects)).toEqual([valueOf(entry)!.id, undefined])
    expect(noted(job, { name: 'setPost', ...AT, key: 'met', value: [boulder] })).toEqual([])
  })
  it('goes and comes with the edit in one step', () => {
    const job = bare()
    const commands: Command[] = [{ name: 'chooseRepair', ...AT, value: 'repair-spur' }]
    const all = [...commands, ...notedWith(job, commands, signed, () => 'c1')]
    const back = applyCommands(applyCommands(job, all), inverseOfAll(job, all))
    expect(back.lines).toEqual(job.lines)
    expect(back.entries!.map(({ withdrawn }) => withdrawn !== undefined)).toEqual([true])
  })
})

const pour: Pour = {
  id: 'p1',
  ...AT,
  mix: 'post-mix-20',
  filling: 'wet-barrow',
  startedAt: '2026-03-01T11:00:00Z',
  temperature: 10,
  lifts: [
    { at: '2026-03-01T11:00:00Z', bags: 3, water: 0.009 },
    { at: '2026-03-01T11:06:00Z', bags: 2, water: 0.006 },
  ],
}

describe('as built', () => {
  it('is what was entered, the later over the earlier part by part, and what was poured', () => {
    const job: Job = {
      ...bare(),
      pours: [pour],
      entries: [
        made('b1', '2026-03-01T12:00:00Z', 'as-built', { depths: { start: 0.8, end: 0.84 }, width: 0.3 }),
        made('b2', '2026-03-02T12:00:00Z', 'as-built', { depths: { end: 0.86 }, plumb: { along: { how: 'eye' } } }),
        made('b3', '2026-03-03T12:00:00Z', 'as-built', {
          plumb: { across: { how: 'level', offset: 0.001, over: 1.2 } },
        }),
      ],
    }
    const built = asBuiltAt(job, AT)!
    expect(depthsOf(built)).toEqual([0.8, 0.86])
    expect(built).toMatchObject({ bags: 5, width: 0.3, plumb: { along: { how: 'eye' }, across: { how: 'level' } } })
    expect(built.litres).toBeCloseTo(0.015, 12)
    expect(asBuiltAt(job, { line: 'A', post: 'A1' })).toBeUndefined()
  })
  it('is told by what it differs in, of what was planned and measured', () => {
    const planned = { hole: { depth: 0.75, diameter: 0.3 }, concrete: { bags: { count: 5, water: 0.014 } } } as never
    const off = differences(planned, { depths: { start: 0.8, end: 0.9 }, bags: 6 })
    expect(off.map(({ what, off: by }) => [what, Math.round(by * 1e3) / 1e3])).toEqual([
      ['depth', 0.1],
      ['bags', 1],
    ])
  })
  it('is drawn over the planned hole, what differs with its figure', () => {
    const { stands } = methodDetail(demoJobs()[1]!, tables, 'O3', 'new-post-concrete')!
    const hole = plan(demoJobs()[1]!, tables).posts[2]!.methods.find(
      ({ method }) => method === 'new-post-concrete',
    )!.hole!
    const built = builtSolids(stands, hole, { depths: { start: 0.9, end: 0.8 }, width: 0.4 })
    const planned = built.find(({ key }) => key === 'planned')!
    expect(planned.edge).toBe('dashed')
    expect(planned.measures!.map(({ key, length }) => [key, length])).toEqual([
      ['depth', 0.85],
      ['depth-off', Math.round((0.85 - hole.depth) * 100) / 100],
      ['width', 0.4],
    ])
    // The bottom slopes as it was measured.
    expect(built.find(({ key }) => key === 'fill')!.outline.map(([, y]) => Math.round(y * 100) / 100)).toEqual(
      expect.arrayContaining([-0.9, -0.8]),
    )
    expect(builtSolids(stands, hole, { bags: 3 })).toEqual(stands)
  })
})

describe('what is missing for the sign-off', () => {
  const base = demoJobs()[1]!
  const at = { line: 'O', post: 'O3' }
  const now = Date.parse('2026-03-13T09:00:00Z')
  const steps = methodDetail(base, tables, 'O3', 'new-post-concrete')!.steps
  const missing = (job: Job, when = now): Missing[] =>
    missingFor({ job, at, post: job.lines[0]!.posts[2]!, steps, now: when, tables })
  const withPost = (change: (post: Post) => Post): Job => ({
    ...base,
    lines: base.lines.map((line) => ({
      ...line,
      posts: line.posts.map((post) => (post.id === 'O3' ? change(post) : post)),
    })),
  })
  const photographed = withPost((post) => ({
    ...post,
    photographs: [{ id: 'ph', pixelWidth: 10, pixelHeight: 10 }],
  }))
  const poured: Job = {
    ...photographed,
    pours: [{ ...pour, ...at, startedAt: '2026-03-10T11:30:00Z' }],
  }
  const check = (when: string, face: 'along' | 'across', how: 'level' | 'eye') => ({
    at: when,
    face,
    how,
    ...(how === 'eye' ? {} : { offset: 0.001, over: 1.2 }),
  })
  const wet = ['2026-03-10T11:33:00Z', '2026-03-10T11:34:00Z'] as const
  const checked = (...checks: ReturnType<typeof check>[]): Job => ({
    ...poured,
    pours: [{ ...poured.pours![0]!, checks }],
  })
  const bothWet = [check(wet[0], 'along', 'level'), check(wet[1], 'across', 'level')]

  it('is a photograph, and every step that is not to be skipped without a tick', () => {
    const { entries: _none, ...without } = photographed
    const said = missing({ ...without, entries: [] })
    expect(said.filter(({ what }) => what === 'step')).toHaveLength(
      steps.filter(({ doNotSkip }) => doNotSkip !== undefined).length,
    )
    expect(said.some(({ what }) => what === 'photograph')).toBe(false)
    expect(missing(base).map(({ what }) => what)).toEqual(['step', 'photograph'])
  })
  it('is nothing more where the pour itself says that both faces were read before it stiffened', () => {
    expect(missing(checked(...bothWet))).toEqual([])
    const byEye = missing(checked(bothWet[0]!, check(wet[1], 'across', 'eye')))
    expect(byEye).toMatchObject([{ what: 'step', step: 'plumb-again' }])
    const tooLate = missing(checked(bothWet[0]!, check('2026-03-11T11:34:00Z', 'across', 'level')))
    expect(tooLate).toMatchObject([{ what: 'step', step: 'plumb-again' }])
  })
  it('is a face that was read by eye, or before the concrete was hard', () => {
    const unread = (job: Job): Job => ({ ...job, entries: job.entries!.filter(({ id }) => id !== 'orchard-plumb') })
    const withoutLeans = (job: Job): Job => ({
      ...job,
      lines: job.lines.map((line) => ({ ...line, posts: line.posts.map(({ readings: _gone, ...post }) => post) })),
    })
    const soft = missing(withoutLeans(unread(checked(...bothWet))))
    expect(soft.map((each) => (each.what === 'plumb' ? each.face : each.what))).toEqual(['along', 'across'])
    const eye = made(
      'eye',
      '2026-03-12T08:40:00Z',
      'as-built',
      { plumb: { along: { how: 'level', offset: 0, over: 1.2 }, across: { how: 'eye' } } },
      at,
    )
    const one = withoutLeans(unread(checked(...bothWet)))
    expect(missing({ ...one, entries: [...one.entries!, eye] })).toMatchObject([
      { what: 'plumb', face: 'across', says: expect.stringContaining('by eye is no reading') },
    ])
    // A lean that was read with a level afterwards is a reading of both faces.
    expect(missing(unread(checked(...bothWet)))).toEqual([])
  })
  it('is what was loaded before its time, until somebody says why', () => {
    const early: Job = {
      ...checked(...bothWet),
      entries: base.entries!.map((each) =>
        each.id === 'orchard-tick-props-stay' ? { ...each, at: '2026-03-10T12:00:00Z' } : each,
      ),
    }
    expect(missing(early)).toMatchObject([{ what: 'too-early', step: 'props-stay' }])
    const reason = made(
      'why',
      '2026-03-12T09:00:00Z',
      'tick',
      { step: 'props-stay', reason: 'struts stayed' },
      { ...at, corrects: 'orchard-tick-props-stay' },
    )
    expect(missing({ ...early, entries: [...early.entries!, reason] })).toEqual([])
  })
  it('is what runs on the fence and was not clipped back', () => {
    const mark = { id: 'm', kind: 'service', service: 'telecom', station: 4.8 } as const
    expect(signOffSteps(steps, [mark])).toEqual(steps)
    const hung = signOffSteps(steps, [{ ...mark, above: true }])
    const said = missingFor({ job: base, at, post: base.lines[0]!.posts[2]!, steps: hung, now, tables })
    expect(said).toContainEqual(expect.objectContaining({ what: 'step', step: 'clip-back' }))
  })
  it('is a signature of its own until it is taken back', () => {
    expect(signOffAt(base, at)?.value.name).toBe('Wren')
    const back = applyCommand(base, { name: 'addEntry', entry: 'orchard-signed', value: null, back: true })
    expect(signOffAt(back, at)).toBeUndefined()
    expect([...signOffs(base).keys()]).toEqual(['O/O3'])
  })
})

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
