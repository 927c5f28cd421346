import { getQuery } from 'h3'
import { object } from 'yup'
import { LONGEST } from '../../../core/limits'
import { choice, text } from '../../../core/schema/fields'
import { readBy } from '../../../core/schema/violations'
import { answering } from '../../http/answering'
import { listJobs } from '../../jobs/service'
import { workspaceOf } from '../../workspace/workspaceOf'

const YES = ['yes']
const asked = object({
  after: text(LONGEST.identity),
  search: text(LONGEST.name),
  deleted: choice(YES),
  needing: choice(YES),
})

/** A page of the jobs: `?search=` by name, `?after=` the `next` of the page before. */
export default answering(async (event) => {
  const { after, search, deleted, needing } = readBy<Record<keyof typeof asked.fields, string | undefined>>(
    asked,
    getQuery(event),
    'query',
  )
  return listJobs(workspaceOf(event), {
    ...(after === undefined ? {} : { after }),
    ...(search === undefined ? {} : { search }),
    deleted: deleted !== undefined,
    needing: needing !== undefined,
  })
})
