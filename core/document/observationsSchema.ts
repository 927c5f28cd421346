import { array, lazy, mixed } from 'yup'
import {
  INSTRUMENTS,
  MEASURED,
  OBSERVATION_KEYS,
  PICKED,
  SEEN_TOGETHER,
  type Observations,
} from '../cause/observations'
import { CAUSES } from '../cause/tables'
import { LONGEST } from '../limits'
import {
  choice,
  listOfAtMost,
  name,
  needed,
  neededChoice,
  neededTime,
  part,
  quantity,
  record,
  text,
  typed,
} from '../schema/fields'
import type { LeanReading } from '../setout/lean'

/* What is seen and measured at a post, by whom, and what people say of its cause. */

export const leanReadingSchema = record({
  offset: needed(-2, 2, 'm'),
  over: needed(0.1, 4, 'm'),
  direction: quantity(0, 360, 'degrees'),
})
const leanSchema = typed<LeanReading | LeanReading[] | undefined>(
  lazy((value: unknown) => {
    if (value === undefined) return mixed().notRequired()
    return Array.isArray(value) ? array(leanReadingSchema).strict().max(2, 'at most two readings') : leanReadingSchema
  }),
)

const fieldsOf = <V>(values: Readonly<Record<string, V>>, field: (value: V) => ReturnType<typeof typed>) =>
  Object.fromEntries(Object.entries(values).map(([key, value]) => [key, field(value)]))
export const observationsSchema = typed<Observations | undefined>(
  part({
    lean: leanSchema,
    ...fieldsOf(MEASURED, ({ minimum, maximum, unit }) => quantity(minimum, maximum, unit)),
    ...fieldsOf(PICKED, (values) => choice<string>(values)),
    ...fieldsOf(SEEN_TOGETHER, (values) => array(choice<string>(values)).strict().typeError('a list')),
  }),
)

const readingNote = {
  id: name(LONGEST.identity),
  at: neededTime(),
  by: text(LONGEST.person),
  instrument: choice(INSTRUMENTS),
}
/** Time, person and instrument of a reading, as a command brings them. */
export const readingNoteSchema = part(readingNote)
export const readingSchema = record({
  ...readingNote,
  observation: neededChoice(OBSERVATION_KEYS),
  // Null when the observation was taken back.
  value: typed<unknown>(mixed()),
  // Nothing is taken out of the record: who took it back, and why.
  withdrawn: part({ by: text(LONGEST.person), why: text(LONGEST.note) }),
})

const said = { at: neededTime(), by: text(LONGEST.person) }
const verdictSchema = record({
  ...said,
  cause: neededChoice(CAUSES),
  /** Others that were found with it. */
  also: listOfAtMost(3, 'causes', neededChoice(CAUSES)),
  note: text(LONGEST.judgement),
})
export const judgementSchema = record({
  overruled: verdictSchema.optional(),
  found: verdictSchema.optional(),
  cleared: part({ ...said, note: name(LONGEST.judgement) }),
})
