import { array, mixed, number, object, string } from 'yup'
import { COMMAND_NAMES, type Command, type CommandBatch } from './commands'
import { OBSERVATION_KEYS } from '../cause/observations'
import { lineSchema, markSchema, photographSchema, postSchema, readingNoteSchema } from '../document/schema'
import { violationsOf } from '../document/violations'

/** Keys that each command may write to; the job as a whole is checked after it. */
const KEYS: Partial<Record<Command['name'], readonly string[]>> = {
  setSite: ['name', 'exposure', 'shelter', 'gust50', 'frostDepth', 'minimumDepth', 'targetReturnYears', 'season'],
  setLine: [
    'name',
    'kind',
    'height',
    'gap',
    'solidity',
    'length',
    'cornerAtStart',
    'cornerAtEnd',
    'remainingYears',
    'levelReference',
    'course',
  ],
  setPost: [
    'station',
    'groundLevel',
    'duty',
    'material',
    'section',
    'length',
    'ageYears',
    'soil',
    'saturated',
    'footing',
    'gate',
    'steadyLoad',
    'repair',
    'conditions',
  ],
  setReading: OBSERVATION_KEYS,
  setRepair: ['mix', 'filling', 'spur', 'fixing', 'pin'],
  setJudgement: ['overruled', 'found', 'cleared'],
  setHole: ['shape', 'diameter', 'depth', 'stoneBed', 'fillTop'],
}

const nameRange = `one of ${COMMAND_NAMES.join(', ')}`
const address = string().strict().max(40, 'at most 40 letters')

/** What is put into a list, and the address of the command whose identity it must carry. */
const PUT: Partial<Record<string, { schema: typeof lineSchema; address: string }>> = {
  putLine: { schema: lineSchema, address: 'line' },
  putPost: { schema: postSchema, address: 'post' },
  putMark: { schema: markSchema, address: 'mark' },
  putPhotograph: { schema: photographSchema, address: 'photograph' },
}
const SAME_ID = 'of the id that it is put under'

const commandSchema = object({
  name: string()
    .strict()
    .required(nameRange)
    .oneOf([...COMMAND_NAMES], nameRange),
  line: address,
  post: address,
  mark: address,
  photograph: string().strict().max(64, 'at most 64 letters'),
  key: string()
    .strict()
    .test('known', 'a key that this command may write to', function (key) {
      const known = KEYS[(this.parent as Command).name]
      return known ? key !== undefined && known.includes(key) : key === undefined
    }),
  value: mixed()
    .nullable()
    .test('put', 'what the command puts', function (value) {
      const { name, ...command } = this.parent as Record<string, unknown>
      const put = PUT[name as string]
      if (put === undefined || value === null) return true
      const [first] = violationsOf(put.schema.required('an object, or null'), value, 'value')
      if (first) return this.createError({ path: `${this.path}.${first.key}`, message: first.range })
      return (value as { id: string }).id === command[put.address] || this.createError({ message: SAME_ID })
    }),
  at: number().strict().integer().min(0),
  reading: readingNoteSchema,
  without: string().strict().max(64, 'at most 64 letters'),
}).strict()

const batchSchema = object({
  id: string()
    .strict()
    .required('an identity of 8 to 64 letters')
    .min(8, 'an identity of 8 to 64 letters')
    .max(64, 'an identity of 8 to 64 letters'),
  version: number()
    .strict()
    .required('the version that the edits were made on')
    .integer('a whole number')
    .min(1, 'at least 1'),
  commands: array()
    .of(commandSchema)
    .strict()
    .required('a list of commands')
    .min(1, 'at least one command')
    .max(500, 'at most 500 commands'),
}).strict()

/** @throws InputError for the first thing that is wrong */
export function readBatch(body: unknown): CommandBatch & { version: number } {
  const [first] = violationsOf(batchSchema, body, 'body')
  if (first) throw first
  return body as CommandBatch & { version: number }
}
