import { InputError } from '../errors'
import { FOOT, INCH } from './constants'
import type { Metres } from './types'

/** What a person reads and types in; the core keeps metres, unrounded. */
export const LENGTH_SYSTEMS = ['metric', 'feet-inches'] as const
export type LengthSystem = (typeof LENGTH_SYSTEMS)[number]

const METRIC_UNITS: Record<string, number> = { m: 1, cm: 0.01, mm: 0.001 }
const SIXTEENTHS = 16

const METRIC = /^(-?\d+(?:[.,]\d+)?)\s*(m|cm|mm)?$/i
const IMPERIAL =
  /^(-)?(?:(\d+(?:\.\d+)?)\s*(?:'|′|ft))?\s*(?:(\d+(?:\.\d+)?)(?:[\s-]+(\d+)[/⁄](\d+))?|(\d+)[/⁄](\d+))?\s*(?:"|″|in)?$/i

/**
 * Reads a typed length in either system; a bare number is in the shown unit, metres or inches.
 *
 * @param key names the field in the error
 * @throws InputError when it is no length
 * @example parseLength(`5' 7 3/8"`, 'metric') // 1.711325
 * @example parseLength('172cm', 'feet-inches') // 1.72
 */
export function parseLength(text: string, system: LengthSystem, key = 'length'): Metres {
  // As it is shown, so it may be typed back.
  const trimmed = text.trim().replace('−', '-')
  const metric = METRIC.exec(trimmed)
  if (metric && (metric[2] || system === 'metric')) {
    return Number(metric[1]!.replace(',', '.')) * METRIC_UNITS[(metric[2] ?? 'm').toLowerCase()]!
  }
  const imperial = trimmed === '' ? null : IMPERIAL.exec(trimmed)
  if (!imperial) throw new InputError(key, text, `a length such as 1.72, 172 cm or 5' 7 3/8"`)
  const [, minus, feet, inches, over, under, onlyOver, onlyUnder] = imperial
  const fraction = over ? Number(over) / Number(under) : onlyOver ? Number(onlyOver) / Number(onlyUnder) : 0
  if (!Number.isFinite(fraction)) throw new InputError(key, text, 'a length whose fraction is not over nought')
  const length = Number(feet ?? 0) * FOOT + (Number(inches ?? 0) + fraction) * INCH
  return minus ? -length : length
}

/**
 * A length as a tape shows it: to the millimetre, or to a sixteenth of an inch.
 *
 * @example showLength(0.75, 'metric') // '0.75 m'
 * @example showLength(1.711325, 'feet-inches') // `5' 7 3⁄8"`
 */
export function showLength(length: Metres, system: LengthSystem): string {
  const { value, unit } = lengthParts(length, system)
  return unit ? `${value} ${unit}` : value
}

/** Number and unit apart, for large numerals with small units. */
export function lengthParts(length: Metres, system: LengthSystem): { value: string; unit: string } {
  if (system === 'metric') {
    return { value: metric(length), unit: 'm' }
  }
  const sixteenths = Math.round((Math.abs(length) / INCH) * SIXTEENTHS)
  const feet = Math.floor(sixteenths / (12 * SIXTEENTHS))
  const inches = Math.floor(sixteenths / SIXTEENTHS) % 12
  const rest = sixteenths % SIXTEENTHS
  const parts = [
    feet ? `${feet}'` : '',
    inches || !feet || rest ? `${[inches || (rest ? '' : '0'), fractionOf(rest)].filter(Boolean).join(' ')}"` : '',
  ]
  return { value: (length < 0 && sixteenths ? '−' : '') + parts.filter(Boolean).join(' '), unit: '' }
}

/**
 * A length that is said in millimetres, or in sixteenths of an inch.
 *
 * @example showSmall(0.0334, 'metric') // '33 mm'
 * @example showSmall(0.05, 'feet-inches') // `2"`
 */
export const showSmall = (length: Metres, system: LengthSystem): string =>
  system === 'metric' ? `${String(Math.round(length * 1e3)).replace('-', '−')} mm` : showLength(length, system)

/**
 * Reads a length that is said in millimetres: a bare number is of them, or of inches.
 *
 * @throws InputError when it is no length
 * @example parseSmall('12', 'metric') // 0.012
 * @example parseSmall('1.05 m', 'metric') // 1.05
 */
export const parseSmall = (text: string, system: LengthSystem, key?: string): Metres =>
  parseLength(system === 'metric' && BARE.test(text.trim()) ? `${text.trim()} mm` : text, system, key)
const BARE = /^[-−]?\d+(?:[.,]\d+)?$/

/** At least two decimals, three when the millimetres need them. */
function metric(length: Metres): string {
  const millimetres = Math.round(length * 1e3)
  const decimals = millimetres % 10 === 0 ? 2 : 3
  return (millimetres / 1e3).toFixed(decimals).replace('-', '−')
}

function fractionOf(sixteenths: number): string {
  if (sixteenths === 0) return ''
  let over = sixteenths
  let under = SIXTEENTHS
  while (over % 2 === 0) {
    over /= 2
    under /= 2
  }
  return `${over}⁄${under}`
}
