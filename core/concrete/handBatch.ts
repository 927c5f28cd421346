import { wholeUp } from '../numeric/rounding'
import { WATER_DENSITY } from '../units/constants'
import type { CubicMetres, Kilograms, Pascals } from '../units/types'

/** Densities of the grains and of the loose heaps, kg/m³. */
const CEMENT = { solid: 3150, loose: 1440 }
const BALLAST = { solid: 2650, loose: 1650 }
const AIR = 0.02
/** Cement and ballast as sold, kg. */
export const BAG: Kilograms = 25

export interface HandBatch {
  cement: Kilograms
  /** As weighed, damp. */
  ballast: Kilograms
  /** Added beyond what the ballast brings. */
  water: Kilograms
  /** Whole bags of 25 kg. */
  bagsCement: number
  bagsBallast: number
}

/**
 * Cement, all-in ballast and water for a volume of concrete, by absolute volume:
 * V = c/3150 + a/2650 + w/1000 + 2 % air.
 *
 * @param ratio       ballast to cement by loose volume, 3 to 10
 * @param waterCement by mass, 0.35 to 0.9
 * @param moisture    water in the ballast over its dry mass; 0.03 is usual
 * @example handBatch(0.1, 6, 0.6, 0) // cement 27.9, ballast 191.9, water 16.7 kg
 */
export function handBatch(concrete: CubicMetres, ratio: number, waterCement: number, moisture: number): HandBatch {
  const parts = (ratio * BALLAST.loose) / CEMENT.loose
  const perKilogram = 1 / CEMENT.solid + parts / BALLAST.solid + waterCement / WATER_DENSITY
  const cement = (concrete * (1 - AIR)) / perKilogram
  const dry = cement * parts
  const ballast = dry * (1 + moisture)
  return {
    cement,
    ballast,
    water: Math.max(0, cement * waterCement - dry * moisture),
    bagsCement: wholeBags(cement),
    bagsBallast: wholeBags(ballast),
  }
}

const wholeBags = (mass: Kilograms) => wholeUp(mass / BAG)

export interface Batches {
  count: number
  /** For each batch. */
  cement: Kilograms
  ballast: Kilograms
  water: Kilograms
}

/** Filled part of a barrow, m³: 60 L, filled to 40. */
export const BARROW: CubicMetres = 0.04

/**
 * Equal batches that a barrow or a drum takes.
 *
 * @param filled usable volume of barrow or drum, m³
 * @example inBatches(handBatch(0.1, 6, 0.6, 0), 0.1, BARROW).count // 3
 */
export function inBatches(batch: HandBatch, concrete: CubicMetres, filled: CubicMetres): Batches {
  const count = Math.max(1, wholeUp(concrete / filled))
  return { count, cement: batch.cement / count, ballast: batch.ballast / count, water: batch.water / count }
}

/** What work on site makes of a mix, a working value. */
const SITE_CARE = 0.75

/**
 * 28-day strength of concrete batched by hand.
 *
 * @source Abrams 1918, 96.5 / 8^(w/c) MPa, × 0.75 for site care
 * @example handBatchStrength(0.6) // 20.8 MPa
 */
export function handBatchStrength(waterCement: number): Pascals {
  return (SITE_CARE * ABRAMS) / 8 ** waterCement
}

const ABRAMS: Pascals = 96.5e6

/** Strength at 28 days by Abrams alone, Pa. @example abrams(0.5) // 34.1 MPa */
export const abrams = (waterCement: number): Pascals => ABRAMS / 8 ** waterCement
