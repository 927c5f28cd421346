import type { Pour } from '../document/job'
import type { MethodPlan, PostPlan } from '../plan/types'
import { givesWay } from '../repair/links'
import type { MetresPerSecond } from '../units/types'

/** Every wet post stands in its props by rights; who ticks off the night without them says otherwise. */
export const isPropped = ({ overnight }: Pick<Pour, 'overnight'>): boolean =>
  overnight === undefined || overnight.includes('propped')

const PROPS = 'make-safe'
const GROUND = 'footing'

/**
 * What a propped post in green concrete holds: the larger of the share of its strength times what the ground will hold,
 * and the props' own; both by the bare formulas, for people stand beside it.
 *
 * @param share of the 28-day strength that the concrete has
 * @param isPropped props stand on both faces
 * @returns m/s; undefined where neither is known
 */
export function greenHolds(
  { methods }: Pick<PostPlan, 'methods'>,
  method: string | undefined,
  share: number,
  isPropped: boolean,
): MetresPerSecond | undefined {
  const of = (key: string | undefined): MethodPlan | undefined => methods.find((each) => each.method === key)
  const ground = of(method)?.links.find(({ link }) => link === GROUND)?.bare
  const props = isPropped ? of(PROPS)?.links.map(givesWay) : undefined
  const figures = [
    ...(ground === undefined ? [] : [share * ground]),
    ...(props && props.length > 0 ? [Math.min(...props)] : []),
  ]
  return figures.length > 0 ? Math.max(...figures) : undefined
}
