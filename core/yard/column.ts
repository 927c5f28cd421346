/** What a column of one of the yard's tables holds. Lengths are kept in metres, prices in whole minor units. */
export const YARD_KINDS = ['text', 'number', 'money', 'length', 'choice', 'list', 'flag'] as const
export type YardKind = (typeof YARD_KINDS)[number]

/** A row as it is kept; what a column finds in it stands at its path. */
export type YardRow = { key: string } & Record<string, unknown>

export interface YardColumn {
  /** Dotted; a number is a place in a list. @example 'roadside.slot.0' */
  path: string
  name: string
  kind: YardKind
  values?: readonly string[]
  /** Least and most that is accepted, as it is kept. */
  range?: readonly [number, number]
  /** What a number is shown in, and how much of what is kept one of it is. */
  unit?: string
  per?: number
  /** Whether a row cannot be without it. */
  isNeeded?: boolean | ((row: YardRow) => boolean)
  /** Shown on a narrow screen before the row is opened. */
  isMain?: true
  /** A length of hands: mm or inches. */
  isSmall?: true
}

export interface YardTable {
  key: string
  name: string
  /** What it is for, for whoever opens it first. */
  says: string
  columns: readonly YardColumn[]
  /** Jobs stand on its rows: they are changed and added to, never taken out. */
  isKept?: true
  /** It has one row, and no other. */
  isSingle?: true
}

/** What every table has in front: how it is known to jobs, and what it is called. */
export const NAMED: readonly YardColumn[] = [
  { path: 'key', name: 'known as', kind: 'text', isNeeded: true },
  { path: 'name', name: 'name', kind: 'text', isNeeded: true, isMain: true },
]

type More = Omit<YardColumn, 'path' | 'name' | 'kind'>
export const column = (path: string, name: string, kind: YardKind, more: More = {}): YardColumn => ({
  path,
  name,
  kind,
  ...more,
})

/**
 * @returns what stands at a path of a row; undefined where nothing does
 * @example valueAt({ key: 'x', roadside: { slot: [1, 2] } }, 'roadside.slot.1') // 2
 */
export const valueAt = (row: YardRow, path: string): unknown =>
  path
    .split('.')
    .reduce<unknown>((at, step) => (typeof at === 'object' && at !== null ? (at as never)[step] : undefined), row)

/**
 * The row with another value at a path; without one where it is undefined or null. Parts of it that are missing are
 * made, and go when nothing is left in them.
 */
export function withValue(row: YardRow, path: string, value: unknown): YardRow {
  return put(row, path.split('.'), value ?? undefined) as YardRow
}

function put(at: unknown, [step, ...rest]: readonly string[], value: unknown): unknown {
  if (step === undefined) return value
  const isPlace = /^\d+$/.test(step)
  const inside = put(typeof at === 'object' && at !== null ? (at as never)[step] : undefined, rest, value)
  if (isPlace) {
    const list = Array.isArray(at) ? [...(at as unknown[])] : []
    list[Number(step)] = inside
    return list.every((each) => each === undefined) ? undefined : list
  }
  const { [step]: _before, ...others } = (at ?? {}) as Record<string, unknown>
  const next = inside === undefined ? others : { ...(at as object), [step]: inside }
  return rest.length === 0 || Object.keys(next).length > 0 ? next : undefined
}
