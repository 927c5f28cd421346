import type { ResolvedLine, ResolvedPost } from '../../resolve/resolve'
import { gateOpening, leavesIn } from '../../setout/gate'
import { DROP_BOLT, gateLeaf, leafFor, openingBand, UPPER_HINGE_PLAY, type LeafBand } from '../../setout/gateLeaf'
import { fixingFit } from '../../repair/fixingFit'
import { measuresIn } from '../../units/quantity'
import { sectionSize } from '../../timber/section'
import type { Metres } from '../../units/types'

/** Gaps where nobody measured the hardware, m; working values. */
export const USUAL_GAPS = { hingeGap: 0.02, latchGap: 0.015, meetingGap: 0.01 } as const

/** Nothing narrower is hung, m. */
const LEAST_LEAF: Metres = 0.3

export interface GateSetOut {
  /** Posts of the bay, from left to right. */
  posts: [left: string, right: string]
  /** The post whose gate it is, and the side of the bay that a single leaf hangs from. */
  hinge: string
  hangsOn: 'left' | 'right'
  leaves: 1 | 2
  /** Of one leaf, m. */
  width: Metres
  height: Metres
  /** What the opening is made of, from left to right, m. */
  sum: { says: string; length: Metres }[]
  /** Between the faces of the posts: wanted for the leaf, and as the tape has it at foot and top. */
  wanted: Metres
  centres: Metres
  band: LeafBand
  there: { bottom: Metres; top: Metres; measured: boolean }
  /** Width of a leaf for the opening that is there; nothing where its gaps alone take all of it. */
  order?: LeafBand
  hungBy: 'leaf' | 'opening'
  /** Of the leaf as it was measured: wider at the top than at its foot, m. */
  outOfSquare?: Metres
  /** Under the leaf where it hangs, and what its swing asks for, m. */
  under: Metres
  clearance: Metres
  /** Hinges over the leaf's bottom, m. */
  hinges: [lower: Metres, upper: Metres]
  upperPlay: Metres
  diagonal: Metres
  packing?: Metres
  dropBolt: { depth: Metres; drain: Metres }
  /** Of a hinge's screw, and what is bored for it first, m. */
  screw: { diameter: Metres; pilot: Metres }
}

/** Hinges of garden and farm gates are screwed on with these, m; a working value. */
const HINGE_SCREW = { kind: 'screw', diameter: 0.01, length: 0.08 } as const

/**
 * The gate at a post: the opening from its hardware, the leaf for an opening that is there, its swing and its hinges.
 *
 * @param id of either post of the bay
 * @returns undefined where no gate hangs in a bay beside it
 */
export function gateSetOut(line: ResolvedLine, id: string): GateSetOut | undefined {
  const i = line.posts.findIndex((post) => post.id === id)
  const bays = [
    [line.posts[i], line.posts[i + 1]],
    [line.posts[i - 1], line.posts[i]],
  ] as const
  for (const [left, right] of bays) {
    const hung = left && right ? leavesIn(left, right) : []
    if (left && right && hung.length > 0) return ofBay(line, left, right, hung)
  }
  return undefined
}

type Side = 'left' | 'right'

function ofBay(line: ResolvedLine, left: ResolvedPost, right: ResolvedPost, hung: readonly Side[]): GateSetOut {
  const [side = 'left'] = hung
  const hinge = side === 'left' ? left : right
  const gate = hinge.gate ?? {}
  const leaves = hung.length === 2 ? 2 : 1
  const half = (post: ResolvedPost) => sectionSize(post.section).along / 2
  const taped = right.station - left.station - half(left) - half(right)
  const width = gate.leafWidth ?? Math.max(LEAST_LEAF, taped / leaves - USUAL_GAPS.hingeGap - USUAL_GAPS.latchGap)
  const height = gate.leafHeight ?? line.height - line.gap
  const gaps = {
    hingeGap: gate.hingeGap ?? USUAL_GAPS.hingeGap,
    latchGap: gate.latchGap ?? USUAL_GAPS.latchGap,
    meetingGap: gate.meetingGap ?? USUAL_GAPS.meetingGap,
  }
  const { opening } = gateOpening({
    leaves: new Array<Metres>(leaves).fill(width),
    ...gaps,
    post: sectionSize(hinge.section).along,
  })
  const there = {
    bottom: gate.openingBottom ?? taped,
    top: gate.openingTop ?? gate.openingBottom ?? taped,
    measured: gate.openingBottom !== undefined || gate.openingTop !== undefined,
  }
  const hingeSpacing = gate.hingeSpacing ?? (height * 2) / 3
  const swing = gateLeaf({
    width,
    height,
    rise: (gate.rise ?? 0) / width,
    ...(gate.sag === undefined ? {} : { sag: gate.sag, hingeSpacing }),
  })
  const { hinges, diagonal, clearance, packing } = swing
  return {
    posts: [left.id, right.id],
    hinge: hinge.id,
    hangsOn: side,
    leaves,
    width,
    height,
    sum: sumOf(side, leaves, width, gaps),
    wanted: opening,
    centres: opening + half(left) + half(right),
    band: openingBand(opening),
    there,
    ...(Math.min(there.bottom, there.top) >
    leaves * (gaps.hingeGap + LEAST_LEAF) + Math.max(gaps.latchGap, gaps.meetingGap)
      ? { order: leafFor([there.bottom, there.top], { leaves, ...gaps }) }
      : {}),
    hungBy: gate.hung ?? 'leaf',
    ...(gate.leafTop === undefined || gate.leafBottom === undefined
      ? {}
      : { outOfSquare: gate.leafTop - gate.leafBottom }),
    under: line.gap,
    clearance,
    hinges,
    upperPlay: UPPER_HINGE_PLAY,
    diagonal,
    ...(packing === undefined ? {} : { packing }),
    dropBolt: DROP_BOLT,
    screw: screwInto(hinge),
  }
}

/** As any screw fits the wood of its post. */
function screwInto({ material, section }: ResolvedPost): GateSetOut['screw'] {
  const { diameter, length } = HINGE_SCREW
  const place = { hole: diameter, part: 0.006, wood: sectionSize(section).along, isHard: material === 'oak' }
  return { diameter, pilot: fixingFit(place, { ...HINGE_SCREW, length }, measuresIn('metric')).pilot ?? 0 }
}

function sumOf(
  side: Side,
  leaves: 1 | 2,
  width: Metres,
  { hingeGap, latchGap, meetingGap }: { hingeGap: Metres; latchGap: Metres; meetingGap: Metres },
): GateSetOut['sum'] {
  const [hinge, leaf] = [
    { says: 'hinge', length: hingeGap },
    { says: 'leaf', length: width },
  ]
  if (leaves === 2) return [hinge, leaf, { says: 'meeting', length: meetingGap }, leaf, hinge]
  const single = [hinge, leaf, { says: 'latch', length: latchGap }]
  return side === 'left' ? single : single.reverse()
}
