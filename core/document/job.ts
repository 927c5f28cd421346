import type { Section } from '../timber/section'
import type { Kilograms, Metres, MetresPerSecond, Pascals, Years } from '../units/types'
import type { Observations, Reading } from '../cause/observations'

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
  /** Reading of the rod, or height of the level line, at the first post, m: ground levels count from it. */
  levelReference?: Metres
  /** What lies or stands along the line. */
  marks?: Mark[]
  /** The line on the earth: longitude, latitude in degrees and, where known, height in metres. */
  course?: Coordinates[]
  posts: Post[]
}

export type Coordinates = [longitude: number, latitude: number] | [longitude: number, latitude: number, height: Metres]

export const MARK_KINDS = ['service', 'root', 'downpipe', 'wall', 'tree'] as const
export type MarkKind = (typeof MARK_KINDS)[number]
export const SERVICES = ['electricity', 'gas', 'water', 'drain', 'telecom', 'unknown'] as const
export type Service = (typeof SERVICES)[number]

/** Something along the line that a hole has to keep clear of. */
export interface Mark {
  id: string
  kind: MarkKind
  station: Metres
  /** To the side of the line, m: positive to its right, looking along it; 0 crosses it. */
  offset?: Metres
  /** Diameter of a root or trunk, m. */
  size?: Metres
  /** What a service carries. */
  service?: Service
  note?: string
}

/** A photograph of a post; the picture itself is stored beside the document, under its identity. */
export interface Photograph {
  id: string
  /** Where on the post it is pinned, m above the ground; below it negative. */
  height?: Metres
  pixelWidth: number
  pixelHeight: number
  at?: string
  by?: string
  note?: string
  /** Where it was taken, degrees: only when somebody chose to keep it. */
  place?: { latitude: number; longitude: number }
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
  /** What is held true of the post now. */
  observations?: Observations
  /** Every reading that was made, with time and person; none overwrites another. */
  readings?: Reading[]
  photographs?: Photograph[]
  /** Contributing conditions that only a person sees, by key. */
  conditions?: string[]
  judgement?: Judgement
  repair?: RepairChoice
}

/** What a person says of the cause, beside what the readings say: both are kept. */
export interface Judgement {
  /** "I know better." */
  overruled?: Verdict
  /** What digging showed. */
  found?: Verdict
  /** Why the work goes on although a red flag stands. */
  cleared?: { note: string; at: string; by?: string }
}

export interface Verdict {
  cause: string
  note: string
  at: string
  by?: string
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
