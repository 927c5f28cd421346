import type { ResolvedLine, ResolvedPost } from '~~/core/resolve/resolve'
import { postState } from '~~/core/document/postState'
import type { Metres } from '~~/core/units/types'
import { box, type Matter, type Outline, type Shape } from './geometry'

/* What stands in the ground now: shared by the section of the chosen post and by its neighbours. */

/** Outline by state: shape as well as colour tells. */
export function outlineOf(post: Parameters<typeof postState>[0]): Outline {
  return ({ sound: 'solid', doubtful: 'dashed', failed: 'broken', unseen: 'thin' } as const)[postState(post)]
}

export function matterOf({ material }: ResolvedPost): Matter {
  return material === 'steel' || material === 'concrete' ? material : 'wood'
}

export const buriedDepth = (line: ResolvedLine, post: ResolvedPost): Metres => Math.max(0, post.length - line.height)

/** The footing, where its size is known, in metres from the foot of the post. */
export function standingFooting({ footing }: ResolvedPost): Shape[] {
  const { kind, diameter, top = 0, bottom } = footing ?? { kind: 'unknown' }
  if (diameter === undefined || bottom === undefined || (kind !== 'concrete' && kind !== 'stone')) return []
  const matter = kind === 'stone' ? 'stone' : 'old-concrete'
  return [{ key: 'footing', matter, points: box(-diameter / 2, diameter / 2, -bottom, -top), outline: 'thin' }]
}
