import type { LeanReading } from '../setout/lean'
import type { Metres } from '../units/types'

/*
 * What can be seen of a post, and the readings that say so. The lists here are the one source: types, the
 * schema of the job file, the table of posts and the questions of the screen are made from them.
 */

/** Observations that are measured, with the range and unit of each. */
export const MEASURED = {
  probeAtGround: { minimum: 0, maximum: 0.2, unit: 'm' },
  probeBelow: { minimum: 0, maximum: 0.2, unit: 'm' },
  probeAbove: { minimum: 0, maximum: 0.2, unit: 'm' },
  moisturePercent: { minimum: 0, maximum: 200, unit: '%' },
} as const
type MeasuredKey = keyof typeof MEASURED

/** Observations that are picked from a list, one value each. */
export const PICKED = {
  leanPattern: ['this-post-only', 'neighbours-too', 'whole-line-one-way'],
  pushPivot: [
    'nothing-moves',
    'at-ground-line',
    'in-the-soil',
    'footing-moves',
    'post-loose-in-concrete',
    'at-plate',
    'panel-only',
  ],
  comesUpright: ['easily', 'with-force', 'will-not'],
  tap: ['rings', 'dull', 'hollow'],
  breakFace: ['brown-and-crumbly', 'clean-splinters', 'galleries-and-dust', 'rust-flakes', 'none'],
  footingFound: ['not-dug', 'none', 'small', 'adequate', 'one-sided', 'cracked', 'dry-pockets', 'stands-proud'],
  onset: ['after-storm', 'slowly', 'after-frost', 'after-impact', 'after-gate-hung', 'unknown'],
  gate: ['none', 'hung-here', 'leans-towards-gate'],
  sideLoad: ['none', 'retained-soil', 'stacked-goods', 'climbing-growth'],
  fixings: ['sound', 'loose-rails', 'torn-out', 'panel-sunk'],
  wrap: ['none', 'tight', 'gaping'],
} as const satisfies Record<string, readonly string[]>
type PickedKey = keyof typeof PICKED

/** Observations of which several values may be seen together. */
export const SEEN_TOGETHER = {
  groundAround: [
    'lifted-collar',
    'gap-beside-post',
    'saturated',
    'heaped-soil',
    'water-holding-top',
    'cracked-surface',
    'root',
  ],
} as const satisfies Record<string, readonly string[]>
type TogetherKey = keyof typeof SEEN_TOGETHER

/** What was seen; every reading may be missing. An empty list says that somebody looked, and there was nothing. */
export type Observations = { lean?: LeanReading | LeanReading[] } & { [K in MeasuredKey]?: number } & {
  [K in PickedKey]?: (typeof PICKED)[K][number]
} & { [K in TogetherKey]?: (typeof SEEN_TOGETHER)[K][number][] }
export type ObservationKey = keyof Observations

export const OBSERVATION_KEYS = [
  'lean',
  ...(Object.keys(MEASURED) as MeasuredKey[]),
  ...(Object.keys(PICKED) as PickedKey[]),
  ...(Object.keys(SEEN_TOGETHER) as TogetherKey[]),
] as const satisfies readonly ObservationKey[]

/** Deepest soft wood found at or below the ground line, m; 0 when nobody probed. */
export function softAtGroundOf({ probeAtGround = 0, probeBelow = 0 }: Observations): Metres {
  return Math.max(probeAtGround, probeBelow)
}

/** What a reading was taken with. */
export const INSTRUMENTS = ['eye', 'spirit-level', 'digital-level', 'moisture-meter', 'photograph'] as const
export type Instrument = (typeof INSTRUMENTS)[number]
