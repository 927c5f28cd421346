import { requireNumber } from '../errors'
import type { MetresPerSecond } from '../units/types'

/** What a wind map may give instead of the 50-year 3-second gust, and how it is turned into it. */
export const WIND_FIGURES = [
  { key: 'gust-50', name: '3-second gust, 50 years', factor: 1 },
  // Gust over mean in open country, a working value.
  { key: 'mean-50', name: '10-minute mean, 50 years', factor: 1.45 },
  // 0.36 + 0.1 ln 12T, ASCE/SEI 7-16 C26.5: 1.179 at 300 years, 1.264 at 700.
  { key: 'gust-300', name: 'strength-level gust, 300 years', factor: 1 / 1.179 },
  { key: 'gust-700', name: 'strength-level gust, 700 years', factor: 1 / 1.264 },
] as const
export type WindFigure = (typeof WIND_FIGURES)[number]['key']

/**
 * 50-year 3-second gust at 10 m in open country, from what the map at hand gives.
 *
 * @param speed m/s, 5 to 150
 * @source ASCE/SEI 7-16 C26.5 for strength-level speeds; × 1.45 for a 10-minute mean
 * @example gust50From('gust-700', 48) // 37.97 m/s
 */
export function gust50From(figure: WindFigure, speed: MetresPerSecond): MetresPerSecond {
  requireNumber('speed', speed, 5, 150, 'm/s')
  return speed * WIND_FIGURES.find(({ key }) => key === figure)!.factor
}
