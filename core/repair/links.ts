import type { GroundThreshold } from '../ground/postInGround'
import type { Segment } from '../ground/profile'
import type { MaterialRow } from '../timber/materials'
import type { SectionProperties } from '../timber/section'
import { OVER_CODE } from '../tables/parts'
import type { Metres, MetresPerSecond, Newtons, Years } from '../units/types'
import { shareFelt, type Experience, type Felt } from '../wind/experience'
import { returnPeriodOfGust } from '../wind/returnPeriod'
import { allowanceByArm, leastAllowance, linearAllowance, type Load, type LoadCase } from './loadCases'

/** Wind that one part can stand on top of the steady loads, N at the height of the wind. */
export interface LinkCapacity {
  link: string
  name: string
  /** Whose experience counts: the ground's, or that of wood, steel and fixings; none of what people stand beside today. */
  of?: Felt
  lean?: Newtons
  code?: Newtons
  over?: Newtons
  /** Why nothing is left for the wind. */
  because?: string
  /** What gives way: the ground round these. */
  segments?: readonly Segment[]
  /** Bent where the post meets the ground: what it gives way at with a share of its strength left, N. */
  weakened?: (share: number) => Newtons
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
  /** Gust at which it gives way by the bare formulas, m/s. */
  bare?: MetresPerSecond
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

/** What turns newtons on one post into gusts. */
export interface GustScale {
  forceAtUnitGust: Newtons
  gust50: MetresPerSecond
  experience: Experience
}

/** Gusts at which a part gives way and from which it leans, where it can, m/s. */
export function gustsOf(
  { of = 'part', over, code, lean }: LinkCapacity,
  { forceAtUnitGust, experience }: GustScale,
): { givesWay: MetresPerSecond; lean?: MetresPerSecond } {
  const felt = forceAtUnitGust * shareFelt(experience, of)
  const givesWay = over === undefined ? gustFor(code ?? Infinity, forceAtUnitGust) : gustFor(over, felt)
  return lean === undefined ? { givesWay } : { givesWay, lean: gustFor(lean, felt) }
}

/** Experience counts for what gives way and what leans; a code asks the bare formulas. */
export function linkOnGustScale(capacity: LinkCapacity, scale: GustScale): Link {
  const { forceAtUnitGust } = scale
  const { link, name, because, over } = capacity
  const gusts = gustsOf(capacity, scale)
  const result: Link = {
    link,
    name,
    returnYears: returnPeriodOfGust(gusts.givesWay, scale.gust50),
  }
  if (because) result.because = because
  if (gusts.lean !== undefined) result.lean = gusts.lean
  if (capacity.code !== undefined) result.code = gustFor(capacity.code, forceAtUnitGust)
  if (over !== undefined) {
    result.over = gusts.givesWay
    result.bare = gustFor(over, forceAtUnitGust)
  }
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
  /** Why it holds nothing where its capacity is none. */
  nothing?: string
}

/** Load at an arm that a part stands, by threshold, N; null where a threshold has no figure. */
export type HoldsAtArm = (threshold: GroundThreshold, arm: Metres) => Newtons | null

/**
 * The one place where links are made: every one of them stands the steady loads of the post in all its cases
 * before any wind is left for it.
 */
export interface LinkMaker {
  /** A part that is used in proportion to its loads. */
  proportional: (link: string, name: string, part: ProportionalPart) => LinkCapacity
  /**
   * A bent member: the bending stresses of both directions add.
   *
   * @param arm of the wind above the section, m
   */
  bent: (link: string, name: string, section: SectionProperties, material: MaterialRow, arm: Metres) => LinkCapacity
  /** A part whose load depends on the arm at which it acts: the ground, the wood round a pin. */
  byArm: (
    link: string,
    name: string,
    holds: HoldsAtArm,
    thresholds: readonly GroundThreshold[],
    margins?: Partial<Record<GroundThreshold, (load: Load) => number>>,
  ) => LinkCapacity
}

/**
 * @param cases steady loads with the wind, one after the other
 * @param height of the wind above ground, m
 */
export function linkMaker(cases: readonly LoadCase[], height: Metres): LinkMaker {
  const allowed = ({ used, perNewton }: ProportionalPart, capacity: number) =>
    leastAllowance(cases, (each) => linearAllowance(capacity, used(each), perNewton, each.windShare))
  const proportional: LinkMaker['proportional'] = (link, name, part) => {
    const allowance = (capacity: number) => allowed(part, capacity)
    const over = allowance(part.over)
    const nothing = part.over <= 0 ? (part.nothing ?? 'nothing of it is left') : over.because
    const result: LinkCapacity = { link, name, code: allowance(part.code).force, over: over.force }
    if (nothing) result.because = nothing
    return result
  }
  return {
    proportional,
    bent(link, name, section, material, arm) {
      // Counted as moments across the line; a moment along it weighs by the ratio of the moduli.
      const weightAlong = section.modulusAlong > 0 ? section.modulus / section.modulusAlong : 1
      const { code, over } = momentCapacities(section, material)
      const part: ProportionalPart = {
        code,
        over,
        nothing: material.wood ? 'no sound wood is left' : 'nothing of its section is left',
        perNewton: arm,
        used: ({ across, along }) => across.moment + along.moment * weightAlong,
      }
      const result = proportional(link, name, part)
      if (arm === height) result.weakened = (share) => allowed(part, over * share).force
      return result
    },
    byArm(link, name, holds, thresholds, margins = {}) {
      const allowance = (threshold: GroundThreshold) =>
        leastAllowance(cases, (each) =>
          allowanceByArm(each, height, (at) => holds(threshold, at) ?? 0, margins[threshold]),
        )
      const { force, because } = allowance('over')
      const result: LinkCapacity = { link, name, over: force }
      if (thresholds.includes('lean')) result.lean = allowance('lean').force
      if (thresholds.includes('code') && holds('code', height) !== null) result.code = allowance('code').force
      if (because) result.because = because
      return result
    },
  }
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
