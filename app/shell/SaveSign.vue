<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession } from '~/job/openJob'
import { queue, storage } from '~/sync/device'
import { NEW_JOB } from '~/sync/newJobs'
import { PICTURE } from '~/sync/pictures'

/** A quiet sign: what is saved, what waits, what has to be chosen. */
const session = useJobSession()
const { reachable } = queue
/** Edits, and the job itself where it was made here. */
const count = computed(() => session.waiting.length + queue.waiting(NEW_JOB, session.id))
const words = computed(() => {
  const pictures = queue.waiting(PICTURE, session.id)
  if (storage.failure.value && session.saveSign !== 'conflict')
    return count.value + pictures > 0 ? 'not kept here: sending' : 'sent, not kept here'
  switch (session.saveSign) {
    case 'conflict':
      return `${session.conflicts.length} to choose`
    case 'waiting':
      return reachable.value ? 'saving' : `${count.value} waiting to send`
    default:
      if (pictures > 0) return reachable.value ? 'sending photographs' : `${pictures} photographs waiting`
      return reachable.value ? 'all saved' : 'no signal, all saved'
  }
})
/** Where there is no room for the words. */
const short = computed(() => {
  if (session.saveSign === 'conflict') return 'choose'
  if (session.saveSign === 'waiting') return reachable.value ? '…' : `${count.value} wait`
  return reachable.value ? '✓' : 'no signal'
})
</script>

<template>
  <span
    class="save-sign"
    role="status"
    :data-sign="session.saveSign"
    :data-short="short"
    :class="{ loud: session.saveSign === 'conflict' }"
    ><span class="words">{{ words }}</span></span
  >
</template>

<style scoped>
.save-sign {
  padding: 4px 10px;
  white-space: nowrap;
}
.loud {
  border: 2px solid var(--error);
  color: var(--error);
  font-weight: 600;
}
@media (max-width: 760px) {
  .save-sign {
    min-width: 32px;
    padding: 4px;
    text-align: center;
  }
  .words {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
  /* Where there is no room for the words. */
  .save-sign::after {
    content: attr(data-short) / '';
    font-weight: 600;
  }
}
</style>
