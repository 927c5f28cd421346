import { stateOfReadings } from '../cause/state'
import type { Observations } from '../cause/observations'
import type { Heard } from '../cause/readings'
import { ON_PLATE, type CauseTables } from '../cause/tables'
import { heardAlong, USUAL } from './alike'
import type { Duty, Line, Post } from './job'

/** Drawn by shape and word: solid, dashed, broken outline, thin. */
export type PostState = 'sound' | 'doubtful' | 'failed' | 'unseen'

const DRAWN = { 'not-looked-at': 'unseen', 'nothing-wrong': 'sound', unsettled: 'doubtful', failed: 'failed' } as const

/**
 * The state of a post as the plan has it, without the rest of the plan: for lists and drawings of many posts.
 *
 * @param isPointedAt see {@link pointedAt}
 */
export function postState(
  post: Post,
  isPointedAt: boolean,
  causes: CauseTables,
  heard: readonly Heard[] = [],
): PostState {
  const { judgement } = post
  const observations = observationsOf(post)
  const said = judgement?.found !== undefined || judgement?.overruled !== undefined
  if (!said && Object.keys(observations).length === 0) return 'unseen'
  const { material = USUAL.material, ageYears = USUAL.ageYears } = post
  const facts = { material, duty: dutiesOf(post), ageYears, pointedAt: isPointedAt }
  return DRAWN[stateOfReadings(facts, observations, said, causes, heard)]
}

/**
 * Which posts of a line somebody was called for: those that are marked; on a line on which nobody marked any, the one
 * that was looked at where it is the only one.
 */
export function pointedAt({ posts }: { posts: readonly Pick<Post, 'pointedAt' | 'observations'>[] }) {
  if (posts.some((post) => post.pointedAt)) return (post: Pick<Post, 'pointedAt'>) => post.pointedAt === true
  const looked = posts.filter(({ observations }) => Object.keys(observations ?? {}).length > 0)
  return (post: object) => looked.length === 1 && looked[0] === post
}

/** States of the posts of a line. */
export function postStates(line: Pick<Line, 'posts'>, causes: CauseTables): PostState[] {
  const isMeant = pointedAt(line)
  const heard = heardAlong(line.posts, carriedBy(causes))
  return line.posts.map((post) => postState(post, isMeant(post), causes, heard(post)))
}

/** Observations that speak for other posts of the same make too. */
export const carriedBy = ({ evidence }: CauseTables) =>
  evidence.filter(({ carries }) => carries !== undefined).map(({ observation }) => observation)

/** What stands on a slab by a plate or a sleeve does that duty beside its own. */
const BY_ANCHORS = ['plate', 'sleeve']

/**
 * All that a post has to do: its duty, others beside it, and what its footing makes of it.
 *
 * @example dutiesOf({ duty: 'gate-hinge', footing: { kind: 'plate' } }) // ['gate-hinge', 'plate-mounted']
 */
export function dutiesOf(
  { duty, duties = [], footing }: Pick<Post, 'duty' | 'duties' | 'footing'>,
  otherwise: Duty = USUAL.duty,
): Duty[] {
  const onPlate = footing && BY_ANCHORS.includes(footing.kind) ? [ON_PLATE] : []
  return [...new Set<Duty>([duty ?? otherwise, ...(duties as Duty[]), ...(onPlate as Duty[])])]
}

/** What was seen, and what somebody gave as a fact that says the same. */
export function observationsOf({ observations = {}, footing }: Pick<Post, 'observations' | 'footing'>): Observations {
  if (footing?.kind !== 'none' || observations.footingFound !== undefined) return observations
  return { ...observations, footingFound: 'none' }
}
