<script setup lang="ts">
import type { Reading } from '~~/core/document/job'
import { computed } from 'vue'
import FoldOut from '~/controls/FoldOut.vue'
import { useReadings } from '~/job/useReadings'
import type { ObservationKey } from '~~/core/cause/observations'
import { observationValue } from '~/job/readingWords'
import { usePreferencesStore } from '~/session/preferences'

/** When and by whom an observation was read, and what was read before: nothing is overwritten. */
const props = defineProps<{ observation: ObservationKey }>()
const preferences = usePreferencesStore()
const { trail } = useReadings()
const all = computed(() => trail(props.observation))
const readings = computed(() => all.value.filter(({ withdrawn }) => !withdrawn))

const title = computed(() => {
  const [newest] = readings.value
  if (newest) return `Read ${when(newest)}; ${all.value.length - 1} more`
  return all.value.length === 1 ? 'One reading, taken back' : `${all.value.length} readings, all taken back`
})

const clock = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
const when = ({ at, by }: Reading) => [clock.format(new Date(at)), by].filter(Boolean).join(', ')
const what = ({ observation, value }: Reading) => observationValue(observation, value, preferences.show)
</script>

<template>
  <p v-if="all.length === 1 && readings.length === 1" class="trail soft">Read {{ when(readings[0]!) }}</p>
  <FoldOut v-else-if="all.length > 0" class="trail soft" quiet :title="title">
    <ul>
      <li v-for="reading in all" :key="reading.id">
        {{ when(reading) }}: <s v-if="reading.withdrawn">{{ what(reading) }}</s
        ><template v-else>{{ what(reading) }}</template
        ><template v-if="reading.withdrawn">, {{ reading.withdrawn.why }}</template>
      </li>
    </ul>
  </FoldOut>
</template>

<style scoped>
.trail {
  font-size: 14px;
  margin-top: 6px;
}
</style>
