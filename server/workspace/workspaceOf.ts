import type { H3Event } from 'h3'
import { addressOf } from '../http/asker'
import { SignedOut } from '../http/failures'
import type { Workspace } from './workspace'

/** What a request was let in to. */
export interface Admitted {
  workspace: Workspace
  /** Its sign-in, where somebody is signed in. */
  device?: string
}

/**
 * The workspace that a request was let in to.
 *
 * @throws SignedOut where nobody looked: a route that is not on the list answers nobody
 */
export const workspaceOf = (event: H3Event): Workspace => admittedOf(event).workspace

export function admittedOf(event: H3Event): Admitted {
  const admitted = event.context.admitted as Admitted | undefined
  if (!admitted) throw new SignedOut()
  return admitted
}

/** Whose turn a work takes: the person who is signed in, or the address. */
export const askerOf = (event: H3Event): string =>
  (event.context.admitted as Admitted | undefined)?.workspace.person?.id ?? addressOf(event)
