import type { CatalogueGroup, CatalogueRow } from './catalogue'
import { USUAL_RANGE, type Knob } from './sensitivity'

/** What an option's cost for a plumb year rests on: prices by what they are paid for, and how long it stands. */
export type CostKnob = 'labour' | 'concrete' | 'timber' | 'parts' | 'disposal' | 'stands'

/** How long it stands is known worst: half to twice as long. Working values, as are the usual ranges of prices. */
export const COST_KNOBS: readonly Knob<CostKnob>[] = [
  { key: 'labour', name: 'hours, or what one costs', range: USUAL_RANGE },
  { key: 'concrete', name: 'concrete and stone', range: USUAL_RANGE },
  { key: 'timber', name: 'posts and timber', range: USUAL_RANGE },
  { key: 'parts', name: 'parts and fixings', range: USUAL_RANGE },
  { key: 'disposal', name: 'taking spoil away', range: USUAL_RANGE },
  { key: 'stands', name: 'how long it stands', range: [0.5, 2] },
]

const GROUPS: Record<Exclude<CostKnob, 'stands'>, readonly CatalogueGroup[]> = {
  labour: ['labour'],
  concrete: ['mix', 'stone'],
  timber: ['post', 'timber', 'preservative'],
  parts: ['part', 'fixing'],
  disposal: ['disposal'],
}

/**
 * The yard's list with the prices of one kind times a factor, to the minor unit.
 *
 * @example turned(catalogue, 'labour', 1.2) // an hour at 38.00 is one at 45.60
 */
export function turned(catalogue: readonly CatalogueRow[], key: CostKnob, factor: number): readonly CatalogueRow[] {
  if (key === 'stands' || factor === 1) return catalogue
  const groups = GROUPS[key]
  return catalogue.map((row) => (groups.includes(row.group) ? { ...row, price: Math.round(row.price * factor) } : row))
}
