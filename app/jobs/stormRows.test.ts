import { describe, expect, it } from 'vitest'
import type { StormPost } from '~~/core/storm/watch'
import { stormRows } from './stormRows'

const show = { gust: (gust: number) => `${gust} m/s`, time: () => 'Tue 01:00' }
const post = (name: string, more: Partial<StormPost>): StormPost => ({
  line: 'L',
  post: name,
  chance: 0.9,
  at: 1,
  gust: 21,
  over: 15,
  why: 'standing',
  ...more,
})

describe('what a storm may bring down', () => {
  it('is said once for posts that want the same for the same reason', () => {
    const all = [
      post('L3', { why: 'gone', chance: 1 }),
      post('L12', { chance: 0.94 }),
      post('L5', {}),
      post('L1', { over: 18, chance: 0.77 }),
    ]
    expect(stormRows(all, show)).toMatchObject([
      { posts: ['L3'], chance: 'almost surely', says: 'Tue 01:00: 21 m/s, has given way already' },
      {
        posts: ['L1', 'L5', 'L12'],
        chance: '77 to 94 in 100',
        says: 'Tue 01:00: 21 m/s against 15 m/s to 18 m/s, as it stands',
      },
    ])
  })
  it('keeps apart what wants another thing, or falls in another hour', () => {
    const all = [post('L1', {}), post('L2', { chance: 0.3 }), post('L4', { at: 2 }), post('L5', { why: 'green' })]
    expect(
      stormRows(all, show).map(({ posts, chance, todo }) => [posts, chance, todo.split(' ', 2).join(' ')]),
    ).toEqual([
      [['L1'], '90 in 100', 'take the'],
      [['L2'], '30 in 100', 'prop it'],
      [['L4'], '90 in 100', 'take the'],
      [['L5'], '90 in 100', 'prop both'],
    ])
  })
  it('never calls one chance of many sure', () => {
    expect(stormRows([post('L1', { chance: 1 }), post('L2', { chance: 0.6 })], show)[0]!.chance).toBe('60 to 99 in 100')
    expect(stormRows([post('L1', { chance: 1 }), post('L2', { chance: 0.96 })], show)[0]!.chance).toBe('almost surely')
  })
})
