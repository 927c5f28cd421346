import { useJobSession, useJobView } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'
import { pictures } from '~/sync/device'
import { newIdentity } from '~/sync/identity'
import type { Photograph } from '~~/core/document/job'
import { preparePhotograph } from './preparePhotograph'

/** Photographs of the chosen post, kept on the device first. */
export function usePhotographs() {
  const session = useJobSession()
  const view = useJobView()
  const preferences = usePreferencesStore()
  /** @throws Error with words for the person, when it cannot be read */
  async function add(
    file: File,
    { keepPlace = false, ...more }: Pick<Photograph, 'height' | 'note'> & { keepPlace?: boolean },
  ): Promise<void> {
    const address = view.address.value
    const { blob, ...facts } = await preparePhotograph(file, keepPlace)
    const id = newIdentity()
    await pictures.keep(session.id, id, blob)
    const value: Photograph = { id, ...facts, ...more, ...preferences.signed() }
    await session.edit([{ name: 'putPhotograph', ...address, photograph: id, value }])
  }
  return { add }
}
