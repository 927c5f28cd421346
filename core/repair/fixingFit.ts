import { requireNumber } from '../errors'
import type { Measures } from '../units/quantity'
import { INCH } from '../units/constants'
import type { Metres } from '../units/types'

/** What a fixing goes through and into. */
export interface FixingPlace {
  /** Hole in the spur, plate or rail that it goes through, m. */
  hole: Metres
  /** Thickness of that part, and of the wood behind it, m. */
  part: Metres
  wood: Metres
  /** Heartwood and hardwood want a wider pilot. */
  isHard?: boolean
  /** To the edge and to the end of the wood, and to the next fixing, m; not asked when absent. */
  edge?: Metres
  end?: Metres
  between?: Metres
  /** Copper-treated wood, or the coast: bare and plated steel rust there. */
  isHarsh?: boolean
  /** Nobody gets to the other side: a nut cannot be held there. */
  isOneSided?: boolean
}

export interface FixingAtHand {
  kind: 'bolt' | 'screw'
  diameter: Metres
  /** Under the head, m. */
  length: Metres
  /** Outside diameter; none when absent, m. */
  washer?: Metres
  isSelfDrilling?: boolean
  coating?: 'bare' | 'plated' | 'hot-dip' | 'stainless'
}

export interface FixingFit {
  fits: boolean
  /** Which rule, and by how much. */
  refusals: string[]
  /** Bore first, m; null where none is wanted. */
  pilot: Metres | null
  /** In the wood, m. */
  bite: Metres
  /** Across the flats of its head, m; null for a size that is not made. */
  socket: Metres | null
}

/** Room round a fixing in its hole, m. */
const ROOM = { bolt: 0.001, screw: 0.0005 }
const MOST_ROOM: Metres = 0.003
/** Least bite of a screw, in diameters and m, and wood left behind its tip, m. */
const BITE_DIAMETERS = 8
const LEAST_BITE: Metres = 0.06
const BEHIND_TIP: Metres = 0.01
/** Washers under head and nut, m; the nut and two threads, in diameters; the most that stands out, m. */
const WASHERS: Metres = 0.006
const NUT_AND_THREADS = 1.1
const MOST_OVER: Metres = 0.04
/** In diameters. */
const DISTANCES = { edge: 4, end: 7, between: 4 } as const
const PILOT = { soft: 0.6, hard: 0.7 }
/** A self-drilling screw up to this wants no pilot in soft wood, m. */
const NO_PILOT_UP_TO: Metres = 0.008
const HAIR = 1e-9

/**
 * Whether a fixing fits its hole and its wood: every rule that is broken, by how much.
 *
 * @throws InputError for sizes that no fixing has
 * @source practice, with distances after NDS 2018 Table 12.5.1; working values
 * @example spur with 8 mm holes and M10 bolts: refused, the hole is 3 mm too small
 * @example 6.5 × 150 screws through a 75 mm spur into a 100 mm post: fits, 75 mm of bite
 */
export function fixingFit(place: FixingPlace, fixing: FixingAtHand, says: Measures): FixingFit {
  const { diameter, length } = fixing
  requireNumber('diameter', diameter, 0.002, 0.05, 'm')
  requireNumber('length', length, 0.01, 1, 'm')
  requireNumber('hole', place.hole, 0.002, 0.1, 'm')
  requireNumber('part', place.part, 0, 0.5, 'm')
  requireNumber('wood', place.wood, 0.01, 0.5, 'm')
  const bite = Math.min(place.wood, Math.max(0, length - place.part))
  const refusals = [
    ...holeRefusals(place, fixing, says),
    ...(fixing.kind === 'bolt' ? boltRefusals(place, fixing, says) : screwRefusals(place, fixing, bite, says)),
    ...distanceRefusals(place, fixing, says),
    ...(place.isOneSided && fixing.kind === 'bolt' ? ['A bolt wants a hand on both sides: a screw here.'] : []),
    ...(place.isHarsh && fixing.coating !== 'hot-dip' && fixing.coating !== 'stainless'
      ? ['Treated wood and sea air eat it: hot-dip galvanised or stainless.']
      : []),
  ]
  return { fits: refusals.length === 0, refusals, pilot: pilotOf(place, fixing), bite, socket: socketOf(fixing) }
}

function holeRefusals({ hole }: FixingPlace, { kind, diameter, washer = 0 }: FixingAtHand, { small }: Measures) {
  const least = diameter + ROOM[kind]
  if (hole < least - HAIR) return [`The hole is ${small(least - hole)} too small: ${small(least)} for this ${kind}.`]
  const isCovered = washer > hole + HAIR
  return hole > diameter + MOST_ROOM + HAIR && !isCovered
    ? [`The hole is ${small(hole - diameter)} wider than the ${kind}: a washer over ${small(hole)} has to cover it.`]
    : []
}

function boltRefusals({ part, wood }: FixingPlace, { diameter, length }: FixingAtHand, { small }: Measures): string[] {
  const least = part + wood + WASHERS + NUT_AND_THREADS * diameter
  if (length < least - HAIR) return [`It is ${small(least - length)} too short: ${small(least)} with its nut.`]
  return length > least + MOST_OVER + HAIR
    ? [`It stands out by ${small(length - least)}: ${small(MOST_OVER)} is the most.`]
    : []
}

function screwRefusals(
  { part, wood }: FixingPlace,
  { diameter, length }: FixingAtHand,
  bite: Metres,
  { small }: Measures,
): string[] {
  const least = Math.max(BITE_DIAMETERS * diameter, LEAST_BITE)
  const most = part + wood - BEHIND_TIP
  return [
    ...(bite < least - HAIR ? [`It bites ${small(bite)} of wood: ${small(least)} is the least.`] : []),
    ...(length > most + HAIR
      ? [`It comes within ${small(BEHIND_TIP)} of the far face: ${small(most)} is the longest.`]
      : []),
  ]
}

const PLACES = { edge: 'the edge', end: 'the end of the wood', between: 'the next fixing' } as const
function distanceRefusals(place: FixingPlace, { diameter }: FixingAtHand, { small }: Measures): string[] {
  return (['edge', 'end', 'between'] as const).flatMap((key) => {
    const found = place[key]
    const least = DISTANCES[key] * diameter
    return found === undefined || found >= least - HAIR
      ? []
      : [`It is ${small(found)} from ${PLACES[key]}: ${small(least)} is the least.`]
  })
}

function pilotOf(
  { isHard = false }: FixingPlace,
  { kind, diameter, isSelfDrilling = false }: FixingAtHand,
): Metres | null {
  if (kind === 'bolt') return diameter + ROOM.bolt
  if (isSelfDrilling && !isHard && diameter <= NO_PILOT_UP_TO + HAIR) return null
  return (isHard ? PILOT.hard : PILOT.soft) * diameter
}

/** Hexagon heads: ISO 4017 by millimetres, ASME B18.2.1 by parts of an inch. */
const SOCKETS: readonly (readonly [diameter: Metres, across: Metres])[] = [
  [0.006, 0.01],
  [0.008, 0.013],
  [0.01, 0.016],
  [0.012, 0.018],
  [0.016, 0.024],
  [0.02, 0.03],
  [INCH / 4, (7 / 16) * INCH],
  [(5 / 16) * INCH, INCH / 2],
  [(3 / 8) * INCH, (9 / 16) * INCH],
  [INCH / 2, (3 / 4) * INCH],
  [(5 / 8) * INCH, (15 / 16) * INCH],
]
/** A size is known by its half tenth of a millimetre, m. */
const SAME: Metres = 0.00005

const socketOf = ({ diameter }: FixingAtHand): Metres | null =>
  SOCKETS.find(([size]) => Math.abs(size - diameter) <= SAME)?.[1] ?? null

/**
 * From how many faces a saw has to come to cut a post through.
 *
 * @param blade depth of cut, m
 * @param along, across the post's own sizes, m
 * @returns 1 or 2; null where a hand saw has to finish the middle
 * @example sawFaces(0.065, 0.1, 0.1) // 2
 * @example sawFaces(0.04, 0.1, 0.1) // null: 20 mm are left in the middle
 */
export function sawFaces(blade: Metres, along: Metres, across: Metres): 1 | 2 | null {
  requireNumber('blade', blade, 0.01, 1, 'm')
  const narrow = Math.min(along, across)
  if (blade >= narrow - HAIR) return 1
  return 2 * blade >= narrow - HAIR ? 2 : null
}

/** Those of the yard that fit, the one with the most bite first. */
export function fixingsThatFit<F extends FixingAtHand>(place: FixingPlace, yard: readonly F[], says: Measures): F[] {
  return yard
    .map((fixing) => ({ fixing, ...fixingFit(place, fixing, says) }))
    .filter(({ fits }) => fits)
    .sort((a, b) => b.bite - a.bite || a.fixing.diameter - b.fixing.diameter)
    .map(({ fixing }) => fixing)
}
