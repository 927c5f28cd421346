/**
 * SHA-256 of a picture, in small hexadecimal letters.
 *
 * @returns undefined where the browser does not reckon it: on plain http from another machine
 */
export async function checksumOf(bytes: Blob): Promise<string | undefined> {
  if (!globalThis.crypto?.subtle) return undefined
  const digest = await crypto.subtle.digest('SHA-256', await bytes.arrayBuffer())
  return Array.from(new Uint8Array(digest), (byte) => byte.toString(16).padStart(2, '0')).join('')
}
