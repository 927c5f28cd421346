import type { Kilograms, NewtonMetres, Pascals } from '../units/types'

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
  /** Reinforced concrete is given by its moment instead, N m. */
  momentCapacity?: NewtonMetres
  /** Wood under a washer, Pa. */
  washerBearing?: Pascals
  /** Specific gravity for withdrawal. */
  gravity?: number
}
export type Materials = Record<Material, MaterialRow>
