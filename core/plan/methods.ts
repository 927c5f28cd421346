import type { Cause } from '../cause/tables'
import { workMinutes } from '../day/minutes'
import type { PostContext } from '../repair/context'
import { linkOnGustScale, weakestLink } from '../repair/links'
import { methodRow, type Choice, type Design, type RepairMethod, type Verdict } from '../repair/method'
import { row, type Tables } from '../tables/tables'
import type { CubicMetres } from '../units/types'
import { planConcrete } from './concrete'
import { onBothThresholds } from './thresholds'
import type { ConcretePlan, MethodPlan, PostPlan } from './types'

/** Every method on one post; refused ones stay with their reasons. Best first. */
export function planMethods(
  methods: readonly RepairMethod[],
  context: PostContext,
  diagnosis: PostPlan['diagnosis'],
): MethodPlan[] {
  return methods.map((method) => planMethod(method, context, diagnosis)).sort(byUse)
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

/** A method with the parts that it is made with on this post. */
export interface DesignedMethod {
  choice: Choice
  design: Design
  verdict: Verdict
}

/** The first of a method's variants that is allowed; where none is, the first with its reasons. */
export function designMethod(method: RepairMethod, context: PostContext): DesignedMethod {
  let first: DesignedMethod | undefined
  for (const choice of method.variants(context)) {
    const design = method.design(context, choice)
    const designed = { choice, design, verdict: method.verdict(context, design) }
    if (designed.verdict.verdict === 'allowed') return designed
    first ??= designed
  }
  return first!
}

function planMethod(method: RepairMethod, context: PostContext, diagnosis: PostPlan['diagnosis']): MethodPlan {
  const { tables, scale, targetGust, leanTargetGust } = context
  const { name, fixedMinutes, cautions } = methodRow(method.key, context)
  const { design, verdict } = designMethod(method, context)
  const reasons = [...stops(method, diagnosis), ...verdict.reasons]
  const links = design.links.map((capacity) => linkOnGustScale(capacity, scale))
  const weakest = weakestLink(links)
  const thresholds = onBothThresholds(links, scale.gust50)
  const { holdingGust, leanGust = Infinity } = thresholds
  const concrete = planConcrete(design.earthwork, context)
  return {
    method: method.key,
    name,
    verdict: reasons.length > 0 && verdict.verdict === 'allowed' ? 'refused' : verdict.verdict,
    allowed: reasons.length === 0,
    reasons,
    links,
    weakest: weakest?.link,
    ...thresholds,
    holdsTarget: holdingGust !== undefined && holdingGust >= targetGust && leanGust >= leanTargetGust,
    hole: design.earthwork?.holes[0],
    concrete,
    checks: [...(design.checks ?? [])],
    parts: [...design.parts],
    minutes: workMinutes(
      {
        fixedMinutes,
        dug: concrete?.hole ?? 0,
        diggingFactor: context.soil?.digging ?? 1,
        oldConcrete: design.earthwork?.oldConcrete ?? 0,
        ...pouredOf(concrete, tables),
      },
      tables.parts.rates,
    ),
    cautions: [...cautions, ...(design.cautions ?? []), ...(concrete?.warnings ?? [])],
    leavesUnsolved: unanswered(method.answers(context), context, diagnosis),
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

/** Names of the causes in force that the method does not take away. */
function unanswered(
  answers: ReadonlyMap<Cause, unknown>,
  { tables }: PostContext,
  { inForce }: PostPlan['diagnosis'],
): string[] {
  return inForce.filter((cause) => !answers.has(cause)).map((cause) => row(tables.causes.causes, cause).name)
}
