import { answering } from '../../../../http/answering'
import { jobIdentity, pictureIdentity, readPicture } from '../../../../http/body'
import { getRouterParam, setResponseStatus } from 'h3'
import { requireJob } from '../../../../jobs/service'
import { pictures } from '../../../../pictures'
import { storePhotograph } from '../../../../photographs/service'
import { workspaceOf } from '../../../../workspace/workspaceOf'

export default answering(async (event) => {
  const original = await readPicture(event)
  const id = pictureIdentity(getRouterParam(event, 'photograph'))
  const [workspace, job] = [workspaceOf(event), jobIdentity(event)]
  await requireJob(workspace, job)
  const stored = await storePhotograph(workspace, pictures(), job, id, original)
  setResponseStatus(event, 201)
  return stored
})
