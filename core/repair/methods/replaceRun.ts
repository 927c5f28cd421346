import { designHole } from '../hole'
import { answersByTable, commonRefusals, type RepairMethod } from '../method'
import { newPostOf, postVariants } from '../newPost'
import { castPost } from './newPostConcrete'

const key = 'replace-run'
/** With less life than this left in the rest, its posts are not mended one by one, years; a working value. */
const LITTLE_LEFT = 3

/** The whole length renewed with new spacing, this post among the others. */
export const replaceRun: RepairMethod = {
  key,
  takesOut: ['post', 'footing'],
  needs: ['post'],
  answers: answersByTable(key),
  unsuited: ({ line }) => !line.isWornOut,
  against(context) {
    const { line } = context
    const reasons = commonRefusals(context)
    if (line.kind === 'single') reasons.push('A single post is no run.')
    const left = line.remainingYears ?? Infinity
    if (!line.isWornOut && left >= LITTLE_LEFT)
      reasons.push('Most of this line still stands, with years left in it: mend the posts that went.')
    return reasons
  },
  variants: postVariants,
  design(context, choice) {
    const hole = designHole(context, key, { stands: newPostOf(context, choice) })
    return {
      ...castPost(context, choice, hole),
      cautions: ['Spacing is set out anew: posts that stand well may stay where a bay ends on them.'],
    }
  },
}
