import type { Metres } from '~~/core/units/types'

export interface Strip {
  from: Metres
  to: Metres
}

/** Metres of fence side by side on a page: few posts are drawn larger. */
const SHORT_LINE: Metres = 60
const STRIP = { short: 12, long: 24 }

/**
 * A line cut into strips of one scale, one below the other, as paper wants it.
 *
 * @example lineStrips(30) // 0 to 12, 12 to 24, 24 to 36
 */
export function lineStrips(length: Metres): Strip[] {
  const width = length <= SHORT_LINE ? STRIP.short : STRIP.long
  const count = Math.max(1, Math.ceil((length - 1e-6) / width))
  return Array.from({ length: count }, (_, i) => ({ from: i * width, to: (i + 1) * width }))
}
