/* Ways to cut one stick. Lengths are in whole tenths of a millimetre; a kerf is lent to the stick for its last piece. */

/** One way to cut one stick: pieces of each length out of a stock length. */
export interface Pattern {
  bar: number
  taken: readonly number[]
}
export interface Sticks {
  /** Longest first, tenths of a millimetre. */
  kinds: readonly { length: number; count: number }[]
  bars: readonly { length: number; price: number; count: number }[]
  kerf: number
}

export const tooMany = Symbol('too many patterns')

/** Every way to cut pieces out of each stick; `tooMany` where there are more than `most`. */
export function patternsOf({ kinds, bars, kerf }: Sticks, most: number): Pattern[] | typeof tooMany {
  const found: Pattern[] = []
  const taken = kinds.map(() => 0)
  for (const [bar, { length }] of bars.entries()) if (!fill(bar, 0, length + kerf)) return tooMany
  return found

  /** The last piece needs no kerf behind it: one is lent to the stick. */
  function fill(bar: number, kind: number, room: number): boolean {
    if (kind === kinds.length) {
      if (taken.some((count) => count > 0)) found.push({ bar, taken: [...taken] })
      return found.length <= most
    }
    const { length, count } = kinds[kind]!
    for (let each = Math.min(count, Math.floor(room / (length + kerf))); each >= 0; each--) {
      taken[kind] = each
      if (!fill(bar, kind + 1, room - each * (length + kerf))) return false
    }
    taken[kind] = 0
    return true
  }
}

/**
 * The pieces out of each stick that are worth most: one table of how much every length is worth at most.
 *
 * @param worth of a piece of each kind, 0 or more
 * @returns by stick, in their order
 */
export function bestPatterns(
  { kinds, bars, kerf }: Sticks,
  worth: readonly number[],
): { taken: number[]; value: number }[] {
  const rooms = bars.map(({ length }) => length + kerf)
  const step = [...rooms, ...kinds.map(({ length }) => length + kerf)].reduce(greatestCommon)
  const most = Math.max(...rooms) / step
  const items = kinds.flatMap(({ length, count }, kind) =>
    doubled(count).map((times) => ({
      kind,
      times,
      takes: ((length + kerf) / step) * times,
      worth: worth[kind]! * times,
    })),
  )
  const values = new Float64Array(most + 1)
  const isTaken = items.map(() => new Uint8Array(most + 1))
  for (const [i, item] of items.entries()) {
    if (item.worth <= 0) continue
    const taken = isTaken[i]!
    for (let room = most; room >= item.takes; room--) {
      const value = values[room - item.takes]! + item.worth
      if (value <= values[room]! + 1e-12) continue
      values[room] = value
      taken[room] = 1
    }
  }
  return rooms.map((room) => {
    const taken = kinds.map(() => 0)
    let left = room / step
    for (let i = items.length - 1; i >= 0; i--) {
      if (!isTaken[i]![left]) continue
      taken[items[i]!.kind]! += items[i]!.times
      left -= items[i]!.takes
    }
    return { taken, value: values[room / step]! }
  })
}

const greatestCommon = (a: number, b: number): number => (b === 0 ? a : greatestCommon(b, a % b))

/** Numbers of which every count up to this one is a sum. @example doubled(6) // [1, 2, 3] */
function doubled(count: number): number[] {
  const found: number[] = []
  for (let each = 1; count > 0; each *= 2) {
    found.push(Math.min(each, count))
    count -= each
  }
  return found
}
