import type { MethodPlan } from '../plan/types'
import type { Years } from '../units/types'
import type { BillLine } from './bill'
import { endsAfter, steadySurvival, stretched, type Survival } from './years'

/** Props and straps last so long: the same again after that. Working value. */
export const TEMPORARY_YEARS: Years = 2
const TEMPORARY = 'make-safe'
export const isTemporary = ({ method }: Pick<MethodPlan, 'method'>): boolean => method === TEMPORARY

/** Years in which it leans once, by its gusts alone; of what never leans, in which it goes over. */
export const leansEvery = ({ leanReturnYears, returnYears }: MethodPlan): Years =>
  Math.max(1, leanReturnYears ?? returnYears ?? 1)

/**
 * Chance of a repair to stand plumb at the end of each year: as its lives were reckoned; before that by its gusts alone.
 *
 * @param lived  of the same repair, year by year
 * @param factor on how long it stands, where that is tried
 * @example a repair that leans once in 20 years, before its lives are reckoned: 0.95, 0.9025, …
 */
export function plumbSurvival(method: MethodPlan, years: number, lived?: Survival, factor = 1): number[] {
  if (isTemporary(method)) return endsAfter(TEMPORARY_YEARS * factor, years)
  if (lived) return stretched(lived, factor, years)
  return steadySurvival(Math.max(1, leansEvery(method) * factor), years)
}

/** Visits where no days are planned: concrete is come back to, once to pour it and once when it carries. */
export const usualVisits = (methods: readonly Pick<MethodPlan, 'concrete'>[]): number =>
  methods.length === 0 ? 0 : methods.some(({ concrete }) => concrete) ? 2 : 1

/** Mass of what is taken away, kg. */
export const massHome = (lines: readonly BillLine[]): number =>
  lines.filter(({ key }) => key.startsWith('disposal/')).reduce((sum, { quantity }) => sum + quantity.valueOf(), 0)
