import { createEventStream, defineEventHandler, setResponseHeader } from 'h3'
import { database } from '../../../database'
import { sendProblem } from '../../../http/answering'
import { addressOf } from '../../../http/asker'
import { jobIdentity } from '../../../http/body'
import { logFault } from '../../../http/log'
import { jobStreams } from '../../../http/streams'
import { requireJob } from '../../../jobs/service'
import { lookingWatch } from '../../../jobs/versionWatch'
import { workspaceOf } from '../../../workspace/workspaceOf'

const watch = lookingWatch(database, logFault)
/** A device asks anew after so long, and is looked at anew: one that was signed out hears no more, ms. */
const LONGEST = 5 * 60_000
/** Said again so often, that nothing in between takes the stream for dead, ms. */
const BREATH = 20_000

/**
 * Versions of a job as server-sent events, `{ version }`, the present one first. The device reads the change itself.
 */
export default defineEventHandler(async (event) => {
  try {
    const id = jobIdentity(event)
    await requireJob(workspaceOf(event), id)
    const leave = jobStreams(addressOf(event))
    const stream = createEventStream(event)
    setResponseHeader(event, 'x-accel-buffering', 'no')
    let last: number | undefined
    const say = () => void (last && stream.push(JSON.stringify({ version: last })).catch(logFault))
    const stop = watch(id, (version) => {
      last = version
      say()
    })
    const saying = setInterval(say, BREATH)
    const timer = setTimeout(() => void stream.close(), LONGEST)
    stream.onClosed(async () => {
      clearTimeout(timer)
      clearInterval(saying)
      stop()
      leave()
      await stream.close()
    })
    return await stream.send()
  } catch (error) {
    return sendProblem(event, error)
  }
})
