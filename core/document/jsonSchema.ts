import { JOB_VERSION } from './vocabulary'
import type { SchemaDescription, SchemaObjectDescription, SchemaInnerTypeDescription } from 'yup'
import { ENTRY_VALUES } from './recordSchema'
import { jobSchema } from './jobSchema'
import { leanReadingSchema } from './observationsSchema'
import { holeSchema } from './repairSchema'
import { sectionShapes } from './sectionSchema'

type JsonSchema = Record<string, unknown>

/**
 * JSON Schema of the job document, made from the schema that the program itself validates with.
 * What spans several keys (order of stations, known soils and methods) only the program checks.
 */
export function jobJsonSchema(): JsonSchema {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: `Vindex job, version ${JOB_VERSION}`,
    ...translate(jobSchema.describe(), 'job'),
  }
}

function translate(description: SchemaDescription, key: string): JsonSchema {
  switch (description.type) {
    case 'object':
      return translateObject(description as SchemaObjectDescription)
    case 'array': {
      const inner = (description as SchemaInnerTypeDescription).innerType as SchemaDescription
      return { type: 'array', items: translate(inner, key), ...limits(description, 'minItems', 'maxItems') }
    }
    case 'number': {
      const { unit } = (description.meta ?? {}) as { unit?: string }
      return {
        type: 'number',
        ...choices(description),
        ...limits(description, 'minimum', 'maximum'),
        ...(unit ? { description: unit } : {}),
      }
    }
    case 'mixed':
      return {}
    case 'lazy':
      return byShape(key)
    default:
      return {
        type: description.type,
        ...choices(description),
        ...limits(description, 'minLength', 'maxLength'),
        ...pattern(description),
      }
  }
}

function translateObject({ fields }: SchemaObjectDescription): JsonSchema {
  const entries = Object.entries(fields) as [string, SchemaDescription][]
  const required = entries.filter(([, field]) => field.optional === false).map(([name]) => name)
  return {
    type: 'object',
    properties: Object.fromEntries(entries.map(([name, field]) => [name, translate(field, name)])),
    ...(required.length > 0 ? { required } : {}),
  }
}

/** The parts whose form depends on their value. */
function byShape(key: string): JsonSchema {
  if (key === 'value')
    return { anyOf: Object.entries(ENTRY_VALUES).map(([kind, schema]) => translate(schema.describe(), kind)) }
  if (key === 'parts') return { type: 'object', additionalProperties: { type: 'string' } }
  if (key === 'holes') return { type: 'object', additionalProperties: translate(holeSchema.describe(), 'hole') }
  if (key === 'lean') {
    const one = translate(leanReadingSchema.describe(), 'reading')
    return { anyOf: [one, { type: 'array', items: one, maxItems: 2 }] }
  }
  return {
    oneOf: Object.entries(sectionShapes).map(([shape, schema]) => {
      const one = translate(schema.describe(), shape)
      return {
        ...one,
        properties: { shape: { const: shape }, ...(one.properties as object) },
        required: ['shape', ...((one.required as string[] | undefined) ?? [])],
      }
    }),
  }
}

function choices({ oneOf }: SchemaDescription): JsonSchema {
  const values = oneOf.filter((value) => value !== undefined)
  return values.length > 0 ? { enum: values } : {}
}

function pattern({ tests }: SchemaDescription): JsonSchema {
  const regex = tests.find((test) => test.name === 'matches')?.params?.regex
  return regex instanceof RegExp ? { pattern: regex.source } : {}
}

function limits({ tests }: SchemaDescription, least: string, most: string): JsonSchema {
  const limit = (name: 'min' | 'max') => tests.find((test) => test.name === name)?.params?.[name]
  const [low, high] = [limit('min'), limit('max')]
  return { ...(low === undefined ? {} : { [least]: low }), ...(high === undefined ? {} : { [most]: high }) }
}
