/**
 * Whether two pieces of plain data say the same: numbers, text, lists and records, as a job document holds them.
 *
 * The order of a record's keys does not count (JSON text, compared as text, counts it), and a key that is undefined is a
 * key that is absent, as in JSON. The order of a list counts. NaN equals itself.
 *
 * @example sameData({ shape: 'round', diameter: 0.1 }, { diameter: 0.1, shape: 'round' }) // true
 * @example sameData([1, 2], [2, 1]) // false
 */
export function sameData(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true
  if (a === 0 && b === 0) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  if (Array.isArray(a) || Array.isArray(b))
    return Array.isArray(a) && Array.isArray(b) && a.length === b.length && a.every((value, i) => sameData(value, b[i]))
  const [left, right] = [definedIn(a), definedIn(b)]
  return (
    left.size === right.size && [...left].every(([key, value]) => right.has(key) && sameData(value, right.get(key)))
  )
}

const definedIn = (record: object): Map<string, unknown> =>
  new Map(Object.entries(record).filter(([, value]) => value !== undefined))
