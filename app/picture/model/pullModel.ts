import type { PostPlan } from '~~/core/plan/types'
import type { Point } from '~~/core/repair/solids'
import type { ResolvedLine, ResolvedPost } from '~~/core/resolve/resolve'
import { sectionSize } from '~~/core/timber/section'
import type { Metres } from '~~/core/units/types'
import type { Note } from './geometry'
import { leavesIn } from '~~/core/setout/gate'

/** The pull of a leaf at its upper hinge, in metres from the foot of the post at the ground. */
export interface PullModel {
  from: Point
  to: Point
  head: Point[]
  note: Note
}

const LONG: Metres = 0.35
const HEAD: Metres = 0.06

/**
 * What a hung leaf pulls at its post, towards the leaf.
 *
 * @param force words of the pull
 * @returns undefined where no leaf hangs, or nobody said how far apart its hinges are
 */
export function pullModel(
  line: ResolvedLine,
  post: ResolvedPost,
  { gate }: Pick<PostPlan, 'gate'>,
  force: (pull: number) => string,
): PullModel | undefined {
  const side = leafSide(line, post)
  const spacing = post.gate?.hingeSpacing
  if (!side || !spacing || gate?.hingeForce === undefined) return undefined
  const height = Math.min(line.height, (line.height + line.gap + spacing) / 2)
  const start = (side * sectionSize(post.section).along) / 2
  const end = start + side * LONG
  return {
    from: [start, height],
    to: [end, height],
    head: [
      [end, height],
      [end - side * HEAD, height + HEAD / 2],
      [end - side * HEAD, height - HEAD / 2],
    ],
    note: {
      key: 'pull',
      at: [end, height],
      text: `the leaf pulls ${force(gate.hingeForce)}`,
      side: side > 0 ? 'right' : 'left',
    },
  }
}

/** +1 where the leaf hangs after its post along the line, −1 where it hangs before. */
function leafSide({ posts }: ResolvedLine, post: ResolvedPost): 1 | -1 | undefined {
  const at = posts.findIndex(({ id }) => id === post.id)
  const [before, after] = [posts[at - 1], posts[at + 1]]
  if (after && leavesIn(post, after).includes('left')) return 1
  return before && leavesIn(before, post).includes('right') ? -1 : undefined
}
