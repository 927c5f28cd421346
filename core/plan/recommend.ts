import type { PostContext } from '../repair/context'
import type { DesignedHole } from '../repair/holeShape'
import { STOP_GAPS } from '../repair/methods'
import { roundUpTo } from '../numeric/rounding'
import { showLength, type LengthSystem } from '../units/length'
import { WORKING_STEP } from '../units/step'
import type { Metres } from '../units/types'
import type { DepthRulePlan, MethodPlan, PostPlan, StandingPlan } from './types'

/**
 * What is proposed: the repair that somebody chose where it is allowed, or the first that answers the causes in force,
 * with its hole and the reason for its depth; of a post that is to become more than it is the first that holds more. Nothing for a post in which nothing has failed, that nobody has looked
 * at, or of which nobody knows yet what failed; making it safe where nothing else is allowed. A hole that holds nothing
 * is not recommended: its measures are left out then.
 */
export function recommend(
  { post, tables }: PostContext,
  diagnosis: PostPlan['diagnosis'],
  standing: StandingPlan,
  methods: MethodPlan[],
  rules: DepthRulePlan[],
): PostPlan['recommended'] {
  const open = methods.filter(({ allowed }) => allowed)
  const method =
    open.find((each) => each.method === post.repair?.method) ??
    (post.upgrade && diagnosis.state === 'nothing-wrong' ? upgraded(standing, open) : proposed(diagnosis, open))
  if (!method) return undefined
  const { hole } = method
  if (!hole) return { method: method.method, because: `${method.name}: no digging.` }
  const because = depthReason(hole, rules, tables.units)
  if (hole.noHoleHolds) return { method: method.method, because }
  return { method: method.method, diameter: hole.diameter, depth: hole.depth, because }
}

function proposed({ state, inForce, redFlags, cleared }: PostPlan['diagnosis'], open: MethodPlan[]) {
  const safe = open.find(({ method }) => method === MAKE_SAFE)
  const isStopped = redFlags.length > 0 && !cleared
  if (state === 'unsettled' && isStopped) return safe
  if (state !== 'failed') return undefined
  if (isStopped) return safe
  const [best] = open.filter(({ method }) => method !== MAKE_SAFE)
  return best && best.leavesUnsolved.length < inForce.length ? best : safe
}
const MAKE_SAFE = 'make-safe'

/** The first that holds both targets and more than what stands; nothing where none does more than that. */
function upgraded(standing: StandingPlan, open: readonly MethodPlan[]): MethodPlan | undefined {
  const more = holdingMore(standing, open)
  return more.find(({ holdsTarget }) => holdsTarget) ?? more[0]
}

/** Ways that hold more than a post does as it stands, none of them for days only. */
export const holdingMore = ({ holdingGust: standing = 0 }: StandingPlan, open: readonly MethodPlan[]): MethodPlan[] =>
  open.filter(({ method, holdingGust = 0 }) => !STOP_GAPS.has(method) && holdingGust > standing + NOTICED)
/** Less than this nobody would dig for, m/s. */
const NOTICED = 1

const RULE_WORDS: Record<string, string> = {
  frost: 'Frost rules',
  'local-minimum': 'Your local minimum rules',
  'target-gust': 'Going over at the target gust rules',
  'target-lean': 'Staying plumb rules',
  'half-the-spur': 'Half the spur stands in the ground',
  keyed: 'Both targets rule, with the key',
  'old-pier': 'Opened round the head of the old pier',
  chosen: 'You set this depth',
}

/**
 * Why a hole is as deep as it is: number first, reason second.
 *
 * @example depthReason(hole, rules, 'metric')
 *   // '0.75 m deep: 0.65 m to the foot of the concrete and 0.1 m of stone. The target gust rules; frost asks 0.6 m, …'
 */
export function depthReason(hole: DesignedHole, rules: DepthRulePlan[], system: LengthSystem): string {
  const show = (length: number) => showLength(length, system)
  const bed =
    hole.stoneBed > 0
      ? `: ${show(hole.footingBottom)} to the foot of the concrete and ${show(hole.stoneBed)} of stone`
      : ''
  const others = rules
    .filter(({ rule, depth }) => rule !== hole.rule && depth !== null && BINDING_WORDS[rule])
    .map(({ rule, depth }) => `${BINDING_WORDS[rule]} ${showDepth(depth!, system)}`)
  const short = hole.noHoleHolds ? ['no hole that can be dug holds the target gust here'] : []
  return `${show(hole.depth)} deep${bed}. ${[RULE_WORDS[hole.rule] ?? hole.rule, [...others, ...short].join(', ')].filter(Boolean).join('; ')}.`
}

/** A depth that a rule asks for, never said as less. @example showDepth(0.733, 'metric') // '0.74 m' */
export const showDepth = (depth: Metres, system: LengthSystem): string =>
  showLength(roundUpTo(depth, WORKING_STEP[system]), system)

const BINDING_WORDS: Record<string, string> = {
  frost: 'frost asks',
  'local-minimum': 'the local minimum is',
  'target-gust': 'not to go over asks',
  'target-lean': 'to stay plumb asks',
}
