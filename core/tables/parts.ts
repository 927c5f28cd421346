import type { Cause } from '../cause/tables'
import type { Milestone } from '../concrete/setting'
import type { CarriedRow } from '../repair/members/carried'
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
  /** Made for its fixings, across, where somebody has measured it. */
  hole?: Metres
  /** Two of them, one on each face of the post, bolted through; one when absent. */
  isPair?: true
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

/** Plates or a stirrup between the old concrete and sound wood, with two bolts. */
export interface MenderPart extends PartRow {
  /** Allowable, of all of it, N m. */
  momentCapacity: NewtonMetres
  /** Bolts above the old concrete, m. */
  lowerBolt: Metres
  upperBolt: Metres
  /** Of a bolt, m. */
  bolt: Metres
}

/** A sleeve that is cast in and lets the post come out again. */
export interface SleevePart extends PartRow {
  wall: Metres
  /** Of the post in it, m. */
  insertion: Metres
  /** Round the post on each side, m. */
  clearance: Metres
  yield: Pascals
}

/** A stick of timber for rails and props. */
export interface TimberPart extends PartRow {
  section: { along: Metres; across: Metres }
}

/** A base that keeps a post off its pier, with its maker's figures. */
export interface StandOffPart extends PartRow {
  compression: Newtons
  uplift: Newtons
  lateral: Newtons
}

/** A dowel between old concrete and new. */
export interface DowelPart extends PartRow {
  diameter: Metres
  yield: Pascals
}

/** A bar that is driven in to hold the foot of a prop. */
export interface StakePart extends PartRow {
  diameter: Metres
  driven: Metres
}

/** Rates that turn quantities into minutes; working values. */
export interface WorkRates {
  /** Litres per minute in loam with a hand digger, and of old concrete with a breaker. */
  digging: number
  breaking: number
  mixingPerBag: Minutes
  placingPerBag: Minutes
  /** To tamp one layer of stone or soil. */
  tampingPerLayer: Minutes
  /** To put one set of tools away and lay out another: each way of working on a line beyond the first. */
  changeover: Minutes
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
  /** What it bonds with, by the key of a resin: that has a clock of its own. */
  resin?: string
  /** Causes that it takes away, beside those that name it. */
  answers?: readonly Cause[]
}

export interface MethodStep extends StepFacts {
  key: string
  text: string
  /** People skip it and come back for it. */
  doNotSkip?: boolean
}

/** Work that is counted by its quantity. */
export const COUNTED_WORK = ['digging', 'breaking', 'mixing', 'placing', 'tamping'] as const
export type CountedWork = (typeof COUNTED_WORK)[number]

/** What a step is made of; told once for the steps of one key, or of one method by itself. */
export interface StepFacts {
  /** Why it is not to be skipped: what happens to those who do. */
  why?: string
  /** What is read off and written down when it is done; a tick where there is nothing to measure. */
  measure?: string
  /** People that it wants; one when absent. */
  hands?: number
  /** Steps by their keys that have to be done before. */
  first?: readonly string[]
  /** What the concrete of this post has to carry before it is begun; and what comes too late once it is stiff. */
  waits?: Milestone['key']
  before?: 'stiff'
  /** Waiting of its own, by the clock, before the next step, minutes. */
  leave?: Minutes
  /** Counted work that is done in it. */
  does?: readonly CountedWork[]
  /** Beside digging, mixing and lifting, which follow from what it does. */
  skill?: 'saw'
  /** Rails or panels hang loose from here until the new post stands in its props. */
  loosens?: true
  /** The post stands and is propped from here on. */
  sets?: true
  /** Its name in a plan of the day. */
  short?: string
  /** Of the method's other minutes, against 1 for an ordinary step. */
  share?: number
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
  mender: PartList<MenderPart>
  sleeve: PartList<SleevePart>
  rail: PartList<TimberPart>
  prop: PartList<TimberPart>
  'stand-off': PartList<StandOffPart>
  dowel: PartList<DowelPart>
  stake: PartList<StakePart>
}

export interface RepairParts {
  lists: PartLists
  rates: WorkRates
  /** What floors and roofs weigh. */
  carried: readonly CarriedRow[]
  methods: readonly MethodRow[]
  /** By the key of a step. */
  steps: Readonly<Record<string, StepFacts>>
}

/** Two capacities of a part, N or N m. */
export interface Capacity {
  code: Newtons
  over: Newtons
}

/** Over a maker's or code capacity, where the part gives no other figure. */
export const OVER_CODE = 1.6
