import { depthRules } from '../ground/depthRules'
import { DEPTH_RANGE } from '../ground/profile'
import type { PostContext } from '../repair/context'
import { designHole, holeSegments } from '../repair/hole'
import { linkOnGustScale } from '../repair/links'
import type { DepthRulePlan } from './types'

/** The method whose hole every school is asked about. */
const NEW_POST = 'new-post-concrete'

/** Every school of depth on the scale of gusts, for the hole of a new post. */
export function planDepthRules(context: PostContext): DepthRulePlan[] {
  const { soil, along, scale } = context
  const hole = designHole(context, NEW_POST)
  const above = hole.fillTop > 0 ? { bottom: hole.fillTop, width: along } : undefined
  const { digging } = context.tables
  return depthRules.map(({ rule, name: nameOf, assumes: assumesOf, depth }): DepthRulePlan => {
    const [name, assumes] = [nameOf(digging), assumesOf(digging)]
    if (!soil) return { rule, name, assumes: context.noFigure!.advice, depth: null }
    const known = context.bindingDepthsOf(soil, hole.diameter, above).get(rule)
    const bottom = known === undefined ? depth(context.depthQuestion(soil, hole.diameter, above)) : known
    if (bottom === null) {
      const why =
        soil.lateral === null && rule === 'code-formula'
          ? 'the code gives no pressure for this soil'
          : 'no hole that can be dug would do'
      return { rule, name, assumes: why, depth: null }
    }
    const least = Math.max(0, hole.fillTop) + DEPTH_RANGE.minimum
    if (bottom < least || bottom > DEPTH_RANGE.maximum) return { rule, name, assumes, depth: bottom }
    const link = context.ground('footing', name, holeSegments({ ...hole, footingBottom: bottom }, along))
    const { lean, over, code, returnYears } = linkOnGustScale(link, scale)
    return { rule, name, assumes, depth: bottom, lean, over, ...(code === undefined ? {} : { code }), returnYears }
  })
}
