import { lazy, type AnyObject, type AnySchema, type ISchema, type ObjectShape, type SchemaDescription } from 'yup'
import type { HoleShape } from '../concrete/volume'
import { neededSectionSchema, sectionShapes } from '../document/sectionSchema'
import { InputError } from '../errors'
import type { NoFigureSoil, Soil } from '../ground/soil'
import * as fields from '../schema/fields'
import { row, type Tables } from '../tables/tables'
import type { Section } from '../timber/section'

/* Inputs of calculations: the document's own fields, which here may not be missing unless they say so. */

type Field<T> = ISchema<T, AnyObject>

export const quantity = (minimum: number, maximum: number, unit = ''): Field<number> =>
  fields.needed(minimum, maximum, unit)
export const flag = (): Field<boolean> => fields.flag().required('true or false')
export const choice = <const T extends string>(values: readonly T[]): Field<T> =>
  fields.typed<T>(fields.neededChoice(values))
export const keyOf = (table: string, rows: (tables: Tables) => readonly { key: string }[]): Field<string> =>
  fields.neededKey(table, rows)
/** An object whose fields are read under its key. */
export const group = <S extends ObjectShape>(shape: S) => fields.record(shape)
export const listOf = <T>(field: Field<T>, longest: number): Field<T[]> =>
  fields.typed<T[]>(fields.listOfAtMost(longest, 'entries', field).required(`a list of at most ${longest} entries`))
/** Words of a field whose form is not told by its type alone; its fields by shape where it has shapes. */
export const said = <T>(words: string, field: Field<T>, shapes?: Readonly<Record<string, unknown>>): Field<T> =>
  fields.typed<T>((field as unknown as AnySchema).meta({ says: words, ...(shapes ? { shapes } : {}) }))

export function optional<T>(field: Field<T>): Field<T | undefined>
export function optional<T>(field: Field<T>, otherwise: NonNullable<T>): Field<T>
export function optional<T>(field: Field<T>, otherwise?: T): Field<T | undefined> {
  const mayBeMissing = (field as unknown as AnySchema).optional()
  return otherwise === undefined ? mayBeMissing : mayBeMissing.default(otherwise)
}

/** An object whose other fields depend on its `shape`. */
function shaped<T>(shapes: Record<string, ObjectShape>): Field<T> {
  const names = Object.keys(shapes)
  const schemas = new Map(names.map((name) => [name, fields.record(shapes[name]!)]))
  const shapeless = fields.record({ shape: fields.neededChoice(names) })
  const words = names.map((name) => `${name} (${Object.keys(shapes[name]!).join(', ')})`).join(' | ')
  return said(
    words,
    fields.typed<T>(
      lazy((value: unknown) => schemas.get((value as { shape?: string } | null)?.shape ?? '') ?? shapeless),
    ),
    shapes,
  )
}

const SECTION_SHAPES = Object.fromEntries(Object.entries(sectionShapes).map(([name, { fields: of }]) => [name, of]))
export const section: Field<Section> = said(
  Object.entries(sectionShapes)
    .map(([name, shape]) => `${name} (${Object.keys(shape.fields).join(', ')})`)
    .join(' | '),
  neededSectionSchema,
  SECTION_SHAPES,
)
export const optionalSection: Field<Section | undefined> = fields.typed(
  lazy((value: unknown) => (value === undefined ? fields.part({}) : neededSectionSchema) as AnySchema).meta({
    says: `${fieldWords(section)} (may be left out)`,
    shapes: SECTION_SHAPES,
  }),
)

const zones = {
  depth: quantity(0.05, 5, 'm'),
  stoneBed: optional(quantity(0, 2, 'm'), 0),
  fillTop: optional(quantity(-0.5, 2, 'm'), 0),
  crown: optional(flag(), false),
}
const width = () => quantity(0.05, 3, 'm')
export const hole: Field<HoleShape> = shaped<HoleShape>({
  round: { diameter: width(), ...zones },
  square: { side: width(), ...zones },
  tapered: { topDiameter: width(), bottomDiameter: width(), ...zones },
  belled: { diameter: width(), bellDiameter: width(), bellHeight: quantity(0, 5, 'm'), ...zones },
})

export const soilKey = keyOf('soil', (tables) => tables.soils)

/** @throws InputError when no figure is given for this soil */
export function soilWithFigures(key: string, tables: Tables): Soil {
  const soil = row<Soil | NoFigureSoil>(tables.soils, key)
  if (soil.kind !== 'none') return soil
  const known = tables.soils.filter((each) => each.kind !== 'none').map((each) => each.key)
  throw new InputError('soil', key, `one of ${known.join(', ')}. ${soil.advice}`)
}

/** How the listing describes a field. @example fieldWords(quantity(0, 5, 'm')) // 'number, 0 to 5 m' */
export function fieldWords(field: unknown): string {
  const { spec } = field as AnySchema
  const meta = (spec?.meta ?? {}) as { says?: string; unit?: string; table?: string }
  const words = meta.says ?? wordsByType(field as AnySchema, meta)
  if (!spec?.optional || meta.says?.endsWith('(may be left out)')) return words
  const standsFor = spec.default === undefined ? '' : `, else ${JSON.stringify(spec.default)}`
  return `${words} (may be left out${standsFor})`
}

function wordsByType(field: AnySchema, { unit, table }: { unit?: string; table?: string }): string {
  if (table) return `key of a ${table}`
  const { innerType, fields: inside } = field as unknown as { innerType?: unknown; fields?: Record<string, unknown> }
  switch (field.type) {
    case 'number': {
      const { tests } = field.describe() as SchemaDescription
      const limit = (name: string) => tests.find((test) => test.name === name)?.params?.[name]
      return `number, ${limit('min')} to ${limit('max')}${unit ? ` ${unit}` : ''}`
    }
    case 'boolean':
      return 'true or false'
    case 'array':
      return `list of ${fieldWords(innerType)}`
    case 'object':
      return `{ ${Object.entries(inside ?? {})
        .map(([key, each]) => `${key}: ${fieldWords(each)}`)
        .join('; ')} }`
    default:
      return (field.describe() as SchemaDescription).oneOf.join(' | ')
  }
}
