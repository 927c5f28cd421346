/* Who works here, and what each may do: once for both sides. */

export const ROLES = ['lead', 'technician', 'office'] as const
export type Role = (typeof ROLES)[number]

/** What an address asks for: nobody in particular, whoever is signed in, or somebody whose work it is. */
export type Right = 'anyone' | 'self' | 'work' | 'remove' | 'yard' | 'people'

const RIGHTS: Readonly<Record<Role, readonly Right[]>> = {
  lead: ['anyone', 'self', 'work', 'remove', 'yard', 'people'],
  technician: ['anyone', 'self', 'work'],
  office: ['anyone', 'self', 'work', 'remove', 'yard'],
}

/**
 * Whether a role has a right.
 *
 * @example mayDo('technician', 'yard') // false: prices and rules are the lead's and the office's
 */
export const mayDo = (role: Role, right: Right): boolean => RIGHTS[role].includes(right)

export const ROLE_NAMES: Readonly<Record<Role, string>> = { lead: 'Lead', technician: 'Technician', office: 'Office' }
export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  lead: 'Lead: everything, and who works here',
  technician: 'Technician: jobs, records and offers',
  office: 'Office: jobs, offers, prices and the yard',
}

/** Why a device was signed out from elsewhere. Only one that is lost deletes what it has not sent. */
export const OUT_REASONS = ['signed-out', 'password', 'new-way-in', 'left', 'lost'] as const
export type OutReason = (typeof OUT_REASONS)[number]

/** Header by which a device says how many entries it has not sent. */
export const WAITING = 'x-vindex-waiting'
/** Header by which a device says whose work it sends. */
export const ACCOUNT = 'x-vindex-account'
