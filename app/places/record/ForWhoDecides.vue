<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import { checkSentence } from '~/job/stateWords'
import { usePreferencesStore } from '~/session/preferences'
import { FOOT } from '~~/core/units/constants'
import { showMinutes } from '~~/core/units/quantity'
import { STOP_GAPS } from '~~/core/repair/methods'
import { row } from '~~/core/tables/tables'

/** A page of figures to hand to the licensed person who decides on a post that carries people. */
const view = useJobView()
const preferences = usePreferencesStore()
const carries = computed(() => {
  const { carries: load } = view.post.value!
  if (!load) return 'What rests on it was not said.'
  const area = preferences.units === 'metric' ? `${load.area} m²` : `${Math.round(load.area / FOOT ** 2)} square feet`
  return `It carries ${area} of ${row(view.tables.value.parts.carried, load.from).name.replace(/^an? /, '')}.`
})
const ways = computed(() =>
  view.postPlan
    .value!.methods.filter(({ method, checks }) => checks.length > 0 && !STOP_GAPS.has(method))
    .map((way) => ({
      key: way.method,
      name: way.name,
      checks: way.checks.map((each) => ({
        words: checkSentence(each, preferences.measures),
        isOver: each.demand > each.capacity,
      })),
      hole: way.hole && `${preferences.show(way.hole.diameter)} wide, ${preferences.show(way.hole.depth)} deep`,
      concrete: way.concrete && {
        mix: row(view.tables.value.mixes, way.concrete.mix).name,
        volume: preferences.measures.volume(way.concrete.concrete),
      },
      work: showMinutes(way.minutes),
      reasons: way.reasons,
    })),
)
</script>

<template>
  <section v-if="ways.length" class="figures" aria-labelledby="figures-title">
    <h2 id="figures-title">For the licensed person who decides</h2>
    <p>{{ carries }} Planning figures, each with what it may be; none of them replaces a calculation of your own.</p>
    <div v-for="way in ways" :key="way.key">
      <h3>{{ way.name }}</h3>
      <ul>
        <li v-for="each in way.checks" :key="each.words" :class="{ 'error-text': each.isOver }">
          {{ each.words }}{{ each.isOver ? ': over' : '' }}
        </li>
        <li v-if="way.hole">hole: {{ way.hole }}</li>
        <li v-if="way.concrete">concrete: {{ way.concrete.volume }} of {{ way.concrete.mix }}</li>
        <li>work: about {{ way.work }}</li>
      </ul>
      <p v-for="reason in way.reasons" :key="reason" class="soft">{{ reason }}</p>
    </div>
  </section>
</template>

<style scoped>
.figures {
  break-before: page;
}
</style>
