/**
 * The identity of a job that a device makes: the device knows it before any server does, so that the job opens without
 * a signal, and the server finds the same one. It says nothing of other workspaces: no key leads to a job of theirs.
 *
 * @param workspace that the job is of
 * @param key random, made once for what a person asked for once
 * @returns 32 hexadecimal digits, of SHA-256
 * @example await jobIdentity('home', 'one-wish-of-somebody') // '0544deb71002975d01408b61a3b683af'
 */
export async function jobIdentity(workspace: string, key: string): Promise<string> {
  const digest = await crypto.subtle.digest('SHA-256', new TextEncoder().encode(`${workspace}/${key}`))
  return Array.from(new Uint8Array(digest, 0, 16), (byte) => byte.toString(16).padStart(2, '0')).join('')
}
