import { GAUSS_NODES, GAUSS_WEIGHTS } from '../numeric/quadrature'
import type { Metres, Newtons, Radians } from '../units/types'
import type { Piece } from './profile'

/** A spring of the ground at one depth, integrated over its share of the profile. */
interface Springs {
  depth: number[]
  /** First stiffness times the share of depth, N/m. */
  stiffness: number[]
  /** Limit resistance times the share of depth, N. */
  limit: number[]
  bottom: Metres
}

export interface Movement {
  /** Of the post at the ground, m. */
  groundMovement: Metres
  rotation: Radians
}

/** Longest stretch that one Gauss–Legendre rule integrates, m. */
const RULE_LENGTH = 0.5

/**
 * Puts springs at the Gauss–Legendre points of every piece.
 *
 * @param pivot depth about which the post turns at its limit: the push changes its side there,
 *   so no rule may run across it, or the springs would give way before the ground does
 */
export function groundSprings(pieces: readonly Piece[], pivot: Metres): Springs {
  const springs: Springs = { depth: [], stiffness: [], limit: [], bottom: 0 }
  for (const piece of pieces) {
    if (pivot > piece.top && pivot < piece.bottom) {
      addSprings(springs, piece, piece.top, pivot)
      addSprings(springs, piece, pivot, piece.bottom)
    } else addSprings(springs, piece, piece.top, piece.bottom)
    springs.bottom = piece.bottom
  }
  return springs
}

function addSprings(springs: Springs, piece: Piece, top: Metres, bottom: Metres): void {
  const parts = Math.ceil((bottom - top) / RULE_LENGTH)
  const length = (bottom - top) / parts
  for (let part = 0; part < parts; part++) {
    for (let i = 0; i < GAUSS_NODES.length; i++) {
      const z = top + (part + GAUSS_NODES[i]!) * length
      const share = GAUSS_WEIGHTS[i]! * length
      springs.depth.push(z)
      springs.stiffness.push((piece.stiffnessAtTop + piece.stiffnessRate * z) * share)
      springs.limit.push((piece.atZero + piece.rate * z) * share)
    }
  }
}

/** Movement if the ground kept its first stiffness: what springs back on unloading. */
export function elasticMovement(springs: Springs, force: Newtons, height: Metres): Movement {
  const { depth, stiffness } = springs
  let s0 = 0
  let s1 = 0
  let s2 = 0
  for (let i = 0; i < depth.length; i++) {
    const z = depth[i]!
    const k = stiffness[i]!
    s0 += k
    s1 += k * z
    s2 += k * z * z
  }
  // Σk(y0 − θz) = H and Σk(y0 − θz)z = −He.
  const determinant = s0 * s2 - s1 * s1
  return {
    groundMovement: (force * (s2 + s1 * height)) / determinant,
    rotation: (force * (s1 + s0 * height)) / determinant,
  }
}

/**
 * Equilibrium of the rigid post under a load below its limit, by damped Newton steps.
 *
 * The springs p = k y / (1 + k|y|/limit) derive from a convex energy. Along each step its slope
 * must not grow in size behind the lowest point, else the step is halved; so it always arrives.
 *
 * @param force N, ≥ 0 and less than `over`
 * @param guess movement under a smaller load; a larger one would start where the ground is
 *   already soft and overshoot
 * @returns a rotation that is not finite when there is no equilibrium
 * @source mechanics of a rigid post on hyperbolic springs
 * @example firm clay, 0.60 deep, 0.25 wide, 1000 N at 0.94 m: 3.8 mm at the ground, 0.0113 rad
 */
export function movementUnder(
  springs: Springs,
  force: Newtons,
  height: Metres,
  guess: Movement = elasticMovement(springs, force, height),
): Movement {
  const { bottom } = springs
  // The tilt is scaled by the depth, so both unknowns are metres.
  let ground = guess.groundMovement
  let tilt = guess.rotation * bottom
  const small = 1e-9 * force * (1 + height / bottom)
  let here = balance(springs, ground, tilt, force, height)

  for (let step = 0; step < MOST_STEPS; step++) {
    if (Math.abs(here.f0) + Math.abs(here.f1) <= small) break
    // Gradient of the energy is (f0, −f1); its Hessian is [[j00, −j01], [−j01, j11]].
    const determinant = here.j00 * here.j11 - here.j01 * here.j01
    const dGround = (here.f1 * here.j01 - here.f0 * here.j11) / determinant
    const dTilt = (here.j00 * here.f1 - here.j01 * here.f0) / determinant
    const slope = here.f0 * dGround - here.f1 * dTilt
    let share = 1
    let next = balance(springs, ground + dGround, tilt + dTilt, force, height)
    while (next.f0 * dGround - next.f1 * dTilt > -0.9 * slope && share > SHORTEST_STEP) {
      share /= 2
      next = balance(springs, ground + share * dGround, tilt + share * dTilt, force, height)
    }
    if (share <= SHORTEST_STEP || !Number.isFinite(determinant)) {
      return { groundMovement: Infinity, rotation: Infinity }
    }
    ground += share * dGround
    tilt += share * dTilt
    here = next
  }
  return { groundMovement: ground, rotation: tilt / bottom }
}

const MOST_STEPS = 100
const SHORTEST_STEP = 1e-9

/** Forces out of balance (f0, and f1 as moment over depth) and their derivatives. */
function balance(springs: Springs, ground: Metres, tilt: Metres, force: Newtons, height: Metres) {
  const { depth, stiffness, limit, bottom } = springs
  let f0 = -force
  let f1 = (force * height) / bottom
  let j00 = 0
  let j01 = 0
  let j11 = 0
  for (let i = 0; i < depth.length; i++) {
    const share = depth[i]! / bottom
    const y = ground - tilt * share
    const softening = 1 / (1 + (stiffness[i]! * Math.abs(y)) / limit[i]!)
    const p = stiffness[i]! * y * softening
    const k = stiffness[i]! * softening * softening
    f0 += p
    f1 += p * share
    j00 += k
    j01 += k * share
    j11 += k * share * share
  }
  return { f0, f1, j00, j01, j11 }
}

export type { Springs }
