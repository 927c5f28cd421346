import { array, lazy, mixed, object, type AnySchema } from 'yup'
import { LIMITS, LONGEST } from '../limits'
import { name, neededChoice, record, text } from '../schema/fields'
import { readBy } from '../schema/violations'
import type { YardBatch } from './change'

const IDENTITY = `an identity of 8 to ${LONGEST.identity} letters`
const rowOrNone = () =>
  mixed()
    .nullable()
    .test('row', 'a row or null', (value) => value === null || isRow(value))
const isRow = (value: unknown) =>
  typeof value === 'object' && value !== null && typeof (value as { key?: unknown }).key === 'string'
const known = (tables: readonly string[]) => ({ table: neededChoice(tables), key: name(LONGEST.key) })

/**
 * Changes of the yard as they are sent.
 *
 * @param tables keys of the tables that there are
 * @throws InputError for the first thing that is wrong
 */
export function readYardBatch(body: unknown, tables: readonly string[]): YardBatch {
  const cell = record({ ...known(tables), path: name(LONGEST.key), was: mixed().nullable(), value: mixed().nullable() })
  const whole = record({ ...known(tables), was: rowOrNone(), value: rowOrNone() })
  const schema = object({
    id: text(LONGEST.identity).required(IDENTITY).min(8, IDENTITY).max(LONGEST.identity, IDENTITY),
    by: text(LONGEST.person),
    changes: array(lazy((change: unknown): AnySchema => (isCellLike(change) ? cell : whole) as AnySchema))
      .strict()
      .required('a list of changes')
      .min(1, 'at least one change')
      .max(LIMITS.yardChanges, `at most ${LIMITS.yardChanges} changes`),
  })
    .strict()
    .typeError('an object')
  return readBy<YardBatch>(schema, body, 'body', undefined, { firstOnly: true })
}
const isCellLike = (change: unknown) => typeof change === 'object' && change !== null && 'path' in change
