import { LEAST_COVER } from '../concrete/cover'
import { reachOf } from '../concrete/overdig'
import { USUAL_WEIGHTS } from '../ground/holeFinder'
import type { MethodPlan } from '../plan/types'
import type { Metres } from '../units/types'
import type { HoleBench } from './bench'

/** A hole of one width, as deep as the rules ask for there. */
export interface CurvePoint {
  width: Metres
  plan: MethodPlan
  /** What keeps it from being proposed; nothing where it can be dug as it is. */
  because?: string
  /** Concrete and minutes on one scale: what the cheapest is found by. */
  cost: number
}

export interface HoleCurve {
  points: CurvePoint[]
  /** The cheapest that holds both targets, keeps its cover and is within the tool's reach. */
  best?: CurvePoint
}

/** Nobody digs a hole for a post wider than this, m; a working value. */
const WIDEST: Metres = 0.6

/**
 * Depth by width, for every width that a tool digs.
 *
 * @source each point planned by itself; concrete at 250 minutes of work the cubic metre, as the finder has it
 * @example firm clay, 100 mm post: 0.25 wide 0.75 deep, 0.3 wide 0.7 deep; best 0.25
 */
export function holeCurve(bench: HoleBench): HoleCurve {
  const { tables, post } = bench.context
  const reach = reachOf(post.repair?.tool)
  const points = tables.digging.toolWidths
    .filter((width) => width <= WIDEST)
    .map((width): CurvePoint => {
      const plan = bench.with({ diameter: width, depth: null })
      const because = against(plan, reach)
      return { width, plan, cost: costOf(plan), ...(because ? { because } : {}) }
    })
  const open = points.filter(({ because }) => because === undefined)
  const best = open.reduce<CurvePoint | undefined>(
    (least, point) => (least && least.cost <= point.cost ? least : point),
    undefined,
  )
  return { points, ...(best ? { best } : {}) }
}

/** Concrete and minutes of a hole on one scale. */
export const costOf = ({ concrete, minutes }: MethodPlan): number =>
  (concrete?.concrete ?? 0) * USUAL_WEIGHTS.perCubicMetre + minutes * USUAL_WEIGHTS.perMinute

function against({ concrete, hole, holdsTarget }: MethodPlan, reach: Metres): string | undefined {
  if (!hole) return 'no hole'
  if (concrete && concrete.cover < LEAST_COVER - 1e-9) return 'thin cover'
  if (hole.depth > reach + 1e-9) return 'out of reach'
  return holdsTarget ? undefined : 'under the target'
}
