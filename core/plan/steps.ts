import { mixPour, MILESTONES, setting, type Celsius, type Hours, type Milestone } from '../concrete/setting'
import { countedMinutes, type WorkQuantities } from './minutes'
import type { PostContext } from '../repair/context'
import { methodRow, type Design, type RepairMethod } from '../repair/method'
import { COUNTED_WORK, type CountedWork, type MethodStep } from '../tables/parts'
import { row } from '../tables/tables'
import type { Minutes } from '../units/types'
import { planConcrete, planPacked } from './concrete'
import { workOf } from './work'

/** One step as it is done on this post. */
export interface StepPlan {
  key: string
  text: string
  /** Why it is not to be skipped; absent where nobody skips it. */
  doNotSkip?: string
  /** What is read off and written down; a tick where there is nothing to measure. */
  measure?: string
  minutes: Minutes
  hands: number
  /** Steps that have to be done before, by their number in the list, from 1. */
  first: number[]
  /** Wait until the concrete can do this. */
  after?: { milestone: Milestone['key']; says: string; hours: Hours }
  /** Too late when the concrete is stiff. */
  within?: Minutes
  /** To be left alone afterwards. */
  leave?: Minutes
}

/** In the ground of a working day, where nobody has measured: later than most bags say, and nobody is hurt by that. */
export const GROUND_TEMPERATURE: Celsius = 10

/**
 * The steps of a method on one post, in their order: what the facts leave nothing to do for is left out, and the work
 * that goes by quantity stands where it is done, so that the minutes add up to those of the method.
 *
 * @example a new post in concrete in fast post mix at 10 °C: plumb again within 10 min, panels back after 30 h
 */
export function planSteps(method: RepairMethod, design: Design, context: PostContext): StepPlan[] {
  const { tables } = context
  const facts = methodRow(method.key, context)
  const left = skipped(design, context)
  const paces = new Map(
    tables.learnt.flatMap(({ kind, task, median }) => (kind === 'minutes' && task ? [[task, median]] : [])),
  )
  const steps = facts.steps
    .filter(({ key }) => !left.has(key))
    .map((step): MethodStep => ({ ...tables.parts.steps[step.key], ...step }))
  const concrete = planConcrete(design.earthwork, context)
  const minutes = minutesOf(
    steps,
    workOf(method, design, context, concrete, planPacked(design.earthwork, context)),
    context,
  )
  const pour = concrete && setting({ ...mixPour(row(tables.mixes, concrete.mix)), temperatures: [GROUND_TEMPERATURE] })
  return steps.map(
    ({ key, text, doNotSkip, why, measure, hands = 1, first = [], waits, before, leave }, i): StepPlan => {
      const result: StepPlan = {
        key,
        text,
        minutes: minutes[i]! * (paces.get(key) ?? 1),
        hands,
        first: numbersOf(first, steps),
      }
      if (doNotSkip) result.doNotSkip = why ?? ''
      if (measure) result.measure = measure
      if (leave) result.leave = leave
      const hours = waits && pour?.milestones[waits]
      if (hours) result.after = { milestone: waits, says: MILESTONES.find((each) => each.key === waits)!.says, hours }
      if (before && pour?.workingMinutes) result.within = pour.workingMinutes
      return result
    },
  )
}

const numbersOf = (keys: readonly string[], steps: readonly MethodStep[]): number[] =>
  keys.map((wanted) => steps.findIndex(({ key }) => key === wanted) + 1).filter((number) => number > 0)

/** Steps that the facts leave nothing to do for. */
function skipped({ skips = [], earthwork }: Design, { leafMoment }: PostContext): ReadonlySet<string> {
  const hasBed = earthwork?.holes.some(({ stoneBed }) => stoneBed > 0)
  return new Set([...skips, ...(hasBed ? [] : ['stone-bed']), ...(leafMoment > 0 ? [] : ['hang-leaf'])])
}

/** Counted work goes to the steps that do it, in even parts; what no step does, and the rest, goes by shares. */
function minutesOf(steps: readonly MethodStep[], work: WorkQuantities, { tables }: PostContext): Minutes[] {
  const counted = countedMinutes(work, tables.parts.rates)
  const doing = (kind: CountedWork) => steps.filter(({ does = [] }) => does.includes(kind)).length
  const nobodys = COUNTED_WORK.filter((kind) => doing(kind) === 0).reduce((sum, kind) => sum + counted[kind], 0)
  const shares = steps.reduce((sum, { share = 1 }) => sum + share, 0)
  return steps.map(
    ({ does = [], share = 1 }) =>
      ((work.fixedMinutes + nobodys) * share) / shares +
      does.reduce((sum, kind) => sum + counted[kind] / doing(kind), 0),
  )
}
