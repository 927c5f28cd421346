import { ValidationError, type AnySchema } from 'yup'
import { InputError } from '../errors'
import type { ReadWith } from './fields'

type Readable = Pick<AnySchema, 'validateSync'>

/**
 * Everything in which a value breaks its schema. Schemas word their messages as ranges.
 *
 * @param whole name of the value itself, where no key inside it is to blame
 * @param context tables whose keys the value may name; without them keys are not looked up
 * @param options `firstOnly` stops there: a person wants all, a server wants to be done
 */
export function violationsOf(
  schema: Readable,
  value: unknown,
  whole: string,
  context?: ReadWith,
  { firstOnly = false } = {},
): InputError[] {
  try {
    schema.validateSync(value, { abortEarly: firstOnly, strict: true, context })
    return []
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    const all = error.inner.length > 0 ? error.inner : [error]
    return all.map((each) => new InputError(each.path || whole, valueOf(each), each.message))
  }
}

/** Of an error that stood alone, `value` is the whole that was looked at. */
function valueOf({ params, value }: ValidationError): unknown {
  return params && 'value' in params ? params.value : value
}

/**
 * A value that fulfils its schema.
 *
 * @throws InputError for the first thing that is wrong
 */
export function readBy<T>(
  schema: Readable,
  value: unknown,
  whole: string,
  context?: ReadWith,
  options = { firstOnly: false },
): T {
  const [first] = violationsOf(schema, value, whole, context, options)
  if (first) throw first
  return value as T
}
