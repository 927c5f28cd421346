import type { Cause } from '../cause/tables'
import { markCautions } from '../document/marks'
import { roundUpTo } from '../numeric/rounding'
import { workMinutes } from './minutes'
import type { PostContext } from '../repair/context'
import { weakestLink } from '../repair/links'
import { methodRow, type Check, type Design, type RepairMethod } from '../repair/method'
import { isBroken, softAtGround, standingFootingLink } from '../repair/standing'
import { HOLDS, shareOfTargets } from '../repair/targets'
import { row } from '../tables/tables'
import { WORKING_STEP } from '../units/step'
import type { Metres, Minutes } from '../units/types'
import { gustOfReturnPeriod, returnPeriodOfGust, returnPeriodWords } from '../wind/returnPeriod'
import { planConcrete, planPacked } from './concrete'
import { planSteps } from './steps'
import { workOf } from './work'
import { designMethod, holdsTargets } from './design'
import type { Thresholds } from './thresholds'
import type { MethodPlan, PostPlan } from './types'

/** Every method on one post; refused ones stay with their reasons. Best first. */
export function planMethods(
  methods: readonly RepairMethod[],
  context: PostContext,
  diagnosis: PostPlan['diagnosis'],
): MethodPlan[] {
  const sound = soundParts(context, diagnosis.inForce)
  return methods.map((method) => planMethod(method, context, diagnosis, sound)).sort(order(context))
}

/**
 * Answers every cause in force; comes out again where it must; keeps what is sound; holds both targets; suits the
 * ground; quickest. Refused ones stand last, and what answers nothing stands behind what answers something.
 */
function order({ post }: PostContext) {
  // Where it has to come out again, what stays for good is no answer.
  const stays = ({ comesOut }: MethodPlan) => Number(post.removable === true && !comesOut)
  return (a: MethodPlan, b: MethodPlan): number =>
    Number(b.allowed) - Number(a.allowed) ||
    Number(b.holdingGust !== undefined) - Number(a.holdingGust !== undefined) ||
    a.leavesUnsolved.length - b.leavesUnsolved.length ||
    stays(a) - stays(b) ||
    a.wastes.length - b.wastes.length ||
    Number(b.holdsTarget) - Number(a.holdsTarget) ||
    Number(a.unsuited) - Number(b.unsuited) ||
    a.minutes - b.minutes
}

/** What of the post has nothing wrong with it, and would be a pity to take out. */
function soundParts(context: PostContext, inForce: readonly Cause[]): ReadonlySet<'post' | 'footing'> {
  const parts = new Set(inForce.map((cause) => row(context.tables.causes.causes, cause).part))
  const sound = new Set<'post' | 'footing'>()
  if (!parts.has('wood') && !parts.has('metal') && !isBroken(context) && softAtGround(context) <= SOUND_WOOD)
    sound.add('post')
  if (!parts.has('ground') && context.post.footing?.kind === 'concrete' && isFootingEnough(context))
    sound.add('footing')
  return sound
}
/** One that leans before its time is no pity to break out; one that nobody measured is. */
function isFootingEnough(context: PostContext): boolean {
  const footing = standingFootingLink(context)
  return footing === undefined || shareOfTargets(context, [footing]) >= HOLDS
}
/** Soft skin that sound wood may have, m. */
const SOUND_WOOD = 0.005

function planMethod(
  method: RepairMethod,
  context: PostContext,
  diagnosis: PostPlan['diagnosis'],
  sound: ReadonlySet<'post' | 'footing'>,
): MethodPlan {
  const { post } = context
  const { name, fixedMinutes, cautions } = methodRow(method.key, context)
  const against = method.against(context)
  const leavesUnsolved = unanswered(method.answers(context), context, diagnosis)
  const wastes = method.takesOut.filter((part) => sound.has(part))
  const comesOut = method.comesOut === true
  const unsuited = method.unsuited?.(context) === true
  // What cannot be done whatever it is made with is not sized, unless somebody chose it all the same; or has to decide
  // on it, and wants its figures for that.
  const isDecided = post.duties.includes('load-bearing')
  if (against.length > 0 && post.repair?.method !== method.key && !isDecided) {
    const reasons = [...stops(method, diagnosis), ...against]
    return {
      method: method.key,
      name,
      verdict: 'refused',
      allowed: false,
      reasons,
      links: [],
      holdsTarget: false,
      checks: [],
      parts: [],
      minutes: fixedMinutes,
      cautions: [...cautions],
      leavesUnsolved,
      wastes,
      comesOut,
      unsuited,
    }
  }
  const { design, verdict, links, thresholds } = designMethod(method, context, against)
  const weakest = weakestLink(links)
  const concrete = planConcrete(design.earthwork, context)
  const packed = planPacked(design.earthwork, context)
  const reasons = [
    ...stops(method, diagnosis),
    ...verdict.reasons,
    ...tooWeak(method, context, thresholds),
    ...brokenByKnock(design, context),
  ]
  // Written out in one order: it is made for every method of every post.
  const { leanGust, leanReturnYears, holdingGust, returnYears, bareGust } = thresholds
  return {
    method: method.key,
    name,
    verdict: reasons.length > 0 && verdict.verdict === 'allowed' ? 'refused' : verdict.verdict,
    allowed: reasons.length === 0,
    reasons,
    links,
    weakest: weakest?.link,
    leanGust,
    leanReturnYears,
    holdingGust,
    returnYears,
    bareGust,
    holdsTarget: holdsTargets(context, thresholds),
    hole: design.earthwork?.holes[0],
    concrete,
    packed,
    checks: [...(design.checks ?? []), ...knockChecks(design, context)],
    parts: [...design.parts],
    newPost: design.newPost && postToBuy(design.newPost.length, context),
    minutes: minutesOf(method, design, context, { concrete, packed }),
    cautions: [
      ...cautions,
      ...(design.cautions ?? []),
      ...(design.newPost && context.line.kind === 'post-and-rail' ? [MORTISES] : []),
      ...(concrete?.warnings ?? []),
      ...markCautions(post.nearMarks),
    ],
    leavesUnsolved,
    wastes,
    comesOut,
    unsuited,
  }
}

/** By the rates; where paces were learnt, as the steps add up. */
function minutesOf(
  method: RepairMethod,
  design: Design,
  context: PostContext,
  { concrete, packed }: Pick<MethodPlan, 'concrete' | 'packed'>,
): Minutes {
  const { tables } = context
  if (tables.learnt.some(({ kind }) => kind === 'minutes'))
    return planSteps(method, design, context).reduce((sum, { minutes }) => sum + minutes, 0)
  return workMinutes(workOf(method, design, context, concrete, packed), tables.parts.rates)
}

export const MORTISES =
  'Where the rails run in mortises: measure the height and the size of each hole on the old post before a new one is bought.'

/** The shortest stick that does; none where it is longer than any that is sold. */
function postToBuy(length: Metres, { post, tables }: PostContext): NonNullable<MethodPlan['newPost']> {
  const { digging, units } = tables
  const asked = roundUpTo(length - 1e-6, WORKING_STEP[units])
  const result: NonNullable<MethodPlan['newPost']> = {
    length: asked,
    third: roundUpTo(length / 3, WORKING_STEP[units]),
  }
  const stock = digging.stockLengths.find((each) => each >= length - 1e-6)
  if (stock !== undefined) result.stock = stock
  const atHand = post.repair?.post?.length
  if (atHand !== undefined) result.short = Math.max(0, length - atHand)
  return result
}

/** A red flag stops every repair but making it safe, until a person says that it is in hand. */
function stops({ key }: RepairMethod, { redFlags, cleared }: PostPlan['diagnosis']): string[] {
  if (redFlags.length === 0 || cleared || key === 'make-safe') return []
  return ['A red flag stands: make it safe, and say in Cause when it is in hand.']
}

/** Each link stands a knock against the box, or does not: it is never added to the wind. */
function knockChecks({ links }: Design, { knock }: PostContext): Check[] {
  if (knock === 0 || links.length === 0) return []
  const capacity = Math.min(...links.map(({ over, code }) => over ?? code ?? Infinity))
  return [{ check: 'a knock against the box', demand: knock, capacity, unit: 'N' }]
}
function brokenByKnock(design: Design, context: PostContext): string[] {
  return knockChecks(design, context).some(({ demand, capacity }) => capacity < demand - 0.5)
    ? ['A knock against the box brings it down.']
    : []
}

/** A repair that the wind of every tenth year takes down is none. */
function tooWeak({ isStopGap }: RepairMethod, { site, says }: PostContext, { holdingGust }: Thresholds): string[] {
  if (isStopGap || holdingGust === undefined) return []
  if (holdingGust >= gustOfReturnPeriod(LEAST_RETURN_YEARS, site.gust50)) return []
  return [
    `It gives way at ${says.gust(holdingGust)}, ${returnPeriodWords(returnPeriodOfGust(holdingGust, site.gust50))}.`,
  ]
}
const LEAST_RETURN_YEARS = 10

/** Names of the causes in force that the method does not take away. */
function unanswered(
  answers: ReadonlyMap<Cause, unknown>,
  { tables }: PostContext,
  { inForce }: PostPlan['diagnosis'],
): string[] {
  return inForce.filter((cause) => !answers.has(cause)).map((cause) => row(tables.causes.causes, cause).name)
}
