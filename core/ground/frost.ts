import { showLength } from '../units/length'
import { METRIC_CUSTOMS, type DiggingCustoms } from './customs'
import type { Metres } from '../units/types'

/** Clearance of a footing's bottom below the frost, m. */
export const BELOW_FROST: Metres = 0.15

export interface FrostFacts {
  frostDepth: Metres
  /** Foot of the concrete, m. */
  bottom: Metres
  topDiameter: Metres
  bottomDiameter: Metres
  /** Spilled concrete round the top. */
  collar?: boolean
  /** Water stands at the base. */
  waterAtBase?: boolean
  /** Silt or silty clay. */
  heaves?: boolean
}

/**
 * What frost would do to a footing, in words; none when it is out of its reach.
 *
 * @param length how a length is said
 * @example frostWarnings({ frostDepth: 0.45, bottom: 0.5, topDiameter: 0.3, bottomDiameter: 0.3 })
 *   // ['The footing ends 0.10 m short of 0.15 m below the frost.']
 */
export function frostWarnings(
  facts: FrostFacts,
  length: (length: Metres) => string = (each) => showLength(each, 'metric'),
  { belowFrost }: Pick<DiggingCustoms, 'belowFrost'> = METRIC_CUSTOMS,
): string[] {
  const { frostDepth, bottom, topDiameter, bottomDiameter, collar, waterAtBase, heaves } = facts
  const warnings: string[] = []
  const short = frostDepth + BELOW_FROST - bottom
  if (short > 1e-6) warnings.push(`The footing ends ${length(short)} short of ${belowFrost} below the frost.`)
  if (frostDepth === 0) return warnings
  if (topDiameter > bottomDiameter)
    warnings.push('The footing is wider at the top than at the bottom: frost takes hold of it and lifts it.')
  if (collar) warnings.push('The rough collar of spilled concrete at the top gives frost a hold: break it off.')
  if (waterAtBase) warnings.push('Water held at the base freezes: let it drain into stone.')
  if (heaves) warnings.push('Silt heaves: a smooth, straight-sided footing below the frost, and drainage.')
  return warnings
}
