import { useLocalStorage } from '@vueuse/core'

/** The account whose work lies on this device; nobody's before anybody has one. */
export interface KeptAccount {
  id: string
  name: string
}
export const accountHere = useLocalStorage<KeptAccount>('vindex-account', { id: '', name: '' })

/** The workspace that this device works in, known without a signal: jobs that it makes are named by it. */
export const workspaceHere = useLocalStorage('vindex-workspace', 'home')
