import { randomUUID } from 'node:crypto'
import { getResponseStatus, setResponseHeader } from 'h3'
import { defineNitroPlugin } from 'nitropack/runtime'
import { log } from '../http/log'
import { requests } from '../http/metrics'
import { pathOf, patternOf } from '../http/routes'
import type { Admitted } from '../workspace/workspaceOf'

/** Measures every request of the API, and writes it down where that is wanted: never what was sent, nor a name. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('request', (event) => {
    if (!event.path.startsWith('/api')) return
    event.context.began = performance.now()
    event.context.request = randomUUID()
    setResponseHeader(event, 'x-request-id', event.context.request as string)
  })
  nitro.hooks.hook('afterResponse', (event) => {
    const began = event.context.began as number | undefined
    if (began === undefined) return
    const seconds = (performance.now() - began) / 1e3
    const seen = {
      method: event.method,
      route: patternOf(pathOf(event)),
      status: getResponseStatus(event),
    }
    requests.observe(seen, seconds)
    const person = (event.context.admitted as Admitted | undefined)?.workspace.person?.id
    log.info({ ...seen, ms: Math.round(seconds * 1e3), request: event.context.request, person })
  })
})
