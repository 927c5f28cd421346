import { shallowRef } from 'vue'
import type { OutReason } from '~~/shared/people'

/** Nobody is signed in, or this device was signed out from elsewhere: why, and by whom. */
export type OutNews = { state: 'signed-out' } | { state: 'revoked'; why: OutReason; by?: string }

/** What the server said last of who asks; undefined while nothing is wrong. */
export const signedOut = shallowRef<OutNews>()

/** Entries that this device has not sent: said with every request, for whoever calls the device lost. */
export const unsent = shallowRef(0)
