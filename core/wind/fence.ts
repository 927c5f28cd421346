/** How a place lies in the wind. */
export const EXPOSURES = ['sheltered', 'open', 'waterside'] as const
export type Exposure = (typeof EXPOSURES)[number]

/** Kinds of fence, as the wind meets them; `single` is a post that carries none: a box, a sign. */
export const LINE_KINDS = [
  'close-boarded',
  'panel',
  'hit-and-miss',
  'picket',
  'post-and-rail',
  'mesh',
  'vinyl',
  'single',
] as const
export type LineKind = (typeof LINE_KINDS)[number]
