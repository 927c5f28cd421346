<script setup lang="ts">
import { computed, ref } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { timeNow } from '~/sync/clock'

/** Who decides on a post that carries people: without a name nothing is chosen. */
const session = useJobSession()
const view = useJobView()
const licensed = computed(() => view.post.value!.repair?.licensed)
const failure = ref('')

async function save(name: string): Promise<void> {
  const value = name.trim() ? { name: name.trim(), at: new Date(timeNow()).toISOString() } : null
  const refused = await session.edit([{ name: 'setRepair', ...view.address.value, key: 'licensed', value }])
  failure.value = refused?.message ?? ''
}
</script>

<template>
  <div class="panel-section">
    <h3>Who decides</h3>
    <v-text-field
      label="Licensed builder or engineer"
      hint="The name stands in the record and on every sheet. The figures below are for this person to check."
      persistent-hint
      autocomplete="off"
      :model-value="licensed?.name ?? ''"
      :error-messages="failure"
      @change="save(($event.target as HTMLInputElement).value)"
    />
  </div>
</template>
