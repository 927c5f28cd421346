import type { CARRIED } from '../../document/vocabulary'
import type { Newtons, Pascals, SquareMetres } from '../../units/types'

/** What a floor or a roof weighs, by itself and with what comes on it. */
export interface CarriedRow {
  key: (typeof CARRIED)[number]
  name: string
  dead: Pascals
  live: Pascals
}

export interface Carries {
  area: SquareMetres
  from: CarriedRow['key']
  dead?: Pascals | undefined
  live?: Pascals | undefined
}

/**
 * Load on a post from what rests on it: figures that somebody gave before those of the table.
 *
 * @example carriedLoad({ area: 4, from: 'deck' }, rows) // { dead: 2000, live: 7600, all: 9600 } N
 */
export function carriedLoad(
  { area, from, dead, live }: Carries,
  rows: readonly CarriedRow[],
): { dead: Newtons; live: Newtons; all: Newtons } {
  const usual = rows.find(({ key }) => key === from)!
  const load = { dead: area * (dead ?? usual.dead), live: area * (live ?? usual.live) }
  return { ...load, all: load.dead + load.live }
}
