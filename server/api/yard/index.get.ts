import { database } from '../../database'
import { answering } from '../../http/answering'
import { readYard } from '../../yard/service'

/** What the workspace has of its own in its tables. */
export default answering(async () => readYard(await database()))
