<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import { useSetOut } from '~/job/useSetOut'
import { setOutAdvice } from '~~/core/plan/setOut/advice'
import { USUAL_SPACER } from '~~/core/setout/stringGap'
import { usePreferencesStore } from '~/session/preferences'

/** What is wrong with the strings themselves, and with the posts that carry them. */
const preferences = usePreferencesStore()
const view = useJobView()
const { line, post, asked } = useSetOut()
const here = computed(() =>
  view.post.value && post.value
    ? setOutAdvice(view.post.value, post.value, view.methodInHand.value?.method, preferences.measures)
    : [],
)
const sentences = computed(() => {
  const { straight, heldUpAt = [], thickerSpacer, spacer = USUAL_SPACER } = line.value ?? {}
  const largest = straight && Math.max(...straight.misses.map(Math.abs))
  return [
    ...(thickerSpacer === undefined
      ? []
      : [
          `The string would touch a post: a spacer of ${preferences.measures.small(thickerSpacer)} keeps it clear of all of them.`,
        ]),
    ...(thickerSpacer === undefined && asked.value.spacer === undefined && spacer > USUAL_SPACER
      ? [
          `Put a spacer of ${preferences.showSmall(spacer)} on the posts that carry the strings: with less, a string touches another post.`,
        ]
      : []),
    ...(straight?.out === undefined
      ? []
      : [`${straight.out} is itself out of line: take the string off it, or leave it out of the reckoning.`]),
    ...(largest !== undefined && straight!.out === undefined
      ? [`The posts that stay are within ${preferences.measures.small(largest)} of one straight line.`]
      : []),
    ...here.value,
    ...(heldUpAt.length > 0 ? [`It sags over that length: hold it up at ${heldUpAt.join(' and ')}.`] : []),
  ]
})
</script>

<template>
  <div v-if="sentences.length > 0" class="advice">
    <p v-for="each in sentences" :key="each">{{ each }}</p>
  </div>
</template>

<style scoped>
.advice {
  padding: 8px 0;
  display: grid;
  gap: 6px;
}
</style>
