import { row } from '../../tables/tables'
import type { Newtons } from '../../units/types'
import { roundUpTo } from '../../numeric/rounding'
import { WORKING_STEP } from '../../units/step'
import type { PostContext } from '../context'
import type { DesignedHole } from '../holeShape'
import {
  bearingCheck,
  loadBearingCautions,
  loadBearingChecks,
  loadBearingParts,
  loadBearingRefusals,
  loadBearingVerdict,
  PIER_ABOVE,
} from '../members/loadBearing'
import { answersByTable, type Check, type Choice, type RepairMethod } from '../method'
import { isFootingLoose, isFootingPoor, oldBlock, standingFootingLink } from '../standing'
import { pierSolids } from '../members/pierSolids'

const key = 'raise-pier'
/** Into the old pier, and the share of its yield that a dowel takes in shear. */
const DOWELS = 4
const SHEAR = 0.6 / Math.sqrt(3)
/** Ground is opened round the head of the old pier, m. */
const LEAST_DIG = 0.2

/** The load propped, the post cut, the old pier dowelled and cast up over the ground, the load let down on a base. */
export const raisePier: RepairMethod = {
  key,
  takesOut: [],
  needs: ['prop', 'stand-off', 'dowel'],
  answers: answersByTable(key),
  against(context) {
    const reasons = loadBearingRefusals(context)
    if (reasons.length > 0) return reasons
    if (!oldBlock(context)) reasons.push('The old pier is not measured: dig to its foot.')
    if (isFootingPoor(context)) reasons.push('The old pier is not worth building on: a new one.')
    if (isFootingLoose(context)) reasons.push('The old pier itself moves: a new one.')
    return reasons
  },
  variants: (context) =>
    context.tables.parts.lists.dowel.rows.map((each) => ({ ...loadBearingParts(context), dowel: each.key })),
  design(context, choice) {
    const hole = headOf(context)
    const footing = standingFootingLink(context)
    return {
      links: footing ? [{ ...footing, name: 'the old pier in the ground', of: 'bare' }] : [],
      checks: [...pierChecks(context, choice), ...loadBearingChecks(context, choice)],
      earthwork: { holes: [hole], fills: [{ kind: 'concrete', hole: 0 }] },
      parts: [
        { kind: 'prop', key: choice.prop!, count: 2 },
        { kind: 'stand-off', key: choice['stand-off']!, count: 1 },
        { kind: 'dowel', key: choice.dowel!, count: DOWELS },
      ],
      stands: () => pierSolids(context, hole, { dowels: true }),
      cautions: loadBearingCautions(context),
    }
  },
  verdict: (context, { checks }) => loadBearingVerdict(context, checks),
}

/** The old pier cast up: as wide as it is, from its head to over the ground. */
function headOf(context: PostContext): DesignedHole {
  const { diameter = 0.3, top = 0 } = oldBlock(context) ?? {}
  const depth = Math.max(roundUpTo(LEAST_DIG, WORKING_STEP[context.tables.units]), top)
  return { shape: 'round', diameter, depth, stoneBed: 0, fillTop: -PIER_ABOVE, footingBottom: depth, rule: 'old-pier' }
}

function pierChecks(context: PostContext, { dowel }: Choice): Check[] {
  const { wind, tables } = context
  const { diameter: across = 0.3, bottom = LEAST_DIG } = oldBlock(context) ?? {}
  const { diameter, yield: yields } = row(tables.parts.lists.dowel.rows, dowel!)
  const capacity: Newtons = (DOWELS * SHEAR * yields * Math.PI * diameter ** 2) / 4
  return [
    bearingCheck(context, 'pressure under the old pier', across, bottom),
    { check: 'shear in the dowels', demand: wind.force, capacity, unit: 'N' },
  ]
}
