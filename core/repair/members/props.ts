import type { Pascals } from '../../units/types'

/**
 * Wood of props: the commonest construction softwood, outdoors.
 *
 * @source NDS Supplement 2018 Table 4A, spruce-pine-fir No. 2: F_c 1150 psi × 0.8 wet, E_min 510 ksi × 0.9 wet; rounded
 *   down, working values
 */
export const propTimber: { compression: Pascals; leastStiffness: Pascals } = { compression: 6e6, leastStiffness: 2.8e9 }
