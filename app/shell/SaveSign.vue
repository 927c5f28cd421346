<script setup lang="ts">
import { computed } from 'vue'
import { useJobStore } from '~/job/store'
import { usePhotographsStore } from '~/sync/photographs'

/** A quiet sign: what is saved, what waits, what has to be chosen. */
const store = useJobStore()
const photographs = usePhotographsStore()
const words = computed(() => {
  const waiting = store.waiting.length
  const pictures = photographs.waiting
  switch (store.saveSign) {
    case 'conflict':
      return `${store.conflicts.length} to choose`
    case 'waiting':
      return store.reachable ? 'saving' : `${waiting} waiting to send`
    default:
      if (pictures > 0) return store.reachable ? 'sending photographs' : `${pictures} photographs waiting`
      return store.reachable ? 'all saved' : 'no signal, all saved'
  }
})
</script>

<template>
  <span class="save-sign" role="status" :data-sign="store.saveSign" :class="{ loud: store.saveSign === 'conflict' }">{{
    words
  }}</span>
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
</style>
