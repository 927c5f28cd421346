import { expose } from 'comlink'
import type { Job } from '~~/core/document/job'
import { plan } from '~~/core/plan/plan'
import { nextToGo } from '~~/core/record/nextToGo'
import { resolveJob } from '~~/core/resolve/resolve'
import type { Tables } from '~~/core/tables/tables'

/* Thousands of lives of a line, beside the screen. */

const work = {
  nextToGo: (job: Job, tables: Tables, line: string) =>
    nextToGo(resolveJob(job, tables), plan(job, tables), tables, line),
}
export type GoWork = typeof work
expose(work)
