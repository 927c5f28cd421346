import type { Section } from '../timber/section'
import type { Kilograms, Metres, Minutes, NewtonMetres, Newtons, Pascals } from '../units/types'

export interface SpurPart {
  key: string
  name: string
  /** Square face, m. */
  size: Metres
  length: Metres
  momentCapacity: NewtonMetres
  mass: Kilograms
  /** Fixings above ground, m. */
  lowerFixing: Metres
  upperFixing: Metres
}

export type FixingPart =
  | { key: string; name: string; kind: 'bolt'; diameter: Metres; washer: Metres; stressArea: number; yield: Pascals }
  | { key: string; name: string; kind: 'screw'; diameter: Metres; thread: Metres }

export interface PinPart {
  key: string
  name: string
  section: Section
  diameter: Metres
  yield: Pascals
  /** Length up into the post, m. */
  insertion: Metres
}

/** Rates that turn quantities into minutes; working values. */
export interface WorkRates {
  /** Litres per minute in loam with a hand digger, and of old concrete with a breaker. */
  digging: number
  breaking: number
  mixingPerBag: Minutes
  placingPerBag: Minutes
}

export interface MethodRow {
  key: string
  name: string
  /** Set-up, fixing and clean-up around the digging and pouring, minutes. */
  fixedMinutes: Minutes
  steps: readonly MethodStep[]
  cautions: readonly string[]
}

export interface MethodStep {
  key: string
  text: string
  /** People skip it and come back for it. */
  doNotSkip?: boolean
}

export interface RepairParts {
  spurs: readonly SpurPart[]
  fixings: readonly FixingPart[]
  pins: readonly PinPart[]
  rates: WorkRates
  methods: readonly MethodRow[]
}

/** Two capacities of a part, N or N m. */
export interface Capacity {
  code: Newtons
  over: Newtons
}

/** Over a maker's or code capacity, where the part gives no other figure. */
export const OVER_CODE = 1.6
