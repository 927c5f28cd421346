import type { JobSummary } from '../document/summary'
import type { Job } from '../document/job'
import { teaches } from './lessons'
import { visitsDue, watchedPosts } from './visits'

/** So many are named in a list. */
const VISITS = 12
const WATCHED = 200

/** What a list of jobs shows of a record. */
export function recordSummary(job: Job): Pick<JobSummary, 'visits' | 'watched' | 'teaches'> {
  const visits = visitsDue(job)
    .slice(0, VISITS)
    .map(({ posts, due, why, open }) => ({ posts, due, why, ...(open.length > 0 ? { open: [...open] } : {}) }))
  const watched = watchedPosts(job).slice(0, WATCHED)
  return {
    ...(visits.length > 0 ? { visits } : {}),
    ...(watched.length > 0 ? { watched } : {}),
    ...(teaches(job) ? { teaches: true as const } : {}),
  }
}
