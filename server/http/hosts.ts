import { isIP } from 'node:net'

/**
 * Whether a `Host` header names this server. A page of another origin can make its own name lead here; a number
 * cannot be made to.
 *
 * @param names that this server answers to, without ports
 * @example isServed('localhost:3000', ['localhost']) // true
 */
export function isServed(host: string, names: readonly string[]): boolean {
  const name = host
    .replace(/:\d+$/, '')
    .replace(/^\[(.*)\]$/, '$1')
    .toLowerCase()
  return isIP(name) > 0 || names.some((each) => each !== '' && each.toLowerCase() === name)
}

/**
 * Whether a page of this host asks: what writes is taken from nobody else. A program that is no browser says nothing
 * of where it comes from, and has no cookie that somebody could have it send.
 *
 * @param site what the browser says of itself, `Sec-Fetch-Site`
 * @example isOwnPage({ origin: 'http://localhost:3000', host: 'localhost:3000' }) // true
 */
export function isOwnPage({
  origin,
  site,
  host,
}: {
  origin?: string | undefined
  site?: string | undefined
  host: string
}): boolean {
  if (site !== undefined && site !== 'same-origin' && site !== 'none') return false
  if (origin === undefined) return true
  return URL.canParse(origin) && new URL(origin).host.toLowerCase() === host.toLowerCase()
}
