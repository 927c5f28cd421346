import { describe, expect, it } from 'vitest'
import { tables } from '../../tests/support/builders'
import { calculate } from '../calc/registry'
import { photographLean, type DrawnLine } from './photographLean'

describe('lean from a photograph', () => {
  const plumb: DrawnLine = [
    [300, 500],
    [300, 100],
  ]
  it('is the slope of the post less that of something plumb, to the right positive', () => {
    const post: DrawnLine = [
      [100, 500],
      [120, 100],
    ]
    expect(photographLean({ post, plumb }).lean).toBeCloseTo(0.05, 9)
    // Either end first; the camera held askew tilts both alike.
    expect(photographLean({ post: [post[1], post[0]], plumb }).lean).toBeCloseTo(0.05, 9)
    const askew: DrawnLine = [
      [300, 500],
      [320, 100],
    ]
    expect(photographLean({ post, plumb: askew }).lean).toBeCloseTo(0, 9)
    expect(
      calculate(
        'photo-lean',
        {
          post: [
            [100, 500],
            [80, 100],
          ],
          plumb,
        },
        tables,
      ),
    ).toMatchObject({
      lean: expect.closeTo(-0.05, 9),
    })
  })
  it('refuses lines that are too short to say anything, and flat ones', () => {
    const short: DrawnLine = [
      [100, 200],
      [100, 100],
    ]
    expect(() => photographLean({ post: short, plumb, height: 800 })).toThrow(/quarter/)
    expect(photographLean({ post: short, plumb }).lean).toBe(0)
    expect(() =>
      photographLean({
        post: [
          [0, 0],
          [10, 0],
        ],
        plumb,
      }),
    ).toThrow(/upper end/)
    expect(() => calculate('photo-lean', { post: [[0, 0]], plumb }, tables)).toThrow(/post/)
  })
})
