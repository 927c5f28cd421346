<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import QuantityField from '~/controls/QuantityField.vue'
import { historySentence } from '~/job/stateWords'
import { goneByFooting } from '~~/core/plan/line/seenHistory'
import { tables } from '~~/data/tables'
import type { Line } from '~~/core/document/job'

/** What became of the line so far: the strongest evidence there is of what gusts do here. */
const session = useJobSession()
const view = useJobView()
const line = computed(() => view.line.value!)
type History = NonNullable<Line['history']>
const history = computed(() => line.value.history)
const words = computed(() => historySentence(view.plan.value!, line.value))

/** Those of the line that are known to have moved in the ground: of the others nobody said that they did. */
const goneNow = computed(() => goneByFooting(view.plan.value!, line.value.id, tables))

/** Its age alone says something: what has not moved by what was seen still stands, until somebody counts. */
function set(change: Partial<History>) {
  const { posts = line.value.posts.length, gone = goneNow.value, ageYears } = { ...history.value, ...change }
  const value = ageYears === undefined ? null : { posts, gone, ageYears }
  return session.edit([{ name: 'setLine', line: line.value.id, key: 'history', value }])
}
</script>

<template>
  <div class="panel-section">
    <h3>How it has stood so far</h3>
    <div class="field-grid">
      <QuantityField
        label="The fence stands for, years"
        :value="history?.ageYears"
        :save="(value) => set({ ageYears: value ?? undefined })"
      />
      <template v-if="history">
        <QuantityField
          label="Posts that it had"
          :value="history.posts"
          :save="(value) => set({ posts: value ?? undefined })"
        />
        <QuantityField
          label="Gone by their footing"
          :value="history.gone"
          :save="(value) => set({ gone: value ?? undefined })"
        />
      </template>
    </div>
    <p v-if="words">{{ words }}</p>
    <p v-else class="soft">Do not count posts that rotted or broke.</p>
  </div>
</template>
