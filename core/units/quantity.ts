import type { CubicMetres, MetresPerSecond, Minutes } from './types'

/** @example showGust(34.28) // '34 m/s' */
export function showGust(gust: MetresPerSecond): string {
  return Number.isFinite(gust) ? `${Math.round(gust)} m/s` : 'any gust'
}

/** Litres as a bucket shows them. @example litres(0.03489) // '34.9' */
export function litres(volume: CubicMetres): string {
  return (volume * 1e3).toFixed(1)
}

/** @example showMinutes(132) // '2 h 10' — rounded to five minutes */
export function showMinutes(minutes: Minutes): string {
  const rounded = Math.round(minutes / 5) * 5
  const hours = Math.floor(rounded / 60)
  const rest = String(rounded % 60).padStart(2, '0')
  return hours > 0 ? `${hours} h ${rest}` : `${rounded} min`
}
