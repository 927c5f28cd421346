import { FOOT, GALLON, INCH, MILE_PER_HOUR, POUND, POUND_FORCE } from './constants'
import { showLength, parseLength, type LengthSystem } from './length'
import { InputError } from '../errors'

/* Figures with their unit as somebody reads and types them: whatever unit a formula names. */

/** A section's modulus is no room that anything is poured into. */
const MODULUS = 'modulus in m³'

/** How many of the core's units one of the reader's is, and what it is called. */
const FEET_AND_INCHES: Readonly<Record<string, readonly [name: string, one: number]>> = {
  'm/s': ['mph', MILE_PER_HOUR],
  N: ['lb', POUND_FORCE],
  'N m': ['ft lb', POUND_FORCE * FOOT],
  'N/m': ['lb/ft', POUND_FORCE / FOOT],
  'kg/m': ['lb/ft', POUND / FOOT],
  kg: ['lb', POUND],
  Pa: ['psf', POUND_FORCE / FOOT ** 2],
  'Pa/m': ['psf/ft', POUND_FORCE / FOOT ** 3],
  'm²': ['sq ft', FOOT ** 2],
  'm³': ['gal', GALLON],
  [MODULUS]: ['in³', INCH ** 3],
  'm⁴': ['in⁴', INCH ** 4],
}
const METRIC: typeof FEET_AND_INCHES = { 'm³': ['L', 1e-3], [MODULUS]: ['cm³', 1e-6], 'm⁴': ['cm⁴', 1e-8] }
const unitOf = (unit: string, system: LengthSystem) => (system === 'metric' ? METRIC : FEET_AND_INCHES)[unit]

/** As many figures as anybody measures. */
const FIGURES = 6
/** @example figure(0.30000000000000004) // '0.3' */
export const figure = (value: number, figures = FIGURES): string =>
  Math.abs(value) >= 1e6 || (value !== 0 && Math.abs(value) < 1e-3)
    ? value.toExponential(figures - 1).replace(/\.?0+e\+?/, 'e')
    : String(Number(value.toPrecision(figures)))

/** A length that is shown so far off is shown in full, m: walls of tubes are told apart by less than a tape shows. */
const FINEST = 5e-5

/**
 * A value as it stands in a field, to be typed over: nothing of it is rounded away.
 *
 * @param unit of the core: m, m/s, N …
 * @example typedFigure(0.254, 'm', 'feet-inches') // `10"`
 * @example typedFigure(0.0349, 'm³', 'metric') // '34.9'
 */
export function typedFigure(value: number, unit: string, system: LengthSystem): string {
  if (unit === 'm' && system === 'feet-inches') {
    const shown = showLength(value, system)
    return Math.abs(parseLength(shown, system) - value) < FINEST ? shown : `${Number((value / INCH).toFixed(5))} in`
  }
  // A length has no exponent.
  if (unit === 'm') return String(Number(value.toFixed(6)))
  if (unit === '°C' && system === 'feet-inches') return figure(value * 1.8 + 32)
  return figure(value / (unitOf(unit, system)?.[1] ?? 1))
}

/**
 * Reads what was typed, in the unit of the reader.
 *
 * @throws InputError when it is no number
 * @example readFigure('10"', 'm', 'feet-inches', 'width') // 0.254
 */
export function readFigure(text: string, unit: string, system: LengthSystem, key: string): number {
  if (unit === 'm') return parseLength(text, system, key)
  const value = Number(text.trim().replace(',', '.').replace('−', '-'))
  if (text.trim() === '' || !Number.isFinite(value))
    throw new InputError(key, text, `a number, ${unitName(unit, system)}`)
  if (unit === '°C' && system === 'feet-inches') return (value - 32) / 1.8
  return value * (unitOf(unit, system)?.[1] ?? 1)
}

/** @example unitName('m/s', 'feet-inches') // 'mph' */
export const unitName = (unit: string, system: LengthSystem): string =>
  unit === '°C' && system === 'feet-inches'
    ? '°F'
    : unit === 'm' && system === 'feet-inches'
      ? 'ft in'
      : (unitOf(unit, system)?.[0] ?? unit)

/** Under this a length is told in millimetres, m. */
const SMALL = 0.05

/** Four figures are as many as any of these formulas is worth. */
const WORTH = 4

/**
 * A figure of an answer in words.
 *
 * @example figureWords(0.75, 'm', 'metric') // '0.75 m'
 * @example figureWords(412.8225, 'N', 'metric') // '412.8 N'
 */
export function figureWords(value: number, unit: string, system: LengthSystem): string {
  if (unit === 'm' && system === 'feet-inches') return showLength(value, system)
  if (unit === 'm' && Math.abs(value) < SMALL) return `${figure(value * 1e3, WORTH)} mm`
  if (unit === 'm²' && Math.abs(value) < SMALL ** 2 && system === 'metric') return `${figure(value * 1e4, WORTH)} cm²`
  if (unit === 'rad') return `${figure((value * 180) / Math.PI, WORTH)}°`
  const shown = unit === '°C' && system === 'feet-inches' ? value * 1.8 + 32 : value / (unitOf(unit, system)?.[1] ?? 1)
  return `${figure(shown, WORTH)} ${unitName(unit, system)}`.trim()
}

/** Units that a listing of an answer may begin with, the longest first. */
const NAMED = [
  MODULUS,
  'm per m a year',
  'm per m',
  'm³',
  'm⁴',
  'm²',
  'm/s',
  'N m',
  'N',
  'Pa',
  'rad',
  'kg',
  'years',
  'h',
  'm',
  'min',
  '°C',
]

/**
 * The unit that the words of an answer begin with; none where they name none.
 *
 * @example unitIn('N, null where the code gives no pressure') // 'N'
 */
export const unitIn = (words: string): string =>
  [...NAMED]
    .sort((a, b) => b.length - a.length)
    .find((unit) => words === unit || new RegExp(`^${unit}[ ,;]`).test(words)) ?? ''
