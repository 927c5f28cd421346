<script setup lang="ts">
import { computed } from 'vue'
import type { MethodPlan } from '~~/core/plan/types'
import type { RepairChoice } from '~~/core/document/job'
import FoldOut from '~/controls/FoldOut.vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import SectionFields from '~/controls/SectionFields.vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { newPostSentence, stouterSentence } from '~/job/stateWords'
import { MATERIAL_ITEMS } from '~/job/words'
import { usePreferencesStore } from '~/session/preferences'

/** The post that takes its place: its length, what a stouter one buys, and one of one's own. */
const { method } = defineProps<{ method: MethodPlan }>()
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const words = computed(() => newPostSentence(method, preferences.show))
const stouter = computed(() =>
  view.detail.value?.stouter ? stouterSentence(view.detail.value.stouter, preferences.measures.gust) : '',
)
const own = computed(() => view.post.value!.repair?.post)

type Own = NonNullable<RepairChoice['post']>
/** Nothing of it left is no post of one's own. */
function set(key: keyof Own, value: Own[keyof Own] | null) {
  const { [key]: _, ...rest } = own.value ?? {}
  const next = value === null ? rest : { ...rest, [key]: value }
  const whole = Object.keys(next).length > 0 ? next : null
  return session.edit([{ name: 'setRepair', ...view.address.value, key: 'post', value: whole }])
}
</script>

<template>
  <div class="panel-section">
    <p v-if="words">{{ words }}</p>
    <p v-if="stouter">{{ stouter }}</p>
    <FoldOut title="A post of your own: second-hand, another wood or size">
      <p v-if="own" class="caution">
        Second-hand: probe it from end to end, most at the old ground line; soak every cut; no notch of the old fence
        where it bends.
      </p>
      <div class="field-grid">
        <v-select
          label="Made of"
          :items="MATERIAL_ITEMS"
          :model-value="own?.material ?? null"
          clearable
          @update:model-value="set('material', $event)"
        />
        <LengthStepper
          label="As long as"
          :value="own?.length"
          :step="0.05"
          :start="method.newPost?.length"
          clearable
          :save="(value) => set('length', value)"
        />
      </div>
      <SectionFields :section="own?.section ?? view.post.value!.section" :save="(section) => set('section', section)" />
      <v-btn v-if="own?.section" variant="text" @click="set('section', null)">The section of the old post</v-btn>
    </FoldOut>
  </div>
</template>
