import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { leastShift, platePoses, ROTATIONS, turned, usedBy, type Place, type PlateOnSlab } from './platePose'

const square: Place[] = [
  [-0.04, -0.04],
  [0.04, -0.04],
  [0.04, 0.04],
  [-0.04, 0.04],
]
const slab = { x: [-0.3, 0.3], y: [-0.3, 0.3] } as const
const old = (places: readonly Place[], by: Place = [0, 0], sound = true) =>
  places.map(([x, y]) => ({ at: [x + by[0], y + by[1]] as Place, diameter: 0.01, sound }))
const plateOn = (over: Partial<PlateOnSlab> = {}): PlateOnSlab => ({
  plate: square,
  old: [],
  diameter: 0.01,
  slab,
  edge: 0.06,
  shift: 0.05,
  ...over,
})

describe('a plate on a slab with old holes', () => {
  it('stands where it is wanted when nothing is in the way', () => {
    expect(platePoses(plateOn())[0]).toEqual({ x: 0, y: 0, rotation: 0, reused: 0 })
  })
  it('goes the 20 mm aside at which all four old holes serve again', () => {
    const [best] = platePoses(plateOn({ old: old(square, [0.02, 0]) }))
    expect(best!.reused).toBe(4)
    // Within 1.5 mm they still serve: it goes no further than it has to.
    expect(best!.x).toBeCloseTo(0.0185, 9)
    expect(best!.y).toBeCloseTo(0, 9)
  })
  it('turns a plate of two holes to find them again', () => {
    const pair: Place[] = [
      [-0.05, 0],
      [0.05, 0],
    ]
    const turnedOld = old([
      [0, -0.05],
      [0, 0.05],
    ])
    const best = platePoses(plateOn({ plate: pair, old: turnedOld }))[0]!
    expect([90, 270]).toContain(best.rotation)
    expect(best.reused).toBe(2)
  })
  it('uses no hole that is broken out or wider than its anchor, and keeps three diameters from it', () => {
    const broken = platePoses(plateOn({ old: old(square, [0.02, 0], false) }))[0]!
    expect(broken.reused).toBe(0)
    const wide = old(square).map((each) => ({ ...each, diameter: 0.014 }))
    expect(platePoses(plateOn({ old: wide }))[0]!.reused).toBe(0)
  })
  it('says the smallest shift that would do where none does', () => {
    const inTheWay = plateOn({ old: old(square, [0.004, 0], false), shift: 0.01 })
    expect(platePoses(inTheWay)).toEqual([])
    const least = leastShift(inTheWay, 0.3)!
    expect(platePoses({ ...inTheWay, shift: least + 1e-6 })).not.toEqual([])
    expect(platePoses({ ...inTheWay, shift: least - 1e-4 })).toEqual([])
  })

  const tenth = (most: number) => fc.integer({ min: -most, max: most }).map((each) => each / 1e3)
  property.prop(
    [
      fc.array(
        fc
          .record({ at: fc.tuple(tenth(70), tenth(70)), sound: fc.boolean() })
          .map((each) => ({ ...each, diameter: 0.01 })),
        { maxLength: 6 },
      ),
      fc.constantFrom(0.006, 0.012),
    ],
    { numRuns: 40 },
  )('uses at least as many as a millimetre grid over four turns finds, and breaks no rule', (holes, shift) => {
    const of = plateOn({ old: holes, shift, slab: { x: [-0.11, 0.12], y: [-0.2, 0.2] } })
    const poses = platePoses(of)
    for (const { x, y, rotation, reused } of poses) {
      const used = usedBy(
        of,
        of.plate.map((place) => turned(place, rotation)),
        [x, y],
      )
      expect(used?.filter((each) => each >= 0).length).toBe(reused)
      expect(Math.hypot(x, y)).toBeLessThanOrEqual(shift + 1e-6)
    }
    let most = -1
    const steps = Math.round(shift * 1e3)
    for (const rotation of ROTATIONS)
      for (let i = -steps; i <= steps; i++)
        for (let j = -steps; j <= steps; j++) {
          if (Math.hypot(i, j) > steps) continue
          const used = usedBy(
            of,
            of.plate.map((place) => turned(place, rotation)),
            [i / 1e3, j / 1e3],
          )
          if (used) most = Math.max(most, used.filter((each) => each >= 0).length)
        }
    expect(poses[0]?.reused ?? -1).toBeGreaterThanOrEqual(most)
  })
})
