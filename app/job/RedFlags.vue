<script setup lang="ts">
import { computed, ref } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'

/** What stops the work at this post, until a person says why it may go on. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const diagnosis = computed(() => view.postPlan.value!.diagnosis)
const cleared = computed(() => view.post.value!.judgement?.cleared)
const note = ref('')
const error = ref('')

async function clear(): Promise<void> {
  if (note.value.trim() === '') {
    error.value = 'Say who was asked, or what was done.'
    return
  }
  const value = { note: note.value.trim(), ...preferences.signed() }
  const refused = await session.edit([{ name: 'setJudgement', ...view.address.value, key: 'cleared', value }])
  error.value = refused?.message ?? ''
  if (!refused) note.value = ''
}
const takeBack = () => session.edit([{ name: 'setJudgement', ...view.address.value, key: 'cleared', value: null }])
</script>

<template>
  <div v-if="diagnosis.redFlags.length" class="flags">
    <p v-for="flag in diagnosis.redFlags" :key="flag" class="red-flag" role="alert">{{ flag }}</p>
    <p v-if="cleared" class="in-hand">
      In hand<template v-if="cleared.by">, {{ cleared.by }}</template
      >: {{ cleared.note }}
      <v-btn variant="text" @click="takeBack">Take it back</v-btn>
    </p>
    <form v-else class="row" novalidate @submit.prevent="clear">
      <v-text-field v-model="note" label="It is in hand, because" :error-messages="error ? [error] : []" />
      <v-btn type="submit">Go on</v-btn>
    </form>
  </div>
</template>

<style scoped>
.flags {
  display: grid;
  gap: 8px;
  margin-bottom: 12px;
}
.row {
  flex-wrap: nowrap;
  align-items: flex-start;
}
.in-hand {
  font-weight: 600;
}
</style>
