import type { Section } from '../timber/section'
import type { CubicMetres } from '../units/types'
import type { PostContext } from './context'
import type { DesignedHole } from './hole'
import type { LinkCapacity } from './links'

/** What a method comes to on one post. */
export interface MethodDesign {
  links: LinkCapacity[]
  hole?: DesignedHole
  /** Standing in the concrete from its top to the stone bed. */
  inConcrete?: Section
  /** Further volumes in the concrete; a void counts negative, m³. */
  insets?: CubicMetres[]
  /** Old concrete to break out, m³. */
  oldConcrete?: CubicMetres
  /** Parts chosen, by key, for the drawing and the load list. */
  parts?: { spur?: string; fixing?: string; pin?: string }
  cautions?: string[]
}

/** Adding a method is one module of this shape and one row of data. */
export interface RepairMethod {
  key: string
  /** Every reason against, in words; none when it is allowed. */
  refusals: (context: PostContext, design: MethodDesign) => string[]
  design: (context: PostContext) => MethodDesign
}

/** Volume of the old footing less the post in it, m³; 0 when its size is not known. */
export function oldConcreteVolume({ post, along, across }: PostContext): CubicMetres {
  const { kind, diameter, top = 0, bottom } = post.footing ?? { kind: 'unknown' }
  if (kind !== 'concrete' || diameter === undefined || bottom === undefined) return 0
  return Math.max(0, (bottom - top) * ((Math.PI * diameter ** 2) / 4 - along * across))
}

/** Reasons against any method that trusts the ground or carries people. */
export function commonRefusals({ post, noFigure }: PostContext): string[] {
  const reasons: string[] = []
  if (noFigure) reasons.push(noFigure.advice)
  if (post.duty === 'load-bearing') reasons.push('This post carries a load: a licensed builder or engineer decides.')
  return reasons
}
