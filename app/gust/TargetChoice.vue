<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'
import { targetsAt, type OfferedTarget } from '~~/core/plan/line/lineTarget'
import { returnPeriodWords } from '~~/core/wind/returnPeriod'

/** What it has to hold: by years, by the life that the fence has left, by its neighbours. One tap each. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const offered = computed(() =>
  session.job && view.postId.value ? targetsAt(session.job, view.tables.value, view.postId.value) : [],
)
const by = computed(() => session.job?.site?.target?.by ?? 'years')

const NAMES: Record<OfferedTarget['by'], string> = {
  years: 'By years',
  life: 'The life it has left',
  neighbours: 'Its neighbours',
}
const choose = (wanted: OfferedTarget['by']) =>
  session.edit([{ name: 'setSite', key: 'target', value: wanted === 'years' ? null : { by: wanted } }])
</script>

<template>
  <div class="targets" role="group" aria-label="What it has to hold">
    <button
      v-for="each in offered"
      :key="each.by"
      type="button"
      class="pick"
      :aria-pressed="each.by === by"
      :disabled="each.gust === undefined"
      @click="choose(each.by)"
    >
      <span>{{ NAMES[each.by] }}</span>
      <strong v-if="each.gust !== undefined">{{ preferences.measures.gust(each.gust) }}</strong>
      <span v-if="each.gust !== undefined" class="soft">{{ returnPeriodWords(each.returnYears!) }}</span>
      <span v-else class="soft">{{ each.because }}</span>
    </button>
  </div>
</template>

<style scoped>
.targets {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
  margin: 8px 0;
}
</style>
