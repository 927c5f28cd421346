import type { PostPlan } from '../plan/types'

/** Posts that are chosen together. */
export interface PostSet {
  words: string
  posts: ReadonlySet<string>
}

/**
 * Sets of posts to give something to: the line, those of it that nobody has looked at, and those of the whole job that
 * failed by a cause of the post that gives.
 *
 * @param from the post that gives
 */
export function alikeSets(plans: readonly PostPlan[], from: { line: string; post: string }): PostSet[] {
  const causes = plans.find(({ post }) => post === from.post)?.diagnosis.inForce ?? []
  const set = (words: string, isIn: (plan: PostPlan) => boolean): PostSet => ({
    words,
    posts: new Set(plans.filter(isIn).map(({ post }) => post)),
  })
  const isOnLine = ({ line }: PostPlan) => line === from.line
  return [
    set('the whole line', isOnLine),
    set('not looked at', (plan) => isOnLine(plan) && plan.diagnosis.state === 'not-looked-at'),
    ...(causes.length > 0
      ? [set('failed as this one', ({ diagnosis }) => diagnosis.inForce.some((cause) => causes.includes(cause)))]
      : []),
    set('none', () => false),
  ]
}
