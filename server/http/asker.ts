import { getRequestHeader, getRequestIP, type H3Event } from 'h3'
import { useRuntimeConfig } from 'nitropack/runtime'
import { deviceWords } from './devices'

/** This site, by the name that the browser knows it by: a passkey is for it. */
export interface Site {
  /** Without a port. */
  name: string
  origin: string
}

/** Where a request comes from; what a proxy says of it counts only where one stands in front. */
export const addressOf = (event: H3Event): string =>
  getRequestIP(event, { xForwardedFor: Boolean(useRuntimeConfig().behindProxy) }) ?? 'unknown'

/** This site as the browser knows it, by an origin that was held against the host before. */
export function siteOf(event: H3Event): Site {
  const origin = getRequestHeader(event, 'origin') ?? ''
  return { origin, name: URL.canParse(origin) ? new URL(origin).hostname : '' }
}

export const deviceOf = (event: H3Event): string => deviceWords(getRequestHeader(event, 'user-agent') ?? '')
