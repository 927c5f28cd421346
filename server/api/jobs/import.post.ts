import { setResponseStatus } from 'h3'
import { database } from '../../database'
import { answering } from '../../http/answering'
import { madeBy, readText } from '../../http/body'
import { insertWhole } from '../../jobs/service'
import { inPool } from '../../worker/pool'

export default answering(async (event) => {
  const key = madeBy(event)
  const ready = await inPool('readJob', await readText(event))
  const created = await insertWhole(await database(), ready, key)
  setResponseStatus(event, 201)
  return created
})
