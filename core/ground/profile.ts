import { InputError, requireNumber } from '../errors'
import type { Metres } from '../units/types'
import type { GroundState } from './soil'

/** A stretch of the buried part that bears on undisturbed or tamped soil. */
export interface Segment {
  top: Metres
  bottom: Metres
  width: Metres
}

/** A stretch of depth over which the limit resistance is one straight line, N per metre. */
export interface Piece {
  top: Metres
  bottom: Metres
  width: Metres
  /** limit(z) = atZero + rate · z, N/m. */
  atZero: number
  rate: number
}

/** Depths and widths that the formulas are used for, m. */
export const DEPTH_RANGE = { minimum: 0.05, maximum: 5 }
export const WIDTH_RANGE = { minimum: 0.02, maximum: 3 }

/**
 * @throws InputError when segments are empty, overlap, run upwards or leave the range
 */
export function requireSegments(segments: readonly Segment[]): void {
  if (segments.length === 0) throw new InputError('segments', segments, 'at least one segment')
  for (let i = 0; i < segments.length; i++) {
    if (!fits(segments[i]!, segments[i - 1])) explain(segments[i]!, segments[i - 1], `segments[${i}]`)
  }
  const last = segments.length - 1
  const { bottom } = segments[last]!
  if (bottom < DEPTH_RANGE.minimum)
    requireNumber(`segments[${last}].bottom`, bottom, DEPTH_RANGE.minimum, DEPTH_RANGE.maximum, 'm')
}

const TOUCHING = 1e-9
/** A shorter stretch carries nothing, m. */
const SLIVER = 1e-6

function fits({ top, bottom, width }: Segment, above: Segment | undefined): boolean {
  return (
    top >= (above ? above.bottom - TOUCHING : 0) &&
    bottom > top &&
    bottom <= DEPTH_RANGE.maximum &&
    width >= WIDTH_RANGE.minimum &&
    width <= WIDTH_RANGE.maximum
  )
}

/** @throws InputError saying in which way a segment does not fit */
function explain(segment: Segment, above: Segment | undefined, key: string): void {
  requireNumber(`${key}.top`, segment.top, 0, DEPTH_RANGE.maximum, 'm')
  requireNumber(`${key}.bottom`, segment.bottom, 0, DEPTH_RANGE.maximum, 'm')
  requireNumber(`${key}.width`, segment.width, WIDTH_RANGE.minimum, WIDTH_RANGE.maximum, 'm')
  if (segment.bottom <= segment.top) {
    throw new InputError(`${key}.bottom`, segment.bottom, `deeper than its top, ${segment.top} m`)
  }
  throw new InputError(`${key}.top`, segment.top, `at or below ${above?.bottom ?? 0} m, where the segment above ends`)
}

/**
 * Cuts the profile at the ignored top and where the clay reaches its full resistance, so that
 * every integral over a piece is a polynomial and exact.
 *
 * @param ignored depth without resistance, m; depths are still counted from the ground
 */
export function resistancePieces(segments: readonly Segment[], ground: GroundState, ignored: Metres): Piece[] {
  const pieces: Piece[] = []
  for (const segment of segments) {
    const top = Math.max(segment.top, ignored)
    if (segment.bottom - top < SLIVER) continue
    const { width } = segment
    const rate = ground.limitRate * width + ground.limitRatePerWidth
    const atZero = ground.limitAtTop * width
    const capped = ground.cap * width
    const knee = rate > 0 ? (capped - atZero) / rate : Infinity
    if (top < knee) pieces.push({ top, bottom: Math.min(segment.bottom, knee), width, atZero, rate })
    if (knee < segment.bottom) {
      pieces.push({ top: Math.max(top, knee), bottom: segment.bottom, width, atZero: capped, rate: 0 })
    }
  }
  return pieces
}

/** Bottom of the profile, m. */
export const profileBottom = (segments: readonly Segment[]): Metres =>
  segments.reduce((deepest, segment) => Math.max(deepest, segment.bottom), 0)
