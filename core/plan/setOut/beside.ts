import type { ResolvedLine, ResolvedPost } from '../../resolve/resolve'
import { OVER_LIFT } from '../../repair/members/loadBearing'
import { carriedLoad } from '../../repair/members/carried'
import { jacking, type Jacked } from '../../setout/jack'
import { meshSection, type MeshFigures } from '../../setout/meshSection'
import { pavingCuts, type CutUnit, type Paving, type StandingIn } from '../../setout/pavingCut'
import { leastShift, platePoses, turned, type Place, type PlateOnSlab, type Pose } from '../../setout/platePose'
import { prop, type Prop } from '../../setout/prop'
import { propForce, type PropForce } from '../../setout/propForce'
import { roadsideBox, type RoadsideBox } from '../../setout/roadsideBox'
import { row, type Tables } from '../../tables/tables'
import { sectionSize } from '../../timber/section'
import { GRAVITY } from '../../units/constants'
import type { Metres, MetresPerSecond, Newtons } from '../../units/types'
import type { PostPlan } from '../types'

/* What stands, lies and is drilled round one post: figures from what was measured there, usual values for the rest. */

/** Somebody works beside a loose panel up to this gust, and goes home over it; a working value. */
export const WORKING_GUST: MetresPerSecond = 12
const USUAL_ANGLE = Math.PI / 4
/** Of the prop's head up the post, as a share of the fence's height. */
const HEAD_SHARE = 2 / 3

export interface PropsAtPost extends Prop, PropForce {
  head: Metres
  of: 'wind' | 'weight'
}

/** Props for what leans, where somebody weighed it; else for the wind on the loose panel at the working gust. */
export function propsAt(line: ResolvedLine, post: ResolvedPost, { wind }: PostPlan): PropsAtPost {
  const { head = HEAD_SHARE * line.height, angle = USUAL_ANGLE, mass, offset } = post.propped ?? {}
  const leans = mass !== undefined && offset !== undefined
  const blown: Newtons = wind.force === 0 ? 0 : wind.force * (WORKING_GUST / wind.gust) ** 2 * (wind.height / head)
  const forces = propForce(leans ? { weight: mass * GRAVITY, offset, head } : { horizontal: blown }, angle)
  return { head, of: leans ? 'weight' : 'wind', ...prop(head, { angle }), ...forces }
}

/** Of a square plate with four holes, where nobody measured it. */
export const USUAL_PLATE = { apart: 0.08, diameter: 0.01, edge: 0.06, shift: 0.03, slab: 0.3 } as const

export interface PlateAtPost {
  question: PlateOnSlab
  poses: Pose[]
  /** What would do where none does, m. */
  leastShift?: Metres
  /** Drilled so deep for an anchor, m. */
  drill: Metres
  /** The post is cut shorter by what the plate and its shims take, m. */
  shorter: Metres
}
/** Dust stays at the bottom of a drilled hole, m. */
const DRILL_OVER: Metres = 0.01

/** @param embedment of the anchor, m */
export function plateAt({ plate = {} }: Pick<ResolvedPost, 'plate'>, embedment: Metres): PlateAtPost {
  const half = USUAL_PLATE.apart / 2
  const holes = plate.holes?.length
    ? plate.holes
    : ([
        [-half, -half],
        [half, -half],
        [half, half],
        [-half, half],
      ] as const)
  const { slab } = USUAL_PLATE
  const question: PlateOnSlab = {
    plate: holes,
    old: (plate.old ?? []).map((each) => ({ ...each, sound: each.sound !== false })),
    diameter: plate.diameter ?? USUAL_PLATE.diameter,
    slab: { x: [-(plate.left ?? slab), plate.right ?? slab], y: [-(plate.front ?? slab), plate.back ?? slab] },
    edge: plate.edge ?? USUAL_PLATE.edge,
    shift: plate.shift ?? USUAL_PLATE.shift,
  }
  const poses = unlike(platePoses(question), holes)
  const least = poses.length === 0 ? leastShift(question, FURTHEST) : undefined
  return {
    question,
    poses,
    ...(least === undefined ? {} : { leastShift: least }),
    drill: embedment + DRILL_OVER,
    shorter: (plate.thickness ?? 0) + (plate.shims ?? 0),
  }
}
/** A plate that is turned into itself stands no other way. */
function unlike(poses: readonly Pose[], holes: readonly Place[]): Pose[] {
  const looks = poses.map(({ x, y, rotation }) =>
    holes
      .map((hole) => turned(hole, rotation).map((each, i) => Math.round((each + [x, y][i]!) * 1e4)))
      .map((place) => place.join())
      .sort()
      .join(' '),
  )
  return poses.filter((_pose, i) => looks.indexOf(looks[i]!) === i)
}

/** Further off a plate is another place, m. */
const FURTHEST: Metres = 0.5

const isGiven = <T extends object>(given: Partial<T>, keys: readonly (keyof T)[]): given is T =>
  keys.every((key) => given[key] !== undefined)

/** A box by the road; nothing before the four measures are there. */
export function boxAt({ roadside = {} }: Pick<ResolvedPost, 'roadside'>): ReturnType<typeof roadsideBox> | undefined {
  const given = { higher: 0, ...roadside }
  if (!isGiven<RoadsideBox>(given, ['setBack', 'faceToPost', 'slot', 'slotAbovePlate'])) return undefined
  return given.slot > given.slotAbovePlate + given.higher ? roadsideBox(given) : undefined
}

export interface PavingAtPost {
  paving: Paving
  standing: StandingIn
  bladeDepth: Metres
  units: CutUnit[]
}
export const USUAL_PAVING = { joint: 0.005, thickness: 0.04, free: 0.01, bladeDepth: 0.055 } as const

/** Paving round a post; nothing before a unit was measured. */
export function pavingAt({
  paving: given = {},
  section,
}: Pick<ResolvedPost, 'paving' | 'section'>): PavingAtPost | undefined {
  const { along, across = along, x, y, shape = section.shape === 'rectangle' ? 'square' : 'round' } = given
  if (along === undefined || across === undefined) return undefined
  const { free = USUAL_PAVING.free, bladeDepth = USUAL_PAVING.bladeDepth } = given
  const wide = Math.max(sectionSize(section).along, sectionSize(section).across)
  const paving = {
    along,
    across,
    joint: given.joint ?? USUAL_PAVING.joint,
    thickness: given.thickness ?? USUAL_PAVING.thickness,
  }
  const standing = { shape, size: wide + 2 * free, x: x ?? along / 2, y: y ?? across / 2 }
  return { paving, standing, bladeDepth, units: pavingCuts(paving, standing, bladeDepth) }
}

/** Mesh from a line post to this one; nothing before the opening and a diamond were measured. */
export function meshAt(
  { mesh = {} }: Pick<ResolvedPost, 'mesh'>,
  line: Pick<ResolvedLine, 'height'>,
): MeshFigures | undefined {
  const { opening, diamond, every = 6, linePost = line.height } = mesh
  if (opening === undefined || diamond === undefined || diamond > opening) return undefined
  const { cup = 0, fitting = 0, slabOver = 0, oneSided = false, moves } = mesh
  return meshSection({ opening, diamond, every, linePost, cup, fitting, slabOver, oneSided, moves })
}

/** What lifts a beam off this post; nothing where nobody said what rests on it, or the ground has no figure. */
export function jackAt(
  { jack = {}, carries, soil }: Pick<ResolvedPost, 'jack' | 'carries' | 'soil'>,
  digDepth: Metres,
  tables: Tables,
): (Jacked & { load: Newtons }) | undefined {
  const ground = row(tables.soils, soil)
  const bearing = ground.kind === 'none' ? null : ground.bearing
  if (!carries || !bearing) return undefined
  const load = carriedLoad(carries, tables.parts.carried).all
  const { settled = 0, bedding = 0.01, shim = OVER_LIFT, stroke } = jack
  return { load, ...jacking({ load, settled, bedding, shim, bearing, digDepth, angle: 0, stroke }) }
}
