<script setup lang="ts">
import { computed } from 'vue'
import FoldOut from '~/controls/FoldOut.vue'
import LoadTick from './LoadTick.vue'
import { byPlace } from './model/loadingList'
import { useLeaving } from './useLeaving'
import VanToday from './VanToday.vue'
import { useCost } from './useCost'

/** To be ticked while loading, shelf by shelf, in type that is read at arm's length. */
const cost = useCost()
const { preferences } = cost
const { wrong, notes, buying, forgotten } = useLeaving()
/** What was forgotten before stands on top, and not twice. */
const shelves = computed(() => {
  const first = new Set(forgotten.value.map(({ key }) => key))
  return byPlace(cost.loading.value.lines.filter(({ key }) => !first.has(key)))
})
const missing = computed(() => cost.loading.value.lines.filter(({ key }) => !cost.ticked.value.has(key)).length)
const toggleVan = (key: string, is: boolean) => {
  const next = cost.vehicles.value
    .map((each) => each.key)
    .filter((each) => (each === key ? is : cost.vans.value.includes(each)))
  if (next.length > 0) cost.vans.value = next
}
</script>

<template>
  <div v-if="cost.loading.value.lines.length">
    <p class="figure">
      {{ missing }}<small>{{ missing === 1 ? 'thing' : 'things' }} still to load</small>
    </p>
    <p v-if="cost.isProposed.value" class="caution">
      Nothing is chosen yet: this is what the proposed repairs would take.
    </p>
    <div class="vans">
      <v-checkbox
        v-for="each in cost.vehicles.value"
        :key="each.key"
        :label="`${each.name}, ${preferences.measures.mass(each.payload)}`"
        hide-details
        :model-value="cost.vans.value.includes(each.key)"
        @update:model-value="toggleVan(each.key, $event === true)"
      />
    </div>
    <section v-if="wrong.length || notes.length || buying.length" class="before" aria-labelledby="before-title">
      <h3 id="before-title">Before you leave</h3>
      <p v-for="each in wrong" :key="`${each.key} ${each.posts.join()}`" class="caution">
        {{ each.name }} does not fit at {{ each.posts.join(', ') }}: {{ each.refusals.join('; ') }}.
      </p>
      <p v-for="each in notes" :key="each.says" class="caution">{{ each.says }}</p>
      <p v-for="each in buying" :key="each" class="caution">{{ each }}</p>
    </section>
    <section v-if="forgotten.length" class="shelf">
      <h3>Forgotten before</h3>
      <ul>
        <LoadTick v-for="line in forgotten" :key="line.key" :line="line" />
      </ul>
    </section>
    <section v-for="shelf in shelves" :key="shelf.kept" class="shelf">
      <h3>{{ shelf.kept }}</h3>
      <ul>
        <LoadTick v-for="line in shelf.lines" :key="line.key" :line="line" />
      </ul>
    </section>
    <FoldOut title="With what is on the van now"><VanToday /></FoldOut>
    <p class="caution">Gloves, goggles, a mask for dust, boots: on, not only in the van.</p>
  </div>
  <p v-else class="says">Choose a repair for a post first: what it takes is loaded here.</p>
</template>

<style scoped>
.vans {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
}
ul {
  list-style: none;
  padding: 0;
}
.shelf {
  margin-top: 12px;
}
.shelf h3::first-letter {
  text-transform: uppercase;
}
</style>
