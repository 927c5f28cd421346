<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import GustScale from './GustScale.vue'
import { showGust } from '~~/core/units/quantity'
import { returnPeriodWords } from '~~/core/wind/returnPeriod'
import { standingRow } from './gustRows'

/** What the post holds as it stands, on the scale of gusts. */
const view = useJobView()
const standing = computed(() => view.postPlan.value!.standing)
const rows = computed(() => [standingRow(view.postPlan.value!)])
const weakest = computed(() => standing.value.links.find((link) => link.link === standing.value.weakest))
</script>

<template>
  <div v-if="standing.holdingGust !== undefined" class="panel-section">
    <h3>As it stands</h3>
    <p v-if="standing.holdingGust === 0">It holds nothing: {{ weakest?.because ?? weakest?.name }}.</p>
    <p v-else>
      It gives way at {{ showGust(standing.holdingGust) }}, {{ returnPeriodWords(weakest?.returnYears ?? Infinity) }}.
    </p>
    <GustScale
      :rows="rows"
      :target="view.plan.value!.target.gust"
      :gust50="view.plan.value!.target.gust50"
      label="The post as it stands on the scale of gusts"
    />
  </div>
</template>
