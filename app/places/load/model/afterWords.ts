import type { AfterLine } from '~~/core/cost/after'

/** Reasons that come up; any other can be typed. */
export const REASONS = [
  'holes came out larger',
  'more old concrete than was seen',
  'roots or stones in the way',
  'a piece was spoilt',
  'it took longer',
  'it went faster',
  'less was needed',
  'bought on the way',
] as const

/** @example differenceWords({ off: 0.25, … }) // '25 % more' */
export function differenceWords({ off, used }: Pick<AfterLine, 'off' | 'used'>): string {
  if (used === undefined) return ''
  if (off === undefined) return used.n > 0n ? 'not planned' : ''
  const hundredths = Math.round(off * 100)
  if (hundredths === 0) return 'as planned'
  return `${Math.abs(hundredths)} % ${hundredths > 0 ? 'more' : 'less'}`
}

/** Units that are counted have a plural. */
const COUNTED = ['bag', 'visit', 'day', 'half-day', 'weekend']
/** @example quantityWords(2, 'bag') // '2 bags'; quantityWords(4, 'each') // '4' */
export function quantityWords(value: number, unit: string): string {
  if (unit === 'each') return figureOf(value)
  return `${figureOf(value)} ${unit}${value !== 1 && COUNTED.includes(unit) ? 's' : ''}`
}

/** @example figureOf(12.345) // '12.3'; figureOf(3.5) // '3.5' */
export const figureOf = (value: number): string => String(Number(value.toFixed(value < 10 ? 2 : 1)))
