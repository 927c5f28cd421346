import type { Metres } from '../units/types'

/** What of the posts runs straight: their middles, or the faces along which the string runs. */
export const AGREEMENTS = ['centres', 'faces'] as const
export type Agreement = (typeof AGREEMENTS)[number]

/** A lath of this thickness between string and reference posts keeps the string off everything else, m. */
export const USUAL_SPACER: Metres = 0.012

/**
 * Gap to read between the string and the face of a post.
 *
 * @param spacer    between the string and the reference posts, m
 * @param reference thickness of the posts that carry the string, across the line, m
 * @param own       thickness of the post that is set, m
 * @source e where faces agree; e + (reference − own)/2 where centre lines do
 * @example spacerGap(0.012, 0.1, 0.075, 'centres') // 0.0245: a thinner post stands further off
 */
export const spacerGap = (spacer: Metres, reference: Metres, own: Metres, agree: Agreement): Metres =>
  agree === 'faces' ? spacer : spacer + (reference - own) / 2
