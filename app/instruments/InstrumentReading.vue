<script setup lang="ts">
import { computed } from 'vue'
import ChoiceBar from '~/controls/ChoiceBar.vue'
import { MANNERS } from '~~/core/instruments/simulated'
import type { useInstrument } from './useInstrument'

/** What an instrument shows now, and the button that takes it. */
const props = defineProps<{
  name: string
  instrument: ReturnType<typeof useInstrument>
  show: (value: number) => string
  unit: string
}>()
const emit = defineEmits<{ take: [value: number] }>()
const { state, manner, held, connect, disconnect } = props.instrument

const words = computed(() => {
  switch (state.value) {
    case 'off':
      return `No ${props.name} connected.`
    case 'connecting':
      return `Looking for the ${props.name} …`
    case 'lost':
      return 'Connection lost: nothing was taken. Type the reading, or wait.'
    default:
      return held.value?.steady ? 'It stands still.' : 'It still moves: hold it against the post.'
  }
})
/** No real one is connected yet: how the one that stands in for it behaves. */
const mannerChoices = MANNERS.map((value) => ({ value, words: value }))
</script>

<template>
  <div class="instrument" :data-state="state">
    <p class="figure" :class="{ old: state !== 'live' }">
      {{ held ? show(held.value) : '–' }}<small>{{ unit }}</small>
    </p>
    <p role="status">{{ words }}</p>
    <div class="row">
      <v-btn
        variant="flat"
        color="primary"
        :disabled="state !== 'live' || !held?.steady"
        @click="emit('take', held!.value)"
        >Take it</v-btn
      >
      <v-btn v-if="state === 'off'" @click="connect">Connect the {{ name }}</v-btn>
      <v-btn v-else @click="disconnect">Disconnect</v-btn>
    </div>
    <ChoiceBar v-model="manner" :label="`Stand-in for a ${name}`" :choices="mannerChoices" />
  </div>
</template>

<style scoped>
.instrument {
  padding-top: 12px;
}
.figure.old {
  color: var(--soft-ink);
}
.row {
  margin-top: 8px;
}
</style>
