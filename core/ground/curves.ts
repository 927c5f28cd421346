import type { NewtonMetres, Newtons, Radians } from '../units/types'
import { groundThreshold, groundResponse, type BuriedPost } from './postInGround'

export interface CurvePoint {
  force: Newtons
  /** About the ground line. */
  moment: NewtonMetres
  /** While the load is on, and after it has gone. */
  rotation: Radians
  residual: Radians
}

/** Share of `over` up to which the curve is drawn: at the limit the rotation has no end. */
const DRAWN_TO = 0.98

/**
 * Moment against rotation, and the rotation that stays, from rest to nearly the limit: for charts.
 *
 * @param points how many, 2 to 500, closer together towards the limit
 * @example momentRotation(post, 40).at(-1).residual // the lean after the worst gust it survives
 */
export function momentRotation(post: BuriedPost, points: number): CurvePoint[] {
  const over = groundThreshold(post, 'over')!
  return Array.from({ length: points }, (_, i) => {
    const share = 1 - (1 - i / (points - 1)) ** 2
    const force = over * DRAWN_TO * share
    const response = force > 0 ? groundResponse(post, force) : null
    return { force, moment: force * post.height, rotation: response?.rotation ?? 0, residual: response?.residual ?? 0 }
  })
}

/**
 * Lean left by gusts that come one after the other: only a gust worse than all before adds to it.
 *
 * @param forces wind of each gust at the post's height, N
 * @returns lasting rotation after each, rad; null from the gust on that turns the post over
 */
export function leanAfterGusts(post: BuriedPost, forces: readonly Newtons[]): (Radians | null)[] {
  let worst: Radians | null = 0
  return forces.map((force) => {
    if (worst === null) return null
    const response = force > 0 ? groundResponse(post, force) : { residual: 0 }
    worst = response === null ? null : Math.max(worst, response.residual)
    return worst
  })
}
