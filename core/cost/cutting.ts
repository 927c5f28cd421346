import { InputError } from '../errors'
import type { CountProgramme, CountSolver } from '../numeric/countProgramme'
import type { Restriction } from '../numeric/integerProgramme'
import { KERF, type CutBar, type CutList, type CutPiece, type StockLength } from '../setout/cutList'
import type { Metres } from '../units/types'
import { bestPatterns, patternsOf, tooMany, type Pattern, type Sticks } from './patterns'

export interface Cutting extends CutList {
  /** No cutting costs less than this. */
  bound: number
  /** How far the price is over it, as a share of it; 0 where it is proven. */
  gap: number
}

/** An offcut of this length goes back to the yard; what is shorter is left over, m. */
export const KEPT_OFFCUT: Metres = 0.5
/** In tenths of a millimetre all sums are whole. */
const TENTHS = 1e4
const tenths = (length: Metres) => Math.round(length * TENTHS)
/** More ways than these are not listed: those that pay are looked for instead. */
const MOST_PATTERNS = 1_500

/**
 * Pieces cut from stock by an exact solver: least cost, then least left over that is too short to keep, then fewest
 * sticks. Every pattern is tried up to 1 500 of them; beyond that the patterns are found by what they are worth, and the
 * least that any cutting could cost stands beside the price.
 *
 * @param stock yard offcuts are stock at price 0 with their count
 * @throws InputError for a piece longer than all stock, and where there is not enough of it
 * @source n pieces and n − 1 kerfs go into the bar; offcut = bar − pieces − n kerfs, 0 at least
 * @example 2.0, 2.0 and 1.1 m out of 4.8 m at 960 and 3.6 m at 720: two of 3.6 for 1440
 */
export function cutSticks(
  pieces: readonly CutPiece[],
  stock: readonly StockLength[],
  solver: CountSolver,
  kerf: Metres = KERF,
): Cutting {
  const sticks = sticksOf(pieces, stock, kerf)
  if (sticks.kinds.length === 0) return { bars: [], price: 0, exact: true, bound: 0, gap: 0 }
  const all = patternsOf(sticks, MOST_PATTERNS)
  return all === tooMany ? byColumns(sticks, solver) : byAll(sticks, all, solver)
}

function sticksOf(pieces: readonly CutPiece[], stock: readonly StockLength[], kerf: Metres): Sticks {
  const counts = new Map<number, number>()
  for (const { length, count } of pieces) counts.set(tenths(length), (counts.get(tenths(length)) ?? 0) + count)
  const kinds = [...counts]
    .map(([length, count]) => ({ length, count }))
    .filter(({ count }) => count > 0)
    .sort((a, b) => b.length - a.length)
  const all = kinds.reduce((sum, { count }) => sum + count, 0)
  const bars = stock
    .map(({ length, price, count }) => ({ length: tenths(length), price, count: Math.min(all, count ?? all) }))
    .filter(({ count }) => count > 0)
  const longest = Math.max(...bars.map(({ length }) => length))
  const tooLong = kinds.find(({ length }) => length > longest)
  if (tooLong)
    throw new InputError('pieces', tooLong.length / TENTHS, `at most ${longest / TENTHS} m: no stock is longer`)
  return { kinds, bars, kerf: tenths(kerf) }
}

/** More than sticks are cut at once. */
const OVER_ALL_STICKS = 1_000

function byAll(sticks: Sticks, patterns: readonly Pattern[], solver: CountSolver): Cutting {
  const { bars } = sticks
  const wanted = restrictionsOf(sticks, patterns, '=')
  const prices = patterns.map(({ bar }, i) => [bars[bar]!.price, `x${i}`] as const)
  // What is not cut costs more than all else: so there is always an answer, which tells where the stock runs out.
  const missing = sticks.kinds.map((_kind, i) => `m${i}`)
  const dearest =
    1 +
    prices.reduce((sum, [price]) => Math.max(sum, price), 0) * sticks.kinds.reduce((sum, { count }) => sum + count, 0)
  const cheapest = solver.whole({
    minimise: [...prices, ...missing.map((name) => [dearest, name] as const)],
    restrictions: wanted.map((each, i) =>
      i < missing.length ? { ...each, terms: [...each.terms, [1, missing[i]!] as const] } : each,
    ),
  })
  if (!cheapest || missing.some((name) => (cheapest.counts.get(name) ?? 0) > 0))
    throw new InputError('stock', bars.length, 'enough for all pieces')
  const price = priceOf(cheapest.counts, patterns, sticks)
  // Of those that cost the same the one that leaves least over; of those the one with the fewest sticks.
  const tidy: CountProgramme = {
    minimise: patterns.map((pattern, i) => [leftOver(pattern, sticks) * OVER_ALL_STICKS + 1, `x${i}`] as const),
    restrictions: [
      ...wanted,
      ...(prices.some(([each]) => each > 0)
        ? [{ terms: prices.filter(([each]) => each > 0), is: '<=' as const, than: price }]
        : []),
    ],
  }
  const { counts } = solver.whole(tidy) ?? cheapest
  return cuttingOf(counts, patterns, sticks, price, true)
}

/**
 * Patterns that are worth more than their stick costs are added until there are none, or for so many rounds; what the
 * pieces are worth then is a bound whether there are more or not.
 */
function byColumns(sticks: Sticks, solver: CountSolver): Cutting {
  const { kinds, bars } = sticks
  const greedy = fullestFirst(sticks)
  const patterns: Pattern[] = [...firstPatterns(sticks), ...greedy]
  // By length alone: as if every stick were cut up without an offcut.
  const byLength = kinds.map(({ length }) => length + sticks.kerf)
  let bound = boundOf(sticks, byLength, bestPatterns(sticks, byLength))
  let least = Infinity
  let idle = 0
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const found = solver.linear(programmeOf(sticks, patterns))
    if (!found) throw new InputError('stock', bars.length, 'enough for all pieces')
    const worth = found.duals.slice(0, kinds.length).map((each) => Math.max(0, each))
    const best = bestPatterns(sticks, worth)
    bound = Math.max(bound, boundOf(sticks, worth, best))
    const fresh = best.flatMap(({ taken, value }, bar) =>
      value > bars[bar]!.price - (found.duals[kinds.length + bar] ?? 0) + A_HAIR ? [{ bar, taken }] : [],
    )
    if (fresh.length === 0 || found.least - bound < NEAR * bound) break
    idle = found.least < least - A_HAIR ? 0 : idle + 1
    if (idle > MOST_IDLE) break
    least = found.least
    patterns.push(...fresh)
  }
  const whole = solver.whole(programmeOf(sticks, patterns), BRANCHES)
  const counts = new Map<string, number>()
  // Where it found nothing better in its time, the greedy cutting stands: pieces as they were taken.
  greedy.forEach((_pattern, i) => counts.set(`x${i}`, 1))
  const proven = Math.ceil(bound - A_HAIR)
  const greedyCutting = greedy.length > 0 ? cuttingOf(counts, greedy, sticks, proven, false) : undefined
  const cutting = whole && cuttingOf(whole.counts, patterns, sticks, proven, false)
  const cheaper = [cutting, greedyCutting].filter((each) => each !== undefined).sort((x, y) => x.price - y.price)[0]
  if (!cheaper) throw new InputError('stock', bars.length, 'enough for all pieces')
  return cheaper
}
const MOST_ROUNDS = 60
const MOST_IDLE = 6
/** So many branches are looked at, the same ones each time. */
const BRANCHES = 20
/** So near to the bound nothing is gained by further patterns. */
const NEAR = 0.001
const A_HAIR = 1e-6

/** No cutting costs less, whichever patterns were not looked at: what the pieces are worth, brought down until none pays. */
function boundOf({ kinds, bars }: Sticks, worth: readonly number[], best: readonly { value: number }[]): number {
  const all = worth.reduce((sum, each, kind) => sum + each * kinds[kind]!.count, 0)
  const over = bars.map(({ price }, bar) => Math.min(0, price - best[bar]!.value))
  const allowing = all + over.reduce((sum, each, bar) => sum + each * bars[bar]!.count, 0)
  const scale = Math.min(...bars.map(({ price }, bar) => (best[bar]!.value > 0 ? price / best[bar]!.value : Infinity)))
  return Math.max(0, allowing, Number.isFinite(scale) ? all * scale : 0)
}

/** The fullest stick for its price, with the longest piece that is left in it, again and again. */
function fullestFirst({ kinds, bars, kerf }: Sticks): Pattern[] {
  const left = kinds.map(({ count }) => count)
  const stock = bars.map(({ count }) => count)
  const found: Pattern[] = []
  for (let first = 0; first < kinds.length; ) {
    if (left[first] === 0) {
      first++
      continue
    }
    const { length } = kinds[first]!
    const able = bars.flatMap((bar, i) => (stock[i]! > 0 && bar.length >= length ? [i] : []))
    if (able.length === 0) return []
    const rest = { kinds: kinds.map((kind, i) => ({ ...kind, count: left[i]! - (i === first ? 1 : 0) })), kerf }
    const filled = bestPatterns(
      { ...rest, bars: able.map((i) => ({ ...bars[i]!, length: bars[i]!.length - length - kerf })) },
      kinds.map((kind) => kind.length + kerf),
    )
    const options = filled.map(({ taken, value }, i) => ({
      bar: able[i]!,
      taken: taken.map((count, kind) => count + (kind === first ? 1 : 0)),
      each: bars[able[i]!]!.price / (value + length),
    }))
    const { bar, taken } = options.reduce((best, each) => (each.each < best.each ? each : best))
    taken.forEach((count, kind) => (left[kind]! -= count))
    stock[bar]!--
    found.push({ bar, taken })
  }
  return found
}

/** Each kind by itself out of each stick that it fits into. */
function firstPatterns({ kinds, bars, kerf }: Sticks): Pattern[] {
  return bars.flatMap(({ length }, bar) =>
    kinds.flatMap((kind, i) => {
      const most = Math.min(kind.count, Math.floor((length + kerf) / (kind.length + kerf)))
      return most > 0 ? [{ bar, taken: kinds.map((_each, j) => (j === i ? most : 0)) }] : []
    }),
  )
}

const programmeOf = (sticks: Sticks, patterns: readonly Pattern[]): CountProgramme => ({
  minimise: patterns.map(({ bar }, i) => [sticks.bars[bar]!.price, `x${i}`] as const),
  restrictions: restrictionsOf(sticks, patterns, '>='),
})

/** All pieces, then no more of each stick than there are: in this order, whatever there is of them. */
function restrictionsOf({ kinds, bars }: Sticks, patterns: readonly Pattern[], is: '=' | '>='): Restriction[] {
  return [
    ...kinds.map(
      ({ count }, kind): Restriction => ({
        terms: patterns.flatMap(({ taken }, i) => (taken[kind]! > 0 ? [[taken[kind]!, `x${i}`] as const] : [])),
        is,
        than: count,
      }),
    ),
    ...bars.map(
      ({ count }, at): Restriction => ({
        terms: patterns.flatMap(({ bar }, i) => (bar === at ? [[1, `x${i}`] as const] : [])),
        is: '<=',
        than: count,
      }),
    ),
  ].filter(({ terms }) => terms.length > 0)
}

const offcutOf = ({ bar, taken }: Pattern, { kinds, bars, kerf }: Sticks): number =>
  Math.max(0, bars[bar]!.length - taken.reduce((sum, count, i) => sum + count * (kinds[i]!.length + kerf), 0))
function leftOver(pattern: Pattern, sticks: Sticks): number {
  const offcut = offcutOf(pattern, sticks)
  return offcut < tenths(KEPT_OFFCUT) ? offcut : 0
}

const priceOf = (counts: ReadonlyMap<string, number>, patterns: readonly Pattern[], { bars }: Sticks): number =>
  patterns.reduce((sum, { bar }, i) => sum + bars[bar]!.price * (counts.get(`x${i}`) ?? 0), 0)

function cuttingOf(
  counts: ReadonlyMap<string, number>,
  patterns: readonly Pattern[],
  sticks: Sticks,
  bound: number,
  exact: boolean,
): Cutting {
  const { kinds, bars } = sticks
  const left = kinds.map(({ count }) => count)
  const cut = patterns.flatMap((pattern, i): CutBar[] =>
    Array.from({ length: counts.get(`x${i}`) ?? 0 }, () => {
      // What the patterns would make too many of is not cut.
      const taken = pattern.taken.map((count, kind) => Math.min(count, left[kind]!))
      taken.forEach((count, kind) => (left[kind]! -= count))
      return {
        stock: bars[pattern.bar]!.length / TENTHS,
        pieces: taken.flatMap((count, kind) => new Array<number>(count).fill(kinds[kind]!.length / TENTHS)),
        offcut: offcutOf({ bar: pattern.bar, taken }, sticks) / TENTHS,
      }
    }).filter(({ pieces }) => pieces.length > 0),
  )
  const price = priceOf(counts, patterns, sticks)
  return {
    bars: cut.sort((a, b) => b.stock - a.stock || b.pieces.length - a.pieces.length),
    price,
    exact: exact || price === bound,
    bound: Math.min(bound, price),
    gap: bound > 0 ? Math.max(0, price / bound - 1) : 0,
  }
}
