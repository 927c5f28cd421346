import { describe, expect, it } from 'vitest'
import { tables } from '~~/tests/support/builders'
import { demoJobs } from '~~/data/demo/jobs'
import { plan } from '../plan/plan'
import type { MethodPlan, PostPlan } from '../plan/types'
import { carriedTo, lineChoice } from './waysOpen'

const way = (method: string, more: Partial<MethodPlan> = {}): MethodPlan =>
  ({
    method,
    name: method,
    allowed: true,
    reasons: [],
    minutes: 60,
    holdingGust: 50,
    returnYears: 100,
    holdsTarget: true,
    leavesUnsolved: [],
    wastes: [],
    unsuited: false,
    ...more,
  }) as MethodPlan
const post = (id: string, methods: MethodPlan[], diagnosis: Partial<PostPlan['diagnosis']> = {}): PostPlan =>
  ({
    line: 'A',
    post: id,
    methods,
    diagnosis: { state: 'failed', redFlags: [], cleared: false, ...diagnosis },
  }) as PostPlan
const openOf = (methods: MethodPlan[], chosen?: string) =>
  lineChoice({ posts: [post('A1', methods)] }, 'A', tables, new Map(chosen ? [['A1', chosen]] : [])).posts.flatMap(
    ({ options }) => options.map(({ method }) => method),
  )

describe('what there is to choose on a line', () => {
  it('is what an old hand would weigh at all', () => {
    const all = [
      way('spur'),
      way('pin'),
      way('half', { leavesUnsolved: ['a cause'] }),
      way('waste', { wastes: ['footing'] }),
      way('weak', { holdsTarget: false }),
      way('last', { unsuited: true }),
      way('refused', { allowed: false }),
      way('make-safe'),
    ]
    expect(openOf(all)).toEqual(['spur', 'pin'])
  })
  it('is what there is where nothing holds', () => {
    expect(openOf([way('a', { holdsTarget: false }), way('b', { holdsTarget: false })])).toEqual(['a', 'b'])
  })
  it('is what somebody chose, where that is allowed', () => {
    expect(openOf([way('spur'), way('weak', { holdsTarget: false })], 'weak')).toEqual(['weak'])
    expect(openOf([way('spur'), way('refused', { allowed: false })], 'refused')).toEqual(['spur'])
  })
  it('counts what is brought, and how often a wind comes that it does not stand', () => {
    const { posts } = lineChoice({ posts: [post('A1', [way('spur', { returnYears: 200 })])] }, 'A', tables)
    expect(posts[0]!.options).toEqual([
      { method: 'spur', name: 'spur', minutes: 60, carried: 0, breaks: 0.005, breaker: false },
    ])
  })
  it('leaves to others what has no way, with the reason', () => {
    const posts = [
      post('A1', [way('spur', { allowed: false, reasons: ['Soft wood.'] }), way('make-safe')]),
      post('A2', [way('make-safe')], { redFlags: ['A flag.'] }),
      post('A3', [way('spur')], { state: 'nothing-wrong' }),
    ]
    expect(lineChoice({ posts }, 'A', tables)).toEqual({
      line: 'A',
      posts: [],
      left: [
        { post: 'A1', why: 'Soft wood.' },
        { post: 'A2', why: 'A red flag stands: make it safe.' },
      ],
    })
  })
  it('weighs what a demo post wants as its load list has it', () => {
    const bank = demoJobs().find(({ name }) => name.startsWith('Bank side'))!
    const { methods } = plan(bank, tables).posts.find(({ post: id }) => id === 'B4')!
    const { concrete, ...concreted } = methods.find(({ method }) => method === 'new-post-concrete')!
    expect(carriedTo({ ...concreted, concrete }, tables)).toBe(concrete!.bags.count * 20)
    const stone = methods.find(({ method }) => method === 'new-post-stone')!
    expect(carriedTo(stone, tables)).toBe(stone.packed!.fill.mass)
    // Soil goes back where it came from.
    expect(carriedTo(methods.find(({ method }) => method === 'new-post-keyed')!, tables)).toBe(0)
  })
})
