import { useLocalStorage } from '@vueuse/core'

/** The account whose work lies on this device; nobody's before anybody has one. */
export interface KeptAccount {
  id: string
  name: string
}
export const accountHere = useLocalStorage<KeptAccount>('vindex-account', { id: '', name: '' })
