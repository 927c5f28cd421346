import { groundThreshold } from '../../ground/postInGround'
import { apparentCohesion, ignoredTop } from '../../ground/soil'
import { row } from '../../tables/tables'
import { columnCapacity } from '../../timber/column'
import type { Metres, Newtons } from '../../units/types'
import type { PostContext } from '../context'
import type { LinkCapacity } from '../links'
import { propTimber } from '../members/props'
import { loadBearingCautions, loadBearingChecks, loadBearingParts, PROPS } from '../members/loadBearing'
import { answersByTable, soldHere, type Design, type RepairMethod } from '../method'
import { box, type Solid } from '../solids'

const key = 'make-safe'
/** The head of a prop up the post, as a share of the fence's height; its foot goes out as far. */
const HEAD_SHARE = 2 / 3
/** The prop bears on its stake this high, m. */
const AT_STAKE: Metres = 0.1
/** Half a prop's width as drawn, m. */
const DRAWN: Metres = 0.03

/** A prop and a stake on either side: today only, and by the bare formulas, for people stand beside it. */
export const makeSafe: RepairMethod = {
  key,
  isStopGap: true,
  takesOut: [],
  needs: ['prop', 'stake'],
  answers: answersByTable(key),
  against: () => [],
  variants(context) {
    const { prop, stake } = context.tables.parts.lists
    return soldHere(context, prop.rows).map((each) => ({ prop: each.key, stake: stake.rows[0]!.key }))
  },
  design(context, choice) {
    const { line, wind, post } = context
    if (post.duties.includes('load-bearing')) return propUp(context)
    // Nothing is known of the ground, or the wind does not reach it: props are set all the same, without a figure.
    const hasFigure = context.soil !== null && wind.force > 0
    const head = HEAD_SHARE * line.height
    return {
      links: hasFigure ? [propLink(context, head, choice.prop!), stakeLink(context, head, choice.stake!)] : [],
      parts: [
        { kind: 'prop', key: choice.prop!, count: 2 },
        { kind: 'stake', key: choice.stake!, count: 2 },
      ],
      stands: () => propSolids(context, head),
    }
  },
}

/** What rests on a post is carried first, whatever the wind does. */
function propUp(context: PostContext): Design {
  const parts = loadBearingParts(context)
  return {
    links: [],
    checks: context.post.carries ? loadBearingChecks(context, parts).slice(0, 1) : [],
    parts: [{ kind: 'prop', key: parts.prop!, count: PROPS }],
    stands: () => [],
    cautions: loadBearingCautions(context).slice(0, 1),
  }
}

/** What the prop pushes at its head: the post is taken to turn at the ground. */
const pushAt = ({ wind }: PostContext, head: Metres): number => wind.height / head

/** One prop in compression, at 45°. */
function propLink(context: PostContext, head: Metres, key: string): LinkCapacity {
  const { section } = row(context.tables.parts.lists.prop.rows, key)
  const capacity = columnCapacity({ section, length: head * Math.SQRT2, ...propTimber })
  return bare(context, 'prop', 'the prop in compression', capacity / Math.SQRT2, pushAt(context, head))
}

/** The stake that its foot bears on, in the ground by its own width. */
function stakeLink(context: PostContext, head: Metres, key: string): LinkCapacity {
  const { post, site, tables } = context
  const soil = context.soil!
  const { diameter, driven } = row(tables.parts.lists.stake.rows, key)
  const buried = {
    soil,
    saturated: post.saturated,
    cohesion: apparentCohesion(soil, post.saturated),
    ignoredTop: ignoredTop(soil, site.season),
    segments: [{ top: 0, bottom: driven, width: diameter }],
    height: AT_STAKE,
  }
  return bare(context, 'stake', 'the stake in the ground', groundThreshold(buried, 'over')!, pushAt(context, head))
}

function bare(
  { links, wind }: PostContext,
  link: string,
  name: string,
  over: Newtons,
  perNewton: number,
): LinkCapacity {
  const made = links.proportional(link, name, {
    code: over,
    over,
    perNewton,
    used: ({ across, along }) => ((Math.abs(across.moment) + Math.abs(along.moment)) / wind.height) * perNewton,
  })
  return { ...made, of: 'bare' }
}

/** From the side that one prop stands on: it comes towards whoever looks, the other is behind the fence. */
function propSolids({ line }: PostContext, head: Metres): Solid[] {
  if (line.kind === 'single') return []
  return [
    {
      key: 'prop',
      matter: 'new-wood',
      outline: box(-DRAWN, DRAWN, 0, head),
      edge: 'solid',
      link: 'prop',
      note: 'a prop and a stake on either face',
    },
    { key: 'stake', matter: 'steel', outline: box(-BAR, BAR, -STAKE_DRAWN, AT_STAKE), edge: 'solid', link: 'stake' },
  ]
}
/** Half a bar, and how deep it is drawn, m. */
const BAR: Metres = 0.013
const STAKE_DRAWN: Metres = 0.6
