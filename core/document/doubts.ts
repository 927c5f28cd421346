import { median } from '../numeric/statistics'
import { showLength, type LengthSystem } from '../units/length'
import type { Metres } from '../units/types'

/** Further apart than this posts hardly ever stand, and higher than this fences hardly ever are, m. */
const WIDE_BAY: Metres = 4
const HIGH_FENCE: Metres = 3
/** So many times the usual bay is a slip of the pen. */
const UNLIKE = 20

/**
 * What is asked back before figures count that can be, and hardly ever are: a slip of the pen, or other units.
 *
 * @param stations of the posts along the line, m, growing
 * @example doubtsOf({ stations: [0, 8, 16], height: 1.8 }, 'metric')
 *   // ['A bay of 8.00 m: posts hardly ever stand more than 4.00 m apart. Is that right?']
 */
export function doubtsOf(
  { stations, height }: { stations: readonly Metres[]; height?: Metres },
  system: LengthSystem,
): string[] {
  const show = (length: Metres) => showLength(length, system)
  const bays = stations.slice(1).map((station, i) => station - stations[i]!)
  const widest = Math.max(0, ...bays)
  const usual = bays.length > 0 ? median(bays) : 0
  const doubts: string[] = []
  if (widest > UNLIKE * usual && usual > 0)
    doubts.push(`One bay of ${show(widest)} among bays of ${show(usual)}. Is that right?`)
  else if (widest > WIDE_BAY)
    doubts.push(`A bay of ${show(widest)}: posts hardly ever stand more than ${show(WIDE_BAY)} apart. Is that right?`)
  if (height !== undefined && height > HIGH_FENCE)
    doubts.push(`A fence ${show(height)} high: hardly any is over ${show(HIGH_FENCE)}. Is that right?`)
  return doubts
}
