<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import QuantityField from '~/controls/QuantityField.vue'
import type { InputError } from '~~/core/errors'
import type { Post } from '~~/core/document/job'
import { carriedLoad } from '~~/core/repair/members/carried'
import { FOOT } from '~~/core/units/constants'
import { usePreferencesStore } from '~/session/preferences'

/** What rests on a load-bearing post: how much floor or roof, and so what its props have to carry. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const carries = computed(() => view.post.value!.carries)
const rows = computed(() => view.tables.value.parts.carried)
const items = computed(() => rows.value.map(({ key, name }) => ({ value: key, title: name })))
const isMetric = computed(() => preferences.units === 'metric')

type Carries = NonNullable<Post['carries']>
/** As much as a post of a small veranda has over it, m²: to start from. */
const START = 3
function set(change: Partial<Carries>): Promise<InputError | undefined> {
  const value: Carries = { area: START, from: 'roof', ...carries.value, ...change }
  return session.edit([{ name: 'setPost', ...view.address.value, key: 'carries', value }])
}
const load = computed(() => {
  if (!carries.value) return ''
  const { dead, live, all } = carriedLoad(carries.value, rows.value)
  const { force } = preferences.measures
  return `About ${force(all)}: ${force(dead)} of its own and ${force(live)} that may come on it. The licensed person's figures take their place.`
})
</script>

<template>
  <div class="panel-section" data-fact="carries">
    <h3>What rests on it</h3>
    <div class="field-grid">
      <v-select
        label="It carries"
        :items="items"
        :model-value="carries?.from ?? null"
        @update:model-value="set({ from: $event })"
      />
      <QuantityField
        :label="`Its share of it, ${isMetric ? 'm²' : 'sq ft'}`"
        :value="carries?.area"
        :per="isMetric ? 1 : FOOT ** 2"
        :save="(value) => set({ area: value ?? START })"
      />
    </div>
    <p v-if="load" class="soft">{{ load }}</p>
  </div>
</template>
