import { tidy } from '../numeric/rounding'
import type { Metres } from '../units/types'

/**
 * Ground level at a post from a level line, a laser or a rod: all of them read how far the ground lies below one
 * horizontal.
 *
 * @param reference reading at the first post, m
 * @param reading   at this post, m: a larger one is lower ground
 * @returns m above the ground at the first post; below it negative
 * @example groundLevel(1.2, 1.32) // -0.12
 */
export const groundLevel = (reference: Metres, reading: Metres): Metres => tidy(reference - reading)

/** The reading that goes with a level: the other way round. @example rodReading(1.2, -0.12) // 1.32 */
export const rodReading = (reference: Metres, level: Metres): Metres => tidy(reference - level)
