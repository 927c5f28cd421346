import { withKey, withPart } from './changes'
import type { ObservationKey, Reading, ReadingNote } from '../cause/observations'
import type { Post } from '../document/job'

/* Readings: what is held true now, and the record of all that was read. */

export interface SetReading {
  name: 'setReading'
  line: string
  post: string
  key: ObservationKey
  value: unknown
  /** Keeps the reading for the record; left out, the observation alone is set. */
  reading?: ReadingNote
  /** Takes a reading out of the record again: the way back from the one above. */
  without?: string
}

/** The observation as it stands now; the reading itself joins those made before. */
export function withReading(post: Post, { key, value, reading, without }: SetReading): Post {
  const set = withPart(post, 'observations', key, value)
  if (!reading && without === undefined) return set
  const kept = (post.readings ?? []).filter(({ id }) => id !== without && id !== reading?.id)
  const entry: Reading[] = reading ? [{ ...reading, observation: key, value: value ?? null }] : []
  const readings = [...kept, ...entry]
  return withKey(set, 'readings', readings.length > 0 ? readings : null)
}

/** The command that takes a reading back, made on the post before it. */
export function inverseOfReading(post: Post, { reading, without, ...command }: SetReading): SetReading {
  const back: SetReading = { ...command, value: post.observations?.[command.key] ?? null }
  const before = post.readings?.find(({ id }) => id === (reading?.id ?? without))
  // One that goes on changing under its own name is put back as it was.
  if (before) return { ...back, reading: noteOf(before) }
  return reading ? { ...back, without: reading.id } : back
}

function noteOf({ observation: _key, value: _value, ...note }: Reading): ReadingNote {
  return note
}
