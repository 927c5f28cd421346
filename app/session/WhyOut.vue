<script setup lang="ts">
import { computed, onMounted, shallowRef } from 'vue'
import { useRoute } from '#imports'
import { saveFile } from '~/exchange/files'
import { storage } from '~/sync/device'
import { heldHere, type HeldCount } from '~/sync/heldWork'
import { unsentFile } from '~/sync/unsentFile'
import { whyOutWords } from './whyOutWords'

/** Why this device was signed out, and what it holds for people who have not sent it yet. */
const { query } = useRoute()
const why = computed(() => whyOutWords(query.out, query.by))
const held = shallowRef<HeldCount[]>([])
onMounted(async () => void (held.value = await heldHere(storage)))

async function save({ id, name }: HeldCount): Promise<void> {
  const work = await storage.keep(() => storage.held.get(id))
  if (work) saveFile(`${name || 'unsent'}-entries.json`, await unsentFile(work), 'application/json')
}
</script>

<template>
  <p v-if="why" class="caution why" role="status">{{ why }}</p>
  <div v-for="each in held" :key="each.id" class="held" role="status">
    <p>
      {{ each.count }} {{ each.count === 1 ? 'entry' : 'entries' }} by {{ each.name || 'somebody' }}
      {{ each.count === 1 ? 'has' : 'have' }} not been sent. {{ each.count === 1 ? 'It goes' : 'They go' }} out when
      {{ each.name || 'that person' }} signs in here.
    </p>
    <v-btn variant="text" @click="save(each)">Save as a file for a lead</v-btn>
  </div>
</template>

<style scoped>
.why {
  margin-bottom: 14px;
}
.held {
  border: 1.8px solid var(--ink);
  padding: 10px 12px 4px;
  margin-bottom: 14px;
}
.held p {
  margin: 0;
}
</style>
