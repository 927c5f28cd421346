import {
  array,
  boolean,
  number,
  object,
  string,
  type AnyObject,
  type ISchema,
  type ObjectShape,
  type Schema,
} from 'yup'

/*
 * Fields that documents, commands and calculations are made of. Nothing is coerced: a length typed as text is
 * refused where it stands. Messages say the range only; key and value are added by whoever reads the whole.
 */

/** What a schema is read with: keys of table rows are checked against these. */
export interface ReadWith {
  tables: unknown
}

export const range = (minimum: number, maximum: number, unit: string) =>
  `a number from ${minimum} to ${maximum}${unit ? ` ${unit}` : ''}`

/** A number in a range; the unit is named in messages, in the JSON Schema and in words about it. */
export function quantity(minimum: number, maximum: number, unit = '') {
  const says = range(minimum, maximum, unit)
  return number().strict().typeError(says).min(minimum, says).max(maximum, says).meta({ unit })
}
/** The same, and it may not be missing. */
export const needed = (minimum: number, maximum: number, unit = '') =>
  quantity(minimum, maximum, unit).required(range(minimum, maximum, unit))

export const oneOf = (values: readonly unknown[]) => `one of ${values.join(', ')}`

export function choice<const T extends string>(values: readonly T[]) {
  return string().strict().typeError(oneOf(values)).oneOf(values, oneOf(values))
}
export const neededChoice = <const T extends string>(values: readonly T[]) => choice(values).required(oneOf(values))

type Rows<Tables> = (tables: Tables) => readonly { key: string }[]

/** The key of a row of a table; which keys there are, the tables say that the document is read with. */
export function tableKey<Tables>(table: string, rows: Rows<Tables>) {
  return string()
    .strict()
    .typeError(`the key of a ${table}`)
    .meta({ table, rows })
    .test({
      name: 'known',
      skipAbsent: true,
      test: (value, { options, createError }) => {
        const context = options.context as ReadWith | undefined
        if (context === undefined) return true
        const keys = rows(context.tables as Tables).map(({ key }) => key)
        return keys.includes(value!) || createError({ message: oneOf(keys) })
      },
    })
}
/** The same, and it may not be missing. */
export const neededKey = <Tables>(table: string, rows: Rows<Tables>) =>
  tableKey(table, rows).required(`the key of a ${table}`)

export const flag = () => boolean().strict().typeError('true or false')
export const text = (longest: number) =>
  string().strict().typeError(`text of at most ${longest} letters`).max(longest, `text of at most ${longest} letters`)
export const name = (longest: number) =>
  text(longest).required(`text of 1 to ${longest} letters`).matches(/\S/, 'more than blanks')

/** An object that must be there; keys that it does not know are kept. */
export function record<S extends ObjectShape>(fields: S) {
  const whole = object(fields).strict().typeError('an object').required('an object')
  Object.values(whole.fields).forEach(passAbsent)
  return whole
}

interface Nested {
  asNestedTest: (about: { key?: string; parent: Record<string, unknown> }) => NestedTest
  tests: { OPTIONS?: { skipAbsent?: boolean } }[]
  spec: { optional: boolean }
  conditions?: unknown[]
}
type NestedTest = (args: unknown, panic: unknown, next: (errors: unknown[]) => void) => void
const nothingWrong: NestedTest = (_args, _panic, next) => next([])

/**
 * Of the hundred things that can be said of a post a few are: one that may be missing, and is, is not looked at. It is
 * what most of an edit's check would take.
 */
function passAbsent(field: unknown): void {
  const { spec, tests, conditions = [], asNestedTest } = field as Partial<Nested>
  const mayBeMissing = spec?.optional === true && conditions.length === 0
  if (!asNestedTest || !mayBeMissing || !tests!.every(({ OPTIONS }) => OPTIONS?.skipAbsent)) return
  ;(field as Nested).asNestedTest = function (this: Nested, about) {
    return about.parent[about.key!] === undefined ? nothingWrong : asNestedTest.call(this, about)
  }
}
/** An object that may be missing. */
export const part = <S extends ObjectShape>(fields: S) => record(fields).default(undefined).optional()

export const listOfAtMost = <T>(most: number, things: string, of: ISchema<T, AnyObject>) =>
  array(of).strict().typeError(`a list of at most ${most} ${things}`).max(most, `at most ${most} ${things}`)

const TIME_SAYS = 'a time such as 2026-03-14T09:30:00Z'
export const time = () =>
  string()
    .strict()
    .typeError(TIME_SAYS)
    .matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:\d\d)$/, {
      message: TIME_SAYS,
      excludeEmptyString: true,
    })
export const neededTime = () => time().required(TIME_SAYS)

/** Names the type of a field whose form depends on its value; the schema itself is unchanged. */
export const typed = <T>(schema: ISchema<unknown, AnyObject>) => schema as unknown as ISchema<T, AnyObject>

/** Unit of a field's number, where it has one. @example unitOf(lineSchema.fields.height) // 'm' */
export function unitOf(schema: unknown): string | undefined {
  return ((schema as Schema | undefined)?.spec?.meta as { unit?: string } | undefined)?.unit
}
