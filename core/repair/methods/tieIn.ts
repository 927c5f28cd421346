import { OVER_CODE } from '../../tables/parts'
import { row } from '../../tables/tables'
import type { Metres } from '../../units/types'
import type { PostContext } from '../context'
import { fixingShear } from '../fixings'
import type { LinkCapacity } from '../links'
import { RAIL_BENDING, railsOf } from '../members/rails'
import {
  answersByTable,
  chosenPart,
  commonRefusals,
  lookFirst,
  soldHere,
  verdictOf,
  type RepairMethod,
} from '../method'
import { box, type Solid } from '../solids'
import { isBroken, standardFootingLink, standingFootingLink, standingPostLink, turnsByHand } from '../standing'

const key = 'tie-in'
/** What the neighbour is asked to carry beside its own, over what it carries now. */
const NEIGHBOUR_LOAD = 1.5
/** Extra rails, one over the other, each with so many long fixings at an end. */
const RAILS = 2
const FIXINGS_AN_END = 2
/** Over the ground, as drawn, m. */
const HEIGHTS = [0.35, 0.8]
/** Two bays are tied to a post that stands. */
const BAYS = 2

/** A decayed end or corner held by the post beside it, for a year at most. */
export const tieIn: RepairMethod = {
  key,
  isStopGap: true,
  takesOut: [],
  needs: ['rail', 'fixing'],
  answers: answersByTable(key),
  against(context) {
    const { post, material } = context
    const reasons = commonRefusals(context)
    if (post.duties.some((duty) => duty.startsWith('gate'))) reasons.push('A gate pulls the tie loose.')
    if (!post.duties.some((duty) => duty === 'end' || duty === 'corner'))
      reasons.push('Only an end or a corner hangs on one bay: this post carries two.')
    if (!material.wood) reasons.push(`A ${material.name.toLowerCase()} post takes no long fixings.`)
    const beside = neighboursOf(context)
    if (beside.length === 0) reasons.push('No post stands beside it.')
    else if (beside.every((each) => hasGone(each))) reasons.push('The post beside it moves as well.')
    return reasons
  },
  variants: (context) => {
    const { fixing } = context.tables.parts.lists
    const screw = soldHere(context, fixing.rows).find(({ kind }) => kind === 'screw')!.key
    return [{ rail: railsOf(context).key, fixing: chosenPart(context, 'fixing', screw) }]
  },
  design(context, choice) {
    const neighbour = neighboursOf(context).find((each) => !hasGone(each))
    return {
      links: [tieRail(context, neighbour), tieFixings(context, choice.fixing!), ...neighbourLinks(context, neighbour)],
      parts: [
        { kind: 'rail', key: choice.rail!, count: RAILS, length: tieLength(context, neighbour) },
        { kind: 'fixing', key: choice.fixing!, count: RAILS * FIXINGS_AN_END * BAYS },
      ],
      stands: () => tieSolids(context, neighbour),
      cautions: ['A year at most: write the date of its end on the sheet.'],
    }
  },
  verdict(context) {
    const neighbour = neighboursOf(context).find((each) => !hasGone(each))
    const seen = neighbour?.post.observations.pushPivot
    return seen
      ? verdictOf([])
      : lookFirst([], `Push ${neighbour?.post.id ?? 'the post beside it'} first: it has to hold both.`)
  },
}

const neighboursOf = (context: PostContext) => context.neighbours()
const hasGone = (context: PostContext): boolean => turnsByHand(context) || isBroken(context)

/** Over both bays; the second one is taken for as long as the first. */
const tieLength = ({ post }: PostContext, neighbour: PostContext | undefined): Metres =>
  BAYS * Math.abs((neighbour?.post.station ?? post.station) - post.station)

/** An extra rail reaches over two bays; the post at its end is half of one bay's wind. */
function tieRail(context: PostContext, neighbour: PostContext | undefined): LinkCapacity {
  const { post, links, wind } = context
  const bay: Metres = neighbour ? Math.abs(neighbour.post.station - post.station) : 1
  const { section } = railsOf(context)
  const code = (RAIL_BENDING * RAILS * section.along * section.across ** 2) / 6
  return links.proportional('rails', 'the extra rails past the post beside it', {
    code,
    over: code * OVER_CODE,
    perNewton: bay,
    used: ({ across, along }) => ((Math.abs(across.moment) + Math.abs(along.moment)) / wind.height) * bay,
  })
}

/**
 * Long fixings in shear at the post beside it: the reach of the rails over one more bay doubles what they carry.
 *
 * @source a beam over two supports a bay apart, loaded a bay beyond: 2 P at the near one
 */
function tieFixings({ links, material, tables, across, wind }: PostContext, fixing: string): LinkCapacity {
  const shear = fixingShear(row(tables.parts.lists.fixing.rows, fixing), material, across)
  const count = RAILS * FIXINGS_AN_END
  return links.proportional('tie-fixings', 'the long fixings', {
    code: shear.code * count,
    over: shear.over * count,
    perNewton: BAYS,
    used: (each) => ((Math.abs(each.across.moment) + Math.abs(each.along.moment)) / wind.height) * BAYS,
  })
}

/** What holds the neighbour, under half as much again as it carries now, on this post's own scale. */
function neighbourLinks(context: PostContext, neighbour: PostContext | undefined): LinkCapacity[] {
  if (!neighbour) return []
  const footing = standingFootingLink(neighbour) ?? standardFootingLink(neighbour)
  const share = context.forceAtUnitGust / (NEIGHBOUR_LOAD * neighbour.forceAtUnitGust)
  const onThis = ({ lean, over, code, ...link }: LinkCapacity): LinkCapacity => ({
    ...link,
    link: `neighbour-${link.link}`,
    name: `${neighbour.post.id} beside it: ${link.name}`,
    ...(lean === undefined ? {} : { lean: lean * share }),
    ...(over === undefined ? {} : { over: over * share }),
    ...(code === undefined ? {} : { code: code * share }),
  })
  return [standingPostLink(neighbour), ...(footing ? [footing] : [])].map(onThis)
}

function tieSolids({ post }: PostContext, neighbour: PostContext | undefined): Solid[] {
  const to = neighbour ? neighbour.post.station - post.station : 1
  const [left, right] = [Math.min(0, to), Math.max(0, to)]
  return [
    ...HEIGHTS.map(
      (height, i): Solid => ({
        key: `rail-${i}`,
        matter: 'new-wood',
        outline: box(left, right, height, height + 0.09),
        edge: 'solid',
        ...(i === 0 ? { link: 'rails', note: 'extra rails to the sound post' } : {}),
      }),
    ),
  ]
}
