import type { Metres } from '../units/types'

export const SURFACES = ['soil', 'turf', 'gravel'] as const
export type Surface = (typeof SURFACES)[number]

/** Clear under the cladding, and over the concrete where turf goes on it, m. */
const UNDER_CLADDING: Metres = 0.05
const OVER_CONCRETE: Metres = 0.025

/**
 * Level of the finished ground about a post, so that wood is clear of it.
 *
 * @param cladding  lower edge of the cladding over the ground as it is, m
 * @param thickness of what is laid, m
 * @returns `finish` over the ground as it is, at most; `concreteBelow` how far concrete ends under the finish, m
 * @source 50 mm under the cladding; concrete below turf by its thickness + 25 mm
 * @example finishLevel(0.08, 0.04) // finish 0.03 at most, concrete 0.065 below it
 */
export const finishLevel = (cladding: Metres, thickness: Metres): { finish: Metres; concreteBelow: Metres } => ({
  finish: cladding - UNDER_CLADDING,
  concreteBelow: thickness + OVER_CONCRETE,
})
