import { hostname } from 'node:os'
import { defineEventHandler, getRequestHeader, setResponseHeader, setResponseHeaders, type H3Event } from 'h3'
import { useRuntimeConfig } from 'nitropack/runtime'
import { database } from '../database'
import { sendProblem } from '../http/answering'
import { addressOf } from '../http/asker'
import { NotFound, NotYours, WrongHost, WrongMethod } from '../http/failures'
import { methodsOf, pathOf } from '../http/routes'
import { isOwnPage, isServed } from '../http/hosts'
import { admit } from '../people/admit'
import { sharedLimit } from '../people/tries'

/* Before anything is looked at: is it us that is asked, by whom, for what, and how often. */

/** Over which askings are counted, s. */
const SPAN = 10
const READS = ['GET', 'HEAD']

let limit: ReturnType<typeof sharedLimit> | undefined

const OWN_NAMES = ['localhost', hostname(), `${hostname()}.local`]

function requireHost(event: H3Event, hosts: string): void {
  const host = getRequestHeader(event, 'host') ?? ''
  const names = [...OWN_NAMES, ...hosts.split(',').map((name) => name.trim())]
  if (!isServed(host, names)) throw new WrongHost(host)
}

/** A page of another origin cannot write here, even where a browser would let it send. */
function requireOwnPage(event: H3Event): void {
  if (READS.includes(event.method)) return
  const asks = {
    origin: getRequestHeader(event, 'origin'),
    site: getRequestHeader(event, 'sec-fetch-site'),
    host: getRequestHeader(event, 'host') ?? '',
  }
  if (!isOwnPage(asks)) throw new NotYours('Another site may not write here.')
}

async function requireAdmitted(event: H3Event): Promise<void> {
  const pathname = pathOf(event)
  const methods = methodsOf(pathname)
  const names = Object.keys(methods)
  // What nothing else answers: never the page, which a device would take for an answer.
  if (names.length === 0) throw new NotFound('address', pathname.slice(0, 200))
  const right = methods[(event.method === 'HEAD' ? 'GET' : event.method) as keyof typeof methods]
  if (right === undefined) {
    setResponseHeader(event, 'allow', names.join(', '))
    throw new WrongMethod(event.method, names)
  }
  await admit(event, right, database)
}

export default defineEventHandler(async (event) => {
  const { hosts, requestsInTenSeconds } = useRuntimeConfig()
  try {
    requireHost(event, String(hosts))
    if (!event.path.startsWith('/api')) return undefined
    setResponseHeaders(event, {
      'cache-control': 'no-store',
      'cross-origin-resource-policy': 'same-origin',
      'content-security-policy': "default-src 'none'; frame-ancestors 'none'",
      'referrer-policy': 'no-referrer',
      'x-content-type-options': 'nosniff',
    })
    const most = Number(requestsInTenSeconds)
    if (most > 0) await (limit ??= sharedLimit(database, most, SPAN))(addressOf(event))
    requireOwnPage(event)
    await requireAdmitted(event)
    return undefined
  } catch (error) {
    return sendProblem(event, error)
  }
})
