import { describe, expect, it } from 'vitest'
import { row } from '../tables/tables'
import { sectionProperties } from '../timber/section'
import { tables } from '../../tests/support/builders'
import { fixingShares, fixingTension, pinBearing } from './fixings'
import { linkMaker } from './links'
import { loadCases } from './loadCases'
import type { ResolvedPost } from '../resolve/resolve'

const calm = loadCases({ id: 'A1', station: 0, from: 0, to: 2.4, duty: 'line', duties: ['line'] } as ResolvedPost)
const softwood = tables.materials['treated-softwood']

describe('fixings of a spur', () => {
  it('share the load in equilibrium', () => {
    const { upper, lower } = fixingShares(0.94, 0.25, 0.5)
    expect(upper).toBeCloseTo(2.76, 9)
    expect(upper - lower).toBeCloseTo(1, 12)
    // Moments about the ground: F2 z2 − F1 z1 = P e.
    expect(upper * 0.5 - lower * 0.25).toBeCloseTo(0.94, 12)
  })

  it('hold by the washer in softwood', () => {
    const { code, over } = fixingTension(row(tables.parts.lists.fixing.rows, 'bolt-12'), softwood)
    expect(code).toBeCloseTo((0.05 ** 2 - (Math.PI * 0.013 ** 2) / 4) * 2e6, 6)
    expect(over / code).toBeCloseTo(1.6, 9)
  })

  it('hold by withdrawal as NDS tables it', () => {
    // 1800 · 0.42^1.5 · (10/25.4)^0.75 = 243.5 lb per inch of thread.
    const { code, over } = fixingTension(row(tables.parts.lists.fixing.rows, 'screw-10'), softwood)
    expect(code / (4.4482216 * (75 / 25.4) * 1.6 * 0.7)).toBeCloseTo(243.5, 0)
    expect(over).toBeCloseTo(3 * code, 9)
  })
})

it('the wood round a pin carries H with M = H e in plastic bearing', () => {
  const [height, diameter, insertion, bearing] = [0.94, 0.0334, 0.3, 2.5e6]
  const force = pinBearing(height, diameter, insertion, bearing)
  // Two stress blocks share the insertion: their difference carries H, their moments about the joint H e.
  const upper = (insertion + force / (bearing * diameter)) / 2
  const lower = insertion - upper
  const moment = bearing * diameter * (upper * (insertion - upper / 2) - (lower * lower) / 2)
  expect(moment).toBeCloseTo(force * height, 6)
})

it('steel gives way at its plastic moment, wood at its outer fibre', () => {
  const section = sectionProperties({ shape: 'tube', diameter: 0.06, wall: 0.003 })
  const steel = linkMaker(calm, 1).bent('post', 'post', section, tables.materials.steel, 1)
  expect(steel.over! / section.plasticModulus).toBeCloseTo(235e6, 0)
  const wood = linkMaker(calm, 1).bent('post', 'post', section, softwood, 1)
  expect(wood.over! / section.modulus).toBeCloseTo(26e6, 0)
  expect(linkMaker(calm, 0.5).bent('post', 'post', section, tables.materials.concrete, 0.5)).toMatchObject({
    code: 4400,
    over: 7040,
  })
})
