import { describe, expect, it } from 'vitest'
import { findWords, WORDS } from './words'

describe('words of the trade', () => {
  it.each(WORDS.map((each) => [each.word, each] as const))(
    '%s is told in a sentence or two, and drawn',
    (word, each) => {
      expect(word).toBe(word.toLowerCase())
      expect(each.says.split(/[.:?!] /).length).toBeLessThanOrEqual(4)
      expect(each.says.endsWith('.')).toBe(true)
      const { solids } = each.picture
      expect(solids.length).toBeGreaterThan(0)
      expect(new Set(solids.map(({ key }) => key)).size).toBe(solids.length)
      for (const point of solids.flatMap(({ outline }) => outline)) expect(point.every(Number.isFinite)).toBe(true)
    },
  )
  it('stand once each, whatever else they are looked for by', () => {
    const names = WORDS.flatMap(({ word, also = [] }) => [word, ...also])
    expect(new Set(names).size).toBe(names.length)
  })
  it('are found by name first, by what is said after', () => {
    expect(findWords('crown')[0]!.word).toBe('crown')
    expect(findWords('gate post')[0]!.word).toBe('hinge post')
    expect(findWords('  FROST  ')[0]!.word).toBe('heave')
    expect(findWords('preservative').map(({ word }) => word)).toEqual(['end grain'])
    expect(findWords('')).toEqual(WORDS)
    expect(findWords('submarine')).toEqual([])
  })
})
