import { getQuery } from 'h3'
import { LONGEST } from '../../core/limits'
import { answering } from '../http/answering'
import { readLessons } from '../record/service'
import { workspaceOf } from '../workspace/workspaceOf'

/**
 * What the records of all jobs come to, with one's own pace by name. Where nobody is signed in, `?person=NAME` says who
 * that is.
 */
export default answering(async (event) => {
  const { person } = getQuery(event)
  const name = typeof person === 'string' ? person.slice(0, LONGEST.person) : undefined
  const workspace = workspaceOf(event)
  return readLessons(workspace, workspace.person?.name ?? name)
})
