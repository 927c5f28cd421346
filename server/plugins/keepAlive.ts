import { defineNitroPlugin } from 'nitropack/runtime'
import type { Server } from 'node:http'

/**
 * A proxy that keeps connections open must not find one closed just as it sends: the server holds
 * them longer than proxies usually do, ms.
 */
const KEEP_ALIVE = 65_000
/** What a machine for some dozens of people needs, many times over. */
const MOST_CONNECTIONS = 1_000

export default defineNitroPlugin((nitro) => {
  const stop = nitro.hooks.hook('request', (event) => {
    const { server } = event.node.req.socket as unknown as { server?: Server }
    if (!server) return
    server.keepAliveTimeout = KEEP_ALIVE
    server.maxConnections = MOST_CONNECTIONS
    stop()
  })
})
