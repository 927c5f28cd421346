import { InputError } from '../errors'
import type { Tables } from '../tables/tables'
import type { Calculation } from './calculation'
import type { FormField } from './form'

/* How an answer moves while one of its inputs does: the drawing that every calculation has. */

/** Way to a figure inside a value. */
export type Path = readonly (string | number)[]

export interface InputNumber {
  path: Path
  field: FormField & { kind: 'number' }
}

/** Every number that was given, however deep it stands. */
export function numbersGiven(form: readonly FormField[], given: Readonly<Record<string, unknown>>): InputNumber[] {
  return form.flatMap((field) => inside(field, given[field.key], [field.key]))
}

function inside(field: FormField, value: unknown, path: Path): InputNumber[] {
  if (value === undefined || value === null) return []
  switch (field.kind) {
    case 'number':
      return typeof value === 'number' ? [{ path, field }] : []
    case 'list':
      return Array.isArray(value) ? value.flatMap((each, i) => inside(field.of, each, [...path, i])) : []
    case 'group':
      return fieldsInside(field.fields, value as Record<string, unknown>, path)
    case 'shaped': {
      const shaped = value as Record<string, unknown>
      return fieldsInside(field.shapes[shaped.shape as string] ?? [], shaped, path)
    }
    case 'written':
      return writtenInside(field, value, path)
    default:
      return []
  }
}
/** Read by the shape that another field names, or in a form of its own: any number of it may move. */
function writtenInside(field: FormField, value: unknown, path: Path): InputNumber[] {
  if (typeof value === 'number')
    return [{ path, field: { ...field, kind: 'number', minimum: -Infinity, maximum: Infinity, unit: '' } }]
  if (typeof value !== 'object' || value === null) return []
  const parts = Array.isArray(value) ? value.map((each, i) => [i, each] as const) : Object.entries(value)
  return parts.flatMap(([key, each]) => writtenInside(field, each, [...path, key]))
}
const fieldsInside = (fields: readonly FormField[], value: Readonly<Record<string, unknown>>, path: Path) =>
  fields.flatMap((each) => inside(each, value[each.key], [...path, each.key]))

/** Every number of an answer, nearest to its top first; of long lists the first few. */
export function figuresFound(found: unknown, path: Path = []): Path[] {
  if (typeof found === 'number') return Number.isFinite(found) ? [path] : []
  if (typeof found !== 'object' || found === null) return []
  const parts = Array.isArray(found)
    ? found.slice(0, MOST_OF_A_LIST).map((each, i) => [i, each] as const)
    : Object.entries(found)
  const here = parts.filter(([, each]) => typeof each === 'number')
  const deeper = parts.filter(([, each]) => typeof each === 'object')
  return [...here, ...deeper].flatMap(([key, each]) => figuresFound(each, [...path, key]))
}
const MOST_OF_A_LIST = 4

export const valueAt = (value: unknown, path: Path): unknown =>
  path.reduce<unknown>((inner, key) => (inner as Record<string | number, unknown> | null | undefined)?.[key], value)

/** The same with another value at a path. */
export function withValue<T>(value: T, [key, ...rest]: Path, put: unknown): T {
  if (key === undefined) return put as T
  if (Array.isArray(value)) return value.map((each, i) => (i === key ? withValue(each, rest, put) : each)) as T
  const record = (value ?? {}) as Record<string | number, unknown>
  return { ...record, [key]: withValue(record[key], rest, put) } as T
}

/** From half to twice of what was given, within what may be. */
export function reachOf({ minimum, maximum }: { minimum: number; maximum: number }, value: number): [number, number] {
  const ends = value === 0 ? [-1, 1] : [value / 2, value * 2].sort((a, b) => a - b)
  const [low, high] = [Math.max(minimum, ends[0]!), Math.min(maximum, ends[1]!)]
  return low < high ? [low, high] : [minimum, maximum]
}

export interface Sweep {
  from: number
  to: number
  points: { x: number; y: number }[]
}

const POINTS = 41

/**
 * One answer while one input goes from half to twice of what it is; where there is no answer, there is no point.
 *
 * @param path of the input, see {@link numbersGiven}
 * @param figure of the answer, see {@link figuresFound}
 */
export function sweep(
  { run }: Calculation,
  given: Readonly<Record<string, unknown>>,
  { path, field }: InputNumber,
  figure: Path,
  tables: Tables,
): Sweep {
  const [from, to] = reachOf(field, valueAt(given, path) as number)
  const points = Array.from({ length: POINTS }, (_, i) => from + ((to - from) * i) / (POINTS - 1)).flatMap((x) => {
    try {
      const y = valueAt(run(withValue(given, path, x), tables), figure)
      return typeof y === 'number' && Number.isFinite(y) ? [{ x, y }] : []
    } catch (error) {
      if (error instanceof InputError) return []
      throw error
    }
  })
  return { from, to, points }
}
