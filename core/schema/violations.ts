import { ValidationError, type AnySchema } from 'yup'
import { InputError } from '../errors'
import type { ReadWith } from './fields'

type Readable = Pick<AnySchema, 'validateSync'>

/**
 * Everything in which a value breaks its schema. Schemas word their messages as ranges.
 *
 * @param whole name of the value itself, where no key inside it is to blame
 * @param context tables whose keys the value may name; without them keys are not looked up
 */
export function violationsOf(schema: Readable, value: unknown, whole: string, context?: ReadWith): InputError[] {
  try {
    schema.validateSync(value, { abortEarly: false, strict: true, context })
    return []
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    const all = error.inner.length > 0 ? error.inner : [error]
    return all.map((each) => new InputError(each.path || whole, each.value, each.message))
  }
}

/**
 * A value that fulfils its schema.
 *
 * @throws InputError for the first thing that is wrong
 */
export function readBy<T>(schema: Readable, value: unknown, whole: string, context?: ReadWith): T {
  const [first] = violationsOf(schema, value, whole, context)
  if (first) throw first
  return value as T
}
