import { together, type Workspace } from '../workspace/workspace'
import type { JobSummary } from '../../core/document/summary'
import type { Lesson } from '../../core/record/lessons'

const parsed = <T>(value: unknown): T => (typeof value === 'string' ? JSON.parse(value) : value) as T

export interface DueJob {
  id: string
  name: string
  place?: string
  summary: JobSummary
}

/** Jobs with a visit that is due before a moment, or posts to be looked at after a storm; the first due first. */
export async function dueJobs(workspace: Workspace, before: Date, limit: number): Promise<DueJob[]> {
  const rows = await workspace
    .database('job')
    .where({ workspace: workspace.id })
    .whereNull('deleted_at')
    .where((either) => void either.where('visit_due', '<', before).orWhere({ is_watched: true }))
    .orderByRaw('visit_due is null, visit_due, id')
    .limit(limit)
    .select('id', 'name', 'place', 'summary')
  return rows.map(({ place, summary, ...row }) => ({
    ...row,
    ...(place === null ? {} : { place }),
    summary: parsed<JobSummary>(summary),
  }))
}

/** Jobs that have gone on since their lessons were drawn. */
export async function untaughtJobs(workspace: Workspace, limit: number): Promise<{ id: string; version: number }[]> {
  return workspace
    .database('job')
    .where({ workspace: workspace.id, teaches: true })
    .whereNull('deleted_at')
    .whereRaw('taught_version < kept_version')
    .orderBy('updated_at', 'desc')
    .limit(limit)
    .select('id', 'version')
}

/** Writes what a version of a job teaches in the place of what was drawn from it before. */
export async function writeLessons(
  workspace: Workspace,
  jobId: string,
  version: number,
  lessons: readonly Lesson[],
): Promise<void> {
  await together(workspace, async (inside) => {
    await inside.database('lesson').where({ job_id: jobId }).delete()
    const rows = lessons.map((lesson, number) => ({
      job_id: jobId,
      workspace: workspace.id,
      number,
      kind: lesson.kind,
      at: new Date(lesson.at),
      value: JSON.stringify(lesson),
    }))
    if (rows.length > 0) await inside.database.batchInsert('lesson', rows, 500)
    await inside.database('job').where({ id: jobId, workspace: workspace.id }).update({ taught_version: version })
  })
}

/** Newest first; those of deleted jobs count on: what was dug was dug. */
export async function newestLessons(workspace: Workspace, limit: number): Promise<Lesson[]> {
  const rows = await workspace
    .database('lesson')
    .where({ workspace: workspace.id })
    .orderBy([{ column: 'at', order: 'desc' }, { column: 'job_id' }, { column: 'number' }])
    .limit(limit)
    .select('value')
  return rows.map(({ value }) => parsed<Lesson>(value))
}
