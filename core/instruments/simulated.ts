import { median } from '../numeric/statistics'
import type { Radians } from '../units/types'

/*
 * Stand-ins for a digital level and a moisture meter. They speak over the channel that real ones would and behave
 * as real ones do: steady, drifting, noisy, or with a connection that breaks off.
 */

export const INSTRUMENT_KINDS = ['level', 'moisture'] as const
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number]

export const MANNERS = ['steady', 'drifting', 'noisy', 'lost'] as const
export type Manner = (typeof MANNERS)[number]

/** Readings per second, and how many come before a `lost` connection breaks off. */
export const READINGS_PER_SECOND = 5
export const READINGS_UNTIL_LOST = 15

/** Smallest step that each shows, and how far it shakes: radians, or per cent of moisture. */
const SCALE: Record<InstrumentKind, { step: number; noise: number; drift: number }> = {
  level: { step: (0.05 * Math.PI) / 180, noise: (0.6 * Math.PI) / 180, drift: (0.15 * Math.PI) / 180 },
  moisture: { step: 0.1, noise: 2.5, drift: 0.6 },
}

/**
 * What a stand-in shows at its n-th reading: always the same for the same call.
 *
 * @param truth what it is held against: lean in radians, or moisture in per cent
 * @param index of the reading, from 0
 * @returns null once a lost connection has broken off
 * @example simulatedReading('level', 'steady', 0.05, 3) // 0.0497, the nearest 0.05°
 */
export function simulatedReading(kind: InstrumentKind, manner: Manner, truth: number, index: number): number | null {
  if (manner === 'lost' && index >= READINGS_UNTIL_LOST) return null
  const { step, noise, drift } = SCALE[kind]
  const shake = manner === 'noisy' ? noise : step / 2
  const wander = manner === 'drifting' ? (drift * index) / READINGS_PER_SECOND : 0
  const shown = truth + wander + shake * unrest(index)
  return Math.round(shown / step) * step
}

/** From −1 to 1, without order to the eye and without chance: the core has none. */
function unrest(index: number): number {
  const wave = Math.sin(index * 12.9898 + 4.1414) * 43_758.5453
  return 2 * (wave - Math.floor(wave)) - 1
}

export interface Sample {
  /** ms, on any clock that runs on. */
  at: number
  value: number
}

export interface Held {
  value: number
  /** Between the largest and the smallest of the last readings. */
  spread: number
  steady: boolean
}

/** Readings of the last second and a half count. */
const WINDOW = 1_500
const LEAST_SAMPLES = 4
/** What still counts as steady: 0.2°, or one per cent. */
const STEADY: Record<InstrumentKind, Radians | number> = { level: (0.2 * Math.PI) / 180, moisture: 1 }

/**
 * What may be taken from an instrument's last readings: their middle one, and whether it stood still.
 *
 * @param samples oldest first
 * @returns undefined while there is no reading
 */
export function heldReading(kind: InstrumentKind, samples: readonly Sample[]): Held | undefined {
  const last = samples[samples.length - 1]
  if (!last) return undefined
  const values = samples.filter(({ at }) => at > last.at - WINDOW).map(({ value }) => value)

  const spread = Math.max(...values) - Math.min(...values)
  return {
    value: median(values),
    spread,
    steady: values.length >= LEAST_SAMPLES && spread <= STEADY[kind],
  }
}
