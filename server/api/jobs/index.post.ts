import { setResponseStatus } from 'h3'
import { database } from '../../database'
import { answering } from '../../http/answering'
import { madeBy, readText } from '../../http/body'
import { insertWhole } from '../../jobs/service'
import { inPool } from '../../worker/pool'
import { tablesHere } from '../../yard/service'

export default answering(async (event) => {
  const key = madeBy(event)
  const opened = await database()
  const ready = await inPool('newJob', await readText(event), (await tablesHere(opened)).own)
  const created = await insertWhole(opened, ready, key)
  setResponseStatus(event, 201)
  return created
})
