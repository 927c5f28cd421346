import type { Minutes } from '../units/types'
import type { Celsius } from './setting'

/** What bonds pins and anchors; its times stand on its label. */
export interface Resin {
  key: string
  name: string
  /** By rising temperature; between two rows it goes by the logarithm of the time. */
  byTemperature: readonly { temperature: Celsius; works: Minutes; cures: Minutes }[]
}

/**
 * Minutes that a resin can be worked, or cures, at a temperature.
 *
 * Under its label's coldest row it does not cure; over the warmest one that row holds.
 *
 * @example resinMinutes(anchorResin, 'works', 15) // 9.5, between 15 at 10 °C and 6 at 20 °C
 */
export function resinMinutes({ byTemperature: rows }: Resin, which: 'works' | 'cures', celsius: Celsius): Minutes {
  if (celsius < rows[0]!.temperature) return Infinity
  const above = rows.findIndex(({ temperature }) => temperature >= celsius)
  if (above < 0) return rows.at(-1)![which]
  if (above === 0) return rows[0]![which]
  const [low, high] = [rows[above - 1]!, rows[above]!]
  const part = (celsius - low.temperature) / (high.temperature - low.temperature)
  return low[which] * (high[which] / low[which]) ** part
}
