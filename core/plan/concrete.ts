import { bagOrder, takesFilling, type Filling, type Mix } from '../concrete/bags'
import { fillQuantities } from '../concrete/fill'
import { overdig, USUAL_TOOL } from '../concrete/overdig'
import { brokenOut } from '../concrete/supply'
import { holeVolumes } from '../concrete/volume'
import { frostWarnings } from '../ground/frost'
import type { PostContext } from '../repair/context'
import { coverOf, LEAST_COVER } from '../concrete/cover'
import { footWidth, volumeShape, type DesignedHole } from '../repair/holeShape'
import type { Earthwork, Fill } from '../repair/method'
import { learntFrom, learntOf } from '../tables/learnt'
import { row } from '../tables/tables'
import { grossArea, sectionSize } from '../timber/section'
import type { CubicMetres, Metres } from '../units/types'
import type { ConcretePlan, PackedPlan } from './types'

/**
 * Concrete, bags and water of a method's hole.
 *
 * @returns undefined where nothing is poured, or the soil gives no figure
 */
export function planConcrete(earthwork: Earthwork | undefined, context: PostContext): ConcretePlan | undefined {
  const fill = earthwork?.fills.find(({ kind }) => kind === 'concrete')
  const { tables, post, soil } = context
  if (!fill || !soil) return undefined
  const hole = earthwork!.holes[fill.hole]!
  const usual = post.duties.includes('load-bearing') ? tables.defaults.carryingMix : tables.defaults.mix
  const mix = row(tables.mixes, post.repair?.mix ?? usual)
  const wanted = row(tables.fillings, post.repair?.filling ?? tables.defaults.filling)
  // A mix that was chosen after the filling may have to be mixed all the same.
  const filling = takesFilling(mix, wanted) ? wanted : row(tables.fillings, tables.defaults.filling)
  const { diameter, depth, stoneBed, fillTop, shift = 0, stones = 0 } = hole
  const shape = volumeShape(hole)
  const { over, upTo, says: overdigFrom } = overdigOf(context)
  const section = fill.castIn?.section
  const dugOver = (share: number) =>
    holeVolumes({
      hole: shape,
      post: section,
      insets: insetsOf(fill, hole),
      overdig: share,
      ground: soil.kind,
      leftBy: fill.leftBy,
    })
  const ofHole = dugOver(over)
  // Beside an old block the room is what was taken out of it: nothing is dug for it.
  const isInHole = fill.room === undefined
  const holes = fill.times ?? 1
  // Stones that are wedged in take the place of their share of it.
  const filled = holes * (fill.room ?? ofHole.concrete)
  const concrete = filled * (1 - stones)
  const bought = isInHole
    ? boughtFor(context, { concrete, bare: dugOver(0).concrete, most: dugOver(upTo).concrete })
    : { concrete }
  const order = bagOrder(isInHole ? holes * bought.concrete * (1 - stones) : concrete, mix, filling, shape, section, {
    holes,
    gives: bought.from === undefined && overdigFrom === undefined,
  })
  const { along, across } = section ? sectionSize(section) : { along: 0, across: 0 }
  const isSquare = fill.castIn?.isConcrete || hole.shape === 'square'
  const narrowest = Math.min(diameter, hole.shape === 'tapered' ? footWidth(hole) : diameter)
  const cover = coverOf(narrowest, along, across, isSquare ? 'square' : 'round') - Math.abs(shift)
  const old = earthwork!.oldConcrete ?? 0
  return {
    ...(holes > 1 ? { holes } : {}),
    hole: isInHole ? holes * ofHole.hole : 0,
    concrete,
    stone: holes * ofHole.stone,
    spoil: isInHole ? holes * ofHole.spoil : 0,
    topping: holes * ofHole.topping,
    solids: holes * ofHole.solids + filled * stones,
    void: holes * ofHole.void,
    mix: mix.key,
    filling: filling.key,
    overdig: over,
    ...(overdigFrom ? { overdigFrom } : {}),
    ...(bought.from ? { bagsFrom: bought.from } : {}),
    bags: order,
    fill: fillQuantities(filling, concrete, depth - stoneBed - fillTop, order),
    cover,
    warnings: [
      ...coverWarnings(cover, context),
      ...frostWarnings({
        frostDepth: context.site.frostDepth,
        bottom: hole.footingBottom,
        topDiameter: diameter,
        bottomDiameter: footWidth(hole),
      }),
      ...fillingWarnings(mix, wanted, context),
    ],
    oldConcrete: old > 0 ? brokenOut(old) : undefined,
  }
}

/**
 * Stone or soil of a method's hole, tamped in layers.
 *
 * @returns undefined where nothing is packed, or the soil gives no figure
 * @example stone round a 0.1 m post in a hole of 0.3 × 0.75 m, fill from 0.05 m: 47.8 L with a tenth of over-dig, 6 layers, 86 kg
 */
export function planPacked(earthwork: Earthwork | undefined, context: PostContext): PackedPlan | undefined {
  const { tables, soil } = context
  const fill = earthwork?.fills.find(({ kind }) => kind !== 'concrete')
  if (!fill || !soil) return undefined
  const hole = earthwork!.holes[fill.hole]!
  const { over, says: overdigFrom } = overdigOf(context)
  const filling = row(tables.fillings, fill.kind === 'stone' ? 'stone' : 'tamped-soil')
  const volumes = holeVolumes({
    hole: volumeShape(hole),
    post: fill.castIn?.section,
    overdig: over,
    ground: soil.kind,
    leftBy: fill.leftBy,
  })
  const old = earthwork!.oldConcrete ?? 0
  return {
    filling: filling.key,
    overdig: over,
    ...(overdigFrom ? { overdigFrom } : {}),
    hole: volumes.hole,
    volume: volumes.concrete,
    // What came out goes back where soil fills it: only the post's own room is left over.
    spoil: fill.kind === 'soil' ? volumes.solids : volumes.spoil,
    fill: fillQuantities(filling, volumes.concrete, hole.depth - hole.stoneBed - hole.fillTop),
    ...(old > 0 ? { oldConcrete: brokenOut(old) } : {}),
  }
}

/** What the tool digs over here: by the working values, or by one's own holes; nine in ten of these are no more. */
function overdigOf({ post, soil, tables }: PostContext): { over: number; upTo: number; says?: string } {
  const tool = post.repair?.tool ?? USUAL_TOOL
  const learnt = learntOf(tables.learnt, 'over-dig', tool, post.soil)
  const over = overdig(tool, soil!.overdig, learnt?.median)
  if (!learnt) return { over, upTo: over }
  return { over, upTo: Math.max(over, learnt.ninety - 1), says: learntFrom(learnt) }
}

/**
 * What bags are bought for: once there are records, what nine in ten fills took; one bag too few costs a drive.
 *
 * @param of one hole: as it is counted, without over-dig, and with that of nine holes in ten
 */
function boughtFor(
  { post, tables }: PostContext,
  { concrete, bare, most }: Record<'concrete' | 'bare' | 'most', CubicMetres>,
): { concrete: CubicMetres; from?: string } {
  const learnt = learntOf(tables.learnt, 'bags', post.repair?.tool ?? USUAL_TOOL, post.soil)
  if (learnt) return { concrete: Math.max(bare, bare * learnt.ninety), from: learntFrom(learnt) }
  return { concrete: Math.max(concrete, most) }
}

/** Below the foot of what is cast in, the hole is all concrete: a void counts negative. */
function insetsOf({ castIn }: Fill, { footingBottom }: DesignedHole): CubicMetres[] {
  if (castIn?.foot === undefined) return []
  return [-grossArea(castIn.section) * Math.max(0, footingBottom - castIn.foot)]
}

const coverWarnings = (cover: Metres, { says: { small } }: PostContext): string[] =>
  cover < LEAST_COVER ? [`Only ${small(cover)} of concrete at the corners: ${small(LEAST_COVER)} is the least.`] : []

function fillingWarnings(mix: Mix, wanted: Filling, { post }: PostContext): string[] {
  if (wanted.water === 'none') return ['This repair is cast in concrete, and is counted so.']
  if (!takesFilling(mix, wanted)) return [`${mix.name} has to be mixed, and is counted so.`]
  const heavy = wanted.water === 'on-top' && post.duty !== 'line'
  return heavy ? ['Dry bags with water on top are for light line posts only.'] : []
}
