import type { Metres } from '../units/types'

/* What can be seen of a post, and the readings that say so. */

export interface LeanReading {
  /** Offset over the level's length, m. */
  offset: Metres
  over: Metres
  /** Degrees clockwise from along the run. */
  direction?: number
}

/** What was seen; every reading may be missing. */
export interface Observations {
  lean?: LeanReading | LeanReading[]
  leanPattern?: string
  pushPivot?: string
  comesUpright?: string
  probeAtGround?: Metres
  probeBelow?: Metres
  probeAbove?: Metres
  tap?: string
  breakFace?: string
  groundAround?: string[]
  footingFound?: string
  onset?: string
  gate?: string
  sideLoad?: string
  fixings?: string
  wrap?: string
  moisturePercent?: number
}
export type ObservationKey = keyof Observations

/** Observations that are measured, not picked. */
export const MEASURED = ['lean', 'probeAtGround', 'probeBelow', 'probeAbove', 'moisturePercent'] as const

/** Values of the observations that are picked from a list. */
export const OBSERVATION_VALUES = {
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
  groundAround: [
    'lifted-collar',
    'gap-beside-post',
    'saturated',
    'heaped-soil',
    'water-holding-top',
    'cracked-surface',
    'root',
  ],
  footingFound: ['not-dug', 'none', 'small', 'adequate', 'one-sided', 'cracked', 'dry-pockets', 'stands-proud'],
  onset: ['after-storm', 'slowly', 'after-frost', 'after-impact', 'after-gate-hung', 'unknown'],
  gate: ['none', 'hung-here', 'leans-towards-gate'],
  sideLoad: ['none', 'retained-soil', 'stacked-goods', 'climbing-growth'],
  fixings: ['sound', 'loose-rails', 'torn-out', 'panel-sunk'],
  wrap: ['none', 'tight', 'gaping'],
} as const satisfies Partial<Record<ObservationKey, readonly string[]>>

export const OBSERVATION_KEYS = [
  ...MEASURED,
  ...(Object.keys(OBSERVATION_VALUES) as (keyof typeof OBSERVATION_VALUES)[]),
] as const satisfies readonly ObservationKey[]

/** What a reading was taken with. */
export const INSTRUMENTS = ['eye', 'spirit-level', 'digital-level', 'moisture-meter'] as const
export type Instrument = (typeof INSTRUMENTS)[number]

/** Who read what, when and with what; kept for good. */
export interface ReadingNote {
  id: string
  /** ISO 8601 with zone. */
  at: string
  by?: string
  instrument?: Instrument
}

export interface Reading extends ReadingNote {
  observation: ObservationKey
  /** Null when the observation was taken back. */
  value: unknown
}
