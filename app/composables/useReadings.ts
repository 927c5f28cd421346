import type { InputError } from '~~/core/errors'
import type { Instrument, ObservationKey, Reading } from '~~/core/job/observations'
import { newIdentity } from '~/outbox/identity'
import { useJobStore } from '~/stores/job'
import { usePreferencesStore } from '~/stores/preferences'

/** Readings of the chosen post: made with time and person, and kept one after the other. */
export function useReadings() {
  const store = useJobStore()
  const view = useJobView()
  const preferences = usePreferencesStore()

  const seen = computed(() => view.post.value?.observations ?? {})

  /** @param value null takes the observation back: that is an entry too */
  function record(
    key: ObservationKey,
    value: unknown,
    instrument: Instrument = 'eye',
  ): Promise<InputError | undefined> {
    const by = preferences.person.trim()
    const reading = { id: newIdentity(), at: new Date().toISOString(), instrument, ...(by ? { by } : {}) }
    return store.edit([{ name: 'setReading', ...view.address.value, key, value, reading }])
  }

  /** Newest first. */
  const trail = (key: ObservationKey): Reading[] =>
    (view.post.value?.readings ?? []).filter(({ observation }) => observation === key).toReversed()

  return { seen, record, trail }
}
