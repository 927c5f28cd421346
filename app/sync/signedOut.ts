import { shallowRef } from 'vue'
import type { OutReason } from '~~/shared/people'

/** The sign-in has ended, or this device was signed out from elsewhere: why, and by whom. */
export type OutNews = { state: 'signed-out' } | { state: 'revoked'; why: OutReason; by?: string }

/** What the server said last of the sign-in; undefined while nothing is wrong. */
export const signedOut = shallowRef<OutNews>()

/** Entries that this device has not sent. Every request says it: a person who calls the device lost is told. */
export const unsent = shallowRef(0)
