import { setResponseStatus } from 'h3'
import { importJob } from '../../services/jobs'

export default answering(async (event) => {
  const created = await importJob(await database(), await readJson(event))
  setResponseStatus(event, 201)
  return created
})
