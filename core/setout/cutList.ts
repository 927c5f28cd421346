import { InputError } from '../errors'
import type { Metres } from '../units/types'

export interface CutPiece {
  length: Metres
  count: number
}

export interface StockLength {
  length: Metres
  /** Of one, in whole minor units. */
  price: number
  /** So many are there; as many as are wanted when missing. */
  count?: number | undefined
}

export interface CutBar {
  /** Length of the stock it is cut from, m. */
  stock: Metres
  /** Longest first, m. */
  pieces: Metres[]
  offcut: Metres
}

export interface CutList {
  bars: CutBar[]
  price: number
  /** No other cutting is cheaper; false where there were too many ways to try them all. */
  exact: boolean
}

/** Of a saw, m. */
export const KERF: Metres = 0.003
/** An offcut of this length goes back to the yard; what is shorter is left over, m. */
const KEPT_OFFCUT: Metres = 0.5
/** In tenths of a millimetre all sums are whole. */
const TENTHS = 1e4
/** What may be left at any time, in ways: over that the search takes the bar that costs least for what goes into it. */
const MOST_STATES = 4_096

/**
 * Pieces cut from stock: least cost, then least left over that is too short to keep, then fewest bars.
 *
 * @param kerf the saw's, m
 * @throws InputError for a piece longer than all stock, and where there is not enough of it
 * @source n pieces and n − 1 kerfs go into the bar; offcut = bar − pieces − n kerfs, 0 at least
 * @example cutList([{ length: 2, count: 2 }, { length: 1.1, count: 1 }], [{ length: 4.8, price: 960 },
 *   { length: 3.6, price: 720 }]) // two of 3.6 for 1440: 2.0 + 1.1 and 2.0
 */
export function cutList(pieces: readonly CutPiece[], stock: readonly StockLength[], kerf: Metres = KERF): CutList {
  const kinds = merged(pieces)
  const bars = stock.map(({ length, price, count }) => ({ length: tenths(length), price, count: count ?? Infinity }))
  const longest = Math.max(...bars.filter(({ count }) => count > 0).map(({ length }) => length))
  const tooLong = kinds.find(({ length }) => length > longest)
  if (tooLong)
    throw new InputError('pieces', tooLong.length / TENTHS, `at most ${longest / TENTHS} m: no stock is longer`)
  const search = new Search(kinds, bars, tenths(kerf))
  const best = search.best(
    kinds.map(({ count }) => count),
    bars.map(({ count }) => count),
  )
  if (!best) throw new InputError('stock', stock, 'enough for all pieces')
  const cut = chain(best).map(({ bar, taken }) => ({
    stock: bars[bar]!.length / TENTHS,
    pieces: taken.flatMap((count, i) => new Array<number>(count).fill(kinds[i]!.length / TENTHS)),
    offcut: search.offcut(bar, taken) / TENTHS,
  }))
  return { bars: cut, price: best.price, exact: search.isExact }
}

interface Kind {
  length: number
  count: number
}
interface Bar extends Kind {
  price: number
}
interface Cutting {
  price: number
  waste: number
  bars: number
  bar: number
  taken: readonly number[]
  rest: Cutting | undefined
}

const tenths = (length: Metres) => Math.round(length * TENTHS)

/** Longest first, each length once. */
function merged(pieces: readonly CutPiece[]): Kind[] {
  const counts = new Map<number, number>()
  for (const { length, count } of pieces) counts.set(tenths(length), (counts.get(tenths(length)) ?? 0) + count)
  return [...counts]
    .map(([length, count]) => ({ length, count }))
    .filter(({ count }) => count > 0)
    .sort((a, b) => b.length - a.length)
}

function chain(cutting: Cutting): Cutting[] {
  const all: Cutting[] = []
  for (let each: Cutting | undefined = cutting; each && each.bar >= 0; each = each.rest) all.push(each)
  return all
}

const NOTHING: Cutting = { price: 0, waste: 0, bars: 0, bar: -1, taken: [], rest: undefined }
const isBetter = (a: Cutting, b: Cutting | undefined) =>
  !b || (a.price - b.price || a.waste - b.waste || a.bars - b.bars) < 0

/** The longest piece that is left goes into the next bar: whichever order bars are cut in, one of them holds it. */
class Search {
  readonly isExact: boolean
  private readonly known = new Map<string, Cutting | undefined>()

  constructor(
    private readonly kinds: readonly Kind[],
    private readonly bars: readonly Bar[],
    private readonly kerf: number,
  ) {
    const limited = bars.filter(({ count }) => Number.isFinite(count))
    const states = [...kinds, ...limited].reduce((product, { count }) => product * (count + 1), 1)
    this.isExact = states <= MOST_STATES
  }

  best(left: readonly number[], stock: readonly number[]): Cutting | undefined {
    const first = left.findIndex((count) => count > 0)
    if (first < 0) return NOTHING
    const key = `${left.join()} ${stock.filter(Number.isFinite).join()}`
    if (this.known.has(key)) return this.known.get(key)
    let best: Cutting | undefined
    for (const [bar, taken] of this.fillings(left, first, stock)) {
      const rest = this.best(
        left.map((count, i) => count - taken[i]!),
        stock.map((count, i) => (i === bar ? count - 1 : count)),
      )
      if (!rest) continue
      const over = this.offcut(bar, taken)
      const cutting: Cutting = {
        price: this.bars[bar]!.price + rest.price,
        waste: rest.waste + (over < tenths(KEPT_OFFCUT) ? over : 0),
        bars: rest.bars + 1,
        bar,
        taken,
        rest,
      }
      if (isBetter(cutting, best)) best = cutting
    }
    this.known.set(key, best)
    return best
  }

  offcut(bar: number, taken: readonly number[]): number {
    const count = taken.reduce((sum, each) => sum + each, 0)
    return Math.max(0, this.bars[bar]!.length - this.lengthOf(taken) - count * this.kerf)
  }

  private lengthOf = (taken: readonly number[]) => taken.reduce((sum, each, i) => sum + each * this.kinds[i]!.length, 0)

  /** Bars with the first piece in them: all of them, or the one that costs least for what goes into it. */
  private fillings(left: readonly number[], first: number, stock: readonly number[]): [number, number[]][] {
    const all = this.bars.flatMap(({ length }, bar) =>
      stock[bar]! > 0 ? this.patterns(left, first, length).map((taken): [number, number[]] => [bar, taken]) : [],
    )
    if (this.isExact || all.length === 0) return all
    const costOf = ([bar, taken]: [number, number[]]) => this.bars[bar]!.price / this.lengthOf(taken)
    return [all.reduce((best, each) => (costOf(each) < costOf(best) ? each : best))]
  }

  private patterns(left: readonly number[], first: number, length: number): number[][] {
    const found: number[][] = []
    const taken = left.map(() => 0)
    const fill = (kind: number, room: number): void => {
      if (kind === left.length) {
        found.push([...taken])
        return
      }
      const piece = this.kinds[kind]!.length + this.kerf
      const most = Math.min(left[kind]!, Math.floor(room / piece))
      const least = this.isExact ? Math.min(most, kind === first ? 1 : 0) : most
      for (let count = most; count >= least && (kind !== first || count > 0); count--) {
        taken[kind] = count
        fill(kind + 1, room - count * piece)
      }
      taken[kind] = 0
    }
    // The last piece needs no kerf behind it.
    fill(first, length + this.kerf)
    return found
  }
}
