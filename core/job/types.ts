import type { Section } from '../timber/section'
import type { Kilograms, Metres, MetresPerSecond, Pascals, Years } from '../units/types'

/*
 * The job document: the one truth of a job. All parts are optional but names, stations and
 * identities; `plan()` says what it assumed for the rest. Keys that this version does not
 * know are kept and written back.
 */

export const JOB_FORMAT = 'vindex-job'
export const JOB_VERSION = 1

export interface Job {
  format: typeof JOB_FORMAT
  version: typeof JOB_VERSION
  name: string
  site?: Site
  lines: Line[]
}

export interface Site {
  name?: string
  exposure?: Exposure
  shelter?: number
  gust50?: MetresPerSecond
  frostDepth?: Metres
  minimumDepth?: Metres
  targetReturnYears?: Years
  season?: Season
}

export const EXPOSURES = ['sheltered', 'open', 'waterside'] as const
export type Exposure = (typeof EXPOSURES)[number]
export const SEASONS = ['wet', 'dry'] as const
export type Season = (typeof SEASONS)[number]

export const LINE_KINDS = [
  'close-boarded',
  'panel',
  'hit-and-miss',
  'picket',
  'post-and-rail',
  'mesh',
  'vinyl',
] as const
export type LineKind = (typeof LINE_KINDS)[number]

export interface Line {
  id: string
  name?: string
  kind?: LineKind
  height?: Metres
  gap?: Metres
  solidity?: number
  length?: Metres
  cornerAtStart?: boolean
  cornerAtEnd?: boolean
  remainingYears?: Years
  posts: Post[]
}

export const DUTIES = [
  'line',
  'end',
  'corner',
  'gate-hinge',
  'gate-latch',
  'roadside-box',
  'load-bearing',
  'plate-mounted',
] as const
export type Duty = (typeof DUTIES)[number]
export const MATERIALS = [
  'treated-softwood',
  'untreated-softwood',
  'cedar',
  'oak',
  'steel',
  'vinyl',
  'concrete',
] as const
export type Material = (typeof MATERIALS)[number]

export interface Post {
  id: string
  station: Metres
  groundLevel?: Metres
  duty?: Duty
  material?: Material
  section?: Section
  length?: Metres
  ageYears?: Years
  soil?: string
  saturated?: boolean
  footing?: Footing
  gate?: Gate
  /** Retained soil or stacked goods that push steadily. */
  steadyLoad?: SteadyLoad
  observations?: Observations
  repair?: RepairChoice
}

export const FOOTING_KINDS = ['none', 'soil', 'stone', 'concrete', 'plate', 'sleeve', 'unknown'] as const
export type FootingKind = (typeof FOOTING_KINDS)[number]

export interface Footing {
  kind: FootingKind
  diameter?: Metres
  top?: Metres
  bottom?: Metres
}

export interface Gate {
  leafWidth?: Metres
  leafMass?: Kilograms
  hingeSpacing?: Metres
}

export interface SteadyLoad {
  /** On the fence, Pa. */
  pressure: Pascals
  /** Over which it acts, from the ground, m. */
  height: Metres
}

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

export interface Hole {
  shape?: 'round' | 'square'
  diameter?: Metres
  depth?: Metres
  stoneBed?: Metres
  /** Top of the fill below finished ground, m; negative above it. */
  fillTop?: Metres
}

export interface RepairChoice {
  method?: string
  hole?: Hole
  mix?: string
  filling?: string
  spur?: string
  fixing?: string
  pin?: string
}
