import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { soilNamed, tables } from '../../tests/support/builders'
import { bagOrder } from '../concrete/bags'
import { fillQuantities } from '../concrete/fill'
import { holeVolumes, type HoleShape } from '../concrete/volume'
import { groundCapacity } from '../ground/postInGround'
import { row } from '../tables/tables'
import type { Section } from '../timber/section'

/* The page that works three holes by hand, and the program's figures on it. */

const page = readFileSync('docs/by-hand.md', 'utf8')
const chapters = page.split(/^## /m)
/** What the program's column says in a row of a chapter. */
function said(chapter: number, name: string): string {
  const line = chapters[chapter]!.split('\n').find((each) => each.startsWith(`| ${name} |`))!
  return line.split('|').at(-2)!.trim()
}
const square: Section = { shape: 'rectangle', along: 0.1, across: 0.1 }

function worked(
  hole: HoleShape,
  post: Section,
  overdig: number,
  mix: string,
  filling: string,
  ground: 'clay' | 'sand',
) {
  const volumes = holeVolumes({ hole, post, overdig, ground })
  const way = row(tables.fillings, filling)
  const bags = bagOrder(volumes.concrete, row(tables.mixes, mix), way, hole, post)
  return { ...volumes, bags, way }
}
const litres = (volume: number) => `${(volume * 1e3).toFixed(2)} L`

describe('three holes by hand', () => {
  it('a garden post', () => {
    const hole = { shape: 'round', diameter: 0.25, depth: 0.65, fillTop: 0.05 } as const
    const found = worked(hole, square, 0.1, 'post-mix-20', 'wet-barrow', 'clay')
    expect(said(1, 'dug, a tenth over')).toBe(litres(found.hole))
    expect(said(1, 'the post in it')).toBe(litres(found.solids))
    expect(said(1, 'concrete')).toBe(litres(found.concrete))
    expect(said(1, 'bags of 10 L')).toBe(`${found.bags.exactCount.toFixed(2)}, ${found.bags.count}`)
    expect(said(1, 'water, 2.8 L a bag')).toBe(litres(found.bags.water))
    expect(said(1, 'loose spoil, × 1.3')).toBe(litres(found.spoil))
    const { over, pivot } = groundCapacity({
      soil: soilNamed('firm-clay'),
      saturated: false,
      ignoredTop: 0.15,
      segments: [
        { top: 0, bottom: 0.05, width: 0.1 },
        { top: 0.05, bottom: 0.65, width: 0.25 },
      ],
      height: 0.94,
    })
    expect(page).toContain(`program: ${Math.round(over)} N at a pivot of ${pivot.toFixed(3)} m`)
    expect(over / 1180).toBeCloseTo(1, 2)
  })
  it('a farm post', () => {
    const hole = { shape: 'square', side: 0.3, depth: 0.8, stoneBed: 0.1, fillTop: 0.05 } as const
    const found = worked(hole, { shape: 'round', diameter: 0.1 }, 0.25, 'general-20', 'layered', 'sand')
    expect(said(2, 'dug, a quarter over')).toBe(litres(found.hole))
    expect(said(2, 'stone')).toBe(litres(found.stone))
    expect(said(2, 'the post in it')).toBe(litres(found.solids))
    expect(said(2, 'concrete')).toBe(litres(found.concrete))
    expect(said(2, 'bags of 9.4 L')).toBe(`${found.bags.exactCount.toFixed(2)}, ${found.bags.count}`)
    const { layers, waterPerLayer } = fillQuantities(found.way, found.concrete, 0.65, found.bags)
    expect(said(2, 'layers of 150 mm at most')).toBe(`${layers}, ${litres(waterPerLayer!)}`)
    expect(said(2, 'loose spoil, × 1.15')).toBe(litres(found.spoil))
  })
  it('a gate post with a bell', () => {
    const hole = { shape: 'belled', diameter: 0.3, bellDiameter: 0.5, bellHeight: 0.2, depth: 0.6 } as const
    const found = worked(hole, square, 0.1, 'post-mix-20', 'water-first', 'clay')
    expect(said(3, 'dug, a tenth over')).toBe(litres(found.hole))
    expect(said(3, 'concrete')).toBe(litres(found.concrete))
    expect(said(3, 'what the bags want')).toBe(litres(found.bags.water))
    expect(said(3, 'a third of the depth is the bell')).toBe(litres(found.bags.ruleWater))
    expect(said(3, 'strength with that water')).toBe(`${(found.bags.strength / 1e6).toFixed(2)} MPa`)
  })
})
