import type { AnySchema, SchemaDescription } from 'yup'
import type { Tables } from '../tables/tables'

/* What a form has to ask for a calculation, read off the fields that check it: whoever adds one adds no form. */

export type FormField = FieldKind & {
  key: string
  /** As somebody reads it. */
  name: string
  /** May be left out, and what it then stands for. */
  isOptional: boolean
  otherwise?: unknown
}

type FieldKind =
  | { kind: 'number'; minimum: number; maximum: number; unit: string }
  | { kind: 'flag' }
  | { kind: 'choice'; values: readonly string[] }
  /** The key of a row; the rows are the tables'. */
  | { kind: 'row'; rows: (tables: Tables) => readonly { key: string; name?: string }[] }
  | { kind: 'list'; of: FormField }
  | { kind: 'group'; fields: readonly FormField[] }
  | { kind: 'shaped'; shapes: Readonly<Record<string, readonly FormField[]>> }
  /** Whatever has no plainer form is written as it is listed. */
  | { kind: 'written'; says: string }

/** @example named('cornerAtStart') // 'corner at start' */
export const named = (key: string): string => key.replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`)

interface Meta {
  says?: string
  unit?: string
  table?: string
  rows?: (tables: Tables) => readonly { key: string; name?: string }[]
  shapes?: Record<string, Record<string, unknown>>
}

/**
 * The form of one field.
 *
 * @param says words of the listing, for what has no plainer form
 * @example formField('depth', quantity(0, 5, 'm'), '') // { kind: 'number', minimum: 0, maximum: 5, unit: 'm', … }
 */
export function formField(key: string, field: unknown, says: string): FormField {
  const { spec } = field as AnySchema
  const { default: otherwise } = (spec ?? {}) as { default?: unknown }
  return {
    key,
    name: named(key),
    isOptional: spec?.optional === true || says.includes('may be left out'),
    ...(otherwise === undefined || typeof otherwise === 'function' ? {} : { otherwise }),
    ...kindOf(field as AnySchema, says),
  }
}

function kindOf(field: AnySchema, says: string): FieldKind {
  const meta = (field.spec?.meta ?? {}) as Meta
  const { innerType, fields } = field as unknown as { innerType?: unknown; fields?: Record<string, unknown> }
  if (meta.shapes)
    return {
      kind: 'shaped',
      shapes: Object.fromEntries(
        Object.entries(meta.shapes).map(([name, shape]) => [
          name,
          fieldsOf(shape).filter(({ key }) => key !== 'shape'),
        ]),
      ),
    }
  if (meta.rows) return { kind: 'row', rows: meta.rows }
  switch (field.type as string) {
    case 'number': {
      const { tests } = field.describe() as SchemaDescription
      const limit = (name: string) => Number(tests.find((test) => test.name === name)?.params?.[name])
      return { kind: 'number', minimum: limit('min'), maximum: limit('max'), unit: meta.unit ?? '' }
    }
    case 'boolean':
      return { kind: 'flag' }
    case 'string': {
      const values = (field.describe() as SchemaDescription).oneOf as string[]
      return values.length > 0 ? { kind: 'choice', values } : { kind: 'written', says }
    }
    case 'array':
      return { kind: 'list', of: formField('', innerType, '') }
    case 'object':
      if (!meta.says && fields && Object.keys(fields).length > 0) return { kind: 'group', fields: fieldsOf(fields) }
      return { kind: 'written', says }
    default:
      return { kind: 'written', says }
  }
}

const fieldsOf = (fields: Record<string, unknown>): FormField[] =>
  Object.entries(fields).map(([key, field]) => formField(key, field, ''))
