import { getRequestHeader, getRequestIP, type H3Event } from 'h3'
import { useRuntimeConfig } from 'nitropack/runtime'
import { deviceWords } from './devices'
import { forwardedAddress } from './forwarded'

/** This site, by the name that the browser knows it by: a passkey is for it. */
export interface Site {
  /** Without a port. */
  name: string
  origin: string
}

/**
 * Where a request comes from; what proxies say of it counts only where they stand in front, `NUXT_BEHIND_PROXY` being
 * how many.
 */
export const addressOf = (event: H3Event): string =>
  forwardedAddress(getRequestHeader(event, 'x-forwarded-for'), Number(useRuntimeConfig().behindProxy)) ??
  getRequestIP(event) ??
  'unknown'

/** This site as the browser knows it, by an origin that was held against the host before. */
export function siteOf(event: H3Event): Site {
  const origin = getRequestHeader(event, 'origin') ?? ''
  return { origin, name: URL.canParse(origin) ? new URL(origin).hostname : '' }
}

export const deviceOf = (event: H3Event): string => deviceWords(getRequestHeader(event, 'user-agent') ?? '')
