import type { MethodPlan, Plan } from '~~/core/plan/types'
import type { ResolvedLine } from '~~/core/resolve/resolve'

/** Holes of a line that wait for their concrete: of a chosen repair, or of the one that is proposed. */
export function openHoles(plan: Plan, line: ResolvedLine): { post: string; plan: MethodPlan }[] {
  return plan.posts.flatMap(({ line: of, post, methods, recommended }) => {
    if (of !== line.id) return []
    const repair = line.posts.find(({ id }) => id === post)?.repair
    const wanted = repair?.method ?? recommended?.method
    const found = methods.find(({ method }) => method === wanted)
    return found?.concrete && found.hole ? [{ post, plan: found }] : []
  })
}
