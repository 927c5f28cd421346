import { InputError } from '../errors'
import type { Metres, Radians } from '../units/types'

export interface Prop {
  length: Metres
  /** Of the stake from the post, m. */
  foot: Metres
  /** From the ground, rad. */
  angle: Radians
}

/**
 * Raking prop to a height on the post, by its angle or by where its foot stands.
 *
 * @throws InputError when neither or both are given
 * @example prop(1.2, { angle: Math.PI / 4 }) // 1.697 m long, foot 1.2 m away
 */
export function prop(height: Metres, by: { angle?: Radians; foot?: Metres }): Prop {
  if ((by.angle === undefined) === (by.foot === undefined))
    throw new InputError('angle', by.angle, 'given, or else foot: one of the two')
  const angle = by.angle ?? Math.atan2(height, by.foot!)
  return { length: height / Math.sin(angle), foot: by.foot ?? height / Math.tan(angle), angle }
}
