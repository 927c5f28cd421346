import type { Metres } from '../../units/types'
import { nextTo, type PostContext } from '../context'
import { designHole } from '../hole'
import type { DesignedHole } from '../holeShape'
import { bentRail, railsOf } from '../members/rails'
import { answersByTable, commonRefusals, type Design, type RepairMethod } from '../method'
import { newPostOf, postVariants } from '../newPost'
import { movedBy } from '../solids'
import { footingSolids, oldBlock } from '../standing'
import { castPost } from './newPostConcrete'

const key = 'beside-the-old'
/** Between old concrete and new, m. */
const APART: Metres = 0.05
/** Panels of a set width leave no choice where a post stands. */
const SET_WIDTH = ['panel', 'vinyl']

/** New post a little along, the old footing left in the ground: rails are lengthened or packed. */
export const besideTheOld: RepairMethod = {
  key,
  takesOut: ['post', 'footing'],
  needs: ['post', 'rail'],
  answers: answersByTable(key),
  // For a block that nobody gets out.
  unsuited: () => true,
  against(context) {
    const { post, line } = context
    const reasons = commonRefusals(context)
    if (!oldBlock(context)) reasons.push('No old block is measured that would be in the way.')
    if (SET_WIDTH.includes(line.kind)) reasons.push('Panels of a set width leave the post where it stands.')
    if (post.duties.some((duty) => duty.startsWith('gate'))) reasons.push('A gate post stands where its gate wants it.')
    if (line.kind === 'single') reasons.push('A single post has no bay to move along.')
    return reasons
  },
  variants: (context) => postVariants(context).map((choice) => ({ ...choice, rail: railsOf(context).key })),
  design(context, choice) {
    const hole = designHole(context, key, { stands: newPostOf(context, choice) })
    const shift = shiftOf(context, hole)
    const cast = castPost(context, choice, hole)
    const { says } = context
    const bay = longestBay(context) + shift
    return {
      ...cast,
      links: [...cast.links, bentRail(context, { name: 'the rails over the longer bay', length: bay })],
      // The old block stays where it is: nothing is broken out, and no room of it is filled.
      earthwork: {
        holes: [hole],
        fills: cast.earthwork!.fills.map(({ leftBy: _left, ...fill }) => fill),
      },
      parts: [...cast.parts, { kind: 'rail', key: choice.rail!, count: railsOf(context).count, length: bay }],
      stands: () => besideSolids(context, cast, shift),
      cautions: [
        `The post moves along by ${says.length(shift)}: one bay becomes ${says.length(bay)}, its rails are lengthened or renewed.`,
        'The old block stays in the ground: mark it on the sheet for whoever digs next.',
      ],
    } satisfies Design
  },
}

/** From the middle of the old block to that of the new. */
const shiftOf = (context: PostContext, { diameter }: DesignedHole): Metres =>
  (oldBlock(context)?.diameter ?? 0) / 2 + APART + diameter / 2

/** The longer of the bays beside the post, m. */
function longestBay({ post, line }: PostContext): Metres {
  return nextTo(post, line).reduce((most, { station }) => Math.max(most, Math.abs(station - post.station)), 0)
}

function besideSolids(context: PostContext, cast: Design, shift: Metres) {
  return [
    ...footingSolids(context.post, 'thin', 'old-footing'),
    ...movedBy(
      cast.stands().filter(({ key: of }) => of !== 'old-footing'),
      shift,
    ),
  ]
}
