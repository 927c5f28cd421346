import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import { holeVolumes } from '../concrete/volume'
import type { Hole } from '../document/job'
import { holeBench } from '../hole/bench'
import { gripsOf, onMark, pulledTo } from '../hole/pull'
import { bearingSegments, footWidth, holeOutline, volumeShape, widthAt, type DesignedHole } from './holeShape'
import { extentOf } from './solids'

const hole = (of: Partial<DesignedHole> = {}): DesignedHole => ({
  shape: 'round',
  diameter: 0.3,
  depth: 0.8,
  stoneBed: 0.1,
  fillTop: 0.05,
  footingBottom: 0.7,
  rule: 'chosen',
  ...of,
})
const belled = hole({ shape: 'belled', bellDiameter: 0.5, bellHeight: 0.25 })
const tapered = hole({ shape: 'tapered', bottomDiameter: 0.2 })

describe('the shape of a hole', () => {
  it('is as wide at each depth as its shape has it', () => {
    expect(widthAt(hole(), 0.4)).toBe(0.3)
    expect(widthAt(tapered, 0.4)).toBeCloseTo(0.25, 12)
    expect([0.5, 0.6].map((z) => widthAt(belled, z))).toEqual([0.3, 0.5])
    expect(footWidth(belled)).toBe(0.5)
  })
  it('bears by stretches that reach from its top to its foot without a gap', () => {
    for (const each of [hole(), belled, tapered]) {
      const segments = bearingSegments(each, 0.05)
      expect(segments[0]!.top).toBe(0.05)
      expect(segments.at(-1)!.bottom).toBe(0.7)
      for (const [i, { top }] of segments.entries()) if (i > 0) expect(top).toBe(segments[i - 1]!.bottom)
    }
    expect(bearingSegments(belled, 0.05).map(({ width }) => width)).toEqual([0.3, 0.5])
  })
  it('has the volume of its outline turned round its middle', () => {
    for (const each of [hole(), belled, tapered]) {
      const { hole: dug } = holeVolumes({ hole: volumeShape(each) })
      const slices = 4_000
      let sum = 0
      for (let i = 0; i < slices; i++) sum += (Math.PI * widthAt(each, ((i + 0.5) * 0.8) / slices) ** 2) / 4 / slices
      expect(dug).toBeCloseTo(sum * 0.8, 5)
    }
  })
  it('is drawn about what stands in it', () => {
    const { left, right } = extentOf(holeOutline({ ...belled, shift: 0.04 }, -0.8, 0))
    expect(left).toBeCloseTo(-0.29, 9)
    expect(right).toBeCloseTo(0.21, 9)
  })
})

describe('a hole of any shape in the plan', () => {
  const bench = holeBench(
    jobOf(
      runOfPosts(3, 2.4, () => ({
        soil: 'firm-clay',
        section: { shape: 'rectangle', along: 0.1, across: 0.1 },
        observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03 },
      })),
    ),
    tables,
    'A2',
    'new-post-concrete',
  )!
  const at = (change: Hole) => bench.with({ diameter: 0.3, depth: 0.7, ...change })
  it('holds more with a bell or a key, less where its foot is narrower', () => {
    const plain = at({}).holdingGust!
    expect(at({ shape: 'belled', bellDiameter: 0.5 }).holdingGust).toBeGreaterThan(plain)
    expect(at({ key: true }).holdingGust).toBeGreaterThan(plain)
    expect(at({ shape: 'tapered', bottomDiameter: 0.2 }).holdingGust).toBeLessThan(plain)
    expect(at({ crown: true }).holdingGust).toBe(plain)
  })
  it('has less cover where the post stands off its middle, and less concrete where stones are in it', () => {
    expect(at({ shift: 0.03 }).concrete!.cover).toBeCloseTo(at({}).concrete!.cover - 0.03, 9)
    expect(at({ stones: 0.2 }).concrete!.concrete).toBeCloseTo(0.8 * at({}).concrete!.concrete, 12)
    // A cone of 25 mm over the fill: 0.3² π/4 · 0.025/3 = 0.59 L.
    expect(at({ crown: true }).concrete!.concrete - at({}).concrete!.concrete).toBeCloseTo(0.000589, 6)
  })
  it('warns of a foot that frost takes hold of', () => {
    expect(at({ shape: 'tapered', bottomDiameter: 0.2 }).cautions.join()).toContain('wider at the top')
  })
})

describe('pulling on a section', () => {
  it('keeps to tools and rules where they are near, else to the step', () => {
    const marks = { step: 0.01, strong: [0.25, 0.3], reach: 0.012 }
    expect(onMark(0.261, marks)).toBe(0.25)
    expect(onMark(0.276, marks)).toBe(0.28)
    expect(onMark(0.276, { ...marks, reach: 0.03 })).toBe(0.3)
  })
  it('goes no further than can be dug, and both sides out together', () => {
    const grips = new Map(gripsOf(hole(), true).map((grip) => [grip.measure, grip]))
    const marks = { step: 0.01, reach: 0 }
    expect(pulledTo(grips.get('depth')!, 0.1, marks)).toEqual({ depth: 0.9 })
    expect(pulledTo(grips.get('depth')!, 9, marks)).toEqual({ depth: 2 })
    expect(pulledTo(grips.get('diameter')!, 0.05, marks)).toEqual({ diameter: 0.4 })
    // Up is more stone; never up to the fill's own top.
    expect(pulledTo(grips.get('stoneBed')!, -0.05, marks)).toEqual({ stoneBed: 0.15 })
    expect(pulledTo(grips.get('stoneBed')!, -9, marks).stoneBed).toBeLessThan(0.7)
    expect([...gripsOf(belled, true)].map(({ measure }) => measure)).toContain('bellDiameter')
    expect([...gripsOf(tapered, false)].map(({ measure }) => measure)).toEqual([
      'depth',
      'diameter',
      'stoneBed',
      'bottomDiameter',
      'shift',
    ])
  })
})
