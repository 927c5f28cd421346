<script setup lang="ts">
import { computed } from 'vue'
import { leftWords, stageWords, timeWords } from '~/pours/pourWords'
import { useForecast } from '~/weather/useForecast'
import { pourClock } from '~~/core/pour/clock'
import { loadsOf } from '~~/core/pour/loads'
import { airOf } from '~~/core/weather/forecast'
import { useTables } from '~/yard/useYard'
import type { ListedJob } from '~~/shared/contract'

/** Concrete of one job that needs hands, or hardens: the minutes that are left, or what may be done when. */
const { job, now } = defineProps<{ job: ListedJob; now: number }>()
const tables = useTables()
const { forecast } = useForecast(() => job.summary.place)

const clocks = computed(() => {
  const air = forecast.value && airOf(forecast.value)
  const newest = new Map<string, NonNullable<ListedJob['summary']['pours']>[number]>()
  for (const pour of job.summary.pours ?? []) {
    const key = `${pour.line} ${pour.post}`
    if (!newest.has(key)) newest.set(key, pour)
  }
  return [...newest.values()]
    .flatMap((pour) => pourClock(pour, now, tables.value, air) ?? [])
    .filter(({ stage, milestones }) => stage !== 'set' || milestones.some(({ latest }) => (latest ?? Infinity) > now))
    .sort((a, b) => (a.stiff ?? Infinity) - (b.stiff ?? Infinity))
})
/** What matters at its post; of a summary of before that says nothing of it: at a post of a fence. */
function loadsAt(id: string) {
  const { duties, kind, method } = job.summary.pours?.find((pour) => pour.id === id)?.carries ?? { duties: [] }
  return loadsOf(duties, kind ?? 'close-boarded', method)
}
const rows = computed(() =>
  clocks.value.map((clock) => {
    const { value, unit } = leftWords(clock.minutesLeft)
    const wanted = loadsAt(clock.pour.id)
    const next = clock.milestones.find(({ key, latest }) => (latest ?? Infinity) > now && wanted.includes(key))
    return {
      post: clock.pour.post,
      isWet: clock.stage !== 'set',
      figure: clock.stage === 'set' ? '' : `${value} ${unit}`,
      says:
        clock.stage !== 'set'
          ? stageWords(clock.stage)
          : next
            ? `${next.says} from ${next.latest === null ? 'nobody knows when' : timeWords(next.latest, now)}`
            : '',
    }
  }),
)
</script>

<template>
  <li v-for="each in rows" :key="each.post">
    <NuxtLink :to="`/jobs/${job.id}/pour?post=${each.post}`" :class="{ wet: each.isWet }"
      ><strong class="measure">{{ each.post }} {{ each.figure }}</strong> {{ each.says }}
      <span class="soft">{{ job.name }}</span></NuxtLink
    >
  </li>
</template>

<style scoped>
a {
  display: block;
  min-height: 48px;
  padding: 10px 0 10px 14px;
  border-left: 6px solid var(--rule);
  color: var(--ink);
  text-decoration: none;
  margin-top: 8px;
}
a.wet {
  border-left-color: var(--string);
}
.measure {
  font-size: 22px;
  margin-right: 8px;
}
.soft {
  margin-left: 10px;
}
</style>
