<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import { useSetOut } from '~/job/useSetOut'
import ChoiceBar from '~/controls/ChoiceBar.vue'
import FoldOut from '~/controls/FoldOut.vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import QuantityField from '~/controls/QuantityField.vue'
import CutBars from './CutBars.vue'
import BoardsInBay from './BoardsInBay.vue'
import CornerSquare from './CornerSquare.vue'
import FinishedGround from './FinishedGround.vue'
import { usePreferencesStore } from '~/session/preferences'

/** What is sawn: the post, its top, the stock that it comes out of, and the boards of its bay. */
const view = useJobView()
const preferences = usePreferencesStore()
const { post, line, asked, ask } = useSetOut()
const cut = computed(() => post.value?.cut)
const DEGREE = Math.PI / 180
const ORDERS = [
  { value: 'first', words: 'cut, then set' },
  { value: 'in-place', words: 'set long, trim in place' },
] as const
const order = computed({ get: () => asked.value.cut ?? 'first', set: (value) => void ask({ cut: value }) })
/** Both are done; each goes wrong in its own way. */
const RISKS = {
  first: 'A hole that came out shallower leaves the post high: read the hole from the string before you cut.',
  'in-place':
    'The saw works over your head on wet concrete: wait until it carries light work, hold the offcut, treat the fresh end where it stands.',
} as const
const stockSays = computed(() => {
  if (!cut.value) return ''
  const { buy, offcut } = cut.value
  if (buy === null) return 'No stock length is long enough: order it, or ask for a shallower hole.'
  return offcut! < 0.005
    ? `A stock length of ${preferences.show(buy)} comes out without an offcut.`
    : `Out of ${preferences.show(buy)}: ${preferences.show(offcut!)} is left over.`
})
const pieces = computed(() => (line.value?.posts ?? []).flatMap((each) => (each.cut ? [each.cut.length] : [])))
</script>

<template>
  <div class="cut">
    <template v-if="cut">
      <p class="figure">
        {{ preferences.parts(cut.length).value
        }}<small>{{ preferences.parts(cut.length).unit }} from foot to top</small>
      </p>
      <p>{{ stockSays }}</p>
      <p v-if="cut.weathered !== undefined">
        Sloped, its long side is {{ preferences.show(cut.weathered) }}; the high side goes towards the fence.
      </p>
      <ChoiceBar v-model="order" label="Cut when" :choices="ORDERS" />
      <p class="caution">{{ RISKS[order] }}</p>
    </template>
    <p v-else>{{ view.postId.value }} keeps its post: nothing to cut to length.</p>
    <div class="field-grid">
      <LengthStepper
        label="Top under the string"
        small
        :value="asked.topDetail"
        :assumed="0"
        :step="0.005"
        clearable
        :save="(value) => ask({ topDetail: value })"
      />
      <QuantityField
        label="Slope of the top, degrees"
        :value="asked.topAngle"
        :per="DEGREE"
        :save="(value) => ask({ topAngle: value })"
      />
    </div>
    <CutBars v-if="pieces.length > 0" :pieces="pieces" />
    <BoardsInBay />
    <FoldOut title="Is the corner square?"><CornerSquare /></FoldOut>
    <FoldOut title="Soil, turf or gravel round it"><FinishedGround /></FoldOut>
  </div>
</template>

<style scoped>
.cut {
  display: grid;
  gap: 10px;
}
</style>
