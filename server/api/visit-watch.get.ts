import { database } from '../database'
import { answering } from '../http/answering'
import { readVisitWatch } from '../record/service'

/** Jobs that somebody should go back to. */
export default answering(async () => readVisitWatch(await database(), new Date()))
