import type { CommandBatch } from '~~/core/edit/apply'
import Dexie, { type Table } from 'dexie'
import type { Command } from '~~/core/edit/commands'
import type { Conflict } from '~~/core/edit/rebase'
import type { Job } from '~~/core/document/job'

/*
 * What this device keeps: the last known copy of each job, the edits that wait to be sent, the
 * choices still to be made, and the way back. Nothing that was entered lives in memory alone.
 */

export interface KeptJob {
  id: string
  version: number
  job: Job
}

export interface WaitingBatch extends CommandBatch {
  /** Grows with each edit: the order in which they are sent. */
  order?: number
  jobId: string
}

export interface KeptConflict {
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
  /** 1 once the server has it. */
  sent: 0 | 1
}

class DeviceStorage extends Dexie {
  jobs!: Table<KeptJob, string>
  waiting!: Table<WaitingBatch, number>
  conflicts!: Table<KeptConflict, string>
  wayBack!: Table<WayBack, string>
  photographs!: Table<KeptPicture, string>

  constructor() {
    super('vindex')
    this.version(1).stores({ jobs: 'id', waiting: '++order, jobId, id', conflicts: 'jobId', wayBack: 'jobId' })
    this.version(2).stores({ photographs: 'id, jobId, sent' })
  }
}

export const storage = new DeviceStorage()

/** Plain data only: what the screen holds may be wrapped for watching. */
export const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
