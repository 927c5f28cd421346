import type { H3Event } from 'h3'
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
