import { OBSERVATION_KEYS, MEASURED, type ObservationKey } from '../../cause/observations'
import type { Post, Reading, ReadingNote } from '../../document/job'
import { leanReadingSchema, readingNoteSchema } from '../../document/schema'
import { LONGEST } from '../../limits'
import { quantity, text } from '../../schema/fields'
import { findPost, mapPost, postTarget, withKey, withPart, type PostAddress } from '../changes'
import { oneKeyOf, postAddress, valueWords, type CommandKind } from '../command'

/** What is held true of the post now; the reading itself joins those made before. */
export interface SetReading extends PostAddress {
  name: 'setReading'
  key: ObservationKey
  value: unknown
  /** Keeps the reading for the record; left out, the observation alone is set. */
  reading?: ReadingNote
  /** Takes a reading out of the record again: the way back from the one above. */
  without?: string
}

export const setReading: CommandKind<SetReading> = {
  name: 'setReading',
  fields: {
    ...postAddress,
    ...oneKeyOf({ fields: Object.fromEntries(OBSERVATION_KEYS.map((key) => [key, key])) }),
    reading: readingNoteSchema,
    without: text(LONGEST.identity),
  },
  target: (command) => [...postTarget(command), 'observations', command.key],
  apply: (job, command) => mapPost(job, command, (post) => withReading(post, command)),
  inverse: (job, command) => inverseOf(findPost(job, command), command),
  says: ({ key, value }, words) => valueWords(value, words, fieldOf(key)),
}

function withReading(post: Post, { key, value, reading, without }: SetReading): Post {
  const set = withPart(post, 'observations', key, value)
  if (!reading && without === undefined) return set
  const kept = (post.readings ?? []).filter(({ id }) => id !== without && id !== reading?.id)
  const entry: Reading[] = reading ? [{ ...reading, observation: key, value: value ?? null }] : []
  const readings = [...kept, ...entry]
  return withKey(set, 'readings', readings.length > 0 ? readings : null)
}

function inverseOf(post: Post, { reading, without, ...command }: SetReading): SetReading {
  const back: SetReading = { ...command, value: post.observations?.[command.key] ?? null }
  const before = post.readings?.find(({ id }) => id === (reading?.id ?? without))
  // One that goes on changing under its own name is put back as it was.
  if (before) return { ...back, reading: noteOf(before) }
  return reading ? { ...back, without: reading.id } : back
}

function noteOf({ observation: _key, value: _value, ...note }: Reading): ReadingNote {
  return note
}

function fieldOf(key: ObservationKey): unknown {
  if (key === 'lean') return leanReadingSchema
  if (!Object.hasOwn(MEASURED, key)) return undefined
  const { minimum, maximum, unit } = MEASURED[key as keyof typeof MEASURED]
  return quantity(minimum, maximum, unit)
}
