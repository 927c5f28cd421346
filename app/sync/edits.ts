import type { Job } from '~~/core/document/job'
import { InputError } from '~~/core/errors'
import { applyCommands } from '~~/core/edit/apply'
import type { VersionedBatch } from '~~/core/edit/batch'
import type { Command } from '~~/core/edit/commands'
import { rebase, type Conflict, type Writer } from '~~/core/edit/rebase'
import { isRenaming, renamed, type Renames } from '~~/core/edit/renames'
import type { AppliedAnswer } from '~~/shared/contract'
import { Refusal, type Api } from './api'
import { afterItsJob } from './newJobs'
import type { Sender } from './queue'
import { plain, type DeviceStorage, type Step, type WayBack } from './storage'
import type { Tabs } from './tabs'

export const EDITS = 'edits'

interface VersionedJob {
  version: number
  job: Job
}
interface Theirs {
  version: number
  theirs: readonly Command[]
  writers: readonly Writer[]
}

/** What became of a job's edits. */
export type EditsNews =
  | { what: 'taken'; batch: string; at: number; version: number; job: Job }
  | { what: 'merged'; version: number; before: Job; job: Job; theirs: Command[]; writers: Writer[] }
  | { what: 'refused'; batch: string; why: string }
  /** Another window has chosen between two edits. */
  | { what: 'resolved'; conflict: Conflict }

/** Sends the edits of every job from what the device has kept, and tells whoever has that job open. */
export interface EditsSender extends Sender<VersionedBatch> {
  listen: (jobId: string, hear: (news: EditsNews) => void) => () => void
  /** Tells the other windows of this browser. */
  tellOthers: (jobId: string, news: EditsNews) => void
}

export function editsSender(
  storage: DeviceStorage,
  api: Pick<Api, 'sendEdits' | 'readJob'>,
  tabs: Pick<Tabs, 'tell' | 'listen'>,
): EditsSender {
  const listeners = new Map<string, Set<(news: EditsNews) => void>>()
  const tellHere = (jobId: string, news: EditsNews) => listeners.get(jobId)?.forEach((hear) => hear(news))
  const tellOthers = (jobId: string, news: EditsNews) => tabs.tell({ what: 'news', jobId, news: plain(news) })
  tabs.listen((message) => {
    if (message.what === 'news') tellHere(message.jobId, message.news as EditsNews)
  })
  function tell(jobId: string, news: EditsNews): void {
    tellHere(jobId, news)
    tellOthers(jobId, news)
  }

  async function send(jobId: string, batch: VersionedBatch): Promise<'taken' | 'made-anew'> {
    try {
      const answer = await api.sendEdits(jobId, batch)
      await taken(jobId, batch, { at: answer.at, ...(await jobAfter(jobId, batch, answer)) })
      return 'taken'
    } catch (error) {
      if (!(error instanceof Refusal) || error.status !== 409 || error.isForeign) throw error
      const { version, theirs, writers = [] } = error.body
      if (version === undefined || !Array.isArray(theirs)) throw error
      await merged(jobId, batch.version, { version, theirs, writers })
      return 'made-anew'
    }
  }

  /** The kept copy with the batch applied, or the server's own where others have written too. */
  async function jobAfter(jobId: string, batch: VersionedBatch, { at, version }: AppliedAnswer): Promise<VersionedJob> {
    const kept = await storage.jobs.get(jobId)
    if (kept?.version !== batch.version || at !== version) return api.readJob(jobId)
    return { version, job: applyCommands(kept.job, batch.commands) }
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
    await storage.transaction('rw', ['outbox', 'jobs'], async () => {
      await storage.jobs.put({ id: jobId, version, job: plain(job) })
      await storage.outbox.where({ id: batch.id }).delete()
      // What waits next was made on top of it; what waits behind that follows when its turn comes.
      const next = await storage.outbox.where({ kind: EDITS, topic: jobId }).first()
      const body = next?.body as VersionedBatch | undefined
      if (body && body.version < at) await storage.outbox.update(next!.order!, { body: { ...body, version: at } })
    })
  }

  /** The job before others wrote and after: from the kept copy, or the server's own where the copy is another one. */
  async function between(
    jobId: string,
    from: number,
    { version, theirs }: Pick<Theirs, 'version' | 'theirs'>,
  ): Promise<{ before: Job; job: Job }> {
    const kept = await storage.jobs.get(jobId)
    if (kept?.version === from) return { before: kept.job, job: applyCommands(kept.job, theirs) }
    const read = await api.readJob(jobId)
    // They have gone on meanwhile: what they did then is asked for with the next try.
    if (read.version !== version) throw new Refusal(0, 'Others are writing just now.')
    return { before: kept?.job ?? read.job, job: read.job }
  }

  /** Others have written since: key by key, nothing dropped, all or nothing on the device. */
  async function merged(jobId: string, from: number, { version, theirs, writers }: Theirs): Promise<void> {
    const { before, job } = await between(jobId, from, { version, theirs })
    tell(jobId, { what: 'merged', version, before, job, theirs: [...theirs], writers: [...writers] })
    await storage.transaction('rw', ['outbox', 'jobs', 'conflicts', 'wayBack'], async () => {
      const rows = await storage.outbox.where({ kind: EDITS, topic: jobId }).sortBy('order')
      const old = rows.filter((row) => (row.body as VersionedBatch).version < version)
      const { clean, conflicts, renames } = rebase(
        old.map((row) => row.body as VersionedBatch),
        theirs,
        { before, after: job },
        writers,
      )
      for (const { id, order } of old) {
        const left = clean.find((batch) => batch.id === id)
        if (left) await storage.outbox.update(order!, { body: { ...left, version } })
        else await storage.outbox.delete(order!)
      }
      const known = (await storage.conflicts.get(jobId))?.conflicts ?? []
      await storage.conflicts.put({ jobId, conflicts: plain([...known, ...conflicts]) })
      await storage.jobs.put({ id: jobId, version, job: plain(job) })
      const way = await storage.wayBack.get(jobId)
      if (way && isRenaming(renames)) await storage.wayBack.put(plain(renamedWay(way, renames)))
    })
  }

  return {
    kind: EDITS,
    after: afterItsJob,
    send,
    refused: async (jobId, { id }, { message }) => tell(jobId, { what: 'refused', batch: id, why: message }),
    listen(jobId, hear) {
      const all = listeners.get(jobId) ?? new Set()
      listeners.set(jobId, all.add(hear))
      return () => void all.delete(hear)
    },
    tellOthers,
  }
}

const renamedWay = ({ jobId, undo, redo }: WayBack, names: Renames): WayBack => ({
  jobId,
  undo: undo.map((step) => renamedStep(step, names)),
  redo: redo.map((step) => renamedStep(step, names)),
})
/** The way back speaks of what was renamed too. */
export const renamedStep = ({ back, made }: Step, names: Renames): Step => ({
  back: back.map((command) => renamed(command, names)),
  made: made.map((command) => renamed(command, names)),
})

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
