import { describe, expect, it } from 'vitest'
import { heldReading, READINGS_UNTIL_LOST, simulatedReading, type Manner } from './simulated'

const DEGREE = Math.PI / 180
const truth = 3 * DEGREE
const readings = (manner: Manner, count = 20) =>
  Array.from({ length: count }, (_, i) => ({ at: i * 200, value: simulatedReading('level', manner, truth, i)! }))
const held = (manner: Manner, count?: number) => heldReading('level', readings(manner, count))!

describe('a stand-in for a digital level', () => {
  it('steady: stands within its own step of the truth', () => {
    const { value, steady } = held('steady')
    expect(steady).toBe(true)
    expect(Math.abs(value - truth)).toBeLessThanOrEqual(0.05 * DEGREE + 1e-12)
  })
  it('drifting and noisy: is not to be taken', () => {
    expect(held('drifting').steady).toBe(false)
    expect(held('noisy').steady).toBe(false)
    expect(held('drifting').value).toBeGreaterThan(truth)
    expect(Math.abs(held('noisy').value - truth)).toBeLessThan(0.6 * DEGREE)
  })
  it('lost: speaks for a while and then no more', () => {
    expect(simulatedReading('level', 'lost', truth, READINGS_UNTIL_LOST - 1)).not.toBeNull()
    expect(simulatedReading('level', 'lost', truth, READINGS_UNTIL_LOST)).toBeNull()
  })
  it('is the same each time', () => {
    expect(readings('noisy')).toEqual(readings('noisy'))
  })
})

describe('what may be taken', () => {
  it('needs some readings first', () => {
    expect(heldReading('level', [])).toBeUndefined()
    expect(held('steady', 2).steady).toBe(false)
  })
  it('is the middle of the last second and a half, whatever came before', () => {
    const wild = [...Array(10).keys()].map((i) => ({ at: i * 200 - 10_000, value: 1 }))
    expect(heldReading('level', [...wild, ...readings('steady')])).toEqual(held('steady'))
    expect(
      heldReading(
        'moisture',
        [20, 20.4, 20.2, 20.1, 20.3].map((value, i) => ({ at: i * 200, value })),
      ),
    ).toEqual({
      value: 20.2,
      spread: expect.closeTo(0.4, 9) as number,
      steady: true,
    })
  })
})
