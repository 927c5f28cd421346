import type { Kilograms, NewtonMetres, Pascals, Years } from '../units/types'

/** What posts are made of. */
export const MATERIALS = [
  'treated-softwood',
  'untreated-softwood',
  'cedar',
  'oak',
  'steel',
  'vinyl',
  'concrete',
] as const
export type Material = (typeof MATERIALS)[number]

/** What a post stands in at the ground: concrete that sheds its water or holds it, stone, or bare soil. */
export type Setting = 'crowned' | 'dished' | 'stone' | 'soil'

export interface MaterialRow {
  name: string
  wood: boolean
  /** Steel: gives way at its plastic moment, not at its outer fibre. */
  yields?: boolean
  /** Allowable bending stress in wet service under gusts, and mean strength, Pa. */
  allowable?: Pascals
  strength?: Pascals
  stiffness?: Pascals
  /** kg/m³. */
  density: Kilograms
  /** Median years until it begins to go where it meets the ground, by what is round it. */
  serviceYears: Record<Setting, Years>
  /** Reinforced concrete is given by its moment instead, N m. */
  momentCapacity?: NewtonMetres
  /** Wood under a washer, Pa. */
  washerBearing?: Pascals
  /** Specific gravity for withdrawal. */
  gravity?: number
}
export type Materials = Record<Material, MaterialRow>
