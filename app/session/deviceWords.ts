import type { DeviceAnswer, DeviceOut } from '~~/shared/contract'

const when = (at: string) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
/** @example entries(1) // '1 entry' */
export const entries = (count: number): string => `${count} ${count === 1 ? 'entry' : 'entries'}`

/**
 * What is said of a device after its name.
 *
 * @example deviceLine({ seenAt: '2026-12-02T08:10:00Z', waiting: 2, … }) // ', last here 2 Dec 2026, 08:10, 2 entries not sent'
 */
export function deviceLine({ seenAt, waiting, out }: DeviceAnswer): string {
  const state =
    out === undefined
      ? `last here ${when(seenAt)}`
      : `${out === 'lost' ? 'called lost' : 'signed out'}, not heard since ${when(seenAt)}`
  return `, ${state}${waiting > 0 ? `, ${entries(waiting)} not sent` : ''}`
}

/**
 * What is told to the person who signs a device out.
 *
 * @example outWords({ waiting: 0, seenAt: … }, true) // 'The device deletes everything at its next contact. It had sent …'
 */
export function outWords({ waiting, seenAt }: DeviceOut, isLost: boolean): string {
  const heard = when(seenAt)
  const deed = isLost
    ? 'The device deletes everything at its next contact.'
    : 'The device is signed out at its next contact.'
  if (waiting === 0) return `${deed} It had sent everything when it was last heard, ${heard}.`
  return `${deed} It had not sent ${entries(waiting)} when it was last heard, ${heard}: ${
    isLost ? 'lost with it' : 'kept on it for its own person'
  }.`
}
