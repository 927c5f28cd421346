import { promisify } from 'node:util'
import { gzip } from 'node:zlib'
import { getRequestHeader, getResponseHeader, setResponseHeaders } from 'h3'
import { defineNitroPlugin } from 'nitropack/runtime'

/** A shorter answer is sent as it is, letters. */
const WORTH_IT = 2_000

const compressed = promisify(gzip)

/** Answers of the API are text that shrinks to a tenth; a phone at the edge of a signal has use for that. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('beforeResponse', async (event, response) => {
    const { body } = response
    const isData = event.path.startsWith('/api') && typeof body === 'object' && body?.constructor === Object
    if (!isData || !/\bgzip\b/.test(getRequestHeader(event, 'accept-encoding') ?? '')) return
    const text = JSON.stringify(body)
    if (text.length < WORTH_IT) return
    setResponseHeaders(event, {
      'content-type': String(getResponseHeader(event, 'content-type') ?? 'application/json'),
      'content-encoding': 'gzip',
      vary: 'accept-encoding',
    })
    response.body = await compressed(text)
  })
})
