import type { GroundThreshold } from '../ground/postInGround'
import type { MaterialRow } from '../tables/tables'
import type { SectionProperties } from '../timber/section'
import type { Metres, MetresPerSecond, Newtons, Years } from '../units/types'
import { returnPeriodOfGust } from '../wind/returnPeriod'
import { groundAllowance, leastAllowance, linearAllowance, type LoadCase } from './loadCases'
import { OVER_CODE } from '../tables/parts'

/** Wind that one part can stand on top of the steady loads, N at the height of the wind. */
export interface LinkCapacity {
  link: string
  name: string
  lean?: Newtons
  code?: Newtons
  over?: Newtons
  /** Why nothing is left for the wind. */
  because?: string
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
  because?: string
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
  const { link, name, because } = capacity
  const result: Link = { link, name, returnYears: Infinity, ...(because ? { because } : {}) }
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

/** A part with a capacity and what the loads take of it, in one unit: newtons, or newton metres. */
export interface ProportionalPart {
  code: number
  over: number
  /** Taken by one newton of wind. */
  perNewton: number
  /** Taken by the steady loads of a case. */
  used: (each: LoadCase) => number
}

export function proportionalLink(
  link: string,
  name: string,
  part: ProportionalPart,
  cases: readonly LoadCase[],
): LinkCapacity {
  const allowance = (capacity: number) =>
    leastAllowance(cases, (each) => linearAllowance(capacity, part.used(each), part.perNewton, each.windShare))
  const over = allowance(part.over)
  return {
    link,
    name,
    code: allowance(part.code).force,
    over: over.force,
    ...(over.because ? { because: over.because } : {}),
  }
}

/**
 * A bent member: the bending stresses of both directions add.
 *
 * @param arm of the wind above the section, m
 */
export function bendingLink(
  link: string,
  name: string,
  section: SectionProperties,
  material: MaterialRow,
  arm: Metres,
  cases: readonly LoadCase[],
): LinkCapacity {
  // Counted as moments across the line; a moment along it weighs by the ratio of the moduli.
  const weightAlong = section.modulusAlong > 0 ? section.modulus / section.modulusAlong : 1
  const part = {
    ...momentCapacities(section, material),
    perNewton: arm,
    used: ({ across, along }: LoadCase) => across.moment + along.moment * weightAlong,
  }
  return proportionalLink(link, name, part, cases)
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

/**
 * The ground as a link, under every case.
 *
 * @param holds load at an arm that the ground stands, by threshold, N
 * @param arm   of the wind above ground, m
 */
export function groundLink(
  link: string,
  name: string,
  holds: (threshold: GroundThreshold, arm: Metres) => Newtons | null,
  arm: Metres,
  cases: readonly LoadCase[],
): LinkCapacity {
  const allowance = (threshold: GroundThreshold) =>
    leastAllowance(cases, (each) => groundAllowance(each, arm, (at) => holds(threshold, at) ?? 0))
  const over = allowance('over')
  const hasCode = holds('code', arm) !== null
  return {
    link,
    name,
    lean: allowance('lean').force,
    over: over.force,
    ...(hasCode ? { code: allowance('code').force } : {}),
    ...(over.because ? { because: over.because } : {}),
  }
}
