import type { Condition } from '../cause/conditions'
import type { Diagnosis } from '../cause/diagnose'
import type { PostState } from '../cause/state'
import type { Cause } from '../cause/tables'
import type { BagOrder } from '../concrete/bags'
import type { FillQuantities } from '../concrete/fill'
import type { HoleVolumes } from '../concrete/volume'
import type { DesignedHole } from '../repair/holeShape'
import type { Link } from '../repair/links'
import type { Check, Design, Verdict } from '../repair/method'
import type {
  CubicMetres,
  Kilograms,
  Metres,
  MetresPerSecond,
  Minutes,
  NewtonMetres,
  Newtons,
  Years,
} from '../units/types'
import type { Experience } from '../wind/experience'
import type { TargetBy } from '../wind/target'
import type { LineExperience } from './line/experience'
import type { Thresholds } from './thresholds'
import type { Assumption, MeasuredGround } from '../resolve/resolve'

export const PLAN_FORMAT = 'vindex-plan'
export const PLAN_VERSION = 1

export interface Plan {
  format: typeof PLAN_FORMAT
  version: typeof PLAN_VERSION
  /** A repair holds when it goes over at `gust` at least, and leans at `leanGust` at least. */
  target: {
    gust: MetresPerSecond
    returnYears: Years
    leanGust: MetresPerSecond
    leanReturnYears: Years
    gust50: MetresPerSecond
    by: TargetBy
  }
  /** Share of the computed wind that counts, and what the history of a line made of it. */
  experience: Experience & { byLine: Record<string, LineExperience> }
  assumed: Assumption[]
  /** Of each line the one dig that tells most, where one tells for several posts. */
  digs: LineDig[]
  posts: PostPlan[]
}

/** The one dig that tells most for a whole line. */
export interface LineDig {
  line: string
  post: string
  /** What it is worth over all the posts that it speaks for, in visits. */
  worth: number
  /** Posts beside its own. */
  speaksFor: string[]
}

export interface PostPlan {
  line: string
  post: string
  /** What is asked of its repairs: the site's own, or what its line asks for. */
  target: Plan['target']
  /** What pulls say of its ground. */
  measured?: MeasuredGround
  /** `force` is at the target gust, `gust`. */
  wind: { coefficient: number; force: Newtons; height: Metres; gust: MetresPerSecond }
  /** A hung leaf's moment about its post, N m, and the pull of its hinges, N. */
  gate?: { moment: NewtonMetres; hingeForce?: Newtons }
  diagnosis: Diagnosis & {
    /** What stops the ordinary flow, and whom to call. */
    redFlags: string[]
    /** A person has said why the work goes on all the same. */
    cleared: boolean
    conditions: Condition[]
    /** Only a failed or an unsettled post is asked for a repair. */
    state: PostState
    /** Causes that the repair must answer, and who says so. */
    inForce: Cause[]
    decidedBy: 'readings' | 'technician' | 'digging'
  }
  standing: StandingPlan
  methods: MethodPlan[]
  depthRules: DepthRulePlan[]
  /** Absent where nothing has to be mended, or nobody has looked, and nobody chose a repair. */
  recommended?: { method: string; diameter?: Metres; depth?: Metres; because: string }
}

export interface StandingPlan extends Thresholds {
  /**
   * What can be said of it: a figure; a range, since its footing is not measured; less than a figure, since it moves;
   * that it has given way; that nothing is known.
   */
  state: 'holds' | 'range' | 'moves' | 'given-way' | 'not-known'
  links: Link[]
  weakest?: string
  /** Least and most that it is likely to hold, m/s. */
  range?: [least: MetresPerSecond, most: MetresPerSecond]
  /** Why, in words. */
  says?: string
}

export interface MethodPlan extends Thresholds {
  method: string
  name: string
  verdict: Verdict['verdict']
  allowed: boolean
  reasons: string[]
  links: Link[]
  /** Link that gives way first. */
  weakest?: string
  /** Goes over at the target's gust at least, and leans at the lean target's at least. */
  holdsTarget: boolean
  hole?: DesignedHole
  concrete?: ConcretePlan
  /** Stone or soil in its place, tamped in layers. */
  packed?: PackedPlan
  /** What is no link on the scale of gusts. */
  checks: Check[]
  parts: Design['parts'][number][]
  /** The post to buy, from its foot to the top of the fence, m. */
  newPost?: {
    length: Metres
    /** What a third of it in the ground would be, by custom. */
    third: Metres
    /** The shortest that is sold and long enough. */
    stock?: Metres
    /** What the post at hand is short of it, where somebody said how long that is; 0 where it will do. */
    short?: Metres
  }
  /** Of one that cannot be done, without any digging. */
  minutes: Minutes
  cautions: string[]
  leavesUnsolved: string[]
  /** Sound parts that it takes out. */
  wastes: ('post' | 'footing')[]
  /** The post can be lifted out afterwards. */
  comesOut: boolean
  /** Open here, but nobody would take it before another that does as much. */
  unsuited: boolean
}

/** A hole that is filled with stone or soil, tamped. */
export interface PackedPlan {
  filling: string
  overdig: number
  overdigFrom?: string
  /** Dug, filled and left over, m³; the spoil is loose. */
  hole: CubicMetres
  volume: CubicMetres
  spoil: CubicMetres
  /** Layers and mass as they lie tamped. */
  fill: FillQuantities
  oldConcrete?: ConcretePlan['oldConcrete']
}

export interface ConcretePlan extends HoleVolumes {
  /** So many holes alike, all of them counted; one when absent. */
  holes?: number
  mix: string
  filling: string
  overdig: number
  /** Where these were learnt, in words: the over-dig, and what bags are bought by. */
  overdigFrom?: string
  bagsFrom?: string
  bags: BagOrder
  /** Layers and litres to count while filling. */
  fill: FillQuantities
  /** Least concrete round what stands in it, m. */
  cover: Metres
  /** What is wrong with the hole or its filling, in words. */
  warnings: string[]
  oldConcrete?: { volume: CubicMetres; mass: Kilograms; lifts: number }
}

export interface DepthRulePlan {
  rule: string
  name: string
  assumes: string
  /** Bottom of the footing below finished ground, m; null where the rule gives none. */
  depth: Metres | null
  lean?: MetresPerSecond
  over?: MetresPerSecond
  code?: MetresPerSecond
  returnYears?: Years
}
