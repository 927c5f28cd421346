import { bagOrder, takesFilling, type Filling, type Mix } from '../concrete/bags'
import { fillQuantities } from '../concrete/fill'
import { overdig } from '../concrete/overdig'
import { brokenOut } from '../concrete/supply'
import { holeVolumes, type HoleShape } from '../concrete/volume'
import { workMinutes } from '../day/minutes'
import type { PostContext } from '../repair/context'
import { frostWarnings } from '../ground/frost'
import { coverOf, LEAST_COVER, type DesignedHole } from '../repair/hole'
import type { CubicMetres, Metres } from '../units/types'
import { givesWay, linkOnGustScale, weakestLink } from '../repair/links'
import type { MethodDesign, RepairMethod } from '../repair/method'
import { repairMethods } from '../repair/methods'
import { row, type Tables } from '../tables/tables'
import { sectionSize } from '../timber/section'
import type { ConcretePlan, MethodPlan, PostPlan } from './types'

/** Every method on one post; refused ones stay with their reasons. Best first. */
export function planMethods(context: PostContext, diagnosis: PostPlan['diagnosis']): MethodPlan[] {
  return repairMethods.map((method) => planMethod(method, context, diagnosis)).sort(byUse)
}

/** Allowed, holding, leaving nothing unsolved, quickest; the order is said on the screen. */
function byUse(a: MethodPlan, b: MethodPlan): number {
  return (
    Number(b.allowed) - Number(a.allowed) ||
    Number(b.holdingGust !== undefined) - Number(a.holdingGust !== undefined) ||
    Number(b.holdsTarget) - Number(a.holdsTarget) ||
    a.leavesUnsolved.length - b.leavesUnsolved.length ||
    a.minutes - b.minutes
  )
}

function planMethod(method: RepairMethod, context: PostContext, diagnosis: PostPlan['diagnosis']): MethodPlan {
  const { tables, forceAtUnitGust, site, targetGust } = context
  const { name, fixedMinutes, steps, cautions } = row(tables.parts.methods, method.key)
  const design = method.design(context)
  const reasons = [...stops(method, diagnosis), ...method.refusals(context, design)]
  const links = design.links.map((capacity) => linkOnGustScale(capacity, forceAtUnitGust, site.gust50))
  const weakest = weakestLink(links)
  const holdingGust = weakest && givesWay(weakest)
  const concrete = concreteOf(design, context)
  return {
    method: method.key,
    name,
    allowed: reasons.length === 0,
    reasons,
    links,
    weakest: weakest?.link,
    holdingGust,
    holdsTarget: holdingGust !== undefined && holdingGust >= targetGust,
    hole: design.hole,
    concrete,
    parts: design.parts,
    minutes: workMinutes(
      {
        fixedMinutes,
        dug: concrete?.hole ?? 0,
        diggingFactor: context.soil?.digging ?? 1,
        oldConcrete: design.oldConcrete ?? 0,
        ...pouredOf(concrete, tables),
      },
      tables.parts.rates,
    ),
    steps,
    cautions: [...cautions, ...(design.cautions ?? []), ...(concrete?.warnings ?? [])],
    leavesUnsolved: unanswered(method.key, context, diagnosis),
  }
}

/** A red flag stops every repair but making it safe, until a person says that it is in hand. */
function stops({ key }: RepairMethod, { redFlags, cleared }: PostPlan['diagnosis']): string[] {
  if (redFlags.length === 0 || cleared || key === 'make-safe') return []
  return ['A red flag stands: make it safe, and say in Cause when it is in hand.']
}

/** Whole bags are mixed and placed; the lorry brings it mixed. */
function pouredOf(concrete: ConcretePlan | undefined, tables: Tables): { mixed: CubicMetres; placed: CubicMetres } {
  if (!concrete) return { mixed: 0, placed: 0 }
  const mix = row(tables.mixes, concrete.mix)
  const placed = mix.supply === 'bag' ? concrete.bags.count * mix.yields : concrete.concrete
  return { mixed: mix.supply === 'lorry' ? 0 : placed, placed }
}

function concreteOf(design: MethodDesign, context: PostContext): ConcretePlan | undefined {
  const { tables, post, soil } = context
  const { hole, inConcrete, insets, oldConcrete = 0 } = design
  if (!hole || !soil) return undefined
  const mix = row(tables.mixes, post.repair?.mix ?? tables.defaults.mix)
  const wanted = row(tables.fillings, post.repair?.filling ?? tables.defaults.filling)
  // A mix that was chosen after the filling may have to be mixed all the same.
  const filling = takesFilling(mix, wanted) ? wanted : row(tables.fillings, tables.defaults.filling)
  const shape: HoleShape = {
    shape: 'round',
    diameter: hole.diameter,
    depth: hole.depth,
    stoneBed: hole.stoneBed,
    fillTop: hole.fillTop,
  }
  const over = overdig('post-hole-digger', soil.overdig)
  const volumes = holeVolumes({ hole: shape, post: inConcrete, insets, overdig: over, ground: soil.kind })
  const order = bagOrder(volumes.concrete, mix, filling, shape, inConcrete)
  const { along, across } = inConcrete ? sectionSize(inConcrete) : { along: 0, across: 0 }
  const cover = coverOf(hole.diameter, along, across)
  return {
    ...volumes,
    mix: mix.key,
    filling: filling.key,
    overdig: over,
    bags: order,
    fill: fillQuantities(filling, volumes.concrete, hole.depth - hole.stoneBed - hole.fillTop, order),
    cover,
    warnings: [...holeWarnings(hole, cover, context), ...fillingWarnings(mix, wanted, context)],
    ...(oldConcrete > 0 ? { oldConcrete: brokenOut(oldConcrete) } : {}),
  }
}

/** What is wrong with a hole as it is, in words. */
function holeWarnings(hole: DesignedHole, cover: Metres, { site }: PostContext): string[] {
  const thin =
    cover < LEAST_COVER
      ? [`Only ${Math.round(cover * 1e3)} mm of concrete at the corners: ${LEAST_COVER * 1e3} mm is the least.`]
      : []
  const { diameter, footingBottom } = hole
  return [
    ...thin,
    ...frostWarnings({
      frostDepth: site.frostDepth,
      bottom: footingBottom,
      topDiameter: diameter,
      bottomDiameter: diameter,
    }),
  ]
}

function fillingWarnings(mix: Mix, wanted: Filling, { post }: PostContext): string[] {
  if (wanted.water === 'none') return ['This repair is cast in concrete, and is counted so.']
  if (!takesFilling(mix, wanted)) return [`${mix.name} has to be mixed, and is counted so.`]
  const heavy = wanted.water === 'on-top' && post.duty !== 'line'
  return heavy ? ['Dry bags with water on top are for light line posts only.'] : []
}

/** Names of the causes in force that the method does not take away. */
function unanswered(method: string, { tables }: PostContext, { inForce }: PostPlan['diagnosis']): string[] {
  return inForce
    .map((cause) => row(tables.causes.causes, cause))
    .filter(({ answeredBy }) => !answeredBy.includes(method))
    .map(({ name }) => name)
}
