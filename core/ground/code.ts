import { InputError } from '../errors'
import { bracketedRoot } from '../numeric/roots'
import type { Metres, Newtons } from '../units/types'

/** Depth to which the lateral pressure grows, IBC §1807.3.2.1, m. */
const PRESSURE_GROWS_TO = 3.66
const DEEPEST = 20

export interface CodePost {
  /** Of the load above ground, m, ≥ 0. */
  height: Metres
  /** Diameter of a round footing or diagonal of a square one, m. */
  width: Metres
  /** Allowable lateral pressure per metre of depth, Pa/m, undoubled. */
  lateral: number
  /** Doubles the pressure: isolated posts that a 12 mm ground movement does not harm. */
  isolated: boolean
}

/**
 * Largest horizontal load that the code formula allows on an unrestrained post.
 *
 * @param depth embedment, m, > 0
 * @returns N
 * @source IBC 2021 §1807.3.2.1 solved for P; doubling by §1806.3.4
 * @example codeForce(0.76, { height: 0.94, width: 0.25, lateral: 23_563, isolated: true }) // 413 N
 */
export function codeForce(depth: Metres, post: CodePost): Newtons {
  if (depth <= 0) return 0
  const pressure = (lateralOf(post) * Math.min(depth, PRESSURE_GROWS_TO)) / 3
  return (pressure * post.width * depth * depth) / (2.34 * (depth + 1.09 * post.height))
}

/**
 * Embedment that the code formula asks for under a load: depth and pressure solved together.
 *
 * @param force N, ≥ 0
 * @throws InputError when even 20 m would not do
 * @source IBC 2021 §1807.3.2.1
 * @example codeDepth(2544, { height: 0.914, width: 0.254, lateral: 15_709, isolated: true }) // 1.855 m
 */
export function codeDepth(force: Newtons, post: CodePost): Metres {
  if (force <= 0) return 0
  if (codeForce(DEEPEST, post) < force) {
    throw new InputError('force', force, `at most ${Math.round(codeForce(DEEPEST, post))} N at this width`)
  }
  return bracketedRoot((depth) => codeForce(depth, post) - force, 0, DEEPEST, 1e-9)
}

const lateralOf = (post: CodePost) => post.lateral * (post.isolated ? 2 : 1)
