import { answering } from '../../http/answering'
import { database } from '../../database'
import { listJobs } from '../../jobs/service'

export default answering(async () => listJobs(await database()))
