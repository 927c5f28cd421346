import { answering } from '../../http/answering'
import { readJson } from '../../http/body'
import { database } from '../../database'
import { setResponseStatus } from 'h3'
import { createJob } from '../../jobs/service'

export default answering(async (event) => {
  const created = await createJob(await database(), await readJson(event))
  setResponseStatus(event, 201)
  return created
})
