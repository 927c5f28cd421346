<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import GustScale from './GustScale.vue'
import { usePreferencesStore } from '~/session/preferences'
import { experienceSentence, historySentence, standingSentence } from '~/job/stateWords'
import { standingRow } from './gustRows'

/** What the post holds as it stands, on the scale of gusts. */
const view = useJobView()
const preferences = usePreferencesStore()
const standing = computed(() => view.postPlan.value!.standing)
const rows = computed(() => [standingRow(view.postPlan.value!, preferences.measures.gust)])
const weakest = computed(() => standing.value.links.find((link) => link.link === standing.value.weakest))
const sentence = computed(() =>
  standingSentence(standing.value, weakest.value?.because ?? weakest.value?.name, preferences.measures.gust),
)
const history = computed(() => historySentence(view.plan.value!, view.line.value!))
const experience = computed(() =>
  standing.value.state === 'holds' ? experienceSentence(standing.value, preferences.measures.gust) : '',
)
</script>

<template>
  <div class="panel-section">
    <h3>As it stands</h3>
    <p>{{ sentence }}</p>
    <p v-if="experience" class="soft small">{{ experience }}</p>
    <p v-if="history" class="soft small">{{ history }}</p>
    <GustScale
      v-if="standing.state === 'holds' || standing.state === 'moves'"
      :rows="rows"
      :target="view.target.value.gust"
      :gust50="view.target.value.gust50"
      label="The post as it stands on the scale of gusts"
    />
  </div>
</template>
