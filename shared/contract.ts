import type { Job } from '../core/document/job'
import type { JobSummary } from '../core/document/summary'
import type { Command } from '../core/edit/commands'

/* What crosses the wire, once for both sides. Times are ISO 8601 there. */

/** A line of the list of jobs. */
export interface ListedJob {
  id: string
  name: string
  siteName: string
  version: number
  summary: JobSummary
  updatedAt: string
}

/** A job as the server has it. */
export interface JobAnswer {
  id: string
  version: number
  job: Job
  updatedAt: string
}

export interface CreatedJob {
  id: string
  version: number
}

/** A batch of edits was taken. */
export interface AppliedAnswer {
  /** The job's version now. */
  version: number
  /** The version that this batch made: an earlier one, where the batch had arrived before. */
  at: number
  /** The job as it is now, where the batch had arrived before: the sender missed the answer. */
  job?: Job
}

/** Of a picture that is stored; SHA-256 of what is stored. */
export interface PictureAnswer {
  mediaType: string
  pixelWidth: number
  pixelHeight: number
  checksum: string
}

/** RFC 9457 problem document, and what some of them carry beside it. */
export interface Problem {
  type: string
  title: string
  status: number
  detail: string
  /** Bad input: where, what and what it must be. */
  key?: string
  value?: unknown
  range?: string
  /** Others have written since: both sides. */
  version?: number
  job?: Job
  mine?: Command[]
  theirs?: Command[]
}
