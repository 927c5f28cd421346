import { array, lazy, number, object, string, type ObjectSchema, type AnyObject } from 'yup'
import { LIMITS, LONGEST } from '../limits'
import { neededChoice, text } from '../schema/fields'
import { readBy } from '../schema/violations'
import type { CommandBatch } from './apply'
import { commandKinds } from './commands'

const NAMES = commandKinds.map(({ name }) => name)
const nameless = object({ name: neededChoice(NAMES) }).strict()
const SCHEMAS = new Map<unknown, ObjectSchema<AnyObject>>(
  commandKinds.map(({ name, fields }) => [name, object({ name: string(), ...fields }).strict() as never]),
)
const commandSchema = lazy(
  (command: unknown) => SCHEMAS.get((command as { name?: unknown } | null | undefined)?.name) ?? nameless,
)

const IDENTITY = `an identity of 8 to ${LONGEST.identity} letters`
const batchSchema = object({
  id: text(LONGEST.identity).required(IDENTITY).min(8, IDENTITY).max(LONGEST.identity, IDENTITY),
  version: number()
    .strict()
    .required('the version that the edits were made on')
    .integer('a whole number')
    .min(1, 'at least 1'),
  commands: array(commandSchema)
    .strict()
    .required('a list of commands')
    .min(1, 'at least one command')
    .max(LIMITS.commandsInBatch, `at most ${LIMITS.commandsInBatch} commands`),
})
  .strict()
  .typeError('an object')

/** Edits with the version that they were made on, as they are sent. */
export interface VersionedBatch extends CommandBatch {
  version: number
}

/** @throws InputError for the first thing that is wrong */
export const readBatch = (body: unknown): VersionedBatch =>
  readBy<VersionedBatch>(batchSchema, body, 'body', undefined, { firstOnly: true })
