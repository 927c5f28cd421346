import { ref } from 'vue'
import type { Refusal } from '~/sync/api'
import { newIdentity } from '~/sync/identity'
import type { CreatedJob } from '~~/shared/contract'

/** Asking the server for a new job: once for each wish, however often it has to be asked. */
export function useMaking(made: (id: string) => void) {
  const busy = ref(false)
  const failure = ref('')
  /** Asked for again because no answer came, it is the same job: until it is made, one wish has one key. */
  let wish = { text: '', key: '' }

  /**
   * @param text what is asked for, whole
   * @param said deals with a refusal; it is said beside the buttons where this gives false
   */
  async function make(
    text: string,
    request: (key: string) => Promise<CreatedJob>,
    said: (refusal: Refusal) => boolean = () => false,
    subject = '',
  ): Promise<void> {
    if (wish.text !== text) wish = { text, key: newIdentity() }
    busy.value = true
    failure.value = ''
    try {
      const { id } = await request(wish.key)
      wish = { text: '', key: '' }
      made(id)
    } catch (error) {
      const refusal = error as Refusal
      if (!said(refusal)) failure.value = subject ? `${subject} was not opened: ${refusal.message}` : refusal.message
    } finally {
      busy.value = false
    }
  }
  return { busy, failure, make }
}
