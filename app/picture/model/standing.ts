import { softAtGroundOf } from '~~/core/cause/observations'
import { postState, type PostState } from '~~/core/document/postState'
import { heightOf, type Edge, type Measure, type Point, type Solid } from '~~/core/repair/solids'
import { buriedDepth, footingSolids, anchoredSolids, likelyFootingSolids, postMatter } from '~~/core/repair/standing'
import type { ResolvedLine, ResolvedPost } from '~~/core/resolve/resolve'
import { leanSlopes } from '~~/core/setout/lean'
import { sectionSize } from '~~/core/timber/section'
import type { Metres } from '~~/core/units/types'
import { tables } from '~~/data/tables'
import { leaning } from './geometry'

/* What stands in the ground now: shared by the section of the chosen post and by its neighbours. */

/** Depth to which decay is drawn above and below the ground line, m. */
const DECAY_UP: Metres = 0.06
const DECAY_DOWN: Metres = 0.12

/** Edge by state: shape as well as colour tells. */
export function edgeOf(post: ResolvedPost): Edge {
  return ({ sound: 'solid', doubtful: 'dashed', failed: 'broken', unseen: 'thin' } as const)[drawnState(post)]
}

/** The state of a post as it is drawn. */
export const drawnState = (post: ResolvedPost): PostState =>
  postState(post, post.isPointedAt, tables.causes, post.heard)

/** The post as measured, with its footing. @param buried how its foot is edged */
export function standingSolids(line: ResolvedLine, post: ResolvedPost, buried: Edge): Solid[] {
  const { along } = sectionSize(post.section)
  const slope = leanSlopes(post.observations.lean).along
  const foot = leaning(along, -buriedDepth({ line, post }), 0, slope)
  return [
    ...footingSolids(post),
    ...likelyFootingSolids(post),
    ...anchoredSolids(post),
    ...(post.footing?.kind === 'plate'
      ? []
      : [{ key: 'buried', matter: postMatter(post), outline: foot, edge: buried }]),
    { key: 'post', matter: postMatter(post), outline: leaning(along, 0, line.height, slope), edge: edgeOf(post) },
  ]
}

/** The footing's depth, where its size is known. */
export function footingMeasures(post: ResolvedPost): Measure[] {
  const { diameter, bottom } = post.footing ?? {}
  return footingSolids(post).map(() => heightOf('footing', 'footing down to', diameter! / 2, -bottom!))
}

/** Soft wood on both faces, as deep as it was probed and no deeper than the post. */
export function decaySolids(post: ResolvedPost): Solid[] {
  const half = sectionSize(post.section).along / 2
  const slope = leanSlopes(post.observations.lean).along
  const soft = Math.min(softAtGroundOf(post.observations), half)
  if (soft <= 0) return []
  const at = (x: Metres, y: Metres): Point => [x + slope * y, y]
  return [-1, 1].map((side) => ({
    key: `decay-${side}`,
    matter: 'decay',
    edge: 'none',
    outline: [
      at(side * half, DECAY_UP),
      at(side * (half - soft), 0),
      at(side * (half - soft), -DECAY_DOWN),
      at(side * half, -DECAY_DOWN),
    ],
    ...(side < 0 ? { note: 'soft wood' } : {}),
  }))
}
