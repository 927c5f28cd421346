import { sendProblem } from '../../http/answering'
import { createEventStream, defineEventHandler, getQuery, getRequestIP, getRouterParam } from 'h3'
import { instrumentStreams } from '../../http/streams'
import { requireChoice, requireNumber } from '../../../core/errors'
import { INSTRUMENT_KINDS, MANNERS, READINGS_PER_SECOND, simulatedReading } from '../../../core/instruments/simulated'

/**
 * Readings of an instrument as server-sent events. A real one sends the same: `{ value, at }`, radians or per cent.
 * This stand-in is told what it is held against.
 */
export default defineEventHandler(async (event) => {
  try {
    const query = getQuery(event)
    const kind = requireChoice('kind', getRouterParam(event, 'kind'), INSTRUMENT_KINDS)
    const manner = requireChoice('manner', query.manner ?? 'steady', MANNERS)
    const truth = requireNumber('truth', Number(query.truth ?? 0), -200, 200)
    const leave = instrumentStreams(getRequestIP(event) ?? 'unknown')
    const stream = createEventStream(event)
    let index = 0
    const timer = setInterval(() => {
      const value = simulatedReading(kind, manner, truth, index++)
      if (value === null) void stream.close()
      else void stream.push(JSON.stringify({ value, at: new Date().toISOString() }))
    }, 1_000 / READINGS_PER_SECOND)
    stream.onClosed(async () => {
      clearInterval(timer)
      leave()
      await stream.close()
    })
    return await stream.send()
  } catch (error) {
    return sendProblem(event, error)
  }
})
