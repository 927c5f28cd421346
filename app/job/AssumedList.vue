<script setup lang="ts">
import { computed } from 'vue'
import FoldOut from '~/controls/FoldOut.vue'
import { usePreferencesStore } from '~/session/preferences'
import { assumptionWords } from '~~/core/resolve/assumptionWords'
import { useJobView } from './openJob'

/** What nobody said and the figures go by all the same: one tap goes to where it is said. */
const view = useJobView()
const preferences = usePreferencesStore()
const items = computed(() =>
  view.assumed.value.map((each) => ({
    key: `${each.post} ${each.key}`,
    fact: each.key,
    words: assumptionWords(each, preferences.measures, view.tables.value),
  })),
)
const title = computed(
  () => `Taken for granted: ${items.value.length} ${items.value.length === 1 ? 'thing' : 'things'}`,
)
</script>

<template>
  <FoldOut v-if="items.length" class="assumed" :title="title">
    <ul>
      <li v-for="{ key, fact, words } in items" :key="key">
        <button type="button" @click="view.askFact(fact)">{{ words }} <span class="soft">say it</span></button>
      </li>
    </ul>
  </FoldOut>
</template>

<style scoped>
.assumed {
  border-top: 1.5px dashed var(--ink);
  margin-top: 12px;
}
ul {
  list-style: none;
  padding: 0;
}
button {
  width: 100%;
  min-height: 48px;
  padding: 4px 0;
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  text-align: left;
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 1.5px dashed var(--rule);
  cursor: pointer;
}
.soft {
  text-decoration: underline;
  text-underline-offset: 4px;
  white-space: nowrap;
}
</style>
