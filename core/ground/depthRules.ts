import { roundUpTo } from '../numeric/rounding'
import { bracketedRoot } from '../numeric/roots'
import type { Metres, Newtons } from '../units/types'
import { codeDepth, codeForce } from './code'
import { METRIC_CUSTOMS, type DiggingCustoms } from './customs'
import { BELOW_FROST } from './frost'
import { overturning } from './over'
import { codeLateral, plumbMargin } from './postInGround'
import { DEPTH_RANGE, resistancePieces, type Segment } from './profile'
import { strata, type Ground } from './strata'

export interface DepthQuestion extends Ground {
  ignoredTop: Metres
  /** Diameter of the footing, m. */
  width: Metres
  /** What stands above the fill: only so wide, down to so deep, m. */
  above?: { bottom: Metres; width: Metres }
  /** Nobody digs deeper here, m: a rule that asks for more says this depth. */
  deepest?: Metres
  /** Loads that a wind comes to with every steady load; the wind alone when absent. */
  loadsUnder?: (wind: Newtons) => readonly { force: Newtons; height: Metres }[]
  /** Wind at the target gust by the bare formulas, N, and its height above ground, m. */
  force: Newtons
  height: Metres
  /** Wind that the ground must stand without giving way, and without a lasting lean, N; `force` and none when absent. */
  demand?: { over: Newtons; lean?: Newtons }
  /** Of the whole post, m. */
  postLength: Metres
  frostDepth: Metres
  minimumDepth: Metres
  /** {@link METRIC_CUSTOMS} when absent. */
  customs?: DiggingCustoms
}

export interface DepthRule {
  rule: string
  name: (customs: DiggingCustoms) => string
  /** What the rule takes for granted. */
  assumes: (customs: DiggingCustoms) => string
  /** m; null where the rule gives no depth, with the reason in `assumes`. */
  depth: (question: DepthQuestion) => Metres | null
  /** Counts towards the recommended depth; where it gives none, no hole holds. */
  binding: boolean
}

/** Schools of depth, in the order in which they are listed. */
export const depthRules: readonly DepthRule[] = [
  {
    rule: 'third-of-post',
    name: () => 'A third of the post',
    assumes: () => 'the post was bought for its hole',
    depth: (q) => q.postLength / 3,
    binding: false,
  },
  {
    rule: 'fixed-600',
    name: ({ always }) => `Always ${always.words}`,
    assumes: () => 'a garden fence out of the wind',
    depth: (q) => customsOf(q).always.depth,
    binding: false,
  },
  {
    rule: 'trade-750',
    name: ({ trade, belowFrost }) => `${trade.words} or ${belowFrost} below frost`,
    assumes: () => 'the greater of the two',
    depth: (q) => Math.max(customsOf(q).trade.depth, q.frostDepth + BELOW_FROST),
    binding: false,
  },
  {
    rule: 'frost',
    name: () => 'Below frost',
    assumes: ({ belowFrost }) => `bottom ${belowFrost} under the frost depth`,
    depth: frostRule,
    binding: true,
  },
  {
    rule: 'local-minimum',
    name: () => 'Local minimum',
    assumes: () => 'what the local rules ask',
    depth: (q) => q.minimumDepth,
    binding: true,
  },
  {
    rule: 'target-gust',
    name: () => 'Goes over',
    assumes: () => 'the ground does not give way under the target gust',
    depth: depthThatHolds,
    binding: true,
  },
  {
    rule: 'target-lean',
    name: () => 'Stays plumb',
    assumes: () => 'the post springs back from the gust that it must not lean from',
    depth: depthThatStaysPlumb,
    binding: true,
  },
  {
    rule: 'code-formula',
    name: () => 'Code formula',
    assumes: () => 'presumptive pressure doubled, as trade custom has it',
    depth: codeRule,
    binding: false,
  },
]

const customsOf = ({ customs = METRIC_CUSTOMS }: DepthQuestion): DiggingCustoms => customs

function frostRule(question: DepthQuestion): Metres {
  return question.frostDepth + BELOW_FROST
}

function codeRule(question: DepthQuestion): Metres | null {
  const { height, width, force, layers } = question
  // How deep it goes is what is asked: the weakest of all layers.
  const lateral = codeLateral(question, layers?.at(-1)?.bottom ?? 0)
  if (lateral === null) return null
  const post = { height, width, lateral, isolated: true }
  return codeForce(DEPTH_RANGE.maximum, post) < force ? null : codeDepth(force, post)
}

/**
 * Least embedment whose limit carries the force.
 *
 * @returns m; null when no hole of 2 m would hold
 * @source {@link overturning}, solved for the depth
 * @example medium sand, 0.25 wide, 1263 N at 0.94 m: 0.76 m
 */
export function depthThatHolds(question: DepthQuestion): Metres | null {
  const layers = strata(question)
  return depthFor(question, question.demand?.over ?? question.force, (segments) => {
    const pieces = resistancePieces(segments, layers, question.ignoredTop)
    return ({ force, height }) => Math.min(MUCH, overturning(pieces, height).over) - force
  })
}

/**
 * Least embedment that springs back to plumb from the lean target's gust.
 *
 * @returns m; null when no hole of 2 m would
 * @source {@link plumbMargin}, solved for the depth
 */
export function depthThatStaysPlumb(question: DepthQuestion): Metres | null {
  const { ignoredTop, demand } = question
  if (demand?.lean === undefined) return DEPTH_RANGE.minimum
  return depthFor(
    question,
    demand.lean,
    (segments) =>
      ({ force, height }) =>
        plumbMargin({ ...groundOf(question), ignoredTop, segments, height }, force),
  )
}

const groundOf = ({ soil, saturated, cohesion, layers, strength }: DepthQuestion): Ground => ({
  soil,
  saturated,
  cohesion,
  layers,
  strength,
})

function depthFor(
  { width, above, height, loadsUnder, deepest }: DepthQuestion,
  demand: Newtons,
  margin: (segments: readonly Segment[]) => (load: { force: Newtons; height: Metres }) => number,
): Metres | null {
  const loads = loadsUnder ? loadsUnder(demand) : [{ force: demand, height }]
  const shallowest = Math.max(DEPTH_RANGE.minimum, (above?.bottom ?? 0) + DEPTH_RANGE.minimum)
  const spare = (bottom: Metres) => {
    const fill = { top: above?.bottom ?? 0, bottom, width }
    const spareOf = margin(above ? [{ top: 0, ...above }, fill] : [fill])
    return Math.min(...loads.map(spareOf))
  }
  const isShort = deepest !== undefined && deepest < DEEPEST_DUG
  const end = isShort ? Math.max(shallowest, deepest) : DEEPEST_DUG
  if (spare(end) < 0) return isShort ? end : null
  if (spare(shallowest) >= 0) return shallowest
  return bracketedRoot(spare, shallowest, end, 1e-4)
}

/** Deepest hole that is dug by hand or auger for a post; a working value, m. */
const DEEPEST_DUG: Metres = 2
/** Shallowest footing that is proposed, whatever the rules allow; a working value, m. */
const SHALLOWEST: Metres = 0.3
/** More than any fence catches: a root needs finite ends, N. */
const MUCH: Newtons = 1e9

/** What each rule asks that counts towards the recommended depth, m; null where no hole would do. */
export const bindingDepths = (question: DepthQuestion): ReadonlyMap<string, Metres | null> =>
  new Map(depthRules.filter(({ binding }) => binding).map(({ rule, depth }) => [rule, depth(question)]))

export interface RecommendedDepth {
  depth: Metres
  /** The rule that asks for it. */
  rule: string
  /** No hole that can be dug holds the target gust: the depth is only what the other rules ask. */
  noHoleHolds?: true
}

/**
 * The greatest of the frost rule, the local minimum and the depths that hold both targets,
 * rounded up to what a handle is marked in. Where no hole holds the target gust the depth of the others
 * comes back marked: nobody may call it recommended.
 *
 * @param asked by rule, where it is known already: see {@link bindingDepths}
 * @example frost 0.45, minimum 0.6, gust asks 0.71: 0.75 m, 'target-gust'
 */
export function recommendedDepth(question: DepthQuestion, asked = bindingDepths(question)): RecommendedDepth {
  let best: RecommendedDepth = { depth: SHALLOWEST, rule: 'local-minimum' }
  let noHoleHolds = false
  for (const [rule, wanted] of asked) {
    if (wanted === null) noHoleHolds = true
    else if (wanted > best.depth + 1e-9) best = { depth: wanted, rule }
  }
  return {
    ...best,
    depth: roundUpTo(best.depth, customsOf(question).depthStep),
    ...(noHoleHolds ? { noHoleHolds } : {}),
  }
}
