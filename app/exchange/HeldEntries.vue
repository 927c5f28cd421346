<script setup lang="ts">
import { onMounted, shallowRef } from 'vue'
import { entries } from '~/session/deviceWords'
import { storage } from '~/sync/device'
import { heldHere, type HeldCount } from '~/sync/heldWork'
import { unsentFile } from '~/sync/unsentFile'
import { saveFile } from './files'

/** What this device holds for people who have not sent it yet. */
const held = shallowRef<HeldCount[]>([])
onMounted(async () => void (held.value = await heldHere(storage)))

async function save({ id, name }: HeldCount): Promise<void> {
  const work = await storage.keep(() => storage.held.get(id))
  if (work) saveFile(`${name || 'unsent'}-entries.json`, await unsentFile(work), 'application/json')
}
</script>

<template>
  <div v-for="each in held" :key="each.id" class="held" role="status">
    <p>
      {{ entries(each.count) }} by {{ each.name || 'somebody' }} {{ each.count === 1 ? 'has' : 'have' }} not been sent.
      {{ each.count === 1 ? 'It goes' : 'They go' }} out when {{ each.name || 'that person' }} signs in here.
    </p>
    <v-btn variant="text" @click="save(each)">Save as a file for a lead</v-btn>
  </div>
</template>

<style scoped>
.held {
  border: 1.8px solid var(--ink);
  padding: 10px 12px 4px;
  margin-bottom: 14px;
}
.held p {
  margin: 0;
}
</style>
