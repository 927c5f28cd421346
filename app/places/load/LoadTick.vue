<script setup lang="ts">
import { computed } from 'vue'
import { useYard } from '~/yard/useYard'
import type { LoadingLine } from './model/loadingList'
import { useCost } from './useCost'

/** One thing to be loaded: how much of it, whether two have to lift it, and what of it is to be bought first. */
const { line } = defineProps<{ line: LoadingLine }>()
const cost = useCost()
const { catalogue } = useYard()
const isIn = computed(() => cost.ticked.value.has(line.key))
/** Packs that do not lie in the yard; nothing is said where nobody counts what does. */
const toBuy = computed(() => {
  const row = catalogue.value.find(({ key }) => key === line.key)
  if (row?.have === undefined) return 0
  return Math.max(0, line.count - Math.floor(row.have / row.pack))
})
</script>

<template>
  <li>
    <v-checkbox hide-details :model-value="isIn" @update:model-value="cost.tick(line.key, $event === true)">
      <template #label>
        <span class="says" :class="{ done: isIn }">
          <span v-if="line.mass" class="measure">{{ line.count }} ×</span> {{ line.says }}
          <small v-if="toBuy">{{ toBuy }} to buy</small>
          <small v-if="line.twoLift">two lift it: {{ cost.preferences.measures.mass(line.twoLift) }} each</small>
        </span>
      </template>
    </v-checkbox>
  </li>
</template>

<style scoped>
li {
  border-bottom: 1px solid var(--rule);
}
.says {
  font-size: 18px;
}
.says .measure {
  font-size: 22px;
}
.done {
  color: var(--soft-ink);
}
small {
  display: block;
  font-size: 14px;
}
</style>
