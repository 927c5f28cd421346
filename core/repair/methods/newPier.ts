import type { Metres } from '../../units/types'
import type { PostContext } from '../context'
import { designHole, holeSegments } from '../hole'
import { footWidth, type DesignedHole } from '../holeShape'
import {
  bearingCheck,
  loadBearingCautions,
  loadBearingChecks,
  loadBearingParts,
  loadBearingRefusals,
  loadBearingVerdict,
  PIER_ABOVE,
} from '../members/loadBearing'
import { pierSolids } from '../members/pierSolids'
import { answersByTable, oldOutSteps, type RepairMethod } from '../method'
import { oldBlock, oldConcreteVolume } from '../standing'

const key = 'new-pier'
/** The narrowest pier that a base is fixed to, m; a working value. */
const LEAST_WIDTH: Metres = 0.25

/** A new pier to below the frost in a tube form, with an anchored base; the post is cut to length. */
export const newPier: RepairMethod = {
  key,
  takesOut: ['footing'],
  needs: ['prop', 'stand-off'],
  answers: answersByTable(key),
  against: loadBearingRefusals,
  variants: (context) => [loadBearingParts(context)],
  design(context, choice) {
    const hole = pierHole(context)
    return {
      links: [
        { ...context.ground('footing', 'the new pier in the ground', holeSegments(hole, hole.diameter)), of: 'bare' },
      ],
      checks: [
        bearingCheck(context, 'pressure under the pier', footWidth(hole), hole.footingBottom),
        ...loadBearingChecks(context, choice),
      ],
      earthwork: {
        holes: [hole],
        fills: [{ kind: 'concrete', hole: 0, leftBy: oldBlock(context) }],
        oldConcrete: oldConcreteVolume(context),
      },
      parts: [
        { kind: 'prop', key: choice.prop!, count: 2 },
        { kind: 'stand-off', key: choice['stand-off']!, count: 1 },
      ],
      stands: () => pierSolids(context, hole, { dowels: false }),
      cautions: loadBearingCautions(context),
      skips: oldOutSteps(context),
    }
  },
  verdict: (context, { checks }) => loadBearingVerdict(context, checks),
}

/** The narrowest tool whose pier the soil bears; the widest where none does. */
function pierHole(context: PostContext): DesignedHole {
  const { toolWidths } = context.tables.digging
  const open = toolWidths.filter((each) => each >= LEAST_WIDTH)
  const foot = designHole(context, key, { width: LEAST_WIDTH, fillTop: -PIER_ABOVE }).footingBottom
  const bears = (each: Metres) => {
    const { demand, capacity } = bearingCheck(context, 'pressure under the pier', each, foot)
    return demand <= capacity
  }
  const width = (context.soil && open.find(bears)) ?? (context.soil ? open.at(-1)! : open[0]!)
  return designHole(context, key, { stands: { along: width, across: width }, width, fillTop: -PIER_ABOVE })
}
