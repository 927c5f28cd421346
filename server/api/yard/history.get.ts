import { getQuery } from 'h3'
import { object, string } from 'yup'
import { readBy } from '../../../core/schema/violations'
import { answering } from '../../http/answering'
import { readYardHistory } from '../../yard/service'
import { workspaceOf } from '../../workspace/workspaceOf'

const VERSION = 'the number of a version'
const asked = object({ before: string().matches(/^\d{1,9}$/, VERSION) })

/** A page of what was changed in the yard, the last first: `?before=` the `next` of the page before. */
export default answering(async (event) => {
  const { before } = readBy<{ before?: string }>(asked, getQuery(event), 'query')
  return readYardHistory(workspaceOf(event), before === undefined ? undefined : Number(before))
})
