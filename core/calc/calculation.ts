import { InputError, requireChoice, requireNumber } from '../errors'
import type { Tables } from '../tables/tables'

/** How one input of a calculation is read, and how the listing describes it. */
export interface Field<T> {
  says: string
  read: (key: string, value: unknown, tables: Tables) => T
}

type Fields = Record<string, Field<unknown>>
type Read<F extends Fields> = { [K in keyof F]: F[K] extends Field<infer T> ? T : never }

/** A named calculation as the shell, the route and the calculators offer it. */
export interface Calculation {
  name: string
  /** What it answers, in one line. */
  says: string
  inputs: Record<string, string>
  outputs: Record<string, string>
  /** @throws InputError for the first input that is wrong */
  run: (input: unknown, tables: Tables) => Record<string, unknown>
}

export function calculation<F extends Fields>(definition: {
  name: string
  says: string
  inputs: F
  outputs: Record<string, string>
  run: (input: Read<F>, tables: Tables) => Record<string, unknown>
}): Calculation {
  const { inputs } = definition
  return {
    ...definition,
    inputs: Object.fromEntries(Object.entries(inputs).map(([key, field]) => [key, field.says])),
    run: (input, tables) => definition.run(readInputs(inputs, input, tables), tables),
  }
}

function readInputs<F extends Fields>(fields: F, input: unknown, tables: Tables): Read<F> {
  if (typeof input !== 'object' || input === null || Array.isArray(input)) {
    throw new InputError('input', input, `an object with ${Object.keys(fields).join(', ')}`)
  }
  const unknown = Object.keys(input).find((key) => !Object.hasOwn(fields, key))
  if (unknown !== undefined) {
    throw new InputError(
      unknown,
      (input as Record<string, unknown>)[unknown],
      `left out: known are ${Object.keys(fields).join(', ')}`,
    )
  }
  const read = Object.entries(fields).map(([key, field]) => [
    key,
    field.read(key, (input as Record<string, unknown>)[key], tables),
  ])
  return Object.fromEntries(read) as Read<F>
}

export function quantity(minimum: number, maximum: number, unit = ''): Field<number> {
  return {
    says: `number, ${minimum} to ${maximum}${unit && ` ${unit}`}`,
    read: (key, value) => requireNumber(key, value, minimum, maximum, unit),
  }
}

export function flag(): Field<boolean> {
  return {
    says: 'true or false',
    read: (key, value) => {
      if (typeof value !== 'boolean') throw new InputError(key, value, 'true or false')
      return value
    },
  }
}

export function choice<T extends string>(values: readonly T[]): Field<T> {
  return { says: values.join(' | '), read: (key, value) => requireChoice(key, value, values) }
}

export function keyOf(says: string, rows: (tables: Tables) => readonly { key: string }[]): Field<string> {
  return {
    says,
    read: (key, value, tables) =>
      requireChoice(
        key,
        value,
        rows(tables).map((row) => row.key),
      ),
  }
}

export function optional<T>(field: Field<T>): Field<T | undefined>
export function optional<T>(field: Field<T>, otherwise: T): Field<T>
export function optional<T>(field: Field<T>, otherwise?: T): Field<T | undefined> {
  const standsFor = otherwise === undefined ? '' : `, else ${JSON.stringify(otherwise)}`
  return {
    says: `${field.says} (may be left out${standsFor})`,
    read: (key, value, tables) => (value === undefined ? otherwise : field.read(key, value, tables)),
  }
}

/** An object whose fields are read under `key.`. */
export function group<F extends Fields>(fields: F): Field<Read<F>> {
  return {
    says: `{ ${Object.entries(fields)
      .map(([key, field]) => `${key}: ${field.says}`)
      .join('; ')} }`,
    read: (key, value, tables) => {
      if (typeof value !== 'object' || value === null)
        throw new InputError(key, value, `an object with ${Object.keys(fields).join(', ')}`)
      const nested = Object.entries(fields).map(([name, field]) => [
        name,
        field.read(`${key}.${name}`, (value as Record<string, unknown>)[name], tables),
      ])
      return Object.fromEntries(nested) as Read<F>
    },
  }
}

export function listOf<T>(field: Field<T>, longest: number): Field<T[]> {
  return {
    says: `list of ${field.says}`,
    read: (key, value, tables) => {
      if (!Array.isArray(value) || value.length > longest)
        throw new InputError(key, value, `a list of at most ${longest}`)
      return value.map((each, i) => field.read(`${key}[${i}]`, each, tables))
    },
  }
}

/** An object whose other fields depend on its `shape`. */
export function shaped<T>(shapes: Record<string, Fields>): Field<T> {
  const names = Object.keys(shapes)
  return {
    says: names.map((name) => `${name} (${Object.keys(shapes[name]!).join(', ')})`).join(' | '),
    read: (key, value, tables) => {
      const shape = requireChoice(`${key}.shape`, (value as { shape?: unknown } | null)?.shape, names)
      return { shape, ...group(shapes[shape]!).read(key, value, tables) } as T
    },
  }
}
