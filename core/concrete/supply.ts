import { wholeUp } from '../numeric/rounding'
import { BARROW } from './handBatch'
import type { CubicMetres, Kilograms, Metres, Minutes } from '../units/types'

export type Supply = 'barrow' | 'mixer' | 'delivered'

/** What a way of getting concrete takes; a workspace puts its own figures here. */
export interface SupplyRow {
  key: Supply
  name: string
  /** Set-up, hire or waiting for the lorry. */
  fixedMinutes: Minutes
  minutesPerCubicMetre: Minutes
  /** To carry a cubic metre over a metre; none where it is mixed beside the hole. */
  carryingMinutes: Minutes
  /** Money in minor units. */
  fixedCost: number
  costPerCubicMetre: number
  /** Least that is sold, m³. */
  least: CubicMetres
}

export interface SupplyOption {
  key: Supply
  name: string
  minutes: Minutes
  /** Minor units, without labour. */
  cost: number
  /** Whether it is the one to take, and why the others are not. */
  recommended: boolean
  because: string
}

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

/**
 * Every way of getting a day's concrete with its time and its cost, the one to take marked.
 *
 * @param volume    of the whole day, m³
 * @param fromLorry to the holes, m
 * @example 0.4 m³: the mixer, and what barrow and lorry would take instead
 */
export function supplyOptions(volume: CubicMetres, fromLorry: Metres, rows: readonly SupplyRow[]): SupplyOption[] {
  const taken = concreteSupply(volume, fromLorry)
  return rows.map((row) => ({
    key: row.key,
    name: row.name,
    minutes: volume > 0 ? row.fixedMinutes + volume * (row.minutesPerCubicMetre + row.carryingMinutes * fromLorry) : 0,
    cost: volume > 0 ? Math.round(row.fixedCost + Math.max(row.least, volume) * row.costPerCubicMetre) : 0,
    recommended: row.key === taken,
    because: supplyReason(row.key, volume, fromLorry),
  }))
}

/** Wet concrete, kg/m³; a working value. */
const WET_DENSITY = 2_300

/**
 * What a volume of concrete is to move: its mass, and how often a barrow goes.
 *
 * @param volume m³, ≥ 0
 * @example concreteToMove(0.17) // 391 kg, 5 barrows
 */
export const concreteToMove = (volume: CubicMetres): { mass: Kilograms; barrows: number } => ({
  mass: volume * WET_DENSITY,
  barrows: wholeUp(volume / BARROW),
})

function supplyReason(key: Supply, volume: CubicMetres, fromLorry: Metres): string {
  switch (key) {
    case 'barrow':
      return volume < BARROW_UP_TO ? 'a small day' : `more than ${BARROW_UP_TO} m³ wears people out`
    case 'mixer':
      return volume < BARROW_UP_TO ? 'not worth the hire' : volume <= MIXER_UP_TO ? 'a mixer’s day' : 'many batches'
    case 'delivered':
      if (fromLorry > REACH) return `further than ${REACH} m from the lorry`
      return volume > MIXER_UP_TO ? 'a large day within reach of the lorry' : 'less than is worth a lorry'
  }
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
