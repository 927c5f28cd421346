import { getQuery } from 'h3'
import { requireNumber } from '../../../../core/errors'
import { answering } from '../../../http/answering'
import { jobIdentity } from '../../../http/body'
import { readHistory } from '../../../jobs/service'
import { workspaceOf } from '../../../workspace/workspaceOf'

/** A page of the history: `?after=` a version. */
export default answering(async (event) => {
  const { after = '0' } = getQuery(event)
  const version = requireNumber('after', Number(after), 0, 2 ** 32 - 1)
  return readHistory(workspaceOf(event), jobIdentity(event), version)
})
