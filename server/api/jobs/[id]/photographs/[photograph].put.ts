import { answering } from '../../../../http/answering'
import { jobIdentity, pictureIdentity, readPicture } from '../../../../http/body'
import { database } from '../../../../database'
import { getRouterParam, setResponseStatus } from 'h3'
import { storePhotograph } from '../../../../photographs/service'

export default answering(async (event) => {
  const original = await readPicture(event)
  const id = pictureIdentity(getRouterParam(event, 'photograph'))
  const stored = await storePhotograph(await database(), jobIdentity(event), id, original)
  setResponseStatus(event, 201)
  return stored
})
