import { InputError, requireNumber } from '../errors'
import type { Metres } from '../units/types'
import type { Stratum } from './strata'

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
  /** First stiffness likewise, Pa and Pa per metre. */
  stiffnessAtTop: number
  stiffnessRate: number
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
 * Cuts the profile at the ignored top, where the layers meet and where the clay reaches its full resistance, so
 * that every integral over a piece is a polynomial and exact.
 *
 * @param ignored depth without resistance, m; depths are still counted from the ground
 */
export function resistancePieces(segments: readonly Segment[], layers: readonly Stratum[], ignored: Metres): Piece[] {
  const pieces: Piece[] = []
  for (const segment of segments) {
    let above = 0
    for (const layer of layers) {
      const top = Math.max(segment.top, ignored, above)
      const bottom = Math.min(segment.bottom, layer.bottom)
      if (bottom - top >= SLIVER) addPieces(pieces, top, bottom, segment.width, layer)
      above = layer.bottom
    }
  }
  return pieces
}

function addPieces(pieces: Piece[], top: Metres, bottom: Metres, width: Metres, { state }: Stratum): void {
  const { stiffnessAtTop, stiffnessRate } = state
  const rate = state.limitRate * width + state.limitRatePerWidth
  const atZero = state.limitAtTop * width
  const capped = state.cap * width
  const knee = rate > 0 ? (capped - atZero) / rate : Infinity
  if (top < knee)
    pieces.push({ top, bottom: Math.min(bottom, knee), width, atZero, rate, stiffnessAtTop, stiffnessRate })
  if (knee < bottom)
    pieces.push({ top: Math.max(top, knee), bottom, width, atZero: capped, rate: 0, stiffnessAtTop, stiffnessRate })
}

/** Bottom of the profile, m. */
export const profileBottom = (segments: readonly Segment[]): Metres =>
  segments.reduce((deepest, segment) => Math.max(deepest, segment.bottom), 0)
