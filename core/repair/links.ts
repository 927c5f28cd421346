import type { GroundCapacity } from '../ground/postInGround'
import type { MaterialRow } from '../tables'
import type { SectionProperties } from '../timber/section'
import type { Metres, MetresPerSecond, Newtons, Years } from '../units/types'
import { returnPeriodOfGust } from '../wind/returnPeriod'
import { OVER_CODE } from './parts'

/** What one part can stand, as a horizontal load at the height of the wind, N. */
export interface LinkCapacity {
  link: string
  name: string
  lean?: Newtons
  code?: Newtons
  over?: Newtons
}

/** The same on the scale of gusts, m/s; Infinity when the wind does not reach the post. */
export interface Link {
  link: string
  name: string
  lean?: MetresPerSecond
  code?: MetresPerSecond
  over?: MetresPerSecond
  /** Of the gust at which the part gives way. */
  returnYears: Years
}

/**
 * Gust at which the wind on the post equals a capacity. Wind force grows with the gust squared.
 *
 * @param capacity N, ≥ 0
 * @param forceAtUnitGust N at 1 m/s
 * @returns m/s; Infinity when no wind reaches the post
 * @example gustFor(1263, 2477 / 1600) // 28.6 m/s
 */
export function gustFor(capacity: Newtons, forceAtUnitGust: Newtons): MetresPerSecond {
  if (forceAtUnitGust <= 0) return Infinity
  return Math.sqrt(Math.max(0, capacity) / forceAtUnitGust)
}

export function linkOnGustScale(capacity: LinkCapacity, forceAtUnitGust: Newtons, gust50: MetresPerSecond): Link {
  const { link, name } = capacity
  const result: Link = { link, name, returnYears: Infinity }
  for (const threshold of ['lean', 'code', 'over'] as const) {
    const load = capacity[threshold]
    if (load !== undefined) result[threshold] = gustFor(load, forceAtUnitGust)
  }
  result.returnYears = returnPeriodOfGust(givesWay(result), gust50)
  return result
}

/** Gust at which a link gives way. */
export const givesWay = (link: Link): MetresPerSecond => link.over ?? link.code ?? Infinity

/** The weakest link is the one furthest left on the scale. */
export function weakestLink(links: readonly Link[]): Link | undefined {
  return links.reduce<Link | undefined>(
    (weakest, link) => (weakest && givesWay(weakest) <= givesWay(link) ? weakest : link),
    undefined,
  )
}

/** A bent member as a link: moment capacity over the arm of the wind. */
export function bendingLink(
  link: string,
  name: string,
  section: SectionProperties,
  material: MaterialRow,
  arm: Metres,
): LinkCapacity {
  const { code, over } = momentCapacities(section, material)
  return { link, name, code: code / arm, over: over / arm }
}

function momentCapacities(section: SectionProperties, material: MaterialRow) {
  if (material.momentCapacity !== undefined) {
    return { code: material.momentCapacity, over: material.momentCapacity * OVER_CODE }
  }
  const { allowable = 0, strength = 0 } = material
  // Steel yields through its whole section; wood and vinyl break when their outer fibre does.
  const ultimate = material.yields ? section.plasticModulus : section.modulus
  return { code: allowable * section.modulus, over: strength * ultimate }
}

export function groundLink(link: string, name: string, capacity: GroundCapacity): LinkCapacity {
  return {
    link,
    name,
    lean: capacity.lean,
    over: capacity.over,
    ...(capacity.code === null ? {} : { code: capacity.code }),
  }
}
