import { describe, expect, it } from 'vitest'
import { line } from '~~/tests/device/rottedPost'
import { bayDimensions, heightOfBays } from './bayDimensions'

describe('bays measured out beside a post', () => {
  it('both, one at an end, none for a post that is not there', () => {
    const lengths = (id: string) => bayDimensions(line, id, 2).map(({ key, length }) => [key, length])
    expect(lengths('A3')).toEqual([
      ['bay-0', expect.closeTo(2.4, 9)],
      ['bay-1', expect.closeTo(2.4, 9)],
    ])
    expect(lengths('A1').map(([key]) => key)).toEqual(['bay-1'])
    expect(lengths('A5').map(([key]) => key)).toEqual(['bay-0'])
    expect(lengths('Z9')).toEqual([])
  })

  it('run from left to right at one height', () => {
    for (const { from, to, side } of bayDimensions(line, 'A3', 1.96)) {
      expect(from[0]).toBeLessThan(to[0])
      expect([from[1], to[1], side]).toEqual([1.96, 1.96, 'over'])
    }
  })

  it('say what a pulled post has snapped to', () => {
    const words = (to: 'equal bays' | 'same bay') => bayDimensions(line, 'A3', 2, to).map((bay) => bay.words)
    expect(words('equal bays')).toEqual(['equal bays', 'equal bays'])
    expect(words('same bay')).toEqual(['same bay', undefined])
  })

  it('stand over the tops where there is room for words, else under them', () => {
    const viewport = { width: 700, height: 600, pixelsPerMetre: 160, groundY: 360 }
    expect(heightOfBays(1.8, viewport)).toBeCloseTo(1.96, 9)
    expect(heightOfBays(1.8, { ...viewport, groundY: 300 })).toBeCloseTo(1.5, 9)
  })
})
