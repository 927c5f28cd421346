import { ValidationError, type AnySchema } from 'yup'
import { InputError } from '../errors'

/**
 * Everything in which a value breaks its schema. Schemas word their messages as ranges.
 *
 * @param whole name of the value itself, where no key inside it is to blame
 */
export function violationsOf(schema: Pick<AnySchema, 'validateSync'>, value: unknown, whole: string): InputError[] {
  try {
    schema.validateSync(value, { abortEarly: false, strict: true })
    return []
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    const all = error.inner.length > 0 ? error.inner : [error]
    return all.map((each) => new InputError(each.path || whole, each.value, each.message))
  }
}
