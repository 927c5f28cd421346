import { InputError } from '../errors'
import type { Metres, Newtons, Radians } from '../units/types'

export interface PropForce {
  /** At the prop's head, N. */
  horizontal: Newtons
  /** Along the prop, N. */
  force: Newtons
  /** What the stake at its foot has to hold, N. */
  push: Newtons
}

/** What leans on the prop: a known push, or something heavy out of plumb. */
export type Propped =
  | { horizontal: Newtons }
  | {
      weight: Newtons
      /** Of the weight's centre out of plumb, not of its top, m. */
      offset: Metres
      /** Height of the prop's head, m. */
      head: Metres
    }

/**
 * Forces in a raking prop.
 *
 * @param angle from the ground, rad
 * @throws InputError for a prop that stands upright
 * @source force = H ÷ cos angle, foot's push H; a leaning weight pushes W × offset ÷ head
 * @example propForce({ weight: 600, offset: 0.12, head: 1.2 }, Math.PI / 4) // H 60, along the prop 84.9 N
 */
export function propForce(propped: Propped, angle: Radians): PropForce {
  const along = Math.cos(angle)
  if (along < 1e-6) throw new InputError('angle', angle, 'less than a right angle: an upright prop holds nothing')
  const horizontal = 'horizontal' in propped ? propped.horizontal : (propped.weight * propped.offset) / propped.head
  return { horizontal, force: horizontal / along, push: horizontal }
}
