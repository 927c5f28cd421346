import { showDepth } from '~~/core/plan/recommend'
import type { Thresholds } from '~~/core/plan/thresholds'
import type { DepthRulePlan, MethodPlan, PostPlan, StandingPlan } from '~~/core/plan/types'
import type { LengthSystem } from '~~/core/units/length'
import { showMinutes } from '~~/core/units/quantity'

export interface GustRow {
  key: string
  name: string
  /** A word below the name. */
  under?: string
  lean?: number
  over?: number
  /** The link that gives way first, when it is not the ground. */
  weakest?: string
  /** Why it is refused: drawn faint, with the reason on the line. */
  refused?: string
}

/* Rows of the gust scale, from the plan: nothing is worked out here. */

type ShowGust = (gust: number) => string

const GROUND_LINK = 'footing'

/** Where the ground starts to lean, if anything is still standing then. */
const leanOf = ({ leanGust: lean, holdingGust: over }: Thresholds): number | undefined =>
  lean !== undefined && over !== undefined && lean < over ? lean : undefined

/** What moves is shown as less than a figure; what has gone, or is not known, by its reason. */
function notHolding(
  { state, says, holdingGust, range }: StandingPlan,
  show: ShowGust,
): Pick<GustRow, 'over' | 'under' | 'refused'> {
  if (state === 'moves') return { over: holdingGust, under: 'less than this' }
  if (state === 'range') return { under: range!.map(show).join(' to '), refused: says }
  return { under: state === 'given-way' ? 'has given way' : 'not known', refused: says }
}

export function standingRow({ standing }: PostPlan, show: ShowGust): GustRow {
  if (standing.state !== 'holds') return { key: 'standing', name: 'As it stands', ...notHolding(standing, show) }
  const weakest = standing.links.find((link) => link.link === standing.weakest)
  return {
    key: 'standing',
    name: 'As it stands',
    lean: leanOf(standing),
    over: standing.holdingGust,
    weakest: weakest?.link === GROUND_LINK ? undefined : weakest?.name,
  }
}

export function methodRow(method: MethodPlan): GustRow {
  const weakest = method.links.find((link) => link.link === method.weakest)
  return {
    key: method.method,
    name: method.name,
    ...(method.verdict === 'refused' ? {} : { under: showMinutes(method.minutes) }),
    lean: leanOf(method),
    over: method.holdingGust,
    weakest: weakest?.link === GROUND_LINK ? undefined : weakest?.name,
    refused: refusalWords(method.reasons),
  }
}

/** The line has room for one reason; all of them stand beside the chosen method. */
function refusalWords([first, ...more]: string[]): string | undefined {
  return more.length > 0 ? `${first} And ${more.length} more.` : first
}

export function depthRow(rule: DepthRulePlan, units: LengthSystem): GustRow {
  return {
    key: rule.rule,
    name: rule.depth === null ? 'no depth' : showDepth(rule.depth, units),
    under: rule.name,
    lean: rule.lean,
    over: rule.over,
    refused: rule.depth === null ? rule.assumes : undefined,
  }
}
