<script setup lang="ts">
import { computed, reactive } from 'vue'
import { useJobView } from '~/job/openJob'
import LengthStepper from '~/controls/LengthStepper.vue'
import { usePreferencesStore } from '~/session/preferences'
import { sunkPanel } from '~~/core/setout/topline/topLine'

/** How far each end of a sunk panel is lifted to meet the upper string again. */
const view = useJobView()
const preferences = usePreferencesStore()
const small = (length: number) => preferences.showSmall(length)

/** Where the panel in hand hangs, over the string's place at its two ends, m: below it negative. */
const hangs = reactive({ start: 0, end: 0 })
const bay = computed(() => {
  const posts = view.line.value!.posts
  const i = Math.min(posts.length - 1, Math.max(1, posts.findIndex(({ id }) => id === view.postId.value) + 1))
  return [posts[i - 1]!, posts[i]!] as const
})
const lifts = computed(() => {
  const [from, to] = bay.value
  if (from.station === to.station) return undefined
  const line = [
    { station: from.station, level: 0 },
    { station: to.station, level: 0 },
  ] as const
  return sunkPanel(line, [
    { station: from.station, level: -hangs.start },
    { station: to.station, level: -hangs.end },
  ])
})
async function setHang(end: 'start' | 'end', value: number | null): Promise<undefined> {
  hangs[end] = value ?? 0
}
</script>

<template>
  <div>
    <p class="soft">{{ bay[0].id }} to {{ bay[1].id }}: how far its top lies under the upper string.</p>
    <div class="field-grid">
      <LengthStepper
        :label="`Under it at ${bay[0].id}`"
        small
        :value="hangs.start"
        :step="0.005"
        :save="(value) => setHang('start', value)"
      />
      <LengthStepper
        :label="`Under it at ${bay[1].id}`"
        small
        :value="hangs.end"
        :step="0.005"
        :save="(value) => setHang('end', value)"
      />
    </div>
    <p v-if="lifts" class="lift">
      Lift it {{ small(lifts[0]) }} at {{ bay[0].id }} and {{ small(lifts[1]) }} at {{ bay[1].id }}, then fix it.
    </p>
  </div>
</template>

<style scoped>
.lift {
  font-weight: 600;
  font-size: 18px;
}
</style>
