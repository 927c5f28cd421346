import { mixed, type ObjectShape } from 'yup'
import type { Job } from '../document/job'
import { choice, text, unitOf } from '../schema/fields'
import { LONGEST } from '../limits'

/** How a person reads figures: their units are the person's own. */
export interface Words {
  length: (metres: number) => string
}

/**
 * One kind of edit. Every edit is a small named command: it can be undone, replayed and merged key by key.
 * A value of null takes the key away.
 *
 * Adding a command is one file of this shape and one line in `commands/index.ts`.
 */
export interface CommandKind<C extends { name: string }> {
  readonly name: C['name']
  /** What the command carries beside its name. */
  readonly fields: ObjectShape
  /** What it writes to, from the outside in: two commands meet where one target begins with the other. */
  target(command: C): readonly string[]
  /** The job after it; the job given stays as it is. @throws InputError when what it speaks of is not there */
  apply(job: Job, command: C): Job
  /** The command that takes it back, made on the job before it. */
  inverse(job: Job, command: C): C
  /** What it would make true, in words. */
  says(command: C, words: Words): string
}

/**
 * A key of a part of the document with a value that it may have; null takes the key away.
 *
 * @example KeyValue<{ age: number; soil: string }> // { key: 'age'; value: number | null } | { key: 'soil'; value: string | null }
 */
export type KeyValue<T, K extends keyof T = keyof T> = {
  [P in K]-?: { key: P; value: Exclude<T[P], undefined> | null }
}[K]

const KEY_SAYS = 'a key that this command may write to'

/** Fields of a command that sets one key of a part of the document. */
export function oneKeyOf(schema: { fields: object }, except: readonly string[] = []): ObjectShape {
  const keys = Object.keys(schema.fields).filter((key) => !except.includes(key))
  return { key: choice(keys).oneOf(keys, KEY_SAYS).required(KEY_SAYS), value: mixed().nullable() }
}

const identity = () => text(LONGEST.lineOrPost).required('the id of what it is')
export const lineAddress = { line: identity() }
export const postAddress = { line: identity(), post: identity() }

/** Fields of a command that puts a whole thing under its identity, or takes it out. */
export function put(schema: { nullable(): unknown }, address: string): ObjectShape {
  const nullable = schema.nullable() as ReturnType<typeof mixed>
  return {
    value: nullable.test('same', 'of the id that it is put under', function (value: unknown) {
      const parent = this.parent as Record<string, unknown>
      return value === null || value === undefined || (value as { id?: unknown }).id === parent[address]
    }),
  }
}

/** The value of one key in words, its number in the key's own unit. */
export const keyWords = (schema: { fields: object }, { key, value }: { key: string; value: unknown }, words: Words) =>
  valueWords(value, words, (schema.fields as Record<string, unknown>)[key])

/**
 * A value in words.
 *
 * @param field its schema: says in which unit a number is; of a part, the schema that has its keys
 * @example valueWords(12, words, quantity(0, 200, 'years')) // '12 years'
 */
export function valueWords(value: unknown, words: Words, field?: unknown): string {
  if (value === null || value === undefined) return 'taken back'
  switch (typeof value) {
    case 'number':
      return quantityWords(value, unitOf(field), words)
    case 'boolean':
      return value ? 'yes' : 'no'
    case 'string':
      return value.replaceAll('-', ' ')
  }
  if (Array.isArray(value)) return value.map((each) => valueWords(each, words, field)).join('; ') || 'nothing'
  const fields = (field as { fields?: Record<string, unknown> } | undefined)?.fields ?? {}
  return Object.entries(value as Record<string, unknown>)
    .map(([key, part]) => `${spaced(key)} ${valueWords(part, words, fields[key])}`)
    .join(', ')
}

function quantityWords(value: number, unit: string | undefined, words: Words): string {
  if (unit === 'm') return words.length(value)
  return unit ? `${value} ${unit}` : String(value)
}

/** @example spaced('probeAtGround') // 'probe at ground' */
export const spaced = (key: string): string =>
  key.replace(/([a-z])([A-Z])/g, (_all, a: string, b: string) => `${a} ${b.toLowerCase()}`)
