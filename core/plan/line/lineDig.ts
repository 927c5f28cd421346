import { isAlike } from '../../document/alike'
import type { ResolvedLine } from '../../resolve/resolve'
import type { LineDig, PostPlan } from '../types'

/** Weight of what a dig shows for another post of the same make. */
const FOR_OTHERS = 0.5
/** Fewer visits than this are not spoken of. */
const WORTH_DIGGING = 0.002

/**
 * Where one hole dug beside a post tells most for its line: what it shows there speaks for every post of the same age
 * and make that is not dug itself.
 *
 * @param plans of the posts of the line, in its order
 * @returns undefined where a dig speaks for one post only, or saves hardly anything
 * @example lineDig(line, plans) // { line: 'L', post: 'L3', worth: 0.31, speaksFor: ['L4', 'L8'] }
 */
export function lineDig(line: ResolvedLine, plans: readonly PostPlan[]): LineDig | undefined {
  const open = plans.flatMap(({ diagnosis }, i) =>
    diagnosis.dig > 0 && diagnosis.state !== 'not-looked-at' && diagnosis.state !== 'nothing-wrong'
      ? [{ post: line.posts[i]!, worth: diagnosis.dig }]
      : [],
  )
  let best: LineDig | undefined
  for (const { post, worth } of open) {
    const others = open.filter((each) => each.post !== post && isAlike(each.post, post))
    const all = others.reduce((sum, each) => sum + FOR_OTHERS * each.worth, worth)
    if (others.length === 0 || all < WORTH_DIGGING || all <= (best?.worth ?? 0)) continue
    best = { line: line.id, post: post.id, worth: all, speaksFor: others.map((each) => each.post.id) }
  }
  return best
}
