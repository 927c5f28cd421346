import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { InputError } from '../errors'
import { buttedBoards, evenBoards, lappedBoards, plumbChecks } from './boards'
import { cutLength, diagonal, threeFourFive } from './cut'
import { gateLeaf, leafFor, openingBand } from './gateLeaf'
import { gateOpening } from './gate'
import { jacking } from './jack'
import { plumbOrMatch } from './match'
import { meshSection } from './meshSection'
import { pavingCuts } from './pavingCut'
import { propForce } from './propForce'
import { gapReading, holeReading } from './readings'
import { roadsideBox } from './roadsideBox'
import { snapStation } from './snap'
import { spacing } from './spacing'
import { spacerGap } from './stringGap'
import { stringLine, stringSag, supportsFor, whichIsOut } from './stringLine'

const millimetres = (min: number, max: number) => fc.integer({ min, max }).map((each) => each / 1e3)

describe('the string', () => {
  const points = fc.array(fc.record({ station: millimetres(0, 30_000), offset: millimetres(-80, 80) }), {
    minLength: 3,
    maxLength: 8,
  })
  property.prop([points, millimetres(-500, 500), fc.constantFrom('ends', 'least-squares', 'minimax')])(
    'misses nothing more when every reading is moved by the same',
    (list, by, fit) => {
      fc.pre(new Set(list.map(({ station }) => station)).size === list.length)
      const moved = list.map(({ station, offset }) => ({ station, offset: offset + by }))
      const [before, after] = [stringLine(list, fit).misses, stringLine(moved, fit).misses]
      // Several lines may have the same smallest largest miss: it is that which stays.
      const largest = (misses: readonly number[]) => Math.max(...misses.map(Math.abs))
      expect(largest(after)).toBeCloseTo(largest(before), 9)
      if (fit !== 'minimax') after.forEach((miss, i) => expect(miss).toBeCloseTo(before[i]!, 9))
    },
  )
  it('names the one reference post that is out, and none where nobody can tell', () => {
    const row = (offsets: number[]) => offsets.map((offset, station) => ({ station, offset }))
    for (const fit of ['ends', 'least-squares', 'minimax'] as const) {
      expect(whichIsOut(row([0, 0.001, 0.04, 0.001, 0]), fit), fit).toBe(2)
      expect(whichIsOut(row([0.04, 0.001, 0, 0.001, 0]), fit), fit).toBe(0)
      expect(whichIsOut(row([0, 0.02, 0]), fit), fit).toBeUndefined()
      expect(whichIsOut(row([0, 0.02, 0, 0.02, 0, 0.02]), fit), fit).toBeUndefined()
    }
  })
  property.prop([fc.double({ min: 1, max: 200, noNaN: true }), fc.double({ min: 1e-4, max: 0.01, noNaN: true })])(
    'is held up as seldom as keeps every span within 2 mm',
    (span, mass) => {
      const supports = supportsFor(stringSag(span, mass, 60))
      expect(stringSag(span / (supports + 1), mass, 60)).toBeLessThanOrEqual(0.002 + 1e-8)
      if (supports > 0) expect(stringSag(span / supports, mass, 60)).toBeGreaterThan(0.002)
    },
  )
  it('stands further off a thinner post where middles agree', () => {
    expect(spacerGap(0.012, 0.1, 0.075, 'centres')).toBeCloseTo(0.0245, 12)
    expect(spacerGap(0.012, 0.1, 0.075, 'faces')).toBe(0.012)
  })
})

describe('readings answered with a word', () => {
  it.each([
    [2.62, 'dig'],
    [2.63, 'tamp'],
    [2.625, 'tamp'],
    [2.646, 'right'],
    [2.655, 'right'],
    [2.67, 'pack'],
  ])('a hole that reads %d where 2.65 is wanted: %s', (measured, action) => {
    expect(holeReading(1.9, 0.75, measured).action).toBe(action)
  })
  property.prop([millimetres(500, 2_500), millimetres(300, 1_200), millimetres(600, 3_800), millimetres(-400, 400)])(
    'a string that is pulled higher moves the reading and not the hole',
    (string, depth, measured, by) => {
      expect(holeReading(string + by, depth, measured + by).move).toBeCloseTo(
        holeReading(string, depth, measured).move,
        9,
      )
    },
  )
  it('sends a post in, out, or leaves it', () => {
    expect(gapReading(0.012, 0.02).action).toBe('in')
    expect(gapReading(0.012, 0.004).action).toBe('out')
    expect(gapReading(0.012, 0.0138).action).toBe('leave')
  })
  it('weighs plumb against match', () => {
    const before = { station: 2.4, slope: 0.02 }
    expect(plumbOrMatch({ before, after: { station: 7.2, slope: 0 } }, 4.8, 1.8)).toMatchObject({
      match: expect.closeTo(0.018, 12),
      advice: 'ask',
    })
    expect(plumbOrMatch({ before }, 4.8, 0.75)).toMatchObject({ match: expect.closeTo(0.015, 12), advice: 'plumb' })
    expect(() => plumbOrMatch({}, 4.8, 1.8)).toThrow('before is missing')
    expect(() => plumbOrMatch({ before }, 1, 1.8)).toThrow('before.station')
  })
})

describe('bays that make room for an obstacle', () => {
  property.prop([fc.integer({ min: 30, max: 70 }), fc.integer({ min: 8, max: 62 }), fc.integer({ min: 1, max: 4 })], {
    numRuns: 60,
  })('have no larger largest bay than any way on a centimetre grid', (length, at, clear) => {
    fc.pre(at > clear && length - at > clear)
    // In decimetres for what is asked, in centimetres for the grid.
    const stations = spacing(length / 10, 2.5, [{ at: at / 10, clear: clear / 10 }])
    const bays = stations.slice(1).map((station, i) => station - stations[i]!)
    const grid = bestOnGrid(length * 10, 250, at * 10, clear * 10, bays.length)
    expect(Math.max(...bays)).toBeLessThanOrEqual(grid / 100 + 1e-6)
    expect(stations.every((station) => Math.abs(station - at / 10) >= clear / 10 - 1e-6)).toBe(true)
  })
})

/** Smallest largest bay, cm, with so many bays, posts on whole centimetres. */
function bestOnGrid(length: number, most: number, at: number, clear: number, bays: number): number {
  let reach = new Map([[0, 0]])
  for (let bay = 0; bay < bays; bay++) {
    const next = new Map<number, number>()
    for (const [from, worst] of reach)
      for (let to = from + 1; to <= Math.min(length, from + most); to++) {
        if (Math.abs(to - at) < clear) continue
        const largest = Math.max(worst, to - from)
        if (largest < (next.get(to) ?? Infinity)) next.set(to, largest)
      }
    reach = next
  }
  return reach.get(length) ?? Infinity
}

describe('cuts and corners', () => {
  it('buys the shortest stock that does', () => {
    expect(cutLength(1.85, 0.05, 0.6, [2.1, 2.4, 3])).toEqual({
      length: expect.closeTo(2.4, 12),
      buy: 2.4,
      offcut: expect.closeTo(0, 9),
    })
    expect(cutLength(1.85, 0.05, 0.7, [2.1, 2.4])).toMatchObject({ buy: null, offcut: null })
    // A pinned post stands on its grout, above the ground.
    expect(cutLength(1.85, 0, -0.02).length).toBeCloseTo(1.83, 12)
    expect(() => cutLength(0.5, 0.6, 0)).toThrow(InputError)
  })
  it('finds the corner that is square, and the longest 3-4-5', () => {
    expect(diagonal(3, 4, 5).angle).toBeCloseTo(Math.PI / 2, 12)
    // 4 + 9 − 6 = 7: an equal-sided corner of sixty degrees.
    expect(diagonal(2, 3, Math.sqrt(7)).angle).toBeCloseTo(Math.PI / 3, 12)
    expect(() => diagonal(3, 4, 8)).toThrow('between 1 and 7 m')
    const found = threeFourFive(2.45, 5, 0.1)!
    expect([found.a, found.b, found.diagonal].map((each) => Math.round(each * 10) / 10)).toEqual([2.4, 3.2, 4])
    expect(threeFourFive(5, 2.45, 0.1)!.b).toBeLessThanOrEqual(2.45)
    expect(threeFourFive(0.2, 0.2, 0.1)).toBeUndefined()
  })
})

describe('a post that is pulled along', () => {
  it('comes to rest half way between its neighbours, wherever they stand', () => {
    const found = snapStation(6.03, { before: 4.8, after: 7.2, step: 0.01, reach: 0.05 })
    expect(found).toEqual({ station: 6, to: 'equal bays' })
  })
})

describe('boards', () => {
  property.prop([millimetres(600, 4_000), millimetres(50, 200), millimetres(0, 40)])(
    'and their gaps fill the bay exactly',
    (bay, width, wanted) => {
      const { count, gap } = evenBoards(bay, width, wanted)
      expect(count * width + (count + 1) * gap).toBeCloseTo(bay, 9)
      expect(gap).toBeGreaterThanOrEqual(0)
    },
  )
  it('lap, butt, and are checked for plumb as they go on', () => {
    expect(lappedBoards(2.3, 0.125, 23).cover).toBeCloseTo(0.09886, 5)
    expect(() => lappedBoards(2.3, 0.125, 5)).toThrow('19 at least')
    expect(buttedBoards(2.35, 0.1)).toEqual({ count: 23, rip: expect.closeTo(0.05, 9) })
    expect(buttedBoards(2.3, 0.1)).toEqual({ count: 23, rip: 0 })
    expect(plumbChecks(21)).toEqual([1, 2, 3, 4, 10, 15, 21])
    expect(plumbChecks(3)).toEqual([1, 2, 3])
  })
})

describe('gates', () => {
  property.prop([millimetres(600, 2_000), millimetres(5, 40), millimetres(5, 40), fc.constantFrom(1, 2)])(
    'a leaf ordered to an opening made for it is that leaf',
    (leaf, hingeGap, other, leaves) => {
      const gaps = { hingeGap, latchGap: other, meetingGap: other }
      const { opening } = gateOpening({ leaves: new Array<number>(leaves).fill(leaf), ...gaps, post: 0.1 })
      const { least, most } = leafFor([opening], { leaves: leaves as 1 | 2, ...gaps })
      expect(most).toBeCloseTo(leaf, 9)
      expect(least).toBeLessThan(most)
    },
  )
  it('no leaf passes posts that stand a hand apart at the top and touch it at the foot', () => {
    const { least, most } = leafFor([1.2, 1.1], { leaves: 1, hingeGap: 0.02, latchGap: 0.015, meetingGap: 0 })
    expect(least).toBeGreaterThan(most)
    expect(openingBand(1.135)).toEqual({ least: expect.closeTo(1.132, 9), most: expect.closeTo(1.145, 9) })
  })
  it('clear rising ground, and ask for nothing more on falling ground', () => {
    expect(gateLeaf({ width: 1.1, height: 1.7, rise: 0.04 }).clearance).toBeCloseTo(0.094, 12)
    expect(gateLeaf({ width: 1.1, height: 1.7, rise: -0.04 }).clearance).toBe(0.05)
    expect(() => gateLeaf({ width: 1.1, height: 1.7, rise: 0, sag: 0.02 })).toThrow('hingeSpacing')
  })
})

describe('props, jacks, boxes, mesh', () => {
  it('a prop holds more than is asked of it, the flatter the less', () => {
    const [steep, flat] = [propForce({ horizontal: 100 }, 1.2), propForce({ horizontal: 100 }, 0.6)]
    expect(steep.force).toBeCloseTo(100 / Math.cos(1.2), 9)
    expect(flat.force).toBeLessThan(steep.force)
    expect(() => propForce({ horizontal: 1 }, Math.PI / 2)).toThrow('angle')
  })
  it('a jack lifts over the bedding, and a slanting prop is refused', () => {
    const given = { load: 6000, settled: 0.02, bedding: 0.01, shim: 0.006, bearing: 75_000, digDepth: 0.6, angle: 0 }
    expect(jacking(given)).toMatchObject({ lift: expect.closeTo(0.036, 12), area: 0.08, propsAway: 0.6 })
    expect(jacking({ ...given, stroke: 0.03 }).strokeDoes).toBe(false)
    expect(() => jacking({ ...given, angle: 0.1 })).toThrow('5°')
  })
  it('a box stands the lower the higher its ground lies over the road', () => {
    const given = { setBack: 0.18, faceToPost: 0.25, slot: 1.1, slotAbovePlate: 0.12, higher: 0.1 }
    expect(roadsideBox(given)).toEqual({ centre: expect.closeTo(0.43, 12), postAboveGround: expect.closeTo(0.88, 12) })
    expect(() => roadsideBox({ ...given, higher: 1 })).toThrow('1.12 m')
  })
  it('mesh comes in whole diamonds', () => {
    const given = { opening: 2.9, cup: 0.01, diamond: 0.06, every: 6, linePost: 1.8, fitting: 0.05, slabOver: 0.1 }
    expect(meshSection({ ...given, oneSided: false, moves: 0.03 })).toMatchObject({
      diamonds: 48,
      trussRod: false,
      tension: 'taut',
    })
    expect(() => meshSection({ ...given, opening: 0.05, oneSided: true })).toThrow('diamond')
  })
})

describe('paving', () => {
  const paving = { along: 0.4, across: 0.3, joint: 0.005, thickness: 0.04 }
  property.prop([millimetres(-300, 700), millimetres(-300, 700), millimetres(60, 300)])(
    'what is cut out of all units and what lies in joints is the whole of a square post',
    (x, y, size) => {
      const cuts = pavingCuts(paving, { shape: 'square', size, x, y }, 0.05)
      const area = cuts.reduce((sum, { cut }) => sum + (cut.x[1] - cut.x[0]) * (cut.y[1] - cut.y[0]), 0)
      const inUnits = (from: number, unit: number) => {
        let length = 0
        for (let k = -5; k <= 5; k++) {
          const left = k * (unit + paving.joint)
          length += Math.max(0, Math.min(from + size, left + unit) - Math.max(from, left))
        }
        return length
      }
      expect(area).toBeCloseTo(inUnits(x - size / 2, 0.4) * inUnits(y - size / 2, 0.3), 9)
    },
  )
  it('marks what the saw cannot do from one face', () => {
    const standing = { shape: 'square', size: 0.12, x: 0.2, y: 0.3 } as const
    expect(pavingCuts(paving, standing, 0.05).every(({ bothFaces }) => bothFaces)).toBe(true)
    // A strip right across one unit comes out of one pass, unless the unit is thicker than the blade is deep.
    const across = { ...standing, size: 0.4, x: 0.2, y: 0.45 }
    const strip = pavingCuts(paving, across, 0.05).find(({ row }) => row === 0)!
    expect(strip).toMatchObject({ shape: 'rectangle', goes: false, bothFaces: false })
    expect(pavingCuts(paving, across, 0.02).find(({ row }) => row === 0)!.bothFaces).toBe(true)
  })
  it('leaves a unit alone that a round post passes by its corner', () => {
    const round = { shape: 'round', size: 0.1, x: 0.36, y: 0.26 } as const
    const units = pavingCuts(paving, round, 0.05).map(({ column, row }) => `${column},${row}`)
    expect(units).toEqual(['0,0', '1,0', '0,1'])
  })
})
