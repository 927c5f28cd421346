import type { CalendarEvent } from '../day/events'
import type { Job } from '../document/job'
import { visitsDue, VISIT_WORDS } from './visits'

/** An hour is kept free for a look. */
const TAKES = 3600e3

/**
 * Visits that are due as entries of a calendar; one that was shifted keeps its name.
 *
 * @param id of the job, for names that stay
 */
export const visitEvents = (job: Job, id: string): CalendarEvent[] =>
  visitsDue(job).map((visit) => ({
    uid: `${id}-due-${visit.id}-${visit.posts.join('-').slice(0, 60)}@vindex`,
    from: visit.due,
    to: visit.due + TAKES,
    says: `${job.name}: look again, ${VISIT_WORDS[visit.why]}`,
    details: [visit.posts.join(', '), ...visit.open].join('\n'),
  }))
