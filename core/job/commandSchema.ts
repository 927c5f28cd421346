import { array, mixed, number, object, string } from 'yup'
import { COMMAND_NAMES, type Command, type CommandBatch } from './commands'
import { OBSERVATION_VALUES } from './types'
import { violationsOf } from './violations'

/** Keys that each command may write to; the job as a whole is checked after it. */
const KEYS: Partial<Record<Command['name'], readonly string[]>> = {
  setSite: ['name', 'exposure', 'shelter', 'gust50', 'frostDepth', 'minimumDepth', 'targetReturnYears', 'season'],
  setLine: ['name', 'kind', 'height', 'gap', 'solidity', 'length', 'cornerAtStart', 'cornerAtEnd', 'remainingYears'],
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
  ],
  setReading: [
    'lean',
    'probeAtGround',
    'probeBelow',
    'probeAbove',
    'moisturePercent',
    ...Object.keys(OBSERVATION_VALUES),
  ],
  setRepair: ['mix', 'filling', 'spur', 'fixing', 'pin'],
  setHole: ['shape', 'diameter', 'depth', 'stoneBed', 'fillTop'],
}

const nameRange = `one of ${COMMAND_NAMES.join(', ')}`
const address = string().strict().max(40, 'at most 40 letters')

const commandSchema = object({
  name: string()
    .strict()
    .required(nameRange)
    .oneOf([...COMMAND_NAMES], nameRange),
  line: address,
  post: address,
  key: string()
    .strict()
    .test('known', 'a key that this command may write to', function (key) {
      const known = KEYS[(this.parent as Command).name]
      return known ? key !== undefined && known.includes(key) : key === undefined
    }),
  value: mixed().nullable(),
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
