import type { Metres } from '../../units/types'
import type { PostContext } from '../context'
import { commonRefusals, methodRow, type RepairMethod } from '../method'
import { isBroken, leanOf, softAtGround, standardFootingLink, standingFootingLink, standingPostLink } from '../standing'

const key = 'brace-and-resettle'
/** Soft wood deeper than this at the ground: straightening breaks it, m. */
const SOFT: Metres = 0.005
const POOR_FOOTING = ['none', 'small', 'one-sided', 'cracked', 'dry-pockets']
const STIFF = ['stiff-clay', 'hard-clay']
const HARD = { paving: 'Paving', brick: 'Brickwork' }
const LOOSE = ['at-ground-line', 'post-loose-in-concrete']

/**
 * Pulled upright in stages, braced, the soil tamped back: a sound post in a fair footing that has leaned slowly. It
 * holds what the standing footing holds, and leans again where what pushed it goes on.
 */
export const braceAndResettle: RepairMethod = {
  key,
  takesOut: [],
  needs: [],
  answers: (context) =>
    new Map((methodRow(key, context).answers ?? []).map((cause) => [cause, { onlyIf: ONLY_IF[cause] ?? '' }])),
  against(context) {
    const { post } = context
    const { comesUpright, footingFound, pushPivot } = post.observations
    const reasons = commonRefusals(context)
    if (isBroken(context)) reasons.push('The post is broken.')
    if (softAtGround(context) > SOFT) reasons.push('The wood at or below ground is gone soft.')
    if (leanOf(context) === 0) reasons.push('It does not lean.')
    if (comesUpright === 'will-not') reasons.push('It will not come upright.')
    if (footingFound && POOR_FOOTING.includes(footingFound)) reasons.push('Its footing is not worth keeping.')
    if (pushPivot && LOOSE.includes(pushPivot)) reasons.push('It turns above its footing, not with it.')
    if (STIFF.includes(post.soil))
      reasons.push('Stiff clay does not settle back round a footing: it stays where it is.')
    if (post.hardAgainst) reasons.push(`${HARD[post.hardAgainst]} stands hard against it: it cannot be moved.`)
    if (post.footing?.kind === 'none') reasons.push('There is no footing for the soil to settle round.')
    if (post.footing?.kind === 'plate') reasons.push('The post stands on a plate, not in the ground.')
    return reasons
  },
  variants: () => [{}],
  design(context) {
    const measured = standingFootingLink(context)
    const footing = measured ?? standardFootingLink(context)
    return {
      links: [standingPostLink(context), ...(footing ? [footing] : [])],
      parts: [],
      stands: () => [],
      cautions: [
        ...braceForce(context),
        ...(measured ? [] : ['Its footing is not measured: a common one is counted.']),
        'It leans again where what pushed it goes on.',
      ],
    }
  },
}

/**
 * Load at which the ground lets the footing turn, by the bare formulas: the brace needs no more, and what it still
 * carries when it has stood overnight is what comes back.
 */
function braceForce(context: PostContext): string[] {
  const footing = standingFootingLink(context) ?? standardFootingLink(context)
  const { says, wind } = context
  if (!footing?.over) return []
  const most = `${says.force(footing.over)} at ${says.length(wind.height)} up`
  return [
    `It turns at ${most} at most. Read the pull before the brace is set and again before it comes off: what it still carries then is what comes back.`,
  ]
}

const ONLY_IF: Partial<Record<string, string>> = {
  'side-load': 'what pushes is taken away',
  'soft-ground': 'the water is led away',
}
