import { showMinutes } from '~~/core/units/quantity'

/** A tenth of a bag is what anybody can tell. */
const TENTH = 0.05
const LEAST_MINUTES = 2.5

/**
 * More or less of bags and minutes, in words.
 *
 * @example morePhrase(0.62, 12) // '0.6 bag more, 10 min more'
 * @example morePhrase(-1.4, 1) // '1.4 bags less'
 */
export function morePhrase(bags: number | undefined, minutes: number): string {
  const parts = [
    ...(bags === undefined || Math.abs(bags) < TENTH
      ? []
      : [`${bagWords(Math.abs(bags))} ${bags > 0 ? 'more' : 'less'}`]),
    ...(Math.abs(minutes) < LEAST_MINUTES
      ? []
      : [`${showMinutes(Math.abs(minutes))} ${minutes > 0 ? 'more' : 'less'}`]),
  ]
  return parts.length > 0 ? parts.join(', ') : 'no more work'
}

/** @example bagWords(0.6) // '0.6 bag' */
export function bagWords(bags: number): string {
  const figure = bags.toFixed(1).replace(/\.0$/, '')
  return `${figure} ${bags <= 1 ? 'bag' : 'bags'}`
}

const HOURS_A_DAY = 24
const COUNTED_IN_DAYS = 48

/** @example hourWords(67.9) // '3 days', hourWords(5.2) // '6 h' */
export function hourWords(hours: number | null): string {
  if (hours === null) return 'it warms up'
  return hours >= COUNTED_IN_DAYS ? `${Math.ceil(hours / HOURS_A_DAY)} days` : `${Math.ceil(hours)} h`
}
