import { describe, expect, it } from 'vitest'
import { fence } from '../../data/demo/days'
import { tables } from '../../data/tables'
import type { Job, Pour } from '../document/job'
import { plan } from '../plan/plan'
import { resolveJob } from '../resolve/resolve'
import { checkAnswer, facesOf, lastCheck } from './checks'
import { loadsOf } from './loads'
import { isWetInTheHole, plannedPours, pourAt } from './planned'

const pours = (job: Job) => plannedPours(resolveJob(job, tables).lines, plan(job, tables), tables)
const three = fence({ posts: 3 })

describe('what is to be poured', () => {
  it('is in walking order, ends and gate posts first of all', () => {
    expect(pours(three).map(({ post, isFirst }) => [post, isFirst])).toEqual([
      ['B1', true],
      ['B2', false],
      ['B3', true],
    ])
    const alone = pours(fence({ posts: 1 }))
    expect(alone.map(({ isFirst }) => isFirst)).toEqual([
      resolveJob(fence({ posts: 1 }), tables).lines[0]!.posts[0]!.duties.includes('end'),
    ])
    // Nobody asks what carries a string where there is one post alone.
    const [only] = pours({
      ...three,
      lines: [{ ...three.lines[0]!, posts: [{ ...three.lines[0]!.posts[1]!, duty: 'line' }] }],
    })
    expect(only!.isFirst).toBe(false)
    expect(pours(fence({ posts: 3, gate: true })).map(({ isFirst }) => isFirst)).toEqual([true, false, true])
  })
  it('takes six minutes to mix ten litres by barrow and three to place them', () => {
    const [first] = pours(three)
    const tens = first!.bags
    // A bag of post mix makes ten litres.
    expect(first!.mixing).toBeCloseTo(6 * tens, 9)
    expect(first!.placing).toBeCloseTo(3 * tens, 9)
    const inTheHole = pours(fence({ posts: 3, filling: 'water-first' }))[0]!
    expect(inTheHole.mixing).toBe(0)
    expect(inTheHole.placing).toBeCloseTo(3 * inTheHole.bags, 9)
    const general = pours(fence({ posts: 3, mix: 'general-20' }))[0]!
    expect(general.mixing).toBeCloseTo(6 * general.bags * 0.94, 9)
    expect([
      isWetInTheHole('water-first', tables),
      isWetInTheHole('wet-barrow', tables),
      isWetInTheHole(undefined, tables),
    ]).toEqual([true, false, false])
  })
  it('is nothing of a post without a repair, nor of one that is tamped', () => {
    expect(pours(fence({ posts: 2, method: 'new-post-stone' }))).toEqual([])
    const line = three.lines[0]!
    const { repair: _repair, ...bare } = line.posts[1]!
    const job: Job = {
      ...three,
      lines: [{ ...line, posts: [line.posts[0]!, bare as (typeof line.posts)[0], line.posts[2]!] }],
    }
    expect(pours(job).map(({ post }) => post)).toEqual(['B1', 'B3'])
  })
  it('is the newest pour of its post', () => {
    const pour = (id: string, startedAt: string, post = 'B1'): Pour => ({
      id,
      line: 'B',
      post,
      mix: 'post-mix-20',
      startedAt,
    })
    const all = [
      pour('a', '2026-05-04T09:00:00Z'),
      pour('b', '2026-05-04T11:00:00Z'),
      pour('c', '2026-05-04T12:00:00Z', 'B2'),
      pour('d', '2026-05-04T10:00:00Z'),
    ]
    expect(pourAt({ pours: all }, 'B', 'B1')?.id).toBe('b')
    expect(pourAt({ pours: all }, 'C', 'B1')).toBeUndefined()
    expect(pourAt({}, 'B', 'B1')).toBeUndefined()
  })
})

describe('a check of a face', () => {
  const check = (face: 'across' | 'along', how: 'level' | 'eye' | 'stream', offset = 0) => ({
    at: '2026-05-04T09:00:00Z',
    how,
    face,
    offset,
    over: 1.2,
  })
  it('counts by a level where one was ever held to it, and by eye else', () => {
    expect(facesOf({ checks: [check('across', 'level'), check('across', 'eye'), check('along', 'eye')] })).toEqual({
      across: 'level',
      along: 'eye',
    })
    expect(facesOf({})).toEqual({})
    expect(lastCheck({ checks: [check('across', 'level', 1), check('across', 'eye', 2)] }, 'across')?.offset).toBe(2)
  })
  it('leaves what a level cannot tell from plumb, and pushes the rest back at the top', () => {
    expect(checkAnswer({ offset: 0.002, over: 1.2 }, 0, 1.8)).toEqual({ action: 'leave' })
    expect(checkAnswer({ offset: 0.006, over: 1.2 }, 0, 1.8)).toEqual({
      action: 'push',
      by: expect.closeTo(0.009, 9),
      towards: 'minus',
    })
    expect(checkAnswer({ offset: -0.006, over: 1.2 }, 0, 1.8)).toEqual({
      action: 'push',
      by: expect.closeTo(0.009, 9),
      towards: 'plus',
    })
    // To match its neighbours it may lean as they do.
    expect(checkAnswer({ offset: 0.006, over: 1.2 }, 0.005, 1.8)).toEqual({ action: 'leave' })
  })
})

describe('what a post will carry', () => {
  it('decides which of its strengths are waited for', () => {
    expect(loadsOf(['line'], 'close-boarded', 'new-post-concrete')).toEqual(['frostSafe', 'props', 'boards', 'cured'])
    expect(loadsOf(['gate-hinge'], 'close-boarded', 'new-post-concrete')).toEqual([
      'frostSafe',
      'props',
      'boards',
      'gate',
      'cured',
    ])
    expect(loadsOf(['load-bearing'], 'panel', 'new-pier')).toEqual([
      'frostSafe',
      'form',
      'props',
      'boards',
      'gate',
      'cured',
    ])
    expect(loadsOf(['line'], 'single', undefined)).toEqual(['frostSafe', 'props', 'box', 'cured'])
    expect(loadsOf(['roadside-box'], 'panel', undefined)).toContain('box')
  })
})
