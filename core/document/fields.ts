import { array, boolean, number, object, string, type AnyObject, type AnySchema } from 'yup'

/*
 * Fields that documents are made of. Nothing is coerced: a length typed as text is refused where it
 * stands. Messages say the range only; key and value are added by whoever reads the document.
 */

export const range = (minimum: number, maximum: number, unit: string) =>
  `a number from ${minimum} to ${maximum}${unit ? ` ${unit}` : ''}`

/** A number in a range; the unit is named in messages and in the JSON Schema. */
export function quantity(minimum: number, maximum: number, unit = '') {
  const says = range(minimum, maximum, unit)
  return number().strict().typeError(says).min(minimum, says).max(maximum, says).meta({ unit })
}

export const choice = (values: readonly string[]) => {
  const says = `one of ${values.join(', ')}`
  return string()
    .strict()
    .typeError(says)
    .oneOf([...values, undefined], says)
}
export const flag = () => boolean().strict().typeError('true or false')
export const text = (longest: number) =>
  string().strict().typeError(`text of at most ${longest} letters`).max(longest, `text of at most ${longest} letters`)
export const name = (longest: number) =>
  text(longest).required(`text of 1 to ${longest} letters`).matches(/\S/, 'more than blanks')
export const part = <S extends AnyObject>(fields: S) =>
  object(fields as never)
    .strict()
    .typeError('an object')
    .default(undefined)

export const listOfAtMost = (most: number, things: string, of: AnySchema) =>
  array().of(of).strict().typeError(`a list of at most ${most} ${things}`).max(most, `at most ${most} ${things}`)
export const TIME_SAYS = 'a time such as 2026-03-14T09:30:00Z'
export const time = string()
  .strict()
  .typeError(TIME_SAYS)
  .matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:\d\d)$/, {
    message: TIME_SAYS,
    excludeEmptyString: true,
  })
