import { listJobs } from '../../services/jobs'

export default answering(async () => listJobs(await database()))
