import type { ObservationKey } from '../cause/observations'
import type { Heard } from '../cause/readings'
import type { Post } from './job'

/** What a list takes for granted of a post of which nobody said more. */
export const USUAL = { material: 'treated-softwood', duty: 'line', ageYears: 8 } as const

/** Posts no further apart in age than this were built together, years. */
const SAME_AGE = 1

/** Whether two posts were built by the same hand at the same time, as far as anybody said. */
export function isAlike(a: Post, b: Post): boolean {
  const { material = USUAL.material, ageYears = USUAL.ageYears } = a
  const { material: otherMaterial = USUAL.material, ageYears: otherAge = USUAL.ageYears } = b
  if (a.make !== undefined && b.make !== undefined && a.make !== b.make) return false
  return material === otherMaterial && Math.abs(ageYears - otherAge) <= SAME_AGE
}

/**
 * What digging at other posts of a line says of a post of the same age and make that was not dug itself: the nearest
 * speaks.
 *
 * @param carried observations that speak for others too
 * @returns a function from a post of the line
 * @example heardAlong(posts, ['footingFound'])(b8) // [{ observation: 'footingFound', value: 'small', from: 'B7' }]
 */
export function heardAlong(posts: readonly Post[], carried: readonly ObservationKey[]): (post: Post) => Heard[] {
  const dug = carried.map((observation) => ({
    observation,
    posts: posts.filter(({ observations }) => observations?.[observation] !== undefined),
  }))
  return (post) =>
    dug.flatMap(({ observation, posts: known }): Heard[] => {
      if (post.observations?.[observation] !== undefined) return []
      const near = (each: Post) => Math.abs(each.station - post.station)
      const [nearest] = known.filter((each) => isAlike(each, post)).sort((a, b) => near(a) - near(b))
      return nearest ? [{ observation, value: nearest.observations![observation], from: nearest.id }] : []
    })
}
