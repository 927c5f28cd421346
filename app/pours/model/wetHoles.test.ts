import { describe, expect, it } from 'vitest'
import { MOST_DRAWN, wetHoles, type WetHole } from './wetHoles'

const hole = { shape: 'round', diameter: 0.3, depth: 0.75, stoneBed: 0.1, fillTop: 0.05 } as const
const wet = (id: string, passed = 0.5): WetHole => ({ id, hole, postWidth: 0.1, passed })
const ys = (path: string) => [...path.matchAll(/ ([\d.]+)(?= L| Z)/g)].map(([, y]) => Number(y))
const xs = (path: string) => [...path.matchAll(/[ML]([\d.]+) /g)].map(([, x]) => Number(x))

describe('wet posts side by side', () => {
  it('stand in one scale on one ground line, the first with most room and the largest figure', () => {
    const { groundY, holes } = wetHoles([wet('B4'), wet('B7'), wet('B8')], 740, 560)
    const across = holes.map(({ outline }) => Math.max(...xs(outline)) - Math.min(...xs(outline)))
    expect(across[1]).toBeCloseTo(across[0]!, 0)
    const deep = Math.max(...ys(holes[0]!.outline)) - groundY
    // 0.75 m deep and 0.30 m wide, in one scale.
    expect(across[0]! / deep).toBeCloseTo(0.3 / 0.75, 2)
    expect(holes[0]!.width).toBeCloseTo(1.7 * holes[1]!.width, 6)
    expect(holes[0]!.figure).toBeGreaterThan(holes[1]!.figure)
    expect(holes.at(-1)!.left + holes.at(-1)!.width).toBeCloseTo(740, 6)
  })
  it('shrinks what is wet towards its face', () => {
    const drawn = (passed: number) => wetHoles([wet('B4', passed)], 400, 400).holes[0]!
    expect(drawn(0)).toMatchObject({ stiff: '' })
    expect(drawn(1)).toMatchObject({ wet: '' })
    const half = drawn(0.5)
    expect(Math.max(...ys(half.wet))).toBeCloseTo(Math.min(...ys(half.stiff)), 1)
    expect(Math.max(...ys(drawn(0.75).wet))).toBeLessThan(Math.max(...ys(half.wet)))
    expect(Math.min(...ys(drawn(0.75).wet))).toBeCloseTo(Math.min(...ys(half.wet)), 1)
    // It ends on its stone.
    expect(Math.max(...ys(half.stiff))).toBeCloseTo(Math.min(...ys(half.stone)), 1)
  })
  it('draws no more than can be told apart, and nothing where there is nothing', () => {
    const many = Array.from({ length: 9 }, (_, i) => wet(`B${i}`))
    expect(wetHoles(many, 740, 560).holes).toHaveLength(MOST_DRAWN)
    expect(wetHoles([], 740, 560).holes).toEqual([])
    expect(wetHoles(many, 0, 560).holes).toEqual([])
  })
})
