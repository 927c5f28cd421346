import type { Knex } from 'knex'
import { versionsOf } from './repository'

/** Calls `hear` with each new version of a job, the present one first. Gives what stops it. */
export type WatchVersion = (id: string, hear: (version: number) => void) => () => void

export interface VersionWatch {
  watch: WatchVersion
  /** One question to the database for all jobs that anybody watches; does nothing where nobody does. */
  look: () => Promise<void>
}

/**
 * Versions of the jobs that devices have open, read from the database: an edit that another server wrote is seen too.
 *
 * @param database gives the connection
 */
export function versionWatch(database: () => Promise<Knex>): VersionWatch {
  const watched = new Map<string, { version: number; hearers: Set<(version: number) => void> }>()

  async function look(): Promise<void> {
    if (watched.size === 0) return
    for (const { id, version } of await versionsOf(await database(), [...watched.keys()])) {
      const job = watched.get(id)
      if (!job || job.version === version) continue
      job.version = version
      for (const hear of job.hearers) hear(version)
    }
  }

  return {
    look,
    watch(id, hear) {
      const job = watched.get(id) ?? { version: 0, hearers: new Set() }
      watched.set(id, job)
      job.hearers.add(hear)
      if (job.version > 0) hear(job.version)
      return () => {
        job.hearers.delete(hear)
        if (job.hearers.size === 0 && watched.get(id) === job) watched.delete(id)
      }
    },
  }
}

/** Between two looks, ms: what one device enters is on the other's screen within two seconds. */
const EVERY = 700

/** Looks by itself while anybody watches; a database that is away is asked again at the next look. */
export function lookingWatch(database: () => Promise<Knex>, onFault: (error: unknown) => void): WatchVersion {
  const { watch, look } = versionWatch(database)
  let count = 0
  let timer: NodeJS.Timeout | undefined
  const next = () => {
    timer = setTimeout(
      () =>
        void look()
          .catch(onFault)
          .finally(() => count > 0 && next()),
      EVERY,
    )
  }
  return (id, hear) => {
    const stop = watch(id, hear)
    if (++count === 1) next()
    return () => {
      stop()
      if (--count === 0) clearTimeout(timer)
    }
  }
}
