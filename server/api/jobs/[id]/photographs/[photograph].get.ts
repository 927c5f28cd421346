import { answering } from '../../../../http/answering'
import { jobIdentity, pictureIdentity } from '../../../../http/body'
import { getRequestHeader, getRouterParam, setResponseHeaders, setResponseStatus } from 'h3'
import { pictures } from '../../../../pictures'
import { knownPhotograph, readPhotograph } from '../../../../photographs/service'
import { workspaceOf } from '../../../../workspace/workspaceOf'

export default answering(async (event) => {
  const id = pictureIdentity(getRouterParam(event, 'photograph'))
  const asked = [workspaceOf(event), jobIdentity(event), id] as const
  const { mediaType, checksum } = await knownPhotograph(...asked)
  const mark = `"${checksum}"`
  // A photograph never changes under its identity.
  setResponseHeaders(event, { etag: mark, 'cache-control': 'private, max-age=31536000, immutable' })
  if (getRequestHeader(event, 'if-none-match') === mark) {
    setResponseStatus(event, 304)
    return ''
  }
  setResponseHeaders(event, { 'content-type': mediaType })
  const [workspace, job] = asked
  return (await readPhotograph(workspace, pictures(), job, id)).data
})
