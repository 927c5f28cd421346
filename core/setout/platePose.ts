import type { Metres } from '../units/types'

export type Place = readonly [x: Metres, y: Metres]

export interface OldHole {
  at: Place
  diameter: Metres
  sound: boolean
}

export interface PlateOnSlab {
  /** Its holes about the post's centre; x along the line. */
  plate: readonly Place[]
  old: readonly OldHole[]
  /** Of the new holes, m. */
  diameter: Metres
  /** Edges of the slab about the wanted centre, m. */
  slab: { x: readonly [Metres, Metres]; y: readonly [Metres, Metres] }
  /** Least distance of an anchor from an edge, m. */
  edge: Metres
  /** Most of the centre from where it is wanted, m. */
  shift: Metres
}

export const ROTATIONS = [0, 90, 180, 270] as const
export type Rotation = (typeof ROTATIONS)[number]

export interface Pose {
  x: Metres
  y: Metres
  rotation: Rotation
  /** Sound old holes that its anchors go into. */
  reused: number
}

/** A plate's hole lies over an old one within this, m. */
export const OVER_OLD: Metres = 0.0015
/** New holes keep so many of their diameters from old ones. */
const APART = 3
const DUST = 1e-9
const MOST_POSES = 5

/**
 * Where a plate goes on a slab with old holes: most sound holes used again, no new hole in ground that an old one has
 * weakened.
 *
 * Exact: what may be used and what must be avoided are discs about shifts of the centre, so the best shift with the
 * least way lies on the wanted centre, at a disc's own centre, at the nearest point of a circle or an edge, or where two
 * of them cross; all of these are tried. An old hole wider than the anchor's holds nothing and is never used again.
 *
 * @returns best five first: most reused, then nearest; nothing where no pose will do
 * @source working values: within 1.5 mm; three diameters from every old hole that is not used
 * @example with four holes 0.08 apart either way and the same four sound in the slab, 20 mm aside: one pose at x 0.02,
 *   all four reused
 */
export function platePoses(of: PlateOnSlab): Pose[] {
  const found = ROTATIONS.flatMap((rotation) => posesAt(of, rotation))
  return found.sort(better).slice(0, MOST_POSES)
}

const better = (a: Pose, b: Pose) => b.reused - a.reused || Math.hypot(a.x, a.y) - Math.hypot(b.x, b.y)

/**
 * The least shift with which any pose would do, where none does within the tolerance.
 *
 * @param most as far as is looked, m
 */
export function leastShift(of: PlateOnSlab, most: Metres): Metres | undefined {
  const ways = ROTATIONS.flatMap((rotation) => posesAt({ ...of, shift: most }, rotation))
  return ways.length > 0 ? Math.min(...ways.map(({ x, y }) => Math.hypot(x, y))) : undefined
}

interface Disc {
  at: Place
  radius: Metres
}

/** For each set of holes used again, the pose with the least shift. */
function posesAt(of: PlateOnSlab, rotation: Rotation): Pose[] {
  const holes = of.plate.map((place) => turned(place, rotation))
  const best = new Map<string, Pose>()
  for (const [x, y] of candidates(of, holes)) {
    if (Math.hypot(x, y) > of.shift + DUST) continue
    const used = usedBy(of, holes, [x, y])
    if (!used) continue
    const pose = { x, y, rotation, reused: used.filter((each) => each >= 0).length }
    const known = best.get(used.join())
    if (!known || better(pose, known) < 0) best.set(used.join(), pose)
  }
  return [...best.values()]
}

/** Which old hole each of the plate's goes into, −1 for a new one; undefined where a new one may not be drilled. */
export function usedBy(of: PlateOnSlab, holes: readonly Place[], [x, y]: Place): number[] | undefined {
  const used: number[] = []
  for (const hole of holes) {
    const at: Place = [hole[0] + x, hole[1] + y]
    const old = of.old.findIndex((each) => isUsable(each, of) && apart(at, each.at) <= OVER_OLD + DUST)
    if (old < 0 && !mayBeDrilled(of, at)) return undefined
    used.push(old)
  }
  return used
}

/** The plate's holes as they lie turned by a right angle or two. */
export function turned([x, y]: Place, rotation: Rotation): Place {
  if (rotation === 0) return [x, y]
  if (rotation === 90) return [-y, x]
  return rotation === 180 ? [-x, -y] : [y, -x]
}

const isUsable = ({ sound, diameter }: OldHole, of: PlateOnSlab) => sound && diameter <= of.diameter + DUST
const apart = ([ax, ay]: Place, [bx, by]: Place) => Math.hypot(ax - bx, ay - by)

function mayBeDrilled({ old, diameter, slab, edge }: PlateOnSlab, at: Place): boolean {
  const clearOfEdge = (value: Metres, [low, high]: readonly [Metres, Metres]) =>
    value - low >= edge - DUST && high - value >= edge - DUST
  return (
    clearOfEdge(at[0], slab.x) &&
    clearOfEdge(at[1], slab.y) &&
    old.every((each) => apart(at, each.at) >= APART * diameter - DUST)
  )
}

/** Every shift at which the best can lie. */
function candidates(of: PlateOnSlab, holes: readonly Place[]): Place[] {
  const { old, diameter, slab, edge, shift } = of
  const discs: Disc[] = holes.flatMap(([hx, hy]) =>
    old.flatMap((each): Disc[] => {
      const at: Place = [each.at[0] - hx, each.at[1] - hy]
      const kept = { at, radius: APART * diameter }
      return isUsable(each, of) ? [{ at, radius: OVER_OLD }, kept] : [kept]
    }),
  )
  const reachable = discs.filter(({ at, radius }) => Math.hypot(...at) <= shift + radius)
  const verticals = holes.flatMap(([hx]) => [slab.x[0] + edge - hx, slab.x[1] - edge - hx])
  const levels = holes.flatMap(([, hy]) => [slab.y[0] + edge - hy, slab.y[1] - edge - hy])
  const limit: Disc = { at: [0, 0], radius: shift }
  const circles = [limit, ...reachable]
  return [
    [0, 0],
    ...reachable.map(({ at }) => at),
    ...reachable.map(nearestPoint),
    ...verticals.map((x): Place => [x, 0]),
    ...levels.map((y): Place => [0, y]),
    ...verticals.flatMap((x) => levels.map((y): Place => [x, y])),
    ...circles.flatMap((a, i) => circles.slice(i + 1).flatMap((b) => crossings(a, b))),
    ...circles.flatMap((circle) => [
      ...verticals.flatMap((x) => onVertical(circle, x)),
      ...levels.flatMap((y) => onVertical(swapped(circle), y).map(([a, b]): Place => [b, a])),
    ]),
  ]
}

const swapped = ({ at, radius }: Disc): Disc => ({ at: [at[1], at[0]], radius })

function nearestPoint({ at, radius }: Disc): Place {
  const away = Math.hypot(...at)
  if (away < DUST) return [radius, 0]
  const share = (away - radius) / away
  return [at[0] * share, at[1] * share]
}

function crossings(a: Disc, b: Disc): Place[] {
  const away = apart(a.at, b.at)
  if (away < DUST || away > a.radius + b.radius || away < Math.abs(a.radius - b.radius)) return []
  const along = (away ** 2 + a.radius ** 2 - b.radius ** 2) / (2 * away)
  const aside = Math.sqrt(Math.max(0, a.radius ** 2 - along ** 2))
  const [ux, uy] = [(b.at[0] - a.at[0]) / away, (b.at[1] - a.at[1]) / away]
  return [aside, -aside].map((side): Place => [a.at[0] + ux * along - uy * side, a.at[1] + uy * along + ux * side])
}

function onVertical({ at, radius }: Disc, x: Metres): Place[] {
  const half = radius ** 2 - (x - at[0]) ** 2
  return half < 0 ? [] : [Math.sqrt(half), -Math.sqrt(half)].map((y): Place => [x, at[1] + y])
}
