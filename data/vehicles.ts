import type { Vehicle } from '../core/cost/vehicle'

/** Invented, to be replaced by the yard's own. */
export const vehicles: readonly Vehicle[] = [
  { key: 'van', name: 'Van', payload: 900, bed: 3.2 },
  { key: 'small-van', name: 'Small van', payload: 600, bed: 2.4 },
  { key: 'trailer', name: 'Trailer', payload: 500, bed: 2.5 },
]
