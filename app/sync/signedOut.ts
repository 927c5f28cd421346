import { shallowRef } from 'vue'

/** What the server said last of who asks: nothing wrong, nobody is signed in, or this device is to forget. */
export const signedOut = shallowRef<'signed-out' | 'revoked'>()
