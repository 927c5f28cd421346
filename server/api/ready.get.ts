import { answering } from '../http/answering'
import { database } from '../database'

/** Whether this server can be given work: its database answers. */
export default answering(async () => {
  await (await database()).raw('select 1')
  return { ready: true }
})
