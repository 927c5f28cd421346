import type { Job } from '~~/core/document/job'
import { InputError } from '~~/core/errors'
import { applyCommands } from '~~/core/edit/apply'
import type { VersionedBatch } from '~~/core/edit/batch'
import type { Command } from '~~/core/edit/commands'
import { rebase } from '~~/core/edit/rebase'
import { Refusal, type Api } from './api'
import type { Sender } from './queue'
import { plain, type DeviceStorage } from './storage'

export const EDITS = 'edits'

/** What became of a job's edits. */
export type EditsNews =
  | { what: 'taken'; batch: string; at: number; version: number; job: Job }
  | { what: 'merged'; version: number; job: Job; theirs: Command[] }
  | { what: 'refused'; batch: string; why: string }

/** Sends the edits of every job from what the device has kept, and tells whoever has that job open. */
export interface EditsSender extends Sender<VersionedBatch> {
  listen: (jobId: string, hear: (news: EditsNews) => void) => () => void
}

export function editsSender(storage: DeviceStorage, api: Pick<Api, 'sendEdits' | 'readJob'>): EditsSender {
  const listeners = new Map<string, Set<(news: EditsNews) => void>>()
  const tell = (jobId: string, news: EditsNews) => listeners.get(jobId)?.forEach((hear) => hear(news))

  async function send(jobId: string, batch: VersionedBatch): Promise<'taken' | 'made-anew'> {
    try {
      const answer = await api.sendEdits(jobId, batch)
      const job = answer.job ?? (await jobAfter(jobId, batch))
      await taken(jobId, batch, { ...answer, job })
      return 'taken'
    } catch (error) {
      if (!(error instanceof Refusal) || error.status !== 409) throw error
      const { version, job, theirs = [] } = error.body
      if (version === undefined || !job) throw error
      await merged(jobId, { version, job, theirs })
      return 'made-anew'
    }
  }

  /** The kept copy with the batch applied, or the server's own where the copy is another one. */
  async function jobAfter(jobId: string, batch: VersionedBatch): Promise<Job> {
    const kept = await storage.jobs.get(jobId)
    if (kept?.version === batch.version) return applyCommands(kept.job, batch.commands)
    return (await api.readJob(jobId)).job
  }

  /*
   * The screen is told before the device writes, in one go: an edit made before the telling was kept before this
   * transaction, one made after it stands on the new version.
   */
  async function taken(
    jobId: string,
    batch: VersionedBatch,
    { at, version, job }: { at: number; version: number; job: Job },
  ): Promise<void> {
    tell(jobId, { what: 'taken', batch: batch.id, at, version, job })
    await storage.transaction('rw', storage.outbox, storage.jobs, async () => {
      await storage.jobs.put({ id: jobId, version, job: plain(job) })
      await storage.outbox.where({ id: batch.id }).delete()
      // What waits next was made on top of it; what waits behind that follows when its turn comes.
      const next = await storage.outbox.where({ kind: EDITS, topic: jobId }).first()
      const body = next?.body as VersionedBatch | undefined
      if (body && body.version < at) await storage.outbox.update(next!.order!, { body: { ...body, version: at } })
    })
  }

  /** Others have written since: key by key, nothing dropped, all or nothing on the device. */
  async function merged(
    jobId: string,
    { version, job, theirs }: { version: number; job: Job; theirs: Command[] },
  ): Promise<void> {
    tell(jobId, { what: 'merged', version, job, theirs })
    await storage.transaction('rw', storage.outbox, storage.jobs, storage.conflicts, async () => {
      const rows = await storage.outbox.where({ kind: EDITS, topic: jobId }).sortBy('order')
      const old = rows.filter((row) => (row.body as VersionedBatch).version < version)
      const { clean, conflicts } = rebase(
        old.map((row) => row.body as VersionedBatch),
        theirs,
      )
      for (const { id, order } of old) {
        const left = clean.find((batch) => batch.id === id)
        if (left) await storage.outbox.update(order!, { body: { ...left, version } })
        else await storage.outbox.delete(order!)
      }
      const known = (await storage.conflicts.get(jobId))?.conflicts ?? []
      await storage.conflicts.put({ jobId, conflicts: plain([...known, ...conflicts]) })
      await storage.jobs.put({ id: jobId, version, job: plain(job) })
    })
  }

  return {
    kind: EDITS,
    send,
    refused: async (jobId, { id }, { message }) => tell(jobId, { what: 'refused', batch: id, why: message }),
    listen(jobId, hear) {
      const all = listeners.get(jobId) ?? new Set()
      listeners.set(jobId, all.add(hear))
      return () => void all.delete(hear)
    },
  }
}

/**
 * A job with what waits on top of it. A batch that does not apply, since what it speaks of is gone, is not shown; the
 * server says what becomes of it.
 */
export function withWaiting(base: Job, batches: readonly VersionedBatch[]): Job {
  return batches.reduce((job, { commands }) => {
    try {
      return applyCommands(job, commands)
    } catch (error) {
      if (error instanceof InputError) return job
      throw error
    }
  }, base)
}
