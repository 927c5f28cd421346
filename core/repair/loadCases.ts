import type { ResolvedPost } from '../resolve/resolve'
import { bracketedRoot } from '../numeric/roots'
import { GRAVITY } from '../units/constants'
import type { Kilograms, Metres, NewtonMetres, Newtons } from '../units/types'

/** A steady load on a post, about the ground line. */
interface Steady {
  force: Newtons
  moment: NewtonMetres
}

/**
 * One way in which steady loads meet the wind. Wind acts across the line; a latched leaf pulls
 * along it, an open one across it.
 */
export interface LoadCase {
  /** What gives the post away when nothing is left for the wind. */
  name: string
  /** Share of the wind that is there in this case. */
  windShare: number
  across: Steady
  along: Steady
}

const NOTHING: Steady = { force: 0, moment: 0 }
/** Somebody swinging at the latch edge, N; a working value. */
const SWING: Newtons = 500

/**
 * Moment of a hung leaf about its post.
 *
 * @source half the leaf's weight at its latch edge, W w/2
 * @example leafMoment(32, 1.1) // 172.6 N m
 */
export function leafMoment(mass: Kilograms, width: Metres): NewtonMetres {
  return (mass * GRAVITY * width) / 2
}

/** Moment of the leaf that hangs on a post, N m; 0 where none does, or its width or mass is not known. */
export function hungLeafMoment({ duties, gate }: Pick<ResolvedPost, 'duties' | 'gate'>): NewtonMetres {
  const { leafMass = 0, leafWidth = 0 } = gate ?? {}
  return duties.includes('gate-hinge') ? leafMoment(leafMass, leafWidth) : 0
}

/**
 * Pull of the upper hinge and push of the lower one, N: the leaf's moment over their spacing.
 *
 * @example hingeForce(leafMoment(32, 1.1), 0.9) // 192 N
 */
export const hingeForce = (moment: NewtonMetres, spacing: Metres): Newtons => moment / spacing

/**
 * Every case that a post has to stand: the wind with its steady side load; with a leaf, the
 * latched and the open gate, and somebody swinging on it in a calm.
 */
export function loadCases(post: ResolvedPost): LoadCase[] {
  const side = sideLoad(post)
  const wind: LoadCase = { name: 'the steady side load', windShare: 1, across: side, along: NOTHING }
  const pull = hungLeafMoment(post)
  const { leafWidth } = post.gate ?? {}
  if (pull === 0 || leafWidth === undefined) return [wind]
  const leaf: Steady = { force: 0, moment: pull }
  const swinging: Steady = { force: 0, moment: pull + SWING * leafWidth }
  return [
    { ...wind, name: "the latched leaf's own pull", along: leaf },
    {
      name: "the open leaf's own pull",
      windShare: shareWithoutLeaf(post, leafWidth),
      across: plus(side, leaf),
      along: NOTHING,
    },
    { name: 'somebody swinging on the gate', windShare: 0, across: plus(side, swinging), along: NOTHING },
  ]
}

/** Half the leaf is gone from the stretch of fence that the post carries. */
function shareWithoutLeaf({ from, to }: ResolvedPost, leafWidth: Metres): number {
  const width = to - from
  return width > 0 ? Math.max(0, width - leafWidth / 2) / width : 0
}

/** Retained soil or stacked goods: pressure over a height, on the post's stretch of fence. */
function sideLoad({ steadyLoad, from, to }: ResolvedPost): Steady {
  if (!steadyLoad) return NOTHING
  const force = steadyLoad.pressure * steadyLoad.height * (to - from)
  return { force, moment: (force * steadyLoad.height) / 2 }
}

const plus = (a: Steady, b: Steady): Steady => ({ force: a.force + b.force, moment: a.moment + b.moment })

export interface WindAllowance {
  /** Wind at its own height that is left over, N; Infinity when the wind does not matter. */
  force: Newtons
  /** Why nothing is left. */
  because?: string
}

/** The least that any case leaves for the wind. */
export function leastAllowance(cases: readonly LoadCase[], allowance: (each: LoadCase) => Newtons): WindAllowance {
  let least: WindAllowance = { force: Infinity }
  for (const each of cases) {
    const force = allowance(each)
    if (force < least.force)
      least = force > 0 ? { force } : { force: 0, because: `${each.name} alone is more than this holds` }
  }
  return least
}

/**
 * Wind left when a part is used in proportion to its loads: capacity = used + perNewton · P.
 *
 * @param used what the steady loads take of the capacity
 */
export function linearAllowance(capacity: number, used: number, perNewton: number, windShare: number): Newtons {
  if (used >= capacity) return 0
  return windShare * perNewton > 0 ? (capacity - used) / (windShare * perNewton) : Infinity
}

/** Arm at which a load is all couple: the ground then holds a moment, m. */
const PURE_COUPLE: Metres = 1_000

/** One load that comes to the same as several. */
export interface Load {
  force: Newtons
  /** Above ground, m. */
  height: Metres
}

/**
 * What a wind and the steady loads of a case come to. Forces and moments at right angles add as vectors.
 *
 * @param arm of the wind above ground, m
 */
export function loadUnder({ across, along, windShare }: LoadCase, wind: Newtons, arm: Metres): Load {
  const force = Math.hypot(windShare * wind + across.force, along.force)
  const moment = Math.hypot(windShare * wind * arm + across.moment, along.moment)
  const height = force > 0 ? Math.min(PURE_COUPLE, moment / force) : PURE_COUPLE
  return { force: height < PURE_COUPLE ? force : moment / PURE_COUPLE, height }
}

/**
 * Wind left when what is held depends on the arm of the load: in the ground, or round a pin. Forces and moments at right
 * angles add as vectors, as a round hole takes them.
 *
 * @param holds load at an arm that is stood, N; falls with the arm
 * @param margin over 0 where a load is stood, under 0 where it is not, where that is told sooner than by `holds`
 * @param arm   of the wind above ground, m
 * @source bracketed root of demand = capacity: the demand rises with the wind
 * @example no steady load: holds(arm)
 */
export function allowanceByArm(
  each: LoadCase,
  arm: Metres,
  holds: (arm: Metres) => Newtons,
  margin: (load: Load) => number = ({ force, height }) => holds(height) - force,
): Newtons {
  const { across, along, windShare } = each
  const steady = across.force || across.moment || along.force || along.moment
  if (!steady) return windShare > 0 ? holds(arm) / windShare : Infinity
  const spare = (wind: Newtons) => margin(loadUnder(each, wind, arm))
  if (spare(0) <= 0) return 0
  if (windShare === 0) return Infinity
  let most = Math.max(1, holds(arm) / windShare)
  while (spare(most) > 0) most *= 2
  return bracketedRoot(spare, 0, most, 1e-4 * most)
}
