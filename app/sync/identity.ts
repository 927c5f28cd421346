/** A random identity; `crypto.randomUUID` is missing on plain http from another machine. */
export function newIdentity(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, '0')).join('')
}
