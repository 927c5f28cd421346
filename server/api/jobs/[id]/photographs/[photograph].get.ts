import { answering } from '../../../../http/answering'
import { jobIdentity, pictureIdentity } from '../../../../http/body'
import { getRequestHeader, getRouterParam, setResponseHeaders, setResponseStatus } from 'h3'
import { readPhotograph } from '../../../../photographs/service'
import { workspaceOf } from '../../../../workspace/workspaceOf'

export default answering(async (event) => {
  const id = pictureIdentity(getRouterParam(event, 'photograph'))
  const { mediaType, checksum, data } = await readPhotograph(workspaceOf(event), jobIdentity(event), id)
  const mark = `"${checksum}"`
  // A photograph never changes under its identity.
  setResponseHeaders(event, { etag: mark, 'cache-control': 'private, max-age=31536000, immutable' })
  if (getRequestHeader(event, 'if-none-match') === mark) {
    setResponseStatus(event, 304)
    return ''
  }
  setResponseHeaders(event, { 'content-type': mediaType })
  return data
})
