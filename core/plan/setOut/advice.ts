import { reachOf } from '../../concrete/overdig'
import type { ResolvedPost } from '../../resolve/resolve'
import { leanSlopes } from '../../setout/lean'
import type { Measures } from '../../units/quantity'
import type { SetOutPost } from './line'

/** Leaning more than this for years, panels and fixings have taken its shape, m per m; a working value. */
const TAKEN_SHAPE = 1 / 80

/**
 * What an old hand says at this post while it is set to the strings.
 *
 * @param method that is done to it
 * @returns sentences, none where nothing is set
 */
export function setOutAdvice(
  post: ResolvedPost,
  { isSet, hole, cut, upper }: SetOutPost,
  method: string | undefined,
  { small, length }: Pick<Measures, 'small' | 'length'>,
): string[] {
  if (!isSet) return []
  const { along, across } = leanSlopes(post.observations.lean)
  const reach = reachOf(post.repair?.tool)
  const sentences: string[] = []
  if (hole && hole.depth > reach + 1e-6)
    sentences.push(
      `The tool reaches ${length(reach)}, the hole is ${length(hole.depth)}: take the spade or the bar for the rest.`,
    )
  // What a storm pushed over the other day has not.
  if (Math.hypot(along, across) > TAKEN_SHAPE && post.observations.onset !== 'after-storm')
    sentences.push(
      'Panels and fixings have taken the lean’s shape: rock them loose before you set it, let go, and read both gaps again. They spring back.',
    )
  if (method === 'brace-and-resettle')
    sentences.push(
      'Read the pull on the brace when it is set, and again before it comes off: as long as it still pulls, the post still wants back.',
    )
  if (cut && cut.length > upper)
    sentences.push(
      `Mark the ground on the post ${small(cut.length - upper)} from its foot: held at the ground, the mark keeps its height while you fill.`,
    )
  if (post.duties.includes('end'))
    sentences.push(
      'No string goes on beyond it: brace it off the old sound rail, and hang a plumb line where the old post stood before that goes.',
    )
  return sentences
}
