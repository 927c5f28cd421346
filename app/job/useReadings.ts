import type { Reading, ReadingNote } from '~~/core/document/job'
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import type { InputError } from '~~/core/errors'
import type { Instrument, ObservationKey } from '~~/core/cause/observations'
import { newIdentity } from '~/sync/identity'
import { usePreferencesStore } from '~/session/preferences'

/** Steps that follow each other within this time make one reading, ms. */
const STILL_MADE = 20_000
/** The reading that was made last on this device, by observation. */
const making = new Map<ObservationKey, string>()

/** Time and person of a reading that is made now. */
export function useReadingNote(instrument: Instrument = 'eye'): () => ReadingNote {
  const preferences = usePreferencesStore()
  return () => ({ id: newIdentity(), instrument, ...preferences.signed() })
}

/** Readings of the chosen post: made with time and person, and kept one after the other. */
export function useReadings() {
  const session = useJobSession()
  const view = useJobView()
  const preferences = usePreferencesStore()

  const seen = computed(() => view.post.value?.observations ?? {})

  /**
   * @param value   null takes the observation back: that is an entry too
   * @param stepped it came by a step from the reading before: both are one reading, still being made
   */
  function record(
    key: ObservationKey,
    value: unknown,
    instrument: Instrument = 'eye',
    stepped = false,
  ): Promise<InputError | undefined> {
    const signature = preferences.signed()
    const [last] = trail(key)
    const goesOn =
      stepped &&
      last &&
      !last.withdrawn &&
      last.id === making.get(key) &&
      Date.parse(signature.at) - Date.parse(last.at) < STILL_MADE
    const id = goesOn ? last.id : newIdentity()
    making.set(key, id)
    const reading = { id, instrument, ...signature }
    return session.edit([{ name: 'setReading', ...view.address.value, key, value, reading }])
  }

  /** Newest first. */
  const trail = (key: ObservationKey): Reading[] =>
    (view.post.value?.readings ?? []).filter(({ observation }) => observation === key).toReversed()

  return { seen, record, trail }
}
