import { isIP } from 'node:net'

/**
 * Each proxy writes whom it was asked by behind what was there: entries before those of one's own proxies are made up.
 *
 * @param proxies in front of this server; 0 where there is none
 * @example forwardedAddress('203.0.113.9, 198.51.100.7', 1) // '198.51.100.7'
 * @returns nothing where the header does not have so many addresses
 */
export function forwardedAddress(header: string | undefined, proxies: number): string | undefined {
  if (!(proxies >= 1)) return undefined
  const address = (header ?? '').split(',').at(-proxies)?.trim() ?? ''
  return isIP(address) > 0 ? address : undefined
}
