import { timingSafeEqual } from 'node:crypto'
import { getRequestHeader, setResponseHeader } from 'h3'
import { useRuntimeConfig } from 'nitropack/runtime'
import { answering } from '../http/answering'
import { NotFound } from '../http/failures'
import { registry } from '../http/metrics'

/** For a monitor that has the token of NUXT_METRICS_TOKEN; without one there is no such address. */
export default answering(async (event) => {
  const wanted = Buffer.from(`Bearer ${useRuntimeConfig().metricsToken}`)
  const given = Buffer.from(getRequestHeader(event, 'authorization') ?? '')
  const isKnown = wanted.length > 'Bearer '.length && given.length === wanted.length && timingSafeEqual(given, wanted)
  if (!isKnown) throw new NotFound('address', '/api/metrics')
  setResponseHeader(event, 'content-type', registry.contentType)
  return registry.metrics()
})
