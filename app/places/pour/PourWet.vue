<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import FoldOut from '~/controls/FoldOut.vue'
import { usePourEdits } from '~/pours/usePourEdits'
import { leftWords, stageWords } from '~/pours/pourWords'
import { useTimes } from '~/pours/useTimes'
import { facesOf } from '~~/core/pour/checks'
import type { PourClock } from '~~/core/pour/clock'
import CheckFace from './CheckFace.vue'
import PourIn from './PourIn.vue'
import ReleaseTest from './ReleaseTest.vue'

/** A wet post: what is left, what was read on its two faces, what went in, and letting go of it. */
const { clock } = defineProps<{ clock: PourClock }>()
const view = useJobView()
const edits = usePourEdits()
const { when } = useTimes()

const left = computed(() => leftWords(clock.minutesLeft))
const faces = computed(() => facesOf(clock.pour))
const missing = computed(() => (['across', 'along'] as const).filter((face) => faces.value[face] === undefined))
const byEye = computed(() => (['across', 'along'] as const).filter((face) => faces.value[face] === 'eye'))
const FACES = { across: 'across the line', along: 'along it' } as const
const due = computed(() =>
  clock.marks.filter(({ at }) => at !== null && at > clock.start).map((mark) => `${mark.says} ${when(mark.at!)}`),
)
const isSleeve = computed(() => view.methodInHand.value?.method === 'lift-out-sleeve')
</script>

<template>
  <div>
    <p class="figure big" role="timer" :aria-label="`${clock.pour.post}: ${left.value} ${left.unit} left to move it`">
      <strong>{{ clock.pour.post }}</strong> {{ left.value }}<small>{{ left.unit }} left</small>
    </p>
    <p class="stage" role="status">
      {{ stageWords(clock.stage)
      }}<template v-if="missing.length && clock.stage !== 'wet'"
        >: {{ missing.map((face) => FACES[face]).join(' and ') }} not read yet</template
      >
    </p>
    <p v-if="clock.minutesLeft === null" class="caution">
      At or under freezing it does not stiffen: cover it and keep it warm.
    </p>
    <p class="soft">
      {{ clock.name }}; {{ due.join(', ') }}.<template v-if="clock.isAssumed">
        At 10 °C, since nobody measured and nothing is forecast.</template
      >
    </p>
    <PourIn :pour="clock.pour" />
    <CheckFace :clock="clock" />
    <p v-if="byEye.length" class="caution">
      {{ byEye.map((face) => FACES[face]).join(' and ') }} only by eye: it goes down so. A level tells you while it
      still moves.
    </p>
    <p v-if="isSleeve" class="caution">
      Lift the sleeve a touch between “check both faces” and “last touch”: before that the mix flows back under it,
      after it grips.
    </p>
    <ReleaseTest :pour="clock.pour" />
    <FoldOut title="It stiffens sooner, or hands off now">
      <div class="row">
        <v-btn @click="edits.setNow(clock.pour.id, 'handsOffAt')">Hands off from now</v-btn>
        <v-btn @click="edits.setNow(clock.pour.id, 'stiffAt')">It is stiff</v-btn>
      </div>
    </FoldOut>
  </div>
</template>

<style scoped>
.big {
  font-size: 64px;
  line-height: 1;
}
.big strong {
  font-size: 32px;
  margin-right: 10px;
}
.stage {
  font-size: 22px;
  font-weight: 600;
}
.row {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
}
</style>
