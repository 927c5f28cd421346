import type { H3Event } from 'h3'
import { database } from '../database'
import { deviceOf } from '../http/asker'
import { NotFound, SignedOut } from '../http/failures'
import type { Workspace } from '../workspace/workspace'
import type { DeviceOut, SessionAnswer } from '../../shared/contract'
import { note } from './audit'
import { cookieOf, deviceCookieOf, dropCookie, isPeopled, keepCookie, keepDeviceCookie, whoAsks } from './admit'
import { forgetDevices, keepDevice } from './knownDevices'
import { readWorkspace, type PersonRow } from './repository'
import { revoke } from './signInRows'
import { endSignIn, startSignIn } from './signIns'

/** @throws SignedOut for a device that was signed out from elsewhere */
export async function readSession(event: H3Event): Promise<SessionAnswer> {
  const opened = await database()
  const [asks, hasPeople] = await Promise.all([whoAsks(event, opened), isPeopled(opened)])
  if (!asks) return { state: 'out', hasPeople }
  const { workspace } = asks
  const { person } = workspace
  return {
    state: person ? 'in' : 'open',
    hasPeople,
    ...(person ? { person: { id: person.id, name: person.name, role: person.role } } : {}),
    workspace: await readWorkspace(workspace),
  }
}

/** Somebody has shown who they are: this device is signed in from now on. */
export async function enter(event: H3Event, person: PersonRow): Promise<SessionAnswer> {
  const opened = await database()
  const before = cookieOf(event)
  // A sign-in of before does not go on under another one's name, nor a cookie that somebody else has put here.
  if (before !== undefined) await endSignIn(opened, before)
  const workspace: Workspace = { id: person.workspace, database: opened, person }
  const device = deviceOf(event)
  const now = new Date()
  keepCookie(event, await startSignIn(opened, { person: person.id, device, now }))
  keepDeviceCookie(event, await keepDevice(opened, deviceCookieOf(event), person.id, now))
  await note(workspace, 'signed-in', { detail: device })
  const { id, name, role } = person
  return { state: 'in', hasPeople: true, person: { id, name, role }, workspace: await readWorkspace(workspace) }
}

/** This device is signed out, and forgets. */
export async function leave(event: H3Event): Promise<{ state: 'out' }> {
  const opened = await database()
  const secret = cookieOf(event)
  const asks = await whoAsks(event, opened).catch((error: unknown) => {
    // A device that was revoked says so when it has forgotten everything.
    if (error instanceof SignedOut) return undefined
    throw error
  })
  if (asks?.workspace.person) await note(asks.workspace, 'signed-out')
  if (secret !== undefined) await endSignIn(opened, secret)
  dropCookie(event)
  return { state: 'out' }
}

/**
 * Signs a device out from elsewhere.
 *
 * @param isLost it deletes what it has not sent, too
 * @returns what it had not sent when it was last heard
 * @throws NotFound for a device that is not signed in here
 */
export async function signDeviceOut(
  workspace: Workspace,
  chosen: { device: string; person?: string },
  isLost: boolean,
): Promise<DeviceOut> {
  const [device] = await revoke(workspace, chosen, isLost ? 'lost' : 'signed-out', new Date())
  if (!device) throw new NotFound('device', chosen.device)
  if (isLost) await forgetDevices(workspace.database, device.person)
  await note(workspace, isLost ? 'device-lost' : 'device-revoked', { subject: chosen.device })
  return { waiting: device.waiting, seenAt: device.seenAt.toISOString() }
}
