import { valueAt, withValue, type YardRow } from './column'

/** One cell of a row is another, or a row comes or goes; each says what stood there for whoever made it. */
export interface CellChange {
  table: string
  key: string
  path: string
  /** Null for nothing. */
  was: unknown
  value: unknown
}
export interface RowChange {
  table: string
  key: string
  was: YardRow | null
  value: YardRow | null
}
export type YardChange = CellChange | RowChange

/** Changes that are made, and undone, together. */
export interface YardBatch {
  id: string
  by?: string
  changes: readonly YardChange[]
}

export const isCell = (change: YardChange): change is CellChange => 'path' in change

/**
 * The row that a change makes of the row that is there.
 *
 * @returns null for none; undefined where something else stands there than whoever made the change saw
 */
export function rowAfter(now: YardRow | undefined, change: YardChange): YardRow | null | undefined {
  if (!isCell(change)) return isSame(now ?? null, change.was) ? change.value : undefined
  if (!now || !isSame(valueAt(now, change.path) ?? null, change.was ?? null)) return undefined
  return withValue(now, change.path, change.value)
}

/** What takes a batch back: the last change first. */
export const backOf = (changes: readonly YardChange[]): YardChange[] =>
  changes.map((change) => ({ ...change, was: change.value, value: change.was }) as YardChange).reverse()

/** The same as data, whatever the order of its keys. */
export function isSame(a: unknown, b: unknown): boolean {
  if (a === b) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  const [of, and] = [a as Record<string, unknown>, b as Record<string, unknown>]
  const keys = new Set([...Object.keys(of), ...Object.keys(and)])
  return Array.isArray(a) === Array.isArray(b) && [...keys].every((key) => isSame(of[key], and[key]))
}
