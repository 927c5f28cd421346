import { Dexie, type Table } from 'dexie'
import type { Job } from '~~/core/document/job'
import type { VersionedBatch } from '~~/core/edit/batch'
import type { Command } from '~~/core/edit/commands'
import type { Conflict } from '~~/core/edit/rebase'

/*
 * What this device keeps: the last known copy of each job, all that waits to be sent, what was refused, the
 * choices still to be made, and the way back. Nothing that was entered lives in memory alone.
 */

export interface KeptJob {
  id: string
  version: number
  job: Job
}

/** Something that waits to be sent, or that the server would not have. */
export interface Outgoing {
  /** Grows with each: the order in which they are sent. */
  order?: number
  id: string
  kind: string
  /** What it belongs to: a job. Things of one kind and topic go one after the other. */
  topic: string
  body: unknown
}
export interface Refused extends Outgoing {
  why: string
}

export interface KeptConflicts {
  jobId: string
  conflicts: Conflict[]
}

/** Edits that can be taken back, and edits taken back that can be done again. */
export interface WayBack {
  jobId: string
  undo: Command[][]
  redo: Command[][]
}

export interface KeptPicture {
  id: string
  jobId: string
  picture: Blob
}

export class DeviceStorage extends Dexie {
  jobs!: Table<KeptJob, string>
  outbox!: Table<Outgoing, number>
  tray!: Table<Refused, number>
  conflicts!: Table<KeptConflicts, string>
  wayBack!: Table<WayBack, string>
  pictures!: Table<KeptPicture, string>

  constructor(name = 'vindex') {
    super(name)
    this.version(1).stores({ jobs: 'id', waiting: '++order, jobId, id', conflicts: 'jobId', wayBack: 'jobId' })
    this.version(2).stores({ photographs: 'id, jobId, sent' })
    this.version(3)
      .stores({
        outbox: '++order, id, topic, [kind+topic]',
        tray: '++order, topic',
        pictures: 'id, jobId',
        waiting: null,
        photographs: null,
      })
      .upgrade(takeOver)
  }
}

/** What an earlier version of this application kept goes into today's tables. */
async function takeOver(upgrade: { table: (name: string) => Table }): Promise<void> {
  const waiting = (await upgrade.table('waiting').toArray()) as { id: string; jobId: string; commands: Command[] }[]
  for (const { id, jobId, commands } of waiting) {
    const kept = (await upgrade.table('jobs').get(jobId)) as KeptJob | undefined
    const body: VersionedBatch = { id, commands, version: kept?.version ?? 1 }
    await upgrade.table('outbox').add({ id, kind: 'edits', topic: jobId, body })
  }
  const pictures = (await upgrade.table('photographs').toArray()) as (KeptPicture & { sent: 0 | 1 })[]
  for (const { id, jobId, picture, sent } of pictures) {
    await upgrade.table('pictures').put({ id, jobId, picture })
    if (!sent) await upgrade.table('outbox').add({ id, kind: 'picture', topic: jobId, body: { id } })
  }
}

/** Plain data only: what the screen holds may be wrapped for watching. */
export const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
