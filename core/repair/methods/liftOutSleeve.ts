import { row } from '../../tables/tables'
import type { SleevePart } from '../../tables/parts'
import { sectionProperties } from '../../timber/section'
import type { Metres } from '../../units/types'
import type { PostContext } from '../context'
import { designHole, holeSegments, holeSolids, toolWidth } from '../hole'
import { LEAST_COVER } from '../../concrete/cover'
import { sleevePlay, sleeveWarnings } from '../members/sleeve'
import { answersByTable, chosenPart, commonRefusals, oldOutSteps, verdictOf, type RepairMethod } from '../method'
import { newPostLink, newPostOf, postVariants, type NewPost } from '../newPost'
import { box, type Solid } from '../solids'
import { footingSolids, goneSolids, oldBlock, oldConcreteVolume } from '../standing'

const key = 'lift-out-sleeve'
/** A post that rocks more than this at its top rattles and works its sleeve loose, m. */
const MOST_PLAY: Metres = 0.015
/** Stone under the open foot, m. */
const DRAIN: Metres = 0.1
/** The rim over the ground, m. */
const RIM: Metres = 0.01

/** A sleeve cast into a new footing with its bottom open to stone: the post drops in and lifts out. */
export const liftOutSleeve: RepairMethod = {
  key,
  takesOut: ['post', 'footing'],
  comesOut: true,
  needs: ['post', 'sleeve'],
  answers: answersByTable(key),
  against(context) {
    const { post } = context
    const reasons = commonRefusals(context)
    if (!post.removable) reasons.push('Nobody asked for it to come out again: a fixed post holds better.')
    if (post.duties.includes('gate-hinge')) reasons.push('A leaf swings its post loose in a sleeve.')
    if (post.repair?.sleeve?.drains === false) reasons.push('The sleeve holds water: it wants an open bottom on stone.')
    if (post.repair?.setOrder === 'fill-first')
      reasons.push(
        'Pushed into poured concrete a sleeve fills from below and drags air with it: set it first, then pour.',
      )
    return reasons
  },
  variants(context) {
    const chosen = chosenPart(context, 'sleeve', '')
    const sleeves = context.tables.parts.lists.sleeve.rows.map((each) => each.key)
    return postVariants(context).flatMap((choice) =>
      (chosen ? [chosen] : sleeves).map((sleeve) => ({ ...choice, sleeve })),
    )
  },
  design(context, choice) {
    const { post, links, wind, line, site, says } = context
    const stands = newPostOf(context, choice)
    const sleeve = sleeveOf(context, choice.sleeve!)
    const outside = outsideOf(sleeve, stands)
    const width = toolWidth(context, Math.hypot(outside.along, outside.across) + 2 * LEAST_COVER)
    const hole = designHole(context, key, { stands: outside, width, stoneBed: DRAIN })
    const section = { shape: 'hollow', ...outside, wall: sleeve.wall } as const
    const steel = context.tables.materials.steel
    const play = sleevePlay(sleeve.clearance, sleeve.insertion, line.height)
    return {
      links: [
        newPostLink(context, stands),
        links.bent('sleeve', 'the wall of the sleeve at its rim', sectionProperties(section), steel, wind.height),
        context.ground('footing', 'the new footing', holeSegments(hole, outside.along)),
      ],
      checks: [{ check: 'play at the top', demand: play.topOffset, capacity: MOST_PLAY, unit: 'm' }],
      earthwork: {
        holes: [hole],
        fills: [
          {
            kind: 'concrete',
            hole: 0,
            castIn: { section: solidOf(outside), foot: sleeve.insertion },
            leftBy: oldBlock(context),
          },
        ],
        oldConcrete: oldConcreteVolume(context),
      },
      parts: [
        { kind: 'post', key: choice.post!, count: 1 },
        { kind: 'sleeve', key: choice.sleeve!, count: 1 },
      ],
      stands: () =>
        sleeveSolids(context, stands, sleeve, [
          ...goneSolids(footingSolids(post, 'dashed', 'old-footing')),
          ...holeSolids(hole),
        ]),
      newPost: { length: sleeve.insertion + post.top, section: stands.section },
      skips: oldOutSteps(context),
      cautions: [
        `Bolt a stop through the post ${says.length(sleeve.insertion)} above its foot, and measure from it.`,
        ...sleeveWarnings(RIM, true, site.frostDepth),
      ],
    }
  },
  verdict({ says }, { checks = [] }) {
    const play = checks.find(({ check }) => check === 'play at the top')!
    return verdictOf(
      play.demand > MOST_PLAY
        ? [
            `The post would rock ${says.small(play.demand)} at its top: ${says.small(MOST_PLAY)} is the most. A deeper or tighter sleeve.`,
          ]
        : [],
    )
  },
}

/** The row, with what was measured of the sleeve at hand. */
function sleeveOf({ tables, post }: PostContext, chosen: string): SleevePart {
  const { clearance, insertion } = post.repair?.sleeve ?? {}
  const part = row(tables.parts.lists.sleeve.rows, chosen)
  return { ...part, clearance: clearance ?? part.clearance, insertion: insertion ?? part.insertion }
}

function outsideOf({ clearance, wall }: SleevePart, { along, across }: NewPost) {
  const round = 2 * (clearance + wall)
  return { along: along + round, across: across + round }
}
const solidOf = (size: { along: Metres; across: Metres }) => ({ shape: 'rectangle', ...size }) as const

function sleeveSolids({ post }: PostContext, stands: NewPost, sleeve: SleevePart, below: Solid[]): Solid[] {
  const half = outsideOf(sleeve, stands).along / 2
  const { insertion } = sleeve
  return [
    ...below,
    {
      key: 'sleeve',
      matter: 'steel',
      outline: box(-half, half, -insertion, RIM),
      edge: 'solid',
      link: 'sleeve',
      note: 'open to the stone below',
    },
    {
      key: 'post',
      matter: stands.material.wood ? 'new-wood' : 'steel',
      outline: box(-stands.along / 2, stands.along / 2, -insertion, post.top),
      edge: 'solid',
      link: 'post',
    },
  ]
}
