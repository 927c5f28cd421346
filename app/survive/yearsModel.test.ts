import { describe, expect, it } from 'vitest'
import { yearsModel } from './yearsModel'

const SIZE = { width: 400, height: 200, room: { left: 40, right: 20, top: 10, bottom: 30 } }
const curve = (method: string, share: number) => ({
  method,
  plumb: Array<number>(30).fill(share),
  low: Array<number>(30).fill(share / 2),
  high: Array<number>(30).fill(Math.min(1, share * 1.5)),
})

describe('curves of years', () => {
  it('begin with all of them plumb, and end some years after the fence', () => {
    const { curves, x, end } = yearsModel([curve('a', 0.5)], 8, SIZE)
    expect(curves[0]!.path.startsWith('M40,10')).toBe(true)
    // Fifteen years for a fence that has eight left.
    expect(curves[0]!.path.split('L')).toHaveLength(16)
    expect(x(15)).toBe(380)
    expect(end).toBeCloseTo(40 + (340 * 8) / 15, 9)
  })
  it('have no end of the fence where that lies beyond what is drawn', () => {
    expect(yearsModel([curve('a', 0.5)], 60, SIZE).end).toBeUndefined()
  })
  it('have marks that keep apart, the best uppermost, none under the ground', () => {
    const { curves, y } = yearsModel([curve('a', 0.02), curve('b', 0.03), curve('c', 0.9), curve('d', 0.01)], 8, SIZE)
    expect(curves.map(({ method }) => method)).toEqual(['c', 'b', 'a', 'd'])
    curves.forEach(({ at }, i) => {
      if (i > 0) expect(at - curves[i - 1]!.at).toBeGreaterThanOrEqual(16 - 1e-9)
      expect(at).toBeLessThanOrEqual(y(0) + 1e-9)
    })
  })
  it('are none where nothing is allowed', () => {
    expect(yearsModel([], 10, SIZE).curves).toEqual([])
  })
})
