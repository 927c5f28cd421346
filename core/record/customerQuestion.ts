import type { Cause } from '../cause/tables'
import type { Job } from '../document/job'
import type { PostAddress } from '../edit/changes'
import type { MethodPlan, PostPlan } from '../plan/types'
import type { StepPlan } from '../plan/steps'
import type { Solid } from '../repair/solids'
import type { ResolvedPost } from '../resolve/resolve'
import type { PlumbYears, StandingYears } from '../survive/years'
import type { Tables } from '../tables/tables'
import type { Measures } from '../units/quantity'
import type { HourlyAir, Moment } from '../weather/forecast'

/** What a customer is handed of one post: read in under two minutes. */
export interface CustomerPage {
  title: string
  place: string
  /** Paragraphs by their heading, in their order; headings without one are left out. */
  parts: { title: string; says: string[] }[]
  /** What else was possible, with its price and what it holds. */
  others: { name: string; price: string; stands: string }[]
  /** As built where that was measured, else as planned. */
  stands: Solid[]
  /** Of the hole, where there is one, m. */
  depth?: number
  /** How long it stands plumb, from a year of the calendar on, to be drawn. */
  years?: { curve: PlumbYears; from: number; fenceYears: number; says: string[] }
}

export interface CustomerQuestion {
  job: Job
  at: PostAddress
  post: ResolvedPost
  plan: PostPlan
  /** The way that is taken, or proposed. */
  method: MethodPlan
  steps: readonly StepPlan[]
  /** What it leaves in the ground. */
  stands: readonly Solid[]
  /** Of the other ways: their prices in words, by method; nothing of those that nobody priced. */
  prices: Readonly<Record<string, string>>
  /** What was said before it was dug, where it was. */
  thought?: Cause
  /** How long this way stands, where that was reckoned. */
  years?: StandingYears
  now: Moment
  tables: Tables
  says: Measures
  air?: HourlyAir
}
