import { normalPoint, normalShare } from '../numeric/normal'
import type { Years } from '../units/types'
import type { MaterialRow, Setting } from '../timber/materials'
import type { GoingWood } from './stand'

/** Scatter of ln service life. A working value. */
export const LIFE_SCATTER = 0.35

/**
 * Years from its setting until soft wood begins, of one life.
 *
 * Wood that was found soft tells when that began, since it eats the whole thickness in as long again. Wood that was
 * found hard at its age has lasted so long at least: the draw is made among such lives.
 *
 * @param draw share of all lives that end before this one, 0 to 1
 * @source log-normal about the median of material and setting, σ 0.35; working values of service life
 * @example new wood of 15 years, draw ½: 15; found hard at 20: 23
 */
export function woodLife({ life, age, soft }: Pick<GoingWood, 'life' | 'age' | 'soft'>, draw: number): Years {
  if (soft !== undefined && soft > 0 && age > 0) return age / (1 + soft)
  const known = soft === 0 && age > 0 ? normalShare(Math.log(age / life) / LIFE_SCATTER) : 0
  // Beyond all that is known of such wood it may begin any day.
  if (known > MOST_SURE) return age
  const share = Math.min(MOST_SURE, Math.max(1 - MOST_SURE, known + draw * (1 - known)))
  return Math.max(soft === 0 ? age : 0, life * Math.exp(LIFE_SCATTER * normalPoint(share)))
}
const MOST_SURE = 1 - 1e-6

/** What a tight wrap at the ground line does to it, a gaping one, and a plate that stands clear of the soil. Working values. */
const WRAP: Readonly<Record<string, number>> = { tight: 1.4, gaping: 0.7 }
const CLEAR_PLATE = 1.8

/**
 * Median years until a post begins to go where it meets the ground.
 *
 * @param wrap as it was looked at; nothing where there is none
 * @example treated softwood in crowned concrete under a tight wrap: 21
 */
export function serviceYears(
  { serviceYears: byMaterial }: Pick<MaterialRow, 'serviceYears'>,
  setting: Setting | 'plate',
  wrap?: string,
): Years {
  const years = setting === 'plate' ? byMaterial.crowned * CLEAR_PLATE : byMaterial[setting]
  return years * (WRAP[wrap ?? ''] ?? 1)
}
