import { InputError } from '../../errors'
import type { Metres } from '../../units/types'
import { followed, USUAL_CHANGE } from './follow'

export const TOP_LINES = ['level', 'straight', 'follow', 'stepped'] as const
export type TopLine = (typeof TOP_LINES)[number]

/** Steps of a stepped fence come in these, m. */
export const USUAL_STEP: Metres = 0.025
const DUST = 1e-9

/**
 * One level top over the highest ground, so that no post is lower than the fence is high.
 *
 * @param levels of the ground at the posts over one datum, m
 * @example levelTops([0, -0.1, 0.05], 1.8) // 1.85 over the datum, all of them
 */
export const levelTops = (levels: readonly Metres[], height: Metres): Metres[] =>
  levels.map(() => Math.max(...levels) + height)

/**
 * A rake: one straight line between the two ends.
 *
 * @param first, last heights over the ground at the ends, m
 * @example straightTops([0, 2, 4], [0, 0.3, 0.2], 1.8, 1.8) // [1.8, 1.9, 2]
 */
export function straightTops(
  stations: readonly Metres[],
  levels: readonly Metres[],
  first: Metres,
  last: Metres,
): Metres[] {
  requireRising(stations, levels)
  const [from, to] = [levels[0]! + first, levels[levels.length - 1]! + last]
  const length = stations[stations.length - 1]! - stations[0]!
  return stations.map((station) => from + ((to - from) * (station - stations[0]!)) / length)
}

/**
 * Tops that follow the ground without breaking the eye's line.
 *
 * @param change of slope from bay to bay, m per m
 * @source least squares to ground + height under |change of slope| ≤ κ
 */
export function followTops(
  stations: readonly Metres[],
  levels: readonly Metres[],
  height: Metres,
  change: number = USUAL_CHANGE,
): Metres[] {
  requireRising(stations, levels)
  return followed(
    stations,
    levels.map((level) => level + height),
    change,
  ).tops
}

export interface SteppedTops {
  /** Of each bay over the datum, m. */
  tops: Metres[]
  /** From bay to bay, up positive, m. */
  steps: Metres[]
  /** The larger one under each bay, m. */
  clearances: Metres[]
}

/**
 * Level panels stepped at the posts.
 *
 * @param levels of the ground at the posts, m
 * @param panel  its height, m
 * @param gap    least clearance under a panel, m
 * @param step   of which every step is a whole number, counted from the first bay, m
 * @source rounded up, so that no clearance is under the gap
 * @example steppedTops([0, 0.11, 0.11], 1.8, 0.05) // tops 1.96 and 1.96; clearance 0.16 and 0.05
 */
export function steppedTops(
  levels: readonly Metres[],
  panel: Metres,
  gap: Metres,
  step: Metres = USUAL_STEP,
): SteppedTops {
  if (levels.length < 2) throw new InputError('levels', levels, 'two posts at least')
  const needed = levels.slice(1).map((level, i) => Math.max(level, levels[i]!) + gap)
  const bottoms = needed.map((bottom) => needed[0]! + step * Math.ceil((bottom - needed[0]!) / step - DUST))
  return {
    tops: bottoms.map((bottom) => bottom + panel),
    steps: bottoms.slice(1).map((bottom, i) => bottom - bottoms[i]!),
    clearances: bottoms.map((bottom, i) => bottom - Math.min(levels[i]!, levels[i + 1]!)),
  }
}

/** Clearance under a bay beyond these is said: things get stuck under it, or through it; m. */
export const CLEARANCE: readonly [Metres, Metres] = [0.025, 0.08]

export interface LevelAt {
  station: Metres
  level: Metres
}

/**
 * How far each end of a sunk panel is lifted to meet the line again, before it is fixed.
 *
 * @param line  two places of the wanted line
 * @param panel the two ends of the panel as it hangs
 * @returns lifts of its first and its second end, up positive, m
 * @throws InputError when the two places of the line are one
 * @example sunkPanel([{ station: 0, level: 1.8 }, { station: 6, level: 1.8 }], [{ station: 2.4, level: 1.77 },
 *   { station: 4.8, level: 1.79 }]) // [0.03, 0.01]
 */
export function sunkPanel(
  [from, to]: readonly [LevelAt, LevelAt],
  panel: readonly [LevelAt, LevelAt],
): [Metres, Metres] {
  if (Math.abs(to.station - from.station) < 1e-6)
    throw new InputError('line[1].station', to.station, `another place than ${from.station} m`)
  const wanted = (station: Metres) =>
    from.level + ((to.level - from.level) * (station - from.station)) / (to.station - from.station)
  const [start, end] = panel
  return [wanted(start.station) - start.level, wanted(end.station) - end.level]
}

function requireRising(stations: readonly Metres[], levels: readonly Metres[]): void {
  if (stations.length < 2 || stations.length !== levels.length)
    throw new InputError('stations', stations.length, `as many as levels, two at least: ${levels.length}`)
  const bad = stations.findIndex((station, i) => i > 0 && station <= stations[i - 1]!)
  if (bad > 0) throw new InputError(`stations[${bad}]`, stations[bad], `beyond ${stations[bad - 1]} m`)
}
