import { checkJob, readJob } from './check'
import { applyCommand, applyCommands, inverseOfAll, targetOf } from '../edit/apply'
import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../data/demo/jobs'
import { InputError } from '../errors'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import { readBatch } from '../edit/batch'
import type { Command } from '../edit/commands'
import { jobFileName } from './fileName'
import { rebase } from '../edit/rebase'
import { newJob } from './newJob'
import { postState } from './postState'
import { jobSummary } from './summary'
import type { Job } from './job'
import type { Observations } from '../cause/observations'

const job = jobOf(
  runOfPosts(4, 2.4, (i) =>
    i === 1
      ? {
          soil: 'gravel',
          observations: { tap: 'dull' },
          repair: { method: 'repair-spur', mix: 'general-20', hole: { depth: 0.8 } },
        }
      : {},
  ),
)

const reading = (key: keyof Observations, value: unknown, post = 'A2'): Command => ({
  name: 'setReading',
  line: 'A',
  post,
  key,
  value,
})

describe('job document', () => {
  it.each(demoJobs().map((each) => [each.name, each] as const))('%s is valid', (_name, each) => {
    expect(checkJob(each, tables)).toEqual([])
  })

  it('keeps unknown keys', () => {
    const document = { ...job, later: { part: 1 } }
    expect(readJob(document, tables)).toBe(document)
  })

  const changed = (change: (copy: Job) => unknown) => {
    const copy = structuredClone(job)
    change(copy)
    return copy
  }
  it.each<[string, unknown, string]>([
    ['another format', { ...job, format: 'spreadsheet' }, 'format'],
    ['a newer version', { ...job, version: 2 }, 'version'],
    ['a length as text', changed((copy) => Object.assign(copy.lines[0]!, { height: '1.8' })), 'lines[0].height'],
    ['an endless number', changed((copy) => Object.assign(copy.lines[0]!, { height: Infinity })), 'lines[0].height'],
    [
      'two posts of one name',
      changed((copy) => Object.assign(copy.lines[0]!.posts[3]!, { id: 'A1' })),
      'lines[0].posts[3].id',
    ],
    [
      'posts out of order',
      changed((copy) => Object.assign(copy.lines[0]!.posts[2]!, { station: 1 })),
      'lines[0].posts[2].station',
    ],
    [
      'an unknown method',
      changed((copy) => Object.assign(copy.lines[0]!.posts[0]!, { repair: { method: 'magic' } })),
      'lines[0].posts[0].repair.method',
    ],
    [
      'a footing upside down',
      changed((copy) =>
        Object.assign(copy.lines[0]!.posts[0]!, { footing: { kind: 'concrete', top: 0.6, bottom: 0.3 } }),
      ),
      'lines[0].posts[0].footing.bottom',
    ],
    [
      'a section of no shape',
      changed((copy) => Object.assign(copy.lines[0]!.posts[0]!, { section: { shape: 'star' } })),
      'lines[0].posts[0].section.shape',
    ],
    [
      'a tube without a wall',
      changed((copy) => Object.assign(copy.lines[0]!.posts[0]!, { section: { shape: 'tube', diameter: 0.06 } })),
      'lines[0].posts[0].section.wall',
    ],
    [
      'a gap above the top',
      changed((copy) => Object.assign(copy.lines[0]!, { height: 0.5, gap: 0.6 })),
      'lines[0].gap',
    ],
    [
      'three leans',
      changed((copy) =>
        Object.assign(copy.lines[0]!.posts[0]!, {
          observations: { lean: [1, 2, 3].map(() => ({ offset: 0, over: 1 })) },
        }),
      ),
      'lines[0].posts[0].observations.lean',
    ],
    ['nothing', null, 'document'],
  ])('refuses %s and names the key', (_name, document, key) => {
    const errors = checkJob(document, tables)
    expect(errors.map((error) => error.key)).toContain(key)
    expect(() => readJob(document, tables)).toThrow(InputError)
  })
})

describe('commands', () => {
  const posts = fc.constantFrom('A1', 'A2', 'A3')
  const commands: fc.Arbitrary<Command> = fc.oneof(
    posts.map((post): Command => reading('pushPivot', 'in-the-soil', post)),
    fc
      .tuple(posts, fc.option(fc.double({ min: 0, max: 0.1, noNaN: true })))
      .map(([post, value]): Command => reading('probeAtGround', value, post)),
    fc
      .tuple(posts, fc.constantFrom('new-post-concrete', 'repair-spur', null))
      .map(([post, value]): Command => ({ name: 'chooseRepair', line: 'A', post, value })),
    fc
      .tuple(posts, fc.double({ min: 0.4, max: 1, noNaN: true }))
      .map(([post, value]): Command => ({ name: 'setHole', line: 'A', post, key: 'depth', value })),
    fc
      .tuple(posts, fc.constantFrom('post-mix-20', 'high-36'))
      .map(([post, value]): Command => ({ name: 'setRepair', line: 'A', post, key: 'mix', value })),
    fc
      .constantFrom('firm-clay', 'gravel')
      .map((value): Command => ({ name: 'setPost', line: 'A', post: 'A2', key: 'soil', value })),
    fc
      .double({ min: 0.5, max: 3, noNaN: true })
      .map((value): Command => ({ name: 'setLine', line: 'A', key: 'height', value })),
    fc.constantFrom('x', 'y').map((value): Command => ({ name: 'renameJob', value })),
    fc.constantFrom(30, 45).map((value): Command => ({ name: 'setSite', key: 'gust50', value })),
  )

  property.prop([fc.array(commands, { maxLength: 12 })])('undone, leave the job as it was', (list) => {
    const before = structuredClone(job)
    const there = applyCommands(job, list)
    const back = applyCommands(there, inverseOfAll(job, list))
    expect(job).toEqual(before)
    expect(withoutEmpty(back)).toEqual(withoutEmpty(before))
  })

  it('a new method keeps the mix, and the hole of the old one under its name', () => {
    const after = applyCommand(job, { name: 'chooseRepair', line: 'A', post: 'A2', value: 'new-post-concrete' })
    expect(after.lines[0]!.posts[1]!.repair).toEqual({
      method: 'new-post-concrete',
      mix: 'general-20',
      holes: { 'repair-spur': { depth: 0.8 } },
    })
  })

  it('say which post is not there', () => {
    expect(() => applyCommand(job, reading('tap', 'dull', 'Z9'))).toThrow('post is "Z9"; it must be a post of line A')
  })

  it.each([
    [{ version: 1, commands: [{ name: 'renameJob', value: 'x' }] }, 'id'],
    [{ id: '12345678', version: 1, commands: [] }, 'commands'],
    [{ id: '12345678', version: 0, commands: [{ name: 'renameJob', value: 'x' }] }, 'version'],
    [{ id: '12345678', version: 1, commands: [{ name: 'dropTable' }] }, 'commands[0].name'],
    [
      {
        id: '12345678',
        version: 1,
        commands: [{ name: 'setReading', line: 'A', post: 'A1', key: '__proto__', value: 1 }],
      },
      'commands[0].key',
    ],
  ])('that are malformed are refused: %j', (body, key) => {
    expect(() => readBatch(body)).toThrow(expect.objectContaining({ key }))
  })
})

/** An emptied part and an absent one say the same. */
function withoutEmpty(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withoutEmpty)
  if (typeof value !== 'object' || value === null) return value
  const entries = Object.entries(value).map(([key, part]) => [key, withoutEmpty(part)] as const)
  return Object.fromEntries(
    entries.filter(([, part]) => !(typeof part === 'object' && part !== null && Object.keys(part).length === 0)),
  )
}

describe('merging key by key', () => {
  const mine = (id: string, ...commands: Command[]) => ({ id, commands })

  it('lets edits of different keys through and shows the ones that meet', () => {
    const theirs = [reading('tap', 'hollow'), reading('wrap', 'tight', 'A3')]
    const { clean, conflicts } = rebase(
      [mine('1', reading('tap', 'rings')), mine('2', reading('onset', 'slowly'))],
      theirs,
    )
    expect(clean).toEqual([mine('2', reading('onset', 'slowly'))])
    expect(conflicts).toEqual([{ mine: reading('tap', 'rings'), theirs: reading('tap', 'hollow') }])
  })

  it('asks nothing when both wrote the same', () => {
    expect(rebase([mine('1', reading('tap', 'dull'))], [reading('tap', 'dull')])).toMatchObject({
      clean: [],
      conflicts: [],
    })
  })

  it('sees that a method meets its hole', () => {
    const method: Command = { name: 'chooseRepair', line: 'A', post: 'A2', value: 'steel-pin' }
    const hole: Command = { name: 'setHole', line: 'A', post: 'A2', key: 'depth', value: 1 }
    expect(targetOf(hole).slice(0, targetOf(method).length)).toEqual(targetOf(method))
    expect(rebase([mine('1', hole)], [method]).conflicts).toEqual([{ mine: hole, theirs: method }])
  })

  it('asks once for several edits of one key: the last of them', () => {
    const { conflicts } = rebase(
      [mine('1', reading('tap', 'rings')), mine('2', reading('tap', 'dull'))],
      [reading('tap', 'hollow')],
    )
    expect(conflicts).toEqual([{ mine: reading('tap', 'dull'), theirs: reading('tap', 'hollow') }])
  })
})

describe('small things around a job', () => {
  it('makes a line of equal bays', () => {
    const made = newJob({ name: ' Back fence ', tape: '4 x 2.4', height: 1.8 })
    expect(made.name).toBe('Back fence')
    expect(made.lines[0]!.posts.map((post) => post.station)).toEqual([0, 2.4, 4.8, 7.2, 9.6])
    expect(checkJob(made, tables)).toEqual([])
    expect(newJob({ name: 'x', tape: `0, 8'`, units: 'feet-inches', height: 1 }).lines[0]!.length).toBeCloseTo(
      2.4384,
      9,
    )
    expect(() => newJob({ name: 'x', tape: '0, 2, 1', height: 1 })).toThrow('reading 3')
    expect(() => newJob({ name: 'x', height: 1 })).toThrow(InputError)
  })

  it.each<[Observations, ReturnType<typeof postState>]>([
    [{}, 'unseen'],
    [{ pushPivot: 'nothing-moves', probeAtGround: 0 }, 'sound'],
    [{ pushPivot: 'nothing-moves', probeAtGround: 0.006 }, 'sound'],
    [{ tap: 'dull' }, 'doubtful'],
    [{ probeAtGround: 0.03 }, 'failed'],
    [{ pushPivot: 'panel-only' }, 'failed'],
    [{ breakFace: 'clean-splinters' }, 'failed'],
  ])('%j is %s', (observations, state) => {
    expect(postState({ id: 'A', station: 0, observations }, false, tables.causes)).toBe(state)
  })

  it('counts what needs somebody', () => {
    const summary = jobSummary(demoJobs().at(-1)!, tables.causes)
    expect(summary).toMatchObject({ posts: 20, failed: 5, undecided: 5 })
  })

  it('says of what was poured what it is to carry', () => {
    const poured = demoJobs().find(({ pours }) => pours)!
    expect(jobSummary(poured, tables.causes).pours).toMatchObject([
      { post: 'H4', carries: { duties: ['line'], kind: 'hit-and-miss', method: 'beside-the-old' } },
      { post: 'H3' },
    ])
  })

  it('names files by letters only', () => {
    expect(jobFileName('Bank side, <b>March</b>')).toBe('bank-side-b-march-b.json')
    expect(jobFileName('***')).toBe('job.json')
  })
})
