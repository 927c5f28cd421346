import type { Cause } from '../cause/tables'
import { bagOrder } from '../concrete/bags'
import { overdig } from '../concrete/overdig'
import { brokenOut } from '../concrete/supply'
import { holeVolumes, type HoleShape } from '../concrete/volume'
import { workMinutes } from '../day/minutes'
import type { PostContext } from '../repair/context'
import { coverOf, LEAST_COVER } from '../repair/hole'
import { givesWay, linkOnGustScale, weakestLink } from '../repair/links'
import type { MethodDesign, RepairMethod } from '../repair/method'
import { repairMethods } from '../repair/methods'
import { row } from '../tables'
import { sectionSize } from '../timber/section'
import type { ConcretePlan, MethodPlan, PostPlan } from './planTypes'

/** A cause this likely must be answered, or the method says that it is not. */
const MUST_ANSWER = 0.25

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
  const reasons = method.refusals(context, design)
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
        bags: concrete?.bags.count ?? 0,
      },
      tables.parts.rates,
    ),
    steps,
    cautions: [
      ...cautions,
      ...(design.cautions ?? []),
      ...coverCaution(concrete),
      ...fillingCaution(context, concrete),
    ],
    leavesUnsolved: unanswered(method.key, context, diagnosis),
  }
}

function concreteOf(design: MethodDesign, { tables, post, soil }: PostContext): ConcretePlan | undefined {
  const { hole, inConcrete, insets, oldConcrete = 0 } = design
  if (!hole || !soil) return undefined
  const mix = row(tables.mixes, post.repair?.mix ?? tables.defaults.mix)
  const filling = row(tables.fillings, post.repair?.filling ?? tables.defaults.filling)
  const shape: HoleShape = {
    shape: 'round',
    diameter: hole.diameter,
    depth: hole.depth,
    stoneBed: hole.stoneBed,
    fillTop: hole.fillTop,
  }
  const over = overdig('post-hole-digger', soil.overdig)
  const volumes = holeVolumes({ hole: shape, post: inConcrete, insets, overdig: over, ground: soil.kind })
  const { along, across } = inConcrete ? sectionSize(inConcrete) : { along: 0, across: 0 }
  return {
    ...volumes,
    mix: mix.key,
    filling: filling.key,
    overdig: over,
    bags: bagOrder(volumes.concrete, mix, filling, shape, inConcrete),
    cover: coverOf(hole.diameter, along, across),
    ...(oldConcrete > 0 ? { oldConcrete: brokenOut(oldConcrete) } : {}),
  }
}

function coverCaution(concrete: ConcretePlan | undefined): string[] {
  if (!concrete || concrete.cover >= LEAST_COVER) return []
  return [
    `Only ${Math.round(concrete.cover * 1e3)} mm of concrete at the corners: ${LEAST_COVER * 1e3} mm is the least.`,
  ]
}

function fillingCaution({ post }: PostContext, concrete: ConcretePlan | undefined): string[] {
  if (concrete?.filling !== 'dry-pour' || post.duty === 'line') return []
  return ['Dry bags with water on top are for light line posts only.']
}

/** Names of the likely causes that the method does not take away. */
function unanswered(method: string, { tables }: PostContext, diagnosis: PostPlan['diagnosis']): string[] {
  const answers = (cause: Cause) => row(tables.causes.causes, cause).answeredBy.includes(method)
  return diagnosis.causes
    .filter(({ cause, probability }) => diagnosis.leading.length > 0 && probability >= MUST_ANSWER && !answers(cause))
    .map(({ name }) => name)
}
