import type { CubicMetres, Kilograms, Metres } from '../units/types'

export type Supply = 'barrow' | 'mixer' | 'delivered'

/** Volumes up to which barrow and mixer make sense, and how far a lorry's concrete is carried. */
const BARROW_UP_TO: CubicMetres = 0.15
const MIXER_UP_TO: CubicMetres = 0.6
const REACH: Metres = 30

/**
 * How to get a day's concrete: by the whole volume and the way from the lorry. Working values.
 *
 * @example concreteSupply(0.8, 12) // 'delivered'
 */
export function concreteSupply(volume: CubicMetres, fromLorry: Metres): Supply {
  if (volume < BARROW_UP_TO) return 'barrow'
  if (volume <= MIXER_UP_TO || fromLorry > REACH) return 'mixer'
  return 'delivered'
}

export const OLD_CONCRETE_DENSITY = 2_350
/** Most that one person lifts again and again, kg. */
const LIFT: Kilograms = 20

/**
 * Old concrete to carry away.
 *
 * @example brokenOut(0.0226) // 53 kg, 3 lifts
 */
export function brokenOut(volume: CubicMetres): { volume: CubicMetres; mass: Kilograms; lifts: number } {
  const mass = volume * OLD_CONCRETE_DENSITY
  return { volume, mass, lifts: Math.ceil(mass / LIFT) }
}
