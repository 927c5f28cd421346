import { computed, ref, shallowRef } from 'vue'
import type { Job } from '~~/core/document/job'
import { applyCommands } from '~~/core/edit/apply'
import { newIdentity } from '~/sync/identity'
import type { JobSession } from './session'

const nothing = async (): Promise<void> => undefined

/** A session of a job that is on this screen alone: edits are applied, and that is all that becomes of them. */
export function localSession(start: Job): JobSession {
  const job = shallowRef<Job | undefined>(start)
  return {
    id: newIdentity(),
    job,
    version: ref(1),
    waiting: shallowRef([]),
    conflicts: shallowRef([]),
    saveSign: computed(() => 'saved' as const),
    failure: ref(''),
    refused: ref(''),
    merged: ref(false),
    renamed: shallowRef(new Map()),
    opened: Promise.resolve(),
    refresh: nothing,
    async edit(commands) {
      if (job.value) job.value = applyCommands(job.value, commands)
      return undefined
    },
    undo: nothing,
    redo: nothing,
    resolve: nothing,
    close: () => undefined,
  }
}
