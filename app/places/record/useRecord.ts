import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'
import { newIdentity } from '~/sync/identity'
import type { Entry, EntryKind, EntryValue, Visit } from '~~/core/document/job'
import { asBuiltAt } from '~~/core/record/asBuilt'
import { signOffAt } from '~~/core/record/entries'

/** The record of the chosen post, and what is put into it. */
export function useRecord() {
  const session = useJobSession()
  const view = useJobView()
  const preferences = usePreferencesStore()

  const built = computed(() => (view.job.value ? (asBuiltAt(view.job.value, view.address.value) ?? {}) : {}))
  const signed = computed(() => (view.job.value ? signOffAt(view.job.value, view.address.value) : undefined))

  /** @param corrects the entry that this one stands in the place of */
  function add<K extends EntryKind>(kind: K, value: EntryValue<K>, corrects?: string) {
    const entry: Entry = {
      id: newIdentity(),
      ...preferences.signed(),
      ...view.address.value,
      kind,
      value,
      ...(corrects === undefined ? {} : { corrects }),
    }
    return session.edit([{ name: 'addEntry', entry: entry.id, value: entry }])
  }
  /** Nothing goes: it stays, marked as taken back. */
  const takeBack = (entry: string) => session.edit([{ name: 'addEntry', entry, value: null, back: true }])

  function putVisit(visit: Omit<Visit, 'id'> & { id?: string }) {
    const { id = newIdentity(), ...rest } = visit
    return session.edit([{ name: 'putVisit', visit: id, value: { id, ...rest } }])
  }
  return { built, signed, add, takeBack, putVisit }
}
