<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import ChoiceBar from '~/controls/ChoiceBar.vue'
import FoldOut from '~/controls/FoldOut.vue'
import MeasureFields from '../MeasureFields.vue'
import GateDrawing from './GateDrawing.vue'
import GateWords from './GateWords.vue'
import { gateSetOut, USUAL_GAPS } from '~~/core/plan/setOut/gate'
import { usePreferencesStore } from '~/session/preferences'
import type { Gate } from '~~/core/document/job'

/** The gate beside the chosen post: opening from its hardware, or a leaf for the opening that is there. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const gate = computed(() =>
  view.line.value && view.postId.value ? gateSetOut(view.line.value, view.postId.value) : undefined,
)
/** As it is kept on its hinge post: what was assumed is not written down by the way. */
const kept = computed<Gate>(
  () =>
    session.job?.lines.find(({ id }) => id === view.line.value?.id)?.posts.find(({ id }) => id === gate.value?.hinge)
      ?.gate ?? {},
)
type Change = { [K in keyof Gate]?: Gate[K] | null }
function put(change: Change) {
  const value = Object.fromEntries(Object.entries({ ...kept.value, ...change }).filter(([, each]) => each !== null))
  return session.edit([{ name: 'setPost', line: view.address.value.line, post: gate.value!.hinge, key: 'gate', value }])
}
const HUNG = [
  { value: 'leaf', words: 'opening set to the leaf' },
  { value: 'opening', words: 'leaf ordered to the opening' },
] as const
const hung = computed({ get: () => gate.value?.hungBy ?? 'leaf', set: (value) => void put({ hung: value }) })
const large = true
const MEASURES = computed(() => {
  const { leaves = 1 } = gate.value ?? {}
  return [
    { key: 'leafWidth', label: leaves === 2 ? 'One leaf, wide' : 'Leaf, wide', assumed: gate.value?.width, large },
    { key: 'leafHeight', label: 'Leaf, high', assumed: gate.value?.height, large },
    { key: 'hingeGap', label: 'Hinge takes', assumed: USUAL_GAPS.hingeGap, step: 0.001 },
    leaves === 2
      ? ({ key: 'meetingGap', label: 'Between the leaves', assumed: USUAL_GAPS.meetingGap, step: 0.001 } as const)
      : ({ key: 'latchGap', label: 'Latch takes', assumed: USUAL_GAPS.latchGap, step: 0.001 } as const),
    { key: 'openingBottom', label: 'Opening at the foot', assumed: gate.value?.there.bottom, large },
    { key: 'openingTop', label: 'Opening at the top', assumed: gate.value?.there.top, large },
    { key: 'rise', label: 'Ground rises through the swing', assumed: 0, smallest: -2 },
  ] as const
})
const OLD = computed(
  () =>
    [
      { key: 'leafBottom', label: 'Leaf at its foot', start: gate.value?.width, large },
      { key: 'leafTop', label: 'Leaf at its top', start: gate.value?.width, large },
      { key: 'sag', label: 'Latch side hangs down by', start: 0.01 },
      { key: 'hingeSpacing', label: 'Hinges apart', start: 0.9, step: 0.01, large },
    ] as const,
)
</script>

<template>
  <div v-if="gate" class="gate">
    <ChoiceBar v-model="hung" label="What is made to fit" :choices="HUNG" />
    <p v-if="hung === 'leaf'" class="figure">
      {{ preferences.parts(gate.wanted).value
      }}<small>{{ preferences.parts(gate.wanted).unit }} between the posts</small>
    </p>
    <p v-else-if="gate.order && gate.order.most >= gate.order.least" class="figure">
      {{ preferences.parts(gate.order.most).value
      }}<small>{{ preferences.parts(gate.order.most).unit }} wide, each leaf at most</small>
    </p>
    <GateDrawing :gate="gate" />
    <GateWords :gate="gate" />
    <MeasureFields :measures="MEASURES" :given="kept" :put="put" />
    <FoldOut title="An old leaf: out of square, or hanging down">
      <MeasureFields :measures="OLD" :given="kept" :put="put" />
    </FoldOut>
  </div>
  <div v-else>
    <p>No gate hangs beside {{ view.postId.value }}. A post that a gate hangs on is given that duty in Walk.</p>
    <v-btn variant="flat" color="primary" @click="view.askFact('duty')">Say what {{ view.postId.value }} does</v-btn>
  </div>
</template>

<style scoped>
.gate {
  display: grid;
  gap: 10px;
}
</style>
