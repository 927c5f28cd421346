import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../data/demo/jobs'
import { tables } from '../../data/tables'
import { AT, made, add, bare, pour } from '../../tests/support/someRecord'
import type { Job } from '../document/job'
import { applyCommand, applyCommands, inverseOf, inverseOfAll } from '../edit/apply'
import { checkEdit } from '../edit/check'
import type { Command } from '../edit/commands'
import { methodDetail } from '../plan/detail'
import { plan } from '../plan/plan'
import { asBuiltAt, depthsOf, differences } from './asBuilt'
import { builtSolids } from './builtSolids'
import { entriesAt } from './entries'
import { notedWith } from './noted'

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
