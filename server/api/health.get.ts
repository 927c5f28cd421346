import { answering } from '../http/answering'
import { database } from '../database'
export default answering(async () => {
  const opened = await database()
  await opened.raw('select 1')
  return { ready: true }
})
