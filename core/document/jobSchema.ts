import { array, number, string } from 'yup'
import { LIMITS, LONGEST } from '../limits'
import { listOfAtMost, name, record } from '../schema/fields'
import { daySchema } from './daySchema'
import { lineSchema } from './lineSchema'
import { loadSchema } from './loadSchema'
import { pourSchema } from './pourSchema'
import { entrySchema, visitSchema } from './recordSchema'
import { siteSchema } from './siteSchema'
import { JOB_FORMAT, JOB_VERSION } from './vocabulary'

/*
 * What a job file may hold: the one source of the document's types (job.ts), of its JSON Schema, of what
 * commands may write and of what calculations take. Unknown keys are kept.
 */

const exactly = <const T extends string>(value: T) => string().required(`"${value}"`).oneOf([value], `"${value}"`)
export const jobSchema = record({
  format: exactly(JOB_FORMAT),
  version: number()
    .required(`${JOB_VERSION}`)
    .oneOf([JOB_VERSION] as const, `${JOB_VERSION}`),
  name: name(LONGEST.name),
  site: siteSchema.optional(),
  lines: array(lineSchema)
    .strict()
    .typeError('a list of lines')
    .required('a list of lines')
    .min(1, 'at least one line')
    .max(LIMITS.lines, `at most ${LIMITS.lines} lines`),
  pours: listOfAtMost(LIMITS.pours, 'pours', pourSchema),
  day: daySchema,
  load: loadSchema,
  entries: listOfAtMost(LIMITS.entries, 'entries', entrySchema),
  visits: listOfAtMost(LIMITS.visits, 'visits', visitSchema),
})
