<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import { WET_PLACE } from '~/places'
import { usePours } from '~/pours/pours'
import { leftWords, stageWords } from '~/pours/pourWords'

/** The wet post that is due first, whichever place is open: a tap goes there. */
const view = useJobView()
const { wet } = usePours()
const first = computed(() => wet.value[0])
const left = computed(() => leftWords(first.value?.minutesLeft ?? null))
function go(): void {
  view.choose(first.value!.pour.post)
  view.goTo(WET_PLACE)
}
</script>

<template>
  <v-btn
    v-if="first"
    variant="flat"
    color="primary"
    class="wet-sign"
    :title="`${first.pour.post}: ${stageWords(first.stage)}`"
    :aria-label="`${first.pour.post} is wet: ${left.value} ${left.unit} left, ${stageWords(first.stage)}`"
    @click="go"
    >{{ first.pour.post }} · {{ left.value }} {{ left.unit
    }}<span v-if="wet.length > 1"> +{{ wet.length - 1 }}</span></v-btn
  >
</template>
