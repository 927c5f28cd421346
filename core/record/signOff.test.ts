import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../data/demo/jobs'
import { tables } from '../../data/tables'
import { made, pour } from '../../tests/support/someRecord'
import type { Job, Post } from '../document/job'
import { applyCommand } from '../edit/apply'
import { methodDetail } from '../plan/detail'
import { signOffAt, signOffs } from './entries'
import { missingFor, signOffSteps, type Missing } from './signOff'

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
