<script setup lang="ts">
import { computed, ref } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import FoldOut from '~/controls/FoldOut.vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import QuantityField from '~/controls/QuantityField.vue'
import { usePours } from '~/pours/pours'
import { usePourEdits } from '~/pours/usePourEdits'
import { usePreferencesStore } from '~/session/preferences'
import type { Pour } from '~~/core/document/job'
import { liveCount } from '~~/core/hole/live'
import { leftoverOf } from '~~/core/pour/leftover'
import { isWetInTheHole } from '~~/core/pour/planned'
import { settingOf } from '~~/core/pour/setting'
import { GALLON } from '~~/core/units/constants'

/** What went in, bag by bag with its water, what that makes of its strength, and how many are still to come. */
const { pour } = defineProps<{ pour: Pour }>()
const session = useJobSession()
const view = useJobView()
const { planned, waiting } = usePours()
const edits = usePourEdits()
const preferences = usePreferencesStore()

const tables = computed(() => view.tables.value)
const mix = computed(() => tables.value.mixes.find(({ key }) => key === pour.mix))
const bagged = computed(() => (mix.value?.supply === 'bag' ? mix.value : undefined))
const wanted = computed(() => planned.value.find(({ line, post }) => line === pour.line && post === pour.post))
const perBag = computed(() =>
  wanted.value?.bags ? wanted.value.water / wanted.value.bags : (bagged.value?.waterMixed ?? 0),
)

const inLitres = computed(() => preferences.measures.volumeParts(0).unit === 'L')
const perUnit = computed(() => (inLitres.value ? 1e-3 : GALLON))
/** To the next bag, where it is another than the label's, m³. */
const water = ref<number>()
const setWater = async (value: number | null) => {
  water.value = value === null ? undefined : Math.round(value * 1e6) / 1e6
  return undefined
}
const sum = (key: 'bags' | 'water') => (pour.lifts ?? []).reduce((total, each) => total + each[key], 0)
const bags = computed(() => sum('bags'))
const add = () => edits.lift(pour, { bags: 1, water: water.value ?? Math.round(perBag.value * 1e6) / 1e6 })

const weaker = computed(() => {
  const strength = settingOf(pour, tables.value)?.concrete?.strength
  return bagged.value && strength !== undefined && bags.value > 0
    ? Math.round((1 - strength / bagged.value.strength) * 100)
    : 0
})
const face = computed(() => view.post.value?.repair?.poured?.face)
const setFace = (value: number | null) => {
  const { face: _face, ...rest } = view.post.value?.repair?.poured ?? {}
  const next = value === null ? rest : { ...rest, face: value }
  return session.edit([
    {
      name: 'setRepair',
      line: pour.line,
      post: pour.post,
      key: 'poured',
      value: Object.keys(next).length ? next : null,
    },
  ])
}
const count = computed(() => {
  const concrete = view.methodInHand.value?.concrete
  const hole = view.methodInHand.value?.hole
  if (!bagged.value || !concrete || !hole || face.value === undefined) return undefined
  return liveCount({ bags: bags.value, face: face.value }, hole, concrete, bagged.value, view.post.value?.section)
})
const left = computed(() => leftoverOf(pour, wanted.value, waiting.value, tables.value))
const soaks = computed(
  () => isWetInTheHole(wanted.value?.filling, tables.value) && waiting.value.length > 0 && !pour.handsOffAt,
)
const departs = ref(pour.departs ?? '')
</script>

<template>
  <div v-if="mix" class="panel-section">
    <h3>What went in</h3>
    <div class="row">
      <p class="figure">
        {{ bags
        }}<small
          >{{ wanted?.bags ? `of ${wanted.bags} bags` : 'in' }}, {{ preferences.measures.volume(sum('water')) }} of
          water</small
        >
      </p>
      <v-btn size="large" @click="add">One {{ bagged ? 'bag' : 'batch' }} in</v-btn>
    </div>
    <p v-if="weaker > 2" class="caution">
      With that water {{ weaker }} in 100 weaker than the label: stiffer from here on.
    </p>
    <p v-if="count" role="status">
      The hole takes {{ Math.abs(Math.round(count.over * 100)) }} in 100 {{ count.over >= 0 ? 'more' : 'less' }} than
      planned: still {{ count.togo.toFixed(1) }} bags, {{ count.bags }} in all.
    </p>
    <p v-if="left" role="status">
      About {{ preferences.measures.volume(left.volume) }} left over:
      {{ left.post ? `into the hole of ${left.post}, before it stiffens` : 'onto boards, never into the ground' }}.
    </p>
    <p v-if="soaks" role="status">Water soaks in by itself: fill the next hole meanwhile, and come back to this one.</p>
    <FoldOut title="Water of this bag, how full it is, dry powder">
      <div class="field-grid">
        <QuantityField
          :label="`Water to the next, ${inLitres ? 'L' : 'gal'}`"
          :value="water"
          :per="perUnit"
          :assumed="perBag"
          :save="setWater"
        />
        <LengthStepper
          label="Concrete below the ground"
          :value="face"
          :step="0.05"
          :start="0.3"
          clearable
          :save="setFace"
        />
      </div>
      <v-checkbox
        label="No dry powder on top: I looked"
        hide-details
        :model-value="pour.noPowder !== undefined"
        @update:model-value="edits.sawNoPowder(pour.id, $event === true)"
      />
      <v-text-field
        v-model="departs"
        label="Other than the label says, on purpose"
        placeholder="no water on top: the ground is wet enough"
        @change="edits.set(pour.id, 'departs', departs.trim() || null)"
      />
    </FoldOut>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
}
</style>
