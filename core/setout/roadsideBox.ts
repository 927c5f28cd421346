import { InputError } from '../errors'
import type { Metres } from '../units/types'

export interface RoadsideBox {
  /** Kerb to the face of the box, m. */
  setBack: Metres
  /** Face of the box to the middle of its post, m. */
  faceToPost: Metres
  /** Height of the slot over the road, m. */
  slot: Metres
  /** Slot over the plate on which the box stands, m. */
  slotAbovePlate: Metres
  /** Ground at the post over the road, m. */
  higher: Metres
}

/**
 * Where the hole of a box by the road is dug, and how high its post stands.
 *
 * @returns `centre` from the kerb to the middle of the hole; `postAboveGround` up to the plate, m
 * @throws InputError when no post would be left
 * @source kerb + set-back + face to post; slot over the road less slot over the plate less what the ground is higher
 * @example roadsideBox({ setBack: 0.18, faceToPost: 0.25, slot: 1.1, slotAbovePlate: 0.12, higher: 0.1 })
 *   // { centre: 0.43, postAboveGround: 0.88 }
 */
export function roadsideBox({ setBack, faceToPost, slot, slotAbovePlate, higher }: RoadsideBox): {
  centre: Metres
  postAboveGround: Metres
} {
  const postAboveGround = slot - slotAbovePlate - higher
  if (postAboveGround <= 0)
    throw new InputError('slot', slot, `over ${slotAbovePlate + higher} m: the plate would lie in the ground`)
  return { centre: setBack + faceToPost, postAboveGround }
}
