import type { Job } from '../../core/document/job'
import { tables } from '../../data/tables'
import { recordSummary } from '../../core/record/summary'
import { jobSummary, type JobSummary } from '../../core/document/summary'

/** A job as it is written whole. */
export interface WholeJob {
  name: string
  siteName: string
  /** The station of its forecast. */
  place?: string
  /** The document as text, and what lists show of it. */
  text: string
  summary: JobSummary
}

export const whole = (job: Job): WholeJob => ({
  name: job.name,
  siteName: job.site?.name ?? '',
  ...(job.site?.place === undefined ? {} : { place: job.site.place }),
  text: JSON.stringify(job),
  summary: { ...jobSummary(job, tables.causes), ...recordSummary(job) },
})
