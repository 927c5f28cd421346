import { ref } from 'vue'
import { useRoute, useRouter } from '#imports'
import { Refusal } from '~/sync/api'
import type { SessionAnswer } from '~~/shared/contract'
import { NotKept, session } from './account'

/** Somebody comes in: what is said meanwhile, and where they go then. */
export function useEntering() {
  const router = useRouter()
  const route = useRoute()
  const isBusy = ref(false)
  const failure = ref('')
  /** Key of the field that the server would not have. */
  const failed = ref('')

  /** @param ask the server, each time anew */
  async function enter(ask: () => Promise<SessionAnswer>): Promise<void> {
    isBusy.value = true
    failure.value = failed.value = ''
    try {
      await session.enter(ask)
      const { to } = route.query
      // Within this site alone.
      await router.replace(typeof to === 'string' && /^\/(?!\/)/.test(to) ? to : '/')
    } catch (error) {
      if (error instanceof Refusal) {
        failure.value = error.message
        failed.value = error.body.key ?? ''
      } else if (error instanceof NotKept) failure.value = error.message
      else if ((error as Error).name === 'NotAllowedError') failure.value = 'No passkey was given.'
      else throw error
    } finally {
      isBusy.value = false
    }
  }
  return { isBusy, failure, failed, enter }
}
