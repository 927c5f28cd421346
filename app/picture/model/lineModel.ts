import type { LineKind } from '~~/core/wind/fence'
import type { ResolvedLine, ResolvedPost } from '~~/core/resolve/resolve'
import { leavesIn } from '~~/core/setout/gate'
import { leanSlopes } from '~~/core/setout/lean'
import { sectionSize } from '~~/core/timber/section'
import type { Metres } from '~~/core/units/types'
import type { Point, Solid } from '~~/core/repair/solids'
import { lifted } from './geometry'
import { riseOver } from './groundModel'
import { standingSolids } from './standing'

export interface BayModel {
  key: string
  /** Cladding as one area, m. */
  area: Point[]
  rails: Point[][]
  /** Woven wire in place of boards. */
  isMesh: boolean
  /** Joints between boards or strands, as single lines. */
  joints: [Point, Point][]
}

export interface PostModel {
  id: string
  station: Metres
  /** Ground here over the ground of the chosen post, m. */
  rise: Metres
  shapes: Solid[]
}

export interface LineModel {
  posts: PostModel[]
  bays: BayModel[]
}

/** The cladding is cut away beside the chosen post, so that it shows as a section, m. */
const CUT_AWAY = 0.28

interface Cladding {
  /** Face width of a board and the open joint beside it, m; 0 for none. */
  board: Metres
  joint: Metres
  rails: number
  /** A filled area behind the joints. */
  filled: boolean
}

const CLADDING: Record<LineKind, Cladding> = {
  'close-boarded': { board: 0.1, joint: 0, rails: 3, filled: true },
  panel: { board: 0.15, joint: 0, rails: 2, filled: true },
  'hit-and-miss': { board: 0.1, joint: 0.05, rails: 3, filled: true },
  picket: { board: 0.075, joint: 0.06, rails: 2, filled: true },
  'post-and-rail': { board: 0, joint: 0, rails: 3, filled: false },
  mesh: { board: 0, joint: 0, rails: 0, filled: true },
  vinyl: { board: 0.2, joint: 0, rails: 2, filled: true },
  single: { board: 0, joint: 0, rails: 0, filled: false },
}

const RAIL_HEIGHT: Metres = 0.075

/**
 * The fence between two stations, every post as measured; the chosen post itself is drawn as a
 * section by `sectionModel`.
 *
 * @param from, to stations in sight, m
 * @param repaired the chosen post is drawn plumb, as its repair leaves it
 * @returns geometry in metres, x counted from the start of the line
 */
export function lineModel(line: ResolvedLine, chosen: string, from: Metres, to: Metres, repaired: boolean): LineModel {
  const slopeOf = (post: ResolvedPost) =>
    repaired && post.id === chosen ? 0 : leanSlopes(post.observations.lean).along
  const rise = riseOver(line, chosen)
  const near = line.posts.filter((post, i) => {
    const before = line.posts[i - 1]?.station ?? post.station
    const after = line.posts[i + 1]?.station ?? post.station
    return after >= from && before <= to
  })
  return {
    posts: near.filter((post) => post.id !== chosen).map((post) => postModel(line, post, rise(post))),
    bays: near.flatMap((post, i) => {
      const next = near[i + 1]
      return next ? [liftedBay(bayModel(line, [post, next], chosen, slopeOf), post, next, rise)] : []
    }),
  }
}

function postModel(line: ResolvedLine, post: ResolvedPost, rise: Metres): PostModel {
  const solids = standingSolids(line, post, 'none')
  return {
    id: post.id,
    station: post.station,
    rise,
    shapes: rise === 0 ? solids : solids.map((solid) => ({ ...solid, outline: lifted(solid.outline, rise) })),
  }
}

/** Cladding follows the ground straight from post to post. */
function liftedBay(
  bay: BayModel,
  left: ResolvedPost,
  right: ResolvedPost,
  rise: (post: ResolvedPost) => Metres,
): BayModel {
  const [low, high] = [rise(left), rise(right)]
  if (low === 0 && high === 0) return bay
  const lift = ([x, y]: Point): Point => [
    x,
    y + low + ((high - low) * (x - left.station)) / (right.station - left.station),
  ]
  return {
    ...bay,
    area: bay.area.map(lift),
    rails: bay.rails.map((rail) => rail.map(lift)),
    joints: bay.joints.map(([from, to]) => [lift(from), lift(to)]),
  }
}

function bayModel(
  line: ResolvedLine,
  [left, right]: [ResolvedPost, ResolvedPost],
  chosen: string,
  slopeOf: (post: ResolvedPost) => number,
): BayModel {
  const cladding = CLADDING[line.kind]
  const leftEdge = left.station + sectionSize(left.section).along / 2 + (left.id === chosen ? CUT_AWAY : 0)
  const rightEdge = right.station - sectionSize(right.section).along / 2 - (right.id === chosen ? CUT_AWAY : 0)
  const leftSlope = slopeOf(left)
  const rightSlope = slopeOf(right)
  /** A point of the bay: boards follow the lean of the nearer post in proportion. */
  const at = (share: number, height: Metres): Point => [
    leftEdge + (rightEdge - leftEdge) * share + (leftSlope + (rightSlope - leftSlope) * share) * height,
    height,
  ]
  const width = Math.max(0.01, rightEdge - leftEdge)
  const quad = (low: Metres, high: Metres): Point[] => [at(0, low), at(1, low), at(1, high), at(0, high)]
  const count = cladding.board > 0 ? Math.floor(width / (cladding.board + cladding.joint)) : 0
  const joints = Array.from({ length: count }, (_, i): [Point, Point] => {
    const share = ((i + 1) * (cladding.board + cladding.joint)) / width
    return [at(Math.min(1, share), line.gap), at(Math.min(1, share), line.height)]
  })
  const railSpan = line.height - line.gap - 2 * RAIL_HEIGHT
  const rails = Array.from({ length: cladding.rails }, (_, i) => {
    const low = line.gap + RAIL_HEIGHT / 2 + (railSpan * i) / Math.max(1, cladding.rails - 1)
    return quad(low, low + RAIL_HEIGHT)
  })
  const key = `${left.id}-${right.id}`
  const leaves = leavesIn(left, right)
  if (leaves.length > 0) return { key, ...leafParts(leaves, at, line) }
  return { key, isMesh: line.kind === 'mesh', area: cladding.filled ? quad(line.gap, line.height) : [], rails, joints }
}

/** A leaf's edge stands so far off post and other leaf, and its frame is so thick, as shares of the bay and m. */
const PLAY = 0.02
const FRAME: Metres = 0.09

/** Leaves as frames with their boards, each braced from the foot of its hinge side up to the latch. */
function leafParts(
  hung: readonly ('left' | 'right')[],
  at: (share: number, height: Metres) => Point,
  { gap, height }: ResolvedLine,
): Omit<BayModel, 'key'> {
  const width = 1 / hung.length
  const leaves = hung.map((side, i) => {
    const [from, to] = [i * width + PLAY, (i + 1) * width - PLAY]
    return { from, to, hinge: side === 'left' ? from : to, latch: side === 'left' ? to : from }
  })
  const quad = (from: number, to: number, low: Metres, high: Metres): Point[] => [
    at(from, low),
    at(to, low),
    at(to, high),
    at(from, high),
  ]
  return {
    isMesh: false,
    area: quad(PLAY, 1 - PLAY, gap, height),
    rails: leaves.flatMap(({ from, to, hinge, latch }) => [
      quad(from, to, gap, gap + FRAME),
      quad(from, to, height - FRAME, height),
      [at(hinge, gap), at(hinge, gap + FRAME), at(latch, height), at(latch, height - FRAME)],
    ]),
    joints: leaves.flatMap(({ from, to }): [Point, Point][] => [
      [at(from, gap), at(from, height)],
      [at(to, gap), at(to, height)],
    ]),
  }
}
