import { stateOfReadings } from '../cause/state'
import type { CauseTables } from '../cause/tables'
import type { Line, Post } from './job'

/** Drawn by shape and word: solid, dashed, broken outline, thin. */
export type PostState = 'sound' | 'doubtful' | 'failed' | 'unseen'

const DRAWN = { 'not-looked-at': 'unseen', 'nothing-wrong': 'sound', unsettled: 'doubtful', failed: 'failed' } as const

/** What a list takes for granted of a post of which nobody said more. */
const USUAL = { material: 'treated-softwood', duty: 'line', ageYears: 8 }

/**
 * The state of a post as the plan has it, without the rest of the plan: for lists and drawings of many posts.
 *
 * @param isPointedAt see {@link pointedAt}
 */
export function postState(post: Post, isPointedAt: boolean, causes: CauseTables): PostState {
  const { observations = {}, judgement } = post
  const said = judgement?.found !== undefined || judgement?.overruled !== undefined
  if (!said && Object.keys(observations).length === 0) return 'unseen'
  const { material = USUAL.material, duty = USUAL.duty, ageYears = USUAL.ageYears } = post
  return DRAWN[stateOfReadings({ material, duty, ageYears, pointedAt: isPointedAt }, observations, said, causes)]
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
  return line.posts.map((post) => postState(post, isMeant(post), causes))
}
