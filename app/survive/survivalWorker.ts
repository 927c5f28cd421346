import { expose } from 'comlink'
import type { Job } from '~~/core/document/job'
import { standingYears } from '~~/core/survive/years'
import type { Tables } from '~~/core/tables/tables'

/* Thousands of years of wind, beside the screen. */

const work = {
  years: (job: Job, tables: Tables, post: string, say: (share: number) => void) =>
    standingYears(job, tables, post, { onProgress: say }),
}
export type SurvivalWork = typeof work
expose(work)
