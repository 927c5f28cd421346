import { describe, expect, it } from 'vitest'
import type { Job } from '~~/core/document/job'
import { applyCommands } from '~~/core/edit/apply'
import type { Command } from '~~/core/edit/commands'
import { LIMITS } from '~~/core/limits'
import { jobOf, runOfPosts } from '~~/tests/support/builders'
import { batchesOf } from './batches'
import { stepOf, takeBack } from './wayBack'

const job = jobOf(runOfPosts(3))
const fact = (value: unknown, key = 'soil'): Command =>
  ({ name: 'setPost', line: 'A', post: 'A2', key, value }) as Command
const read = (id: string, value: unknown, post = 'A2', hour = 8): Command =>
  ({
    name: 'setReading',
    line: 'A',
    post,
    key: 'tap',
    value,
    reading: { id, at: `2026-03-14T0${hour}:00:00Z`, by: 'I. Aalder' },
  }) as Command
const add: Command = { name: 'putPost', line: 'A', post: 'A9', value: { id: 'A9', station: 9 } }
/** What is left to do of a step, after others have been at it. */
function back(mine: Command[], theirs: Command[] = [], from: Job = job) {
  const step = stepOf(from, mine)
  const now = applyCommands(applyCommands(from, mine), theirs)
  const { commands, left } = takeBack(now, step)
  return { left, after: applyCommands(now, commands) }
}
const post = (of: Job, id: string) => of.lines[0]!.posts.find((each) => each.id === id)

describe('a step back', () => {
  it('takes back what it made, several edits of one key too', () => {
    expect(back([fact('gravel'), fact(7, 'ageYears'), fact('rock')])).toEqual({ left: [], after: job })
  })

  it('takes back what the server keeps with its keys in another order', () => {
    const footing = { kind: 'concrete', diameter: 0.25, bottom: 0.5 }
    const step = stepOf(job, [fact(footing, 'footing')])
    const now = applyCommands(job, [fact({ bottom: 0.5, diameter: 0.25, kind: 'concrete' }, 'footing')])
    expect(takeBack(now, step)).toMatchObject({ left: [], commands: [{ key: 'footing', value: null }] })
  })

  it('leaves what others have changed since, says so, and takes back the rest', () => {
    const { left, after } = back([fact('gravel'), fact(7, 'ageYears')], [fact('rock')])
    expect(left).toEqual(['A2 › soil'])
    expect(post(after, 'A2')).toEqual({ ...post(job, 'A2'), soil: 'rock' })
  })

  it('does not take away a post that holds what somebody has read, photographed or said', () => {
    const at = { line: 'A', post: 'A9' }
    const photograph: Command = {
      name: 'putPhotograph',
      ...at,
      photograph: 'picture-1',
      value: { id: 'picture-1', pixelWidth: 10, pixelHeight: 10 },
    }
    const said: Command = {
      name: 'setJudgement',
      ...at,
      key: 'found',
      value: { cause: 'ground-line-decay', at: '2026-03-14T09:00:00Z' },
    }
    for (const theirs of [read('theirs', 'dull', 'A9'), photograph, said]) {
      const { left, after } = back([add], [theirs])
      expect(left).toEqual(['A9'])
      expect(post(after, 'A9')).toBeDefined()
    }
    // A fact of it is no reason, and neither is a reading that was taken back.
    const withdrawn = [read('mine', 'dull', 'A9'), { ...read('mine', null, 'A9'), reading: undefined, without: 'mine' }]
    expect(back([add], [{ ...fact('rock'), post: 'A9' } as Command])).toEqual({ left: [], after: job })
    expect(back([add], withdrawn as Command[])).toEqual({ left: [], after: job })
  })

  it('does not take away a line with a post that holds something', () => {
    const line: Command = { name: 'putLine', line: 'B', value: { id: 'B', posts: [{ id: 'B1', station: 0 }] } }
    expect(back([line], [{ ...read('theirs', 'dull', 'B1'), line: 'B' } as Command]).left).toEqual(['B'])
    expect(back([line]).after).toEqual(job)
  })

  it('takes back its own reading, whatever others have read since', () => {
    const { left, after } = back([read('mine', 'dull')], [read('theirs', 'rings', 'A2', 9)])
    expect(left).toEqual([])
    expect(post(after, 'A2')!.observations).toEqual({ tap: 'rings' })
    expect(post(after, 'A2')!.readings!.map(({ withdrawn }) => withdrawn !== undefined)).toEqual([true, false])
  })

  it('over what others have taken away does nothing to it', () => {
    const gone: Command = { name: 'putPost', line: 'A', post: 'A2', value: null }
    expect(back([fact('gravel')], [gone]).left).toEqual(['A2 › soil'])
    expect(back([read('mine', 'dull')], [gone]).left).toEqual(['A2 › observations › tap'])
  })

  it('of an earlier version, of which nobody knows what it made, is taken as it stands', () => {
    const step = { ...stepOf(job, [fact('gravel')]), made: [] }
    expect(takeBack(applyCommands(job, [fact('rock')]), step).left).toEqual([])
  })
})

describe('a long edit', () => {
  it('is cut into what the server takes, in its order', () => {
    const commands = Array.from({ length: 1_203 }, (_, i) => fact(i % 60, 'ageYears'))
    const batches = batchesOf(commands)
    expect(batches.map(({ length }) => length)).toEqual([500, 500, 203])
    expect(batches.flat()).toEqual(commands)
    expect(Math.max(...batches.map(({ length }) => length))).toBeLessThanOrEqual(LIMITS.commandsInBatch)
  })

  it('is cut by its letters too, and one command is never cut', () => {
    const large = (letters: number): Command => ({ name: 'renameJob', value: 'x'.repeat(letters) })
    expect(
      batchesOf([large(150_000), large(80_000), large(10), large(300_000), large(1)]).map(({ length }) => length),
    ).toEqual([1, 2, 1, 1])
    expect(batchesOf([])).toEqual([[]])
  })
})
