import { ref } from 'vue'
import { workspaceHere } from '~/sync/accountHere'
import { newJobs } from '~/sync/device'
import { useTables } from '~/yard/useYard'
import { readJob } from '~~/core/document/check'
import { InputError } from '~~/core/errors'

/** Making a job on this device: it needs no signal, and opens at once. */
export function useMaking(made: (id: string) => void) {
  const tables = useTables()
  const busy = ref(false)
  const failure = ref('')

  /**
   * @param read gives the document, or throws what is wrong with what it is read from
   * @param subject what it is read from, named with what is wrong
   */
  async function make(read: () => unknown, subject = ''): Promise<void> {
    // Asked for twice in a hurry it is one job.
    if (busy.value) return
    busy.value = true
    failure.value = ''
    try {
      made(await newJobs.make(readJob(read(), tables.value), workspaceHere.value))
    } catch (error) {
      failure.value = (subject ? `${subject} was not opened: ` : '') + wordsOf(error)
    } finally {
      busy.value = false
    }
  }
  return { busy, failure, make }
}

function wordsOf(error: unknown): string {
  if (error instanceof SyntaxError) return `This is no JSON: ${error.message}`
  if (error instanceof InputError) return error.message
  throw error
}
