import { conditionsOf } from '../cause/conditions'
import { diagnose, type CauseProbability, type Diagnosis } from '../cause/diagnose'
import { MUST_ANSWER, stateOf } from '../cause/state'
import type { Cause } from '../cause/tables'
import { remembered } from '../numeric/remember'
import { observationsOf } from '../document/postState'
import type { PostContext } from '../repair/context'
import { markFlags } from '../document/marks'
import type { PostPlan } from './types'

/** Sheltered no more than this, a line stands in the wind. */
const SHELTERED = 0.7

/** What failed and what made it fail; what stops the work; what helped the failure along. */
export function planDiagnosis(context: PostContext): PostPlan['diagnosis'] {
  const { post, line, site, tables } = context
  const { material, duties: duty, ageYears, isPointedAt: pointedAt } = post
  const facts = { material, duty, ageYears, pointedAt }
  const observations = observationsOf(post)
  const key = JSON.stringify([facts, observations, post.heard])
  const judged = remembered(context.diagnoses, key, () => diagnose(facts, observations, tables.causes, post.heard))
  const { saturated } = post
  const conditionFacts = {
    observations: post.observations,
    saturated,
    bay: post.to - post.from,
    gap: line.gap,
    solidity: line.solidity,
    exposed: site.exposure !== 'sheltered' && site.shelter > SHELTERED,
    near: post.nearMarks.map(({ kind }) => kind),
    repairKinds: line.repairKinds,
  }
  return {
    ...judged,
    redFlags: redFlags(context),
    // The licensed person who decides has it in hand.
    cleared: post.judgement?.cleared !== undefined || post.repair?.licensed !== undefined,
    conditions: conditionsOf(tables.conditions, conditionFacts, post.conditions),
    ...decided(judged, context),
  }
}

/** What was found on digging stands before what a person said, and that before what the readings say. */
function decided(
  judged: Diagnosis,
  { post, tables }: PostContext,
): Pick<PostPlan['diagnosis'], 'inForce' | 'decidedBy' | 'state'> {
  const { found, overruled } = post.judgement ?? {}
  const said = { state: 'failed' } as const
  if (found) return { ...said, inForce: [found.cause as Cause], decidedBy: 'digging' }
  if (overruled) return { ...said, inForce: [overruled.cause as Cause], decidedBy: 'technician' }
  const sound = judged.nothingWrong.probability
  const anySeen = judged.leading.length > 0
  // One of two that are both at work hides the other: where one is likely, both are answered.
  const both = judged.together?.causes ?? []
  const isLikely = ({ probability }: CauseProbability) => (1 - sound) * probability >= MUST_ANSWER
  const pair = judged.causes.some((each) => both.includes(each.cause) && isLikely(each)) ? both : []
  const likely = judged.causes.filter((each) => isLikely(each) || pair.includes(each.cause)).map(({ cause }) => cause)
  const state = stateOf({ sound, anySeen, likely }, false, tables.causes)
  return { state, inForce: state === 'failed' ? likely : [], decidedBy: 'readings' }
}

/** What stops the ordinary flow, and whom to call. */
function redFlags({ post, noFigure, says }: PostContext): string[] {
  const flags: string[] = []
  const { pushPivot, lean, leanPattern } = post.observations
  const moves = (pushPivot !== undefined && pushPivot !== 'nothing-moves') || lean !== undefined
  if (post.duties.includes('load-bearing')) {
    flags.push(
      moves
        ? 'A load-bearing post moves: keep people off and from under it, prop it, call a licensed builder or engineer.'
        : 'This post carries a load: a licensed builder or engineer decides on any repair.',
    )
  }
  if (noFigure) flags.push(noFigure.advice)
  flags.push(...markFlags(post.nearMarks, post.station, says))
  const leansTogether = leanPattern === 'neighbours-too' || leanPattern === 'whole-line-one-way'
  if (leansTogether && post.nearMarks.some(({ kind }) => kind === 'wall'))
    flags.push(
      'A wall stands here and the posts lean together: look whether it leans too, keep clear, call an engineer.',
    )
  return flags
}
