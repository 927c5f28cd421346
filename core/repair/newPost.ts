import type { PostPart } from '../tables/parts'
import { row } from '../tables/tables'
import type { MaterialRow } from '../timber/materials'
import { sectionProperties, sectionSize, type Section } from '../timber/section'
import type { Metres } from '../units/types'
import type { PostContext } from './context'
import type { LinkCapacity } from './links'
import { chosenPart, soldHere, type Choice } from './method'
import { box, type Solid } from './solids'
import { HOLDS, shareOfTargets } from './targets'

/* The post that takes the place of the old one, for every method that has one. */

/** The new post has the section of the old one. */
export const AS_IT_WAS = 'as-it-was'
/** A post counts as stouter when it bends this much less, and so many are tried. */
const STOUTER = 1.05
const TRIED = 2

/**
 * As it was; where the post itself does not hold, the next stouter ones; what somebody chose before all. What the ground
 * does not hold is dug deeper or wider, not set with more wood.
 */
export function postVariants(context: PostContext): Choice[] {
  const chosen = chosenPart(context, 'post', '')
  if (chosen) return [{ post: chosen }]
  const own = context.post.repair?.post?.section
  const holds = shareOfTargets(context, [newPostLink(context, newPostOf(context, { post: AS_IT_WAS }))]) >= HOLDS
  const others =
    own || holds || !context.material.wood ? [] : stouterThan(context, context.post.section).slice(0, TRIED)
  return [AS_IT_WAS, ...others.map(({ key }) => key)].map((post) => ({ post }))
}

/** Posts that are sold here and bend less than one of this section, the least of them first. */
const stouterThan = (context: PostContext, section: Section): PostPart[] => {
  const least = sectionProperties(section).modulus * STOUTER
  return soldHere(context, context.tables.parts.lists.post.rows).filter(
    (each) => each.section && sectionProperties(each.section).modulus > least,
  )
}
/** The next stouter post that is sold here. */
export const nextStouter = (context: PostContext, section: Section): PostPart | undefined =>
  stouterThan(context, section)[0]

export interface NewPost {
  section: Section
  along: Metres
  across: Metres
  material: MaterialRow
}

/** The row that was chosen; else the section that was typed, as of a second-hand post; else as it was. */
export function newPostOf({ post, tables, material }: PostContext, choice: Choice): NewPost {
  const { section: typed, material: of } = post.repair?.post ?? {}
  const section = (choice.post && row(tables.parts.lists.post.rows, choice.post).section) || typed || post.section
  return { section, ...sectionSize(section), material: of ? tables.materials[of] : material }
}

/** The sound section of the new post at the ground line. */
export const newPostLink = ({ links, wind }: PostContext, { section, material }: NewPost): LinkCapacity =>
  links.bent('post', 'the new post at the ground line', sectionProperties(section), material, wind.height)

/** The new post as it is drawn, from its foot to the string. */
export const newPostSolid = ({ post }: PostContext, { along, material }: NewPost, foot: Metres): Solid => ({
  key: 'post',
  matter: material.wood ? 'new-wood' : 'steel',
  outline: box(-along / 2, along / 2, -foot, post.top),
  edge: 'solid',
  link: 'post',
})
