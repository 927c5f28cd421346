<script setup lang="ts">
import { computed, ref } from 'vue'
import { useJobSession } from '~/job/openJob'
import type { StepPlan } from '~~/core/plan/steps'
import type { Standing } from '~~/core/record/entries'
import { momentWords } from '~~/core/weather/dates'

/** A step that is not to be skipped: done, or left out with a reason; either is taken back as easily. */
const { step, tick, isLacking } = defineProps<{
  step: StepPlan
  tick: Standing<'tick'> | undefined
  isLacking: boolean
}>()
const emit = defineEmits<{ done: []; left: [reason: string]; takeBack: [] }>()
const session = useJobSession()

const when = computed(() => (tick ? momentWords(Date.parse(tick.at), session.job?.site?.timeZone) : ''))
const asks = ref(false)
const reason = ref('')
function leave(): void {
  const why = reason.value.trim()
  if (!why) return
  emit('left', why)
  asks.value = false
}
</script>

<template>
  <li :class="{ done: !isLacking }">
    <div>
      <p class="text">{{ step.text }}</p>
      <p class="soft">{{ step.doNotSkip }}</p>
      <p v-if="tick" class="soft">
        {{ tick.value.left ? 'Left out' : 'Done' }} {{ when
        }}<template v-if="tick.value.reason">: {{ tick.value.reason }}</template>
      </p>
      <p v-else-if="!isLacking" class="soft">The record of the pour says so.</p>
    </div>
    <div class="ways">
      <template v-if="isLacking">
        <v-btn variant="flat" color="primary" :aria-label="`Done: ${step.text}`" @click="emit('done')">Done</v-btn>
        <v-btn variant="text" :aria-expanded="asks" :aria-label="`Left out: ${step.text}`" @click="asks = !asks"
          >Left out</v-btn
        >
      </template>
      <v-btn v-else-if="tick" variant="text" :aria-label="`Take back: ${step.text}`" @click="emit('takeBack')"
        >Take back</v-btn
      >
    </div>
    <div v-if="asks" class="reason">
      <v-text-field v-model="reason" label="Why it was left out" hide-details @keydown.enter="leave" />
      <v-btn @click="leave">Keep the reason</v-btn>
    </div>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 4px 14px;
  padding: 10px 0;
  border-bottom: 1px solid var(--rule);
}
.text {
  font-weight: 600;
}
.done .text::before {
  content: '✓ ' / 'done: ';
}
.reason {
  grid-column: 1 / -1;
  display: flex;
  gap: 10px;
  align-items: center;
}
.ways {
  display: flex;
  align-items: start;
  gap: 4px;
}
@media (max-width: 760px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
