import { object, type AnyObject, type InferType, type ISchema, type ObjectShape } from 'yup'
import { InputError } from '../errors'
import { readBy } from '../schema/violations'
import type { Tables } from '../tables/tables'
import { formField, type FormField } from './form'
import { fieldWords } from './inputs'

/** A named calculation as the shell, the route and the calculators offer it. */
export interface Calculation {
  name: string
  /** What it answers, in one line. */
  says: string
  /** Where its formula and its figures are from. */
  source: string
  inputs: Record<string, string>
  /** The same inputs as a form asks for them. */
  form: readonly FormField[]
  outputs: Record<string, string>
  /** Worked: what goes in, and what comes out of it. */
  example: Example
  /** @throws InputError for the first input that is wrong */
  run: (input: unknown, tables: Tables) => Record<string, unknown>
}

export type Example = readonly [given: Record<string, unknown>, found: Record<string, unknown>]

type Inputs<S extends ObjectShape> = InferType<ReturnType<typeof object<AnyObject, S>>>

/**
 * A calculation whose inputs are fields of the same schema as the job document's: ranges, keys and messages are the
 * same wherever a figure comes from.
 */
export function calculation<S extends ObjectShape>(definition: {
  name: string
  says: string
  source: string
  inputs: S
  outputs: Record<string, string>
  example: Example
  run: (input: Inputs<S>, tables: Tables) => Record<string, unknown>
}): Calculation {
  const { inputs, run } = definition
  const schema = object(inputs).strict()
  const fields = Object.entries(inputs) as [string, ISchema<unknown, AnyObject>][]
  const known = fields.map(([key]) => key)
  return {
    ...definition,
    inputs: Object.fromEntries(fields.map(([key, field]) => [key, fieldWords(field)])),
    form: fields.map(([key, field]) => formField(key, field, fieldWords(field))),
    run(input, tables) {
      requireKnown(input, known)
      const read = readBy<AnyObject>(schema, input, 'input', { tables })
      return run(withDefaults(read, fields) as Inputs<S>, tables)
    },
  }
}

function requireKnown(input: unknown, known: readonly string[]): asserts input is Record<string, unknown> {
  if (typeof input !== 'object' || input === null || Array.isArray(input))
    throw new InputError('input', input, `an object with ${known.join(', ')}`)
  const stranger = Object.keys(input).find((key) => !known.includes(key))
  if (stranger !== undefined)
    throw new InputError(
      stranger,
      (input as Record<string, unknown>)[stranger],
      `left out: known are ${known.join(', ')}`,
    )
}

/** What was left out stands for its default, at every depth of plain groups. */
function withDefaults(input: AnyObject, fields: readonly [string, unknown][]): AnyObject {
  const entries = fields.map(([key, field]) => {
    const given: unknown = input[key]
    const { spec } = field as { spec?: { default?: unknown } }
    return [key, given === undefined ? spec?.default : given] as const
  })
  return Object.fromEntries(entries.filter(([, value]) => value !== undefined))
}
