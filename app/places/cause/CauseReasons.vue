<script setup lang="ts">
import { computed } from 'vue'
import type { Evidence } from '~~/core/cause/diagnose'
import { strengthWords } from '~/job/words'

/** What speaks for a cause and against it, drawn from a middle line; a reason leads to its reading. */
const props = defineProps<{ name: string; start: number; evidence: Evidence[] }>()
const emit = defineEmits<{ ask: [observation: string] }>()

/** Longest bar, decibans: stronger reasons are drawn no longer. */
const LONGEST = 15
const SPOKEN_OF = 0.2
const reasons = computed(() => [
  { observation: '', says: 'before anything is known of the post', decibans: props.start },
  ...props.evidence.filter(({ decibans }) => Math.abs(decibans) >= SPOKEN_OF),
])
const share = (decibans: number) => `${(50 * Math.min(LONGEST, Math.abs(decibans))) / LONGEST}%`
</script>

<template>
  <ul class="reasons" :aria-label="`For and against: ${name}`">
    <li v-for="(reason, i) in reasons" :key="i">
      <component
        :is="reason.observation ? 'button' : 'div'"
        class="reason"
        :type="reason.observation ? 'button' : undefined"
        :title="reason.observation ? 'To this reading' : undefined"
        @click="reason.observation && emit('ask', reason.observation)"
      >
        <span class="words"
          >{{ reason.says }}: <strong>{{ strengthWords(reason.decibans) }}</strong></span
        >
        <span class="scale" aria-hidden="true"
          ><span :class="reason.decibans >= 0 ? 'for' : 'against'" :style="{ width: share(reason.decibans) }"
        /></span>
      </component>
    </li>
  </ul>
</template>

<style scoped>
.reasons {
  list-style: none;
  padding: 2px 0 10px;
  margin: 0 0 8px;
}
.reason {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(120px, 2fr);
  gap: 12px;
  align-items: center;
  width: 100%;
  min-height: 40px;
  padding: 3px 0;
  background: none;
  border: 0;
  color: var(--ink);
  font: inherit;
  text-align: left;
}
button.reason {
  cursor: pointer;
  min-height: 48px;
}
button.reason:hover .words {
  text-decoration: underline;
}
.scale {
  position: relative;
  height: 14px;
  background: linear-gradient(var(--ink), var(--ink)) 50% 0 / 1.5px 100% no-repeat;
}
.scale span {
  position: absolute;
  top: 2px;
  height: 10px;
}
.for {
  left: 50%;
  background: var(--ink);
}
.against {
  right: 50%;
  border: 1.8px solid var(--ink);
}
</style>
