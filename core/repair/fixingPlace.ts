import type { ResolvedPost, ResolvedSite } from '../resolve/resolve'
import type { SpurPart, TimberPart } from '../tables/parts'
import { row, type Tables } from '../tables/tables'
import { sectionSize } from '../timber/section'
import type { Metres } from '../units/types'
import type { FixingPlace } from './fixingFit'

/** What a fixing of a method goes through, and the wood behind it. */
export interface PlaceOnPost extends Pick<FixingPlace, 'part' | 'wood' | 'isHard' | 'isHarsh'> {
  name: 'spur' | 'rail' | 'plate'
}

/** Of a mender, or any other plate or angle; a working value, m. */
const PLATE: Metres = 0.005

/**
 * Where a method's fixings go on one post: through its spur, its rail or its plate, into the post.
 *
 * @param parts that the method is made with
 * @example a 75 mm spur on a treated post of 100 mm: { name: 'spur', part: 0.075, wood: 0.1, isHard: false, isHarsh: true }
 */
export function placeOnPost(
  post: Pick<ResolvedPost, 'section' | 'material'>,
  { exposure }: Pick<ResolvedSite, 'exposure'>,
  parts: readonly { kind: string; key: string }[],
  { parts: { lists } }: Tables,
): PlaceOnPost {
  const keyOf = (wanted: string) => parts.find(({ kind }) => kind === wanted)?.key
  const [spurKey, rail] = [keyOf('spur'), keyOf('rail')]
  const spur = spurKey === undefined ? undefined : row(lists.spur.rows as readonly SpurPart[], spurKey)
  return {
    wood: sectionSize(post.section).across,
    isHard: post.material === 'oak',
    isHarsh: post.material === 'treated-softwood' || exposure === 'waterside',
    ...(spur !== undefined
      ? { name: 'spur', part: spur.size * (spur.isPair ? 2 : 1) }
      : rail !== undefined
        ? { name: 'rail', part: thinner(row(lists.rail.rows as readonly TimberPart[], rail)) }
        : { name: 'plate', part: PLATE }),
  }
}

/** A rail lies flat against its post. */
const thinner = ({ section: { along, across } }: TimberPart): Metres => Math.min(along, across)
