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
