import type { Job } from '../../core/document/job'

/** Jobs that are worked on at once by one server. */
const KEPT = 60

interface Remembered {
  version: number
  job: Job
}

/**
 * Documents as this server last had them. Only a help: the version in the database says whether one still holds, so
 * that what another server wrote is never missed.
 */
export function documentMemory(most = KEPT) {
  const known = new Map<string, Remembered>()
  return {
    /** @param version newest that may be given */
    get(id: string, version: number): Remembered | undefined {
      const found = known.get(id)
      return found && found.version <= version ? found : undefined
    },
    set(id: string, remembered: Remembered): void {
      known.delete(id)
      known.set(id, remembered)
      if (known.size > most) known.delete(known.keys().next().value!)
    },
    forget: (id: string) => void known.delete(id),
  }
}
