import { FOOT, GALLON, GRAVITY, MILE_PER_HOUR, POUND, POUND_FORCE, POUND_PER_SQUARE_INCH } from './constants'
import { showLength, showSmall, type LengthSystem } from './length'
import type { CubicMetres, Kilograms, Metres, MetresPerSecond, Minutes, Newtons, Pascals } from './types'

/** Who measures in feet pours in gallons, unless he would rather count litres. */
export type VolumeUnit = 'litres' | 'gallons'

/** A number and its unit apart, for large numerals with small units. */
export interface Parts {
  value: string
  unit: string
}

/** How one person reads quantities; the core keeps SI, unrounded. */
export interface Measures {
  units: LengthSystem
  length: (length: Metres) => string
  /** What a rule is too coarse for: cover, bores, roots. */
  small: (length: Metres) => string
  gust: (gust: MetresPerSecond) => string
  mass: (mass: Kilograms) => string
  force: (force: Newtons) => string
  /** As a spring balance shows it. */
  pull: (force: Newtons) => string
  /** Of air, ground or mix. */
  temperature: (celsius: number) => string
  /** Of an hour, mm. */
  rain: (millimetres: number) => string
  volume: (volume: CubicMetres) => string
  volumeParts: (volume: CubicMetres) => Parts
  /** On the ground. */
  pressure: (pressure: Pascals) => string
  /** Of concrete. */
  strength: (strength: Pascals) => string
}

/**
 * @example measuresIn('metric').gust(34.28) // '34 m/s'
 * @example measuresIn('feet-inches').volume(0.0349) // '9.2 gal'
 */
export function measuresIn(
  units: LengthSystem,
  volumes: VolumeUnit = units === 'metric' ? 'litres' : 'gallons',
): Measures {
  const volumeParts = (volume: CubicMetres): Parts =>
    volumes === 'litres' ? { value: litres(volume), unit: 'L' } : { value: (volume / GALLON).toFixed(1), unit: 'gal' }
  return {
    units,
    length: (length) => showLength(length, units),
    small: (length) => showSmall(length, units),
    gust: (gust) => showGust(gust, units),
    mass: (mass) => (units === 'metric' ? `${roughly(mass)} kg` : `${roughly(mass / POUND)} lb`),
    force: (force) =>
      units === 'metric' ? `${(force / 1e3).toFixed(1)} kN` : `${Math.round(force / POUND_FORCE / 10) * 10} lb`,
    pull: (force) =>
      units === 'metric' ? `${Math.round(force / GRAVITY)} kg` : `${Math.round(force / POUND_FORCE)} lb`,
    temperature: (celsius) =>
      signed(units === 'metric' ? `${Math.round(celsius)} °C` : `${Math.round(celsius * 1.8 + 32)} °F`),
    rain: (millimetres) =>
      units === 'metric' ? `${roughly(millimetres)} mm` : `${(millimetres / 25.4).toFixed(1)} in`,
    volume(volume) {
      const { value, unit } = volumeParts(volume)
      return `${value} ${unit}`
    },
    volumeParts,
    pressure: (pressure) =>
      units === 'metric' ? `${Math.round(pressure / 1e3)} kPa` : `${Math.round(pressure / PSF / 10) * 10} psf`,
    strength: (strength) =>
      units === 'metric'
        ? `${Math.round(strength / 1e6)} MPa`
        : `${Math.round(strength / POUND_PER_SQUARE_INCH / 100) * 100} psi`,
  }
}

/** With a minus that is one. @example signed('-2 °C') // '−2 °C' */
const signed = (figure: string) => figure.replace(/^-0 /, '0 ').replace('-', '−')

/** Pounds on a square foot, Pa. */
const PSF: Pascals = POUND_FORCE / FOOT ** 2

/** A tenth matters of what is light. @example roughly(3.04) // '3', roughly(0.34) // '0.3' */
const roughly = (amount: number) => (amount < 1 ? amount.toFixed(1) : String(Math.round(amount)))

/** @example showGust(34.28, 'metric') // '34 m/s' */
export function showGust(gust: MetresPerSecond, units: LengthSystem): string {
  return Number.isFinite(gust) ? `${gustFigure(gust, units)} ${gustUnit(units)}` : 'any gust'
}
export const gustUnit = (units: LengthSystem): string => (units === 'metric' ? 'm/s' : 'mph')
/** One in the unit of the reader, m/s: for scales and fields. */
export const oneGust = (units: LengthSystem): MetresPerSecond => (units === 'metric' ? 1 : MILE_PER_HOUR)
/** @example gustFigure(38, 'feet-inches') // '85' */
export const gustFigure = (gust: MetresPerSecond, units: LengthSystem): string =>
  String(Math.round(gust / oneGust(units)))

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
