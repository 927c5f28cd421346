import { hostname } from 'node:os'
import {
  defineEventHandler,
  getRequestHeader,
  getRequestIP,
  getRequestURL,
  setResponseHeader,
  setResponseHeaders,
  type H3Event,
} from 'h3'
import { useRuntimeConfig } from 'nitropack/runtime'
import { RateLimiterMemory, type RateLimiterRes } from 'rate-limiter-flexible'
import { sendProblem } from '../http/answering'
import { NotFound, TooMuch, WrongHost, WrongMethod } from '../http/failures'
import { methodsOf } from '../http/routes'
import type { Problem } from '../../shared/contract'
import { isServed } from '../http/hosts'

/* Before anything is looked at: is it us that is asked, and how often. */

/** Over which askings are counted, s. */
const SPAN = 10

let limiter: RateLimiterMemory | undefined

/** What nothing else answers: never the page, which a device would take for an answer. */
function requireRoute(event: H3Event): Problem | undefined {
  const { pathname } = getRequestURL(event)
  const methods = methodsOf(pathname)
  if (methods.includes(event.method === 'HEAD' ? 'GET' : event.method)) return undefined
  if (methods.length === 0) return sendProblem(event, new NotFound('address', pathname.slice(0, 200)))
  setResponseHeader(event, 'allow', methods.join(', '))
  return sendProblem(event, new WrongMethod(event.method, methods))
}

export default defineEventHandler(async (event) => {
  const { hosts, requestsInTenSeconds } = useRuntimeConfig()
  const host = getRequestHeader(event, 'host') ?? ''
  const names = [
    'localhost',
    hostname(),
    `${hostname()}.local`,
    ...String(hosts)
      .split(',')
      .map((name: string) => name.trim()),
  ]
  if (!isServed(host, names)) return sendProblem(event, new WrongHost(host))
  if (!event.path.startsWith('/api')) return undefined
  setResponseHeaders(event, {
    'cache-control': 'no-store',
    'cross-origin-resource-policy': 'same-origin',
    'content-security-policy': "default-src 'none'; frame-ancestors 'none'",
    'x-content-type-options': 'nosniff',
  })
  const answered = requireRoute(event)
  if (answered) return answered
  const most = Number(requestsInTenSeconds)
  if (most > 0) {
    limiter ??= new RateLimiterMemory({ points: most, duration: SPAN })
    try {
      await limiter.consume(getRequestIP(event) ?? 'unknown')
    } catch (error) {
      const { msBeforeNext = 1e3 } = error as Partial<RateLimiterRes>
      return sendProblem(event, new TooMuch('Too many requests from one place.', Math.ceil(msBeforeNext / 1e3)))
    }
  }
  return undefined
})
