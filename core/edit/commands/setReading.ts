import { OBSERVATION_KEYS, MEASURED, type ObservationKey } from '../../cause/observations'
import type { Post, Reading, ReadingNote } from '../../document/job'
import { leanReadingSchema, readingNoteSchema } from '../../document/observationsSchema'
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
  /** Marks a reading as taken back: the way back from the one above. */
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

/**
 * Readings are entries of a set that only grows: one that is taken back stays, marked so. The observation is that of
 * the newest reading, whatever order they come in.
 */
function withReading(post: Post, { key, value, reading, without }: SetReading): Post {
  if (!reading && without === undefined) return withPart(post, 'observations', key, value)
  const known = post.readings ?? []
  const subject: Pick<Reading, 'id' | 'at'> | undefined = reading ?? known.find(({ id }) => id === without)
  // Others have read it since: theirs stands.
  const isOvertaken = known.some((each) => each.observation === key && stands(each) && isAfter(each, subject))
  const observed = isOvertaken ? post : withPart(post, 'observations', key, value)
  return withKey(
    observed,
    'readings',
    reading ? withEntry(known, { ...reading, observation: key, value: value ?? null }) : withdrawn(known, without!),
  )
}

const stands = ({ withdrawn: mark }: Reading): boolean => mark === undefined

function isAfter(each: Reading, subject: Pick<Reading, 'id' | 'at'> | undefined): boolean {
  if (!subject || each.id === subject.id) return false
  const [theirs, mine] = [Date.parse(each.at), Date.parse(subject.at)]
  return theirs > mine || (theirs === mine && each.id > subject.id)
}

function withEntry(known: readonly Reading[], entry: Reading): Reading[] {
  const at = known.findIndex(({ id }) => id === entry.id)
  return at < 0 ? [...known, entry] : known.with(at, entry)
}

function withdrawn(known: readonly Reading[], without: string): Reading[] | null {
  const marked = known.map((each) =>
    each.id === without
      ? { ...each, withdrawn: { why: WITHDRAWN, ...(each.by === undefined ? {} : { by: each.by }) } }
      : each,
  )
  return marked.length > 0 ? marked : null
}
const WITHDRAWN = 'taken back by whoever made it'

function inverseOf(post: Post, { reading, without, ...command }: SetReading): SetReading {
  const back: SetReading = { ...command, value: post.observations?.[command.key] ?? null }
  const before = post.readings?.find(({ id }) => id === (reading?.id ?? without))
  // One that goes on changing under its own name is put back as it was; one that was taken back is taken back again.
  if (before && stands(before)) return { ...back, reading: noteOf(before) }
  return reading ? { ...back, without: reading.id } : back
}

function noteOf({ observation: _key, value: _value, withdrawn: _mark, ...note }: Reading): ReadingNote {
  return note
}

function fieldOf(key: ObservationKey): unknown {
  if (key === 'lean') return leanReadingSchema
  if (!Object.hasOwn(MEASURED, key)) return undefined
  const { minimum, maximum, unit } = MEASURED[key as keyof typeof MEASURED]
  return quantity(minimum, maximum, unit)
}
