import type { AddressInfo, Server } from 'node:net'
import { deleteCookie, getCookie, getRequestHeader, getRequestHeaders, setCookie, type H3Event } from 'h3'
import type { Knex } from 'knex'
import { ACCOUNT, mayDo, WAITING, type Right } from '../../shared/people'
import { NotYours, SignedOut } from '../http/failures'
import { noteSeen } from './audit'
import { HOME } from '../workspace/workspace'
import type { Admitted } from '../workspace/workspaceOf'
import { hasPeople } from './repository'
import { readSignIn, STANDS } from './signIns'

/** Of this host alone, sent by nothing but this site's own pages over an encrypted connection or this machine. */
const COOKIE = '__Host-vindex'
const KIND = { httpOnly: true, secure: true, sameSite: 'strict', path: '/' } as const

export const keepCookie = (event: H3Event, secret: string): void =>
  setCookie(event, COOKIE, secret, { ...KIND, maxAge: STANDS / 1e3 })
/** What a device is known by after it was signed out: it opens nothing. */
const DEVICE_COOKIE = '__Host-vindex-device'
const KNOWN_FOR = 400 * 24 * 3600
export const keepDeviceCookie = (event: H3Event, secret: string): void =>
  setCookie(event, DEVICE_COOKIE, secret, { ...KIND, maxAge: KNOWN_FOR })
export const deviceCookieOf = (event: H3Event): string | undefined => getCookie(event, DEVICE_COOKIE)
export const dropCookie = (event: H3Event): void => deleteCookie(event, COOKIE, KIND)
export const cookieOf = (event: H3Event): string | undefined => getCookie(event, COOKIE)

/** Once somebody works here, somebody does for good: it need not be asked again. */
const peopled = new WeakSet<object>()
export async function isPeopled(database: Knex): Promise<boolean> {
  if (peopled.has(database)) return true
  if (!(await hasPeople(database))) return false
  peopled.add(database)
  return true
}

/**
 * Whether a request comes from this machine's own browser to a server that nobody else can reach. A proxy on the same
 * machine would open it to the world: it says that it is one.
 */
export function isFromHere(event: H3Event): boolean {
  const { server } = event.node.req.socket as unknown as { server?: Server }
  const { address } = (server?.address() ?? {}) as Partial<AddressInfo>
  return isHere({ bound: address, host: getRequestHeader(event, 'host'), headers: getRequestHeaders(event) })
}

/** @example isHere({ bound: '127.0.0.1', host: 'localhost:3000', headers: {} }) // true */
export function isHere({
  bound,
  host = '',
  headers,
}: {
  bound: string | undefined
  host: string | undefined
  headers: Readonly<Record<string, unknown>>
}): boolean {
  const isBound = bound === '127.0.0.1' || bound === '::1'
  const isLocal = /^(localhost|127\.0\.0\.1)(:\d+)?$/i.test(host)
  return (
    isBound && isLocal && !Object.keys(headers).some((name) => /^(forwarded$|x-forwarded-|x-real-ip$|via$)/i.test(name))
  )
}

/**
 * Who asks, and for which workspace; nobody where nobody is signed in.
 *
 * @throws SignedOut for a device that was signed out from elsewhere
 */
export async function whoAsks(event: H3Event, database: Knex, now = new Date()): Promise<Admitted | undefined> {
  const secret = cookieOf(event)
  const found = secret === undefined ? undefined : await readSignIn(database, secret, now, waitingOf(event))
  if (found) {
    const { id, name, role, workspace, device } = found
    return { workspace: { id: workspace, database, person: { id, name, role } }, device }
  }
  if (isFromHere(event) && !(await isPeopled(database))) return { workspace: { id: HOME, database } }
  return undefined
}

/** How many entries a device says that it has not sent. */
function waitingOf(event: H3Event): number | undefined {
  const said = getRequestHeader(event, WAITING)
  return said !== undefined && /^\d{1,6}$/.test(said) ? Number(said) : undefined
}

/**
 * Lets a request in, or does not.
 *
 * @throws SignedOut, NotYours
 */
export async function admit(event: H3Event, right: Right, database: () => Promise<Knex>): Promise<void> {
  if (right === 'anyone') return
  const admitted = await whoAsks(event, await database())
  if (!admitted) throw new SignedOut()
  const { workspace } = admitted
  // The device still holds the work of somebody else: it is not taken under this name.
  const whose = getRequestHeader(event, ACCOUNT)
  if (whose !== undefined && whose !== workspace.person?.id) throw new SignedOut()
  const role = workspace.person?.role ?? 'lead'
  if (!mayDo(role, right)) throw new NotYours(`This is not for a ${role} to do: ask whoever leads.`)
  // Without an account there is nobody of whom the rest could be told.
  if (!workspace.person && right === 'self') throw new NotYours('Make the first account first.')
  event.context.admitted = admitted
}

/** Somebody looked into a job. */
export const seen = (event: H3Event, jobId: string): Promise<void> =>
  noteSeen((event.context.admitted as Admitted).workspace, jobId)
