import { checkJob } from '../document/check'
import { applyCommand, applyCommands, commandWords, inverseOfAll, subjectWords } from './apply'
import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import { readBatch } from './batch'
import type { Command } from './commands'
import { rebase } from './rebase'
import { plan } from '../plan/plan'

/* Commands that build a line and keep the record. */

const job = jobOf(runOfPosts(3))
const at = { line: 'A', post: 'A2' }
const note = (id: string, hour: number) => ({ id, at: `2026-03-14T0${hour}:30:00Z`, by: 'I. Aalder' })
const seen = (value: unknown, id: string, hour: number): Command => ({
  name: 'setReading',
  ...at,
  key: 'probeAtGround',
  value,
  reading: note(id, hour),
})
const wayBack = (commands: Command[]) => applyCommands(applyCommands(job, commands), inverseOfAll(job, commands))

describe('readings', () => {
  const both = [seen(0.02, 'first', 8), seen(0.03, 'second', 9)]

  it('a second one stands, and the first is kept with its time and person', () => {
    const post = applyCommands(job, both).lines[0]!.posts[1]!
    expect(post.observations).toEqual({ probeAtGround: 0.03 })
    expect(post.readings).toEqual([
      { ...note('first', 8), observation: 'probeAtGround', value: 0.02 },
      { ...note('second', 9), observation: 'probeAtGround', value: 0.03 },
    ])
  })

  it('one taken back is an entry too; undone, it was never made', () => {
    const taken = applyCommands(job, [...both, seen(null, 'third', 9)]).lines[0]!.posts[1]!
    expect(taken.observations).toBeUndefined()
    expect(taken.readings).toHaveLength(3)
    expect(taken.readings![2]!.value).toBeNull()
  })

  it('undone, stays in the record as one that was taken back, with who did', () => {
    const undone = wayBack(both).lines[0]!.posts[1]!
    expect(undone.observations).toBeUndefined()
    expect(undone.readings).toMatchObject([
      { id: 'first', value: 0.02, withdrawn: { by: 'I. Aalder', why: 'taken back by whoever made it' } },
      { id: 'second', value: 0.03, withdrawn: { by: 'I. Aalder' } },
    ])
  })

  it('that comes late, made before another, joins the record and leaves the newest standing', () => {
    const [early, late] = both as [Command, Command]
    for (const order of [
      [early, late],
      [late, early],
    ]) {
      const post = applyCommands(job, order).lines[0]!.posts[1]!
      expect(post.observations).toEqual({ probeAtGround: 0.03 })
      expect(post.readings!.map(({ id }) => id).sort()).toEqual(['first', 'second'])
    }
    // Made in the same second: the same one stands on every device.
    const twins = [seen(0.01, 'a', 8), seen(0.04, 'b', 8)]
    for (const order of [twins, [...twins].reverse()])
      expect(applyCommands(job, order).lines[0]!.posts[1]!.observations).toEqual({ probeAtGround: 0.04 })
  })

  it("undone after somebody else's, leaves theirs standing", () => {
    const mine = seen(0.02, 'mine', 8)
    const back = inverseOfAll(job, [mine])
    const after = applyCommands(job, [mine, seen(0.05, 'theirs', 9), ...back]).lines[0]!.posts[1]!
    expect(after.observations).toEqual({ probeAtGround: 0.05 })
    expect(after.readings!.map(({ id, withdrawn }) => [id, withdrawn !== undefined])).toEqual([
      ['mine', true],
      ['theirs', false],
    ])
  })

  it('of two people are never a choice between them, alike or not', () => {
    const mine = [{ id: 'b-1', commands: [seen(0.02, 'mine', 8), seen(0.02, 'mine-too', 9)] }]
    for (const theirs of [seen(0.02, 'theirs', 8), seen(0.05, 'theirs', 9)])
      expect(rebase(mine, [theirs])).toMatchObject({ clean: mine, conflicts: [] })
    // A post that was taken out is one, for each reading on it.
    const out: Command = { name: 'putPost', ...at, value: null }
    expect(rebase(mine, [out]).conflicts.map((conflict) => conflict.mine)).toEqual(mine[0]!.commands)
  })

  it('undone and done again, it is the same reading', () => {
    const there = applyCommands(job, both)
    const back = inverseOfAll(job, both)
    const undone = applyCommands(there, back)
    expect(applyCommands(undone, inverseOfAll(there, back))).toEqual(there)
  })

  it('one that goes on changing under its own name is one reading, put back as it was', () => {
    const steps = [seen(0.005, 'same', 8), seen(0.01, 'same', 8), seen(0.015, 'same', 9)]
    const post = applyCommands(job, steps).lines[0]!.posts[1]!
    expect(post.readings).toEqual([{ ...note('same', 9), observation: 'probeAtGround', value: 0.015 }])
    const [last, ...rest] = inverseOfAll(job, steps)
    const once = applyCommand(applyCommands(job, steps), last!)
    expect(once.lines[0]!.posts[1]).toMatchObject({
      observations: { probeAtGround: 0.01 },
      readings: [{ ...note('same', 8), value: 0.01 }],
    })
    const none = applyCommands(once, rest).lines[0]!.posts[1]!
    expect(none.observations).toBeUndefined()
    expect(none.readings).toMatchObject([{ id: 'same', withdrawn: {} }])
  })

  it('change no figure by being kept', () => {
    const bare = applyCommand(job, { name: 'setReading', ...at, key: 'probeAtGround', value: 0.03 })
    expect(plan(applyCommands(job, both), tables).posts).toEqual(plan(bare, tables).posts)
  })
})

describe('posts, lines, marks and photographs', () => {
  const post = { id: 'A9', station: 3.6, duty: 'line' as const }
  const mark = { id: 'm1', kind: 'service' as const, station: 2.6, offset: 0.3, service: 'gas' as const }
  const photograph = { id: 'p1', pixelWidth: 1600, pixelHeight: 1200, height: 0.4 }

  it('a post goes in where its station says, and moves in order', () => {
    const inside = applyCommand(job, { name: 'putPost', line: 'A', post: 'A9', value: post })
    expect(inside.lines[0]!.posts.map(({ id }) => id)).toEqual(['A1', 'A2', 'A9', 'A3'])
    const moved = applyCommand(inside, { name: 'setPost', line: 'A', post: 'A9', key: 'station', value: 1 })
    expect(moved.lines[0]!.posts.map(({ id }) => id)).toEqual(['A1', 'A9', 'A2', 'A3'])
    expect(checkJob(moved, tables)).toEqual([])
    expect(applyCommand(inside, { name: 'putPost', line: 'A', post: 'A9', value: null })).toEqual(job)
  })

  it.each<[string, Command]>([
    ['a new post', { name: 'putPost', line: 'A', post: 'A9', value: post }],
    ['a post taken out', { name: 'putPost', line: 'A', post: 'A2', value: null }],
    ['a moved post', { name: 'setPost', line: 'A', post: 'A1', key: 'station', value: 4 }],
    ['a mark', { name: 'putMark', line: 'A', mark: 'm1', value: mark }],
    ['a photograph', { name: 'putPhotograph', line: 'A', post: 'A2', photograph: 'p1', value: photograph }],
    ['a new line', { name: 'putLine', line: 'B', value: { id: 'B', posts: [{ id: 'B1', station: 0 }] } }],
    ['a line before', { name: 'putLine', line: 'B', value: { id: 'B', posts: [{ id: 'B1', station: 0 }] }, at: 0 }],
    ['a line taken out', { name: 'putLine', line: 'A', value: null }],
  ])('%s can be undone', (_name, command) => {
    expect(applyCommand(job, command)).not.toEqual(job)
    expect(wayBack([command])).toEqual(job)
  })

  it('a service near a post stops the ordinary flow there, and only there', () => {
    const marked = plan(applyCommand(job, { name: 'putMark', line: 'A', mark: 'm1', value: mark }), tables)
    const flags = marked.posts.map((each) => each.diagnosis.redFlags)
    expect(flags[1]).toEqual([
      'A buried gas line lies 0.35 m from this post: have it marked, dig by hand, keep clear of it.',
    ])
    expect([flags[0], flags[2]]).toEqual([[], []])
  })

  it('a tree counts by its trunk', () => {
    const tree = (size: number) => ({ id: 't', kind: 'tree' as const, station: 2.4, offset: 0.5, size })
    const flagsOf = (size: number) =>
      plan(applyCommand(job, { name: 'putMark', line: 'A', mark: 't', value: tree(size) }), tables).posts[1]!.diagnosis
        .redFlags
    expect(flagsOf(0.12)).toEqual([])
    expect(flagsOf(0.3)[0]).toContain('300 mm')
  })

  it.each<[string, object, string]>([
    [
      'a post of another name',
      { name: 'putPost', line: 'A', post: 'A9', value: { ...post, id: 'A8' } },
      'commands[0].value',
    ],
    [
      'a post without a station',
      { name: 'putPost', line: 'A', post: 'A9', value: { id: 'A9' } },
      'commands[0].value.station',
    ],
    ['a line without posts', { name: 'putLine', line: 'B', value: { id: 'B' } }, 'commands[0].value.posts'],
    [
      'a mark of no kind',
      { name: 'putMark', line: 'A', mark: 'm1', value: { id: 'm1', station: 1 } },
      'commands[0].value.kind',
    ],
    ['no mark at all', { name: 'putMark', line: 'A', mark: 'm1' }, 'commands[0].value'],
    [
      'a reading without a time',
      { name: 'setReading', ...at, key: 'tap', value: 'dull', reading: { id: 'r' } },
      'commands[0].reading.at',
    ],
  ])('%s is refused', (_name, command, key) => {
    expect(() => readBatch({ id: '12345678', version: 1, commands: [command] })).toThrow(
      expect.objectContaining({ key }),
    )
  })

  it.each<[Command, string]>([
    [{ name: 'setPost', line: 'A', post: 'A1', key: 'ageYears', value: 12 } as Command, '12 years'],
    [{ name: 'setPost', line: 'A', post: 'A1', key: 'length', value: 2.4 } as Command, '2.4 metres'],
    [{ name: 'setSite', key: 'gust50', value: 38 } as Command, '38 m/s'],
    [{ name: 'setSite', key: 'targetReturnYears', value: 50 } as Command, '50 years'],
    [{ name: 'setSite', key: 'shelter', value: 0.7 } as Command, '0.7'],
    [{ name: 'setLine', line: 'A', key: 'solidity', value: 0.5 } as Command, '0.5'],
    [{ name: 'setReading', line: 'A', post: 'A1', key: 'moisturePercent', value: 24 } as Command, '24 %'],
    [{ name: 'setReading', line: 'A', post: 'A1', key: 'probeAtGround', value: 0.03 } as Command, '0.03 metres'],
    [
      {
        name: 'setReading',
        line: 'A',
        post: 'A1',
        key: 'lean',
        value: { offset: 0.06, over: 1.2, direction: 90 },
      } as Command,
      'offset 0.06 metres, over 1.2 metres, direction 90 degrees',
    ],
    [{ name: 'setHole', line: 'A', post: 'A1', key: 'depth', value: 0.8 } as Command, '0.8 metres'],
    [{ name: 'setPost', line: 'A', post: 'A1', key: 'saturated', value: true } as Command, 'yes'],
    [
      { name: 'setPost', line: 'A', post: 'A1', key: 'gate', value: { leafWidth: 1.1, leafMass: 30 } } as Command,
      'leaf width 1.1 metres, leaf mass 30 kg',
    ],
  ])('what stands against what is said in its own unit: %j', (command, words) => {
    expect(commandWords(command, { length: (metres) => `${metres} metres` })).toBe(words)
  })

  it('an edit of a post that somebody else took out is shown, not lost', () => {
    const theirs: Command[] = [{ name: 'putPost', line: 'A', post: 'A2', value: null }]
    const mine: Command = { name: 'setReading', ...at, key: 'tap', value: 'dull' }
    expect(rebase([{ id: '1', commands: [mine] }], theirs)).toMatchObject({
      clean: [],
      conflicts: [{ mine, theirs: theirs[0] }],
    })
  })

  it('is no conflict where both wrote the same with its keys in another order', () => {
    const footing = (value: object): Command => ({ name: 'setPost', ...at, key: 'footing', value }) as Command
    const mine = footing({ kind: 'concrete', diameter: 0.25 })
    expect(rebase([{ id: '1', commands: [mine] }], [footing({ diameter: 0.25, kind: 'concrete' })]).conflicts).toEqual(
      [],
    )
  })

  it('is beside who wrote the other, and when', () => {
    const tap = (value: string): Command => ({ name: 'setReading', ...at, key: 'tap', value }) as Command
    const elsewhere: Command = { name: 'renameJob', value: 'Called otherwise' }
    const writers = [{ at: '2026-03-14T09:00:00Z' }, { by: 'Robin', at: '2026-03-14T09:30:00Z' }]
    const { conflicts } = rebase([{ id: '1', commands: [tap('dull')] }], [elsewhere, tap('rings')], undefined, writers)
    expect(conflicts).toEqual([{ mine: tap('dull'), theirs: tap('rings'), writer: writers[1] }])
    expect(rebase([{ id: '1', commands: [tap('dull')] }], [tap('rings')]).conflicts[0]).not.toHaveProperty('writer')
  })
})

it.each<[Command, string, string]>([
  [{ name: 'putLine', line: 'A', value: null } as Command, 'A', 'taken out'],
  [{ name: 'putLine', line: 'A', value: runOfPosts(3) } as Command, 'A', 'a line of 3 posts'],
  [{ name: 'putMark', line: 'A', mark: 'm', value: null } as Command, 'mark › m', 'taken away'],
  [{ name: 'putPost', line: 'A', post: 'A2', value: null } as Command, 'A2', 'taken out'],
  [{ name: 'chooseRepair', line: 'A', post: 'A2', value: 'repair-spur' } as Command, 'A2 › repair', 'repair spur'],
  [seen(0.02, 'r', 1), 'A2 › observations › probe at ground', '0.02 m'],
  [{ name: 'setSite', key: 'gust50', value: 40 } as Command, 'site › gust50', '40 m/s'],
])('says what it writes to, and what it makes true: %j', (command, subject, words) => {
  expect(subjectWords(command)).toBe(subject)
  expect(commandWords(command, { length: (metres) => `${metres} m` })).toBe(words)
})

it('a repair taken back keeps the mix and the filling that were chosen, and the hole of its method', () => {
  const repair = { method: 'repair-spur', mix: 'general-20', filling: tables.fillings[0]!.key, hole: { depth: 0.8 } }
  const chosen = jobOf(runOfPosts(3, 2.4, () => ({ repair })))
  const after = (value: string | null) =>
    applyCommand(chosen, { name: 'chooseRepair', ...at, value }).lines[0]!.posts[1]!.repair
  const kept = { mix: repair.mix, filling: repair.filling, holes: { 'repair-spur': repair.hole } }
  expect(after(null)).toEqual(kept)
  expect(after('steel-pin')).toEqual({ ...kept, method: 'steel-pin' })
})
