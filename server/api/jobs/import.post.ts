import { database } from '../../database'
import { readJson } from '../../http/body'
import { answering } from '../../http/answering'
import { setResponseStatus } from 'h3'
import { importJob } from '../../jobs/service'

export default answering(async (event) => {
  const created = await importJob(await database(), await readJson(event))
  setResponseStatus(event, 201)
  return created
})
