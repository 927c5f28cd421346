import { requireNumber } from '../errors'
import { bracketedRoot } from '../numeric/roots'
import type { Metres, Newtons, Radians } from '../units/types'
import { codeForce } from './code'
import { overturning, type Limit } from './over'
import { profileBottom, requireSegments, resistancePieces, type Segment } from './profile'
import { elasticMovement, groundSprings, movementUnder, type Movement, type Springs } from './response'
import { layersDownTo, strata, type Ground } from './strata'

export interface BuriedPost extends Ground {
  /** Top layer without resistance, m. */
  ignoredTop: Metres
  segments: readonly Segment[]
  /** Of the load above ground, m. */
  height: Metres
}

export interface GroundCapacity extends Limit {
  /** Largest load after which the post springs back to within the tolerance, N. */
  lean: Newtons
  /** Allowable load of the code formula, N; null where the code gives no pressure. */
  code: Newtons | null
}

/** Lean that is still called plumb: 1 in 120. */
export const PLUMB_TOLERANCE: Radians = 1 / 120

/**
 * What the ground holds of a rigid post: it leans for good, it goes over, the code allows.
 *
 * @param tolerance lasting rotation still called plumb, rad, 0 < tolerance ≤ 0.2
 * @returns loads at `height`, N
 * @throws InputError for segments or heights out of range
 * @source see {@link overturning}, {@link movementUnder}, {@link codeForce}
 * @example firm clay, 0.60 deep, 0.25 wide, load at 0.94 m: over 1737, lean 1052, code 149 N
 */
export function groundCapacity(post: BuriedPost, tolerance: Radians = PLUMB_TOLERANCE): GroundCapacity {
  requirePost(post)
  requireNumber('tolerance', tolerance, 1e-4, 0.2, 'rad')
  const { springs, limit } = prepared(post)
  return {
    ...limit,
    lean: limit.over > 0 ? leaningForce(springs, limit.over, post.height, tolerance) : 0,
    code: codeAllowance(post),
  }
}

export type GroundThreshold = 'lean' | 'over' | 'code'

/**
 * One of the three thresholds alone, where a search asks for it at many heights.
 *
 * @returns N; null where the code gives no pressure
 */
export function groundThreshold(post: BuriedPost, threshold: GroundThreshold): Newtons | null {
  requirePost(post)
  if (threshold === 'code') return codeAllowance(post)
  const { springs, limit } = prepared(post)
  if (threshold === 'over' || limit.over === 0) return limit.over
  return leaningForce(springs, limit.over, post.height, PLUMB_TOLERANCE)
}

/** A load so far up is a couple: the ground holds its moment. */
const HIGHEST_LOAD: Metres = 1_000

function requirePost(post: BuriedPost): void {
  requireNumber('height', post.height, 0, HIGHEST_LOAD, 'm')
  requireNumber('ignoredTop', post.ignoredTop, 0, 2, 'm')
  requireSegments(post.segments)
}

/**
 * How far a load is from leaving a lasting lean: what a search for a depth asks at every depth.
 *
 * @returns above 0 where it springs back to within the tolerance, 0 just there, down to −½ where it goes over
 */
export function plumbMargin(post: BuriedPost, force: Newtons): number {
  requirePost(post)
  if (force <= 0) return 0.5
  const { springs, limit } = prepared(post)
  if (force >= limit.over) return -0.5
  const lasting = residual(springs, movementUnder(springs, force, post.height), force, post.height)
  return Number.isFinite(lasting) ? 0.5 - lasting / (lasting + PLUMB_TOLERANCE) : -0.5
}

export interface GroundResponse extends Movement {
  /** Rotation that stays when the load has gone, rad. */
  residual: Radians
}

/**
 * Movement of the post under one load, and what stays of it.
 *
 * @param force N at `post.height`
 * @returns null when the load reaches `over`: there is no equilibrium
 * @example firm clay as above under 1052 N: residual 1/120
 */
export function groundResponse(post: BuriedPost, force: Newtons): GroundResponse | null {
  requireSegments(post.segments)
  const { springs, limit } = prepared(post)
  if (force >= limit.over) return null
  const elastic = elasticMovement(springs, force, post.height)
  const { groundMovement, rotation } = movementUnder(springs, force, post.height, elastic)
  return Number.isFinite(rotation) ? { groundMovement, rotation, residual: rotation - elastic.rotation } : null
}

/**
 * The movement under any load at the post's height, its ground prepared once.
 *
 * @returns of a force, null where it reaches `over`: there is no equilibrium
 */
export function movementsOf(post: BuriedPost): (force: Newtons) => Movement | null {
  requirePost(post)
  const { springs, limit } = prepared(post)
  return (force) => {
    if (force >= limit.over) return null
    const movement = movementUnder(springs, force, post.height)
    return Number.isFinite(movement.rotation) ? movement : null
  }
}

/**
 * The rotation that stays after any share of the load that turns the post over, its ground prepared once.
 *
 * @returns of a share, 0 to less than 1, rad; not finite where there is no equilibrium
 * @example the standard case at 0.6 of its limit: 1 in 120, where it begins to lean
 */
export function residualsOf(post: BuriedPost): (share: number) => Radians {
  requirePost(post)
  const { springs, limit } = prepared(post)
  return (share) => {
    const force = share * limit.over
    return residual(springs, movementUnder(springs, force, post.height), force, post.height)
  }
}

function prepared(post: BuriedPost): { springs: Springs; limit: Limit } {
  const pieces = resistancePieces(post.segments, strata(post), post.ignoredTop)
  const limit = overturning(pieces, post.height)
  return { springs: groundSprings(pieces, limit.pivot), limit }
}

/** The post unloads along the ground's first stiffness. */
function residual(springs: Springs, movement: Movement, force: Newtons, height: Metres): Radians {
  return movement.rotation - elasticMovement(springs, force, height).rotation
}

function leaningForce(springs: Springs, over: Newtons, height: Metres, tolerance: Radians): Newtons {
  let below: { force: Newtons; movement: Movement } | undefined
  /** Rises from −½ at rest to +½ at the limit: the lasting rotation itself grows without bound. */
  const excess = (force: Newtons): number => {
    if (force <= 0) return -0.5
    const guess = below && below.force <= force ? below.movement : undefined
    const movement = movementUnder(springs, force, height, guess)
    const lasting = residual(springs, movement, force, height)
    if (!Number.isFinite(lasting)) return 0.5
    const result = lasting / (lasting + tolerance) - 0.5
    if (result <= 0) below = { force, movement }
    return result
  }
  const share = BRACKET_SHARES.find((candidate) => excess(candidate * over) > 0)
  if (share === undefined) return over
  return bracketedRoot(excess, 0, share * over, over * 1e-7)
}

/**
 * Shares of `over` tried as the upper end of the bracket; next to the last one any post in
 * range has turned further than any tolerance.
 */
const BRACKET_SHARES = [0.75, 0.95, 1 - 1e-4]

/** Pressure that the code gives the weakest layer down to a depth, Pa/m; null where it gives one of them none. */
export function codeLateral(ground: Ground, depth: Metres): number | null {
  return layersDownTo(ground, depth).reduce<number | null>(
    (least, { soil: { lateral } }) => (least === null || lateral === null ? null : Math.min(least, lateral)),
    Infinity,
  )
}

function codeAllowance(post: BuriedPost): Newtons | null {
  const depth = profileBottom(post.segments)
  const lateral = codeLateral(post, depth)
  if (lateral === null) return null
  const third = depth / 3
  const at = post.segments.find((segment) => segment.bottom >= third) ?? post.segments[0]!
  return codeForce(depth, { height: post.height, width: at.width, lateral, isolated: true })
}
