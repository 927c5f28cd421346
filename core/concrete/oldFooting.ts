import type { Kilograms, Metres } from '../units/types'
import type { Measures } from '../units/quantity'
import type { RoundVoid } from './volume'

export type OldFootingWay = 'lever' | 'roll' | 'lift-whole' | 'split'

export interface OldFootingOut {
  way: OldFootingWay
  says: string
  /** People that it wants. */
  hands: number
  /** The one to begin with. */
  first: boolean
  /** Why not here; nothing where it can be done. */
  because?: string
}

/** One person lifts so much now and then; two with a bar and a strap. Working values. */
export const ONE_LIFTS: Kilograms = 25
const TWO_LIFT: Kilograms = 50
/** A long bar over a block raises so much, on a block that stands no deeper than the bar reaches under. */
const LEVERED: Kilograms = 150
const UNDER: Metres = 0.5
/** What two people still roll up a plank, and the deepest it is rolled out of. */
const ROLLED: Kilograms = 120
const ROLLED_FROM: Metres = 0.45

/**
 * Ways to get an old footing out, the easiest that goes first: by its depth, its width and what it weighs.
 *
 * @param mass of the block with what of the post is left in it, kg
 * @example a block of 0.25 × 0.4 m, 46 kg: lift it whole, two people, once it is dug free on two sides
 */
export function oldFootingWays({ diameter, top, bottom }: RoundVoid, mass: Kilograms, says: Measures): OldFootingOut[] {
  const deep = bottom - top
  const weighs = says.mass(mass)
  const ways: Omit<OldFootingOut, 'first'>[] = [
    {
      way: 'lift-whole',
      says: `Dig it free on two sides, rock it loose and lift it, ${weighs}, by a strap round its middle.`,
      hands: mass <= ONE_LIFTS ? 1 : 2,
      ...(mass > TWO_LIFT ? { because: `${weighs} is more than two people lift.` } : {}),
    },
    {
      way: 'lever',
      says: 'Dig under one edge, set a long bar on a block of wood, and pack stone under it lift by lift.',
      hands: 2,
      ...(mass > LEVERED
        ? { because: `${weighs} is more than a bar raises.` }
        : bottom > UNDER + deep
          ? { because: 'It lies too deep for the bar.' }
          : {}),
    },
    {
      way: 'roll',
      says: 'Cut the hole’s side to a slope, lay a plank, and roll it out.',
      hands: 2,
      ...(mass > ROLLED
        ? { because: `${weighs} does not roll up a plank.` }
        : bottom > ROLLED_FROM + diameter
          ? { because: 'Out of so deep a hole it does not roll.' }
          : {}),
    },
    {
      way: 'split',
      says: 'Split it where it stands: along the stump, where it is weakest, with wedges or a breaker.',
      hands: 1,
    },
  ]
  const begin = ways.find(({ because }) => because === undefined)
  return ways.map((each) => ({ ...each, first: each === begin }))
}
