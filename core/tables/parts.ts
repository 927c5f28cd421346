import type { Cause } from '../cause/tables'
import type { Section } from '../timber/section'
import type { LengthSystem } from '../units/length'
import type { Kilograms, Metres, Minutes, NewtonMetres, Newtons, Pascals } from '../units/types'

/** A thing that repairs are made with: one row of the list of its kind. */
export interface PartRow {
  key: string
  name: string
  /** Sold where people measure so; everywhere when absent. */
  soldIn?: LengthSystem
}

export interface SpurPart extends PartRow {
  /** Square face, m. */
  size: Metres
  length: Metres
  momentCapacity: NewtonMetres
  mass: Kilograms
  /** Fixings above ground, m. */
  lowerFixing: Metres
  upperFixing: Metres
}

export type FixingPart = PartRow &
  (
    | { kind: 'bolt'; diameter: Metres; washer: Metres; stressArea: number; yield: Pascals }
    | { kind: 'screw'; diameter: Metres; thread: Metres }
  )

export interface PinPart extends PartRow {
  section: Section
  diameter: Metres
  yield: Pascals
  /** Length up into the post, m. */
  insertion: Metres
}

/** A new post; without a section it has that of the old one. */
export interface PostPart extends PartRow {
  section?: Section
}

/** An anchor of a base plate. */
export interface AnchorPart extends PartRow {
  /** In the slab, m. */
  depth: Metres
  /** Steel in tension, N. */
  tension: Newtons
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
  /** What it wants brought beside its parts and its concrete, in words. */
  bring: readonly string[]
  /** Causes that it takes away, beside those that name it. */
  answers?: readonly Cause[]
}

export interface MethodStep {
  key: string
  text: string
  /** People skip it and come back for it. */
  doNotSkip?: boolean
}

/** Parts of one kind, to choose from; `name` as it stands over them. */
export interface PartList<R extends PartRow = PartRow> {
  name: string
  rows: readonly R[]
}
/** Lists by the kind of part; those that the program computes with have their own types. */
export type PartLists = Readonly<Record<string, PartList>> & {
  spur: PartList<SpurPart>
  fixing: PartList<FixingPart>
  pin: PartList<PinPart>
  post: PartList<PostPart>
  'rail-fixing': PartList<FixingPart>
  anchor: PartList<AnchorPart>
}

export interface RepairParts {
  lists: PartLists
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
