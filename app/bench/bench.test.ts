import { describe, expect, it } from 'vitest'
import { calculations } from '~~/core/calc/registry'
import { tables } from '~~/data/tables'
import { answerLines, pathWords, unitOfFigure } from './benchWords'
import { PICTURES } from './pictures'

const found = (name: string) => {
  const of = calculations.find((each) => each.name === name)!
  return { of, given: of.example[0], answer: of.run(of.example[0], tables) }
}

describe('pictures of calculations', () => {
  it('are all of calculations that there are', () => {
    const names = calculations.map(({ name }) => name)
    expect(Object.keys(PICTURES).filter((name) => !names.includes(name))).toEqual([])
  })
  it.each(Object.keys(PICTURES))('%s is drawn of plain points, and moves with its figures', (name) => {
    const { given, answer } = found(name)
    const { solids } = PICTURES[name]!(given, answer)
    expect(solids.length).toBeGreaterThan(0)
    expect(new Set(solids.map(({ key }) => key)).size).toBe(solids.length)
    for (const point of solids.flatMap(({ outline }) => outline)) expect(point.every(Number.isFinite)).toBe(true)
  })
  it('has the depth that the code asks for, and the hole that was found', () => {
    const { given, answer } = found('code-depth')
    const depth = PICTURES['code-depth']!(given, answer).solids.flatMap(({ measures = [] }) => measures)
    expect(depth.find(({ key }) => key === 'depth')!.length).toBeCloseTo(1.8547, 3)
    const hole = found('find-hole')
    const dug = PICTURES['find-hole']!(hole.given, hole.answer).solids.flatMap(({ measures = [] }) => measures)
    expect(dug.find(({ key }) => key === 'depth')!.length).toBeCloseTo(0.8, 6)
    expect(PICTURES['find-hole']!(hole.given, { best: null }).solids).toEqual([])
  })
  it('has a bell where it is belled, and a taper where it tapers', () => {
    const widths = (hole: object) => {
      const { solids } = PICTURES['hole-volume']!({ hole }, {})
      const xs = solids.find(({ key }) => key === 'concrete')!.outline.map(([x]) => Math.round(Math.abs(x) * 1e3))
      return [...new Set(xs)].sort((a, b) => a - b)
    }
    expect(widths({ shape: 'belled', diameter: 0.3, bellDiameter: 0.5, bellHeight: 0.2, depth: 0.8 })).toEqual([
      150, 250,
    ])
    expect(widths({ shape: 'tapered', topDiameter: 0.4, bottomDiameter: 0.2, depth: 0.6 })).toEqual([100, 200])
    expect(widths({ shape: 'square', side: 0.3, depth: 0.6 })).toEqual([150])
  })
})

describe('answers in words', () => {
  const lines = (name: string) => answerLines(found(name).of, found(name).answer, 'metric')
  it('have their unit, and what the listing says beyond it', () => {
    expect(lines('post-in-ground').slice(0, 3)).toEqual([
      { key: 'over', name: 'goes over at', words: '1737 N', says: '' },
      { key: 'lean', name: 'leans from', words: '1052 N', says: '' },
      { key: 'code', name: 'the code allows', words: '148.8 N', says: 'none where the code gives no pressure' },
    ])
    expect(lines('prop')[2]).toMatchObject({ name: 'angle', words: '60°' })
  })
  it('list what is a list, as a row or as a table', () => {
    expect(lines('gate-opening')[0]!.words).toBe('2.435 m')
    expect(lines('spacing')[0]!.words).toMatch(/^0 m? ?.*2\.3 m · 4\.6 m/)
    const [options] = lines('supply')
    expect(options!.rows!.headings).toContain('recommended')
    expect(options!.rows!.cells).toHaveLength(3)
    expect(lines('find-hole')[0]!.rows!.cells).toHaveLength(1)
  })
  it('say yes, no and none', () => {
    const words = (value: unknown) => answerLines({ outputs: { a: '' } }, { a: value }, 'metric')[0]!.words
    expect([true, false, null, [], 'taut'].map(words)).toEqual(['yes', 'no', 'none', 'none', 'taut'])
  })
  it('name the place and the unit of a figure', () => {
    expect(pathWords(['segments', 0, 'width'])).toBe('segments 1, width')
    expect(unitOfFigure(found('spacing').of, ['stations', 2])).toBe('m')
    expect(unitOfFigure(found('find-hole').of, ['best', 'depth'])).toBe('')
  })
})
