import type { BaggedMix } from '../concrete/bags'
import { wholeUp } from '../numeric/rounding'
import type { ConcretePlan } from '../plan/types'
import { widthAt, type DesignedHole } from '../repair/holeShape'
import { grossArea, type Section } from '../timber/section'
import type { CubicMetres, Metres } from '../units/types'

/** What went into a hole so far, as it is counted beside it. */
export interface Counted {
  /** Bags in. */
  bags: number
  /** The concrete's face below the ground, m. */
  face: Metres
}

export interface LiveCount {
  /** Concrete that went in, and what the plan has up to there, m³. */
  placed: CubicMetres
  planned: CubicMetres
  /** How much more than its plan the hole took; 0.1 is a tenth. */
  over: number
  /** Bags that it still takes at that rate. */
  togo: number
  /** Whole bags in all. */
  bags: number
}

/** Slices by which the room in a hole is summed. */
const SLICES = 200
/** Under this much in, nobody can tell how the hole takes it. */
const LEAST_SEEN: Metres = 0.1

/**
 * The true volume of a hole while it is filled: by the bags in and the depth left to the concrete's face.
 *
 * @param stands in the concrete, where a post does
 * @returns undefined before there is enough in it to tell
 * @example 3 bags of 10 L to 0.25 m below the ground where the plan has 25 L: a fifth over, 2.4 bags more
 */
export function liveCount(
  { bags, face }: Counted,
  hole: DesignedHole,
  concrete: ConcretePlan,
  mix: Pick<BaggedMix, 'yields'>,
  stands?: Section,
): LiveCount | undefined {
  if (bags <= 0 || hole.footingBottom - face < LEAST_SEEN) return undefined
  const whole = room(hole, Math.max(0, hole.fillTop), stands)
  // What the plan has, spread as the room is: over-dig, voids and stones with it.
  const perRoom = whole > 0 ? concrete.concrete / whole : 0
  const planned =
    (whole - (face > hole.fillTop ? room(hole, hole.fillTop, stands) - room(hole, face, stands) : 0)) * perRoom
  const placed = bags * mix.yields
  const over = planned > 0 ? placed / planned - 1 : 0
  const togo = Math.max(0, ((concrete.concrete - planned) * (1 + over)) / mix.yields)
  return { placed, planned, over, togo, bags: wholeUp(bags + togo - 0.03) }
}

/** Room round what stands in the hole, from its foot up to a depth, m³. */
function room(hole: DesignedHole, top: Metres, stands?: Section): CubicMetres {
  const slice = (hole.footingBottom - top) / SLICES
  const post = stands ? grossArea(stands) : 0
  let sum = 0
  for (let i = 0; i < SLICES; i++) {
    const width = widthAt(hole, top + (i + 0.5) * slice)
    const area = hole.shape === 'square' ? width ** 2 : (Math.PI * width ** 2) / 4
    sum += Math.max(0, area - post) * slice
  }
  return sum
}

/** Where the bags run out, in the order in which the holes are filled. */
export interface RunsOut {
  /** The first hole that is short, and of how many bags all of them are. */
  at: string
  short: number
}

/**
 * Whether what is on the van does for the holes to come, each taking as much more than its plan as those that were
 * filled.
 *
 * @param holes by the order of the day, each with its bags by measure
 * @example runsOut([{ post: 'A7', bags: 3.2 }, { post: 'A9', bags: 3.4 }], 7, 0.15) // { at: 'A9', short: 1 }
 */
export function runsOut(
  holes: readonly { post: string; bags: number }[],
  bags: number,
  over: number,
): RunsOut | undefined {
  let used = 0
  let at: string | undefined
  for (const hole of holes) {
    used += hole.bags * (1 + over)
    if (at === undefined && used > bags + 1e-9) at = hole.post
  }
  return at === undefined ? undefined : { at, short: wholeUp(used - bags) }
}
