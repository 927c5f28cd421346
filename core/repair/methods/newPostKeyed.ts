import type { Segment } from '../../ground/profile'
import { BELOW_FROST } from '../../ground/frost'
import { roundUpTo, tidy } from '../../numeric/rounding'
import { row } from '../../tables/tables'
import type { Metres } from '../../units/types'
import type { PostContext } from '../context'
import { designHole, holeSolids, toolWidth } from '../hole'
import { KEY, keyedSegments, keySolid } from '../members/timberKey'
import { answersByTable, commonRefusals, oldOutSteps, type RepairMethod } from '../method'
import { newPostLink, newPostOf, newPostSolid, postVariants, type NewPost } from '../newPost'
import { footingSolids, goneSolids, isOnPlate, oldBlock, oldConcreteVolume } from '../standing'
import { HOLDS, shareOfTargets } from '../targets'

const key = 'new-post-keyed'
/** Ground that does not stand: it lets the key through. */
const LOOSE = ['loose-sand', 'made-ground', 'soft-clay']
/** A leaf that weighs more pulls a post out of soil alone, kg; a working value. */
const LIGHT_LEAF = 40
/** Under the key before the toe bears, and the deepest that is dug for it, m. */
const UNDER_KEY: Metres = 0.3
const DEEPEST: Metres = 1.2
/** Round the post in its hole, m. */
const TIGHT: Metres = 0.02

/** New post in tamped native soil, with a board across the pull on both faces near the surface. */
export const newPostKeyed: RepairMethod = {
  key,
  takesOut: ['post', 'footing'],
  needs: ['post'],
  answers: answersByTable(key),
  // For whoever wants no concrete.
  unsuited: () => true,
  against(context) {
    const { post, tables, says, line } = context
    const reasons = commonRefusals(context)
    if (LOOSE.includes(post.soil))
      reasons.push(`${row(tables.soils, post.soil).name} lets the key through: it wants firm ground.`)
    const { leafMass = 0 } = post.gate ?? {}
    if (post.duties.includes('gate-hinge') && leafMass > LIGHT_LEAF)
      reasons.push(`A leaf of ${says.mass(leafMass)} is too heavy for a post in soil alone.`)
    if (isOnPlate(post)) reasons.push('It stands on a slab: there is no ground to tamp.')
    if (line.kind === 'single') reasons.push('Knocks work a single post loose in soil.')
    // The key bears on soil that nobody has dug: what an old block leaves is fill.
    if ((oldBlock(context)?.diameter ?? 0) > KEY.length / 2)
      reasons.push('The old block leaves no firm ground for the key.')
    return reasons
  },
  variants: postVariants,
  design(context, choice) {
    const { post } = context
    const stands = newPostOf(context, choice)
    const asked = keyedDepth(context, stands)
    const width = toolWidth(context, Math.hypot(stands.along, stands.across) + TIGHT)
    const hole = designHole(context, key, { stands, width, depth: { depth: asked, rule: 'keyed' } })
    return {
      links: [newPostLink(context, stands), keyedGround(context, stands, hole.footingBottom)],
      earthwork: {
        holes: [hole],
        fills: [{ kind: 'soil', hole: 0, castIn: { section: stands.section }, leftBy: oldBlock(context) }],
        oldConcrete: oldConcreteVolume(context),
      },
      parts: [{ kind: 'post', key: choice.post!, count: 1 }],
      stands: () => [
        ...goneSolids(footingSolids(post, 'dashed', 'old-footing')),
        ...holeSolids(hole, 'loose'),
        keySolid(),
        newPostSolid(context, stands, hole.footingBottom),
      ],
      newPost: { length: hole.footingBottom + post.top, section: stands.section },
      skips: oldOutSteps(context),
    }
  },
}

function keyedGround(context: PostContext, { across }: NewPost, foot: Metres) {
  const sound = { soundAbove: true, soundAtKey: true, soundAtToe: true }
  const segments: Segment[] =
    foot > KEY.bottom
      ? keyedSegments({ postWidth: across, foot, key: KEY, ...sound })
      : [{ top: 0, bottom: foot, width: across }]
  return context.ground('footing', 'the post and its key in the ground', segments)
}

/** The shallowest that holds both targets; where none does, the deepest that anybody digs for it. */
function keyedDepth(context: PostContext, stands: NewPost): Metres {
  const { site, tables } = context
  const { depthStep } = tables.digging
  const least = Math.max(site.frostDepth + BELOW_FROST, site.minimumDepth, KEY.bottom + UNDER_KEY)
  const shallowest = roundUpTo(least, depthStep)
  const at = (step: number) => tidy(shallowest + step * depthStep)
  const holds = (step: number) => shareOfTargets(context, [keyedGround(context, stands, at(step))]) >= HOLDS
  // Deeper never holds less: halved until one step is left.
  let [low, high] = [0, Math.max(0, Math.ceil((DEEPEST - shallowest) / depthStep - 1e-6))]
  while (low < high) {
    const middle = Math.floor((low + high) / 2)
    if (holds(middle)) high = middle
    else low = middle + 1
  }
  return at(low)
}
