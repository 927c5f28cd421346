<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import QuantityField from '~/controls/QuantityField.vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import { strengthWithWater, type BaggedMix } from '~~/core/concrete/bags'
import type { RepairChoice } from '~~/core/document/job'
import { liveCount } from '~~/core/hole/live'
import type { ConcretePlan } from '~~/core/plan/types'
import { GALLON } from '~~/core/units/constants'
import { usePreferencesStore } from '~/session/preferences'

/** What really goes in: bags, water, and how far the face has come; what that makes of strength and of the bags to go. */
const { concrete, mix } = defineProps<{ concrete: ConcretePlan; mix: BaggedMix }>()
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
type Poured = NonNullable<RepairChoice['poured']>

const poured = computed<Poured>(() => view.post.value!.repair?.poured ?? {})
const set = (key: keyof Poured) => (value: number | null) => {
  const next = { ...poured.value, [key]: value ?? undefined }
  const given = Object.fromEntries(Object.entries(next).filter(([, each]) => each !== undefined))
  return session.edit([
    { name: 'setRepair', ...view.address.value, key: 'poured', value: Object.keys(given).length > 0 ? given : null },
  ])
}
const inLitres = computed(() => preferences.measures.volumeParts(0).unit === 'L')
const perUnit = computed(() => (inLitres.value ? 1e-3 : GALLON))

const strength = computed(() => {
  const { bags, water } = poured.value
  if (!bags || water === undefined) return undefined
  return strengthWithWater(mix, water / bags - mix.waterMixed)
})
const weaker = computed(() =>
  strength.value === undefined ? 0 : Math.round((1 - strength.value / mix.strength) * 100),
)
const count = computed(() => {
  const { bags, face } = poured.value
  const hole = view.methodInHand.value?.hole
  if (bags === undefined || face === undefined || !hole) return undefined
  return liveCount({ bags, face }, hole, concrete, mix, view.post.value?.section)
})
</script>

<template>
  <div class="panel-section">
    <h3>Count while you pour</h3>
    <div class="field-grid">
      <QuantityField label="Bags in" :value="poured.bags" :save="set('bags')" />
      <QuantityField
        :label="`Water in, ${inLitres ? 'L' : 'gal'}`"
        :value="poured.water"
        :per="perUnit"
        :save="set('water')"
      />
      <LengthStepper
        label="Concrete below the ground"
        :value="poured.face"
        :step="0.05"
        :start="0.3"
        clearable
        :save="set('face')"
      />
    </div>
    <p v-if="strength !== undefined" role="status">
      With that water {{ preferences.measures.strength(strength)
      }}<template v-if="weaker > 0">: {{ weaker }} in 100 weaker than the label</template>.
    </p>
    <p v-if="count" role="status">
      {{ preferences.measures.volume(count.placed) }} went in where the plan has
      {{ preferences.measures.volume(count.planned) }}: {{ Math.abs(Math.round(count.over * 100)) }} in 100
      {{ count.over >= 0 ? 'more' : 'less' }}. Still {{ count.togo.toFixed(1) }} bags; {{ count.bags }} in all.
    </p>
  </div>
</template>
