<script setup lang="ts">
import { computed } from 'vue'
import { byPlace } from './model/loadingList'
import { useCost } from './useCost'

/** To be ticked while loading, shelf by shelf, in type that is read at arm's length. */
const cost = useCost()
const { preferences } = cost
const shelves = computed(() => byPlace(cost.loading.value.lines))
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
    <section v-for="shelf in shelves" :key="shelf.kept" class="shelf">
      <h3>{{ shelf.kept }}</h3>
      <ul>
        <li v-for="line in shelf.lines" :key="line.key">
          <v-checkbox
            hide-details
            :model-value="cost.ticked.value.has(line.key)"
            @update:model-value="cost.tick(line.key, $event === true)"
          >
            <template #label>
              <span class="says" :class="{ done: cost.ticked.value.has(line.key) }">
                <span v-if="line.mass" class="measure">{{ line.count }} ×</span> {{ line.says }}
                <small v-if="line.twoLift" class="two"
                  >two lift it: {{ preferences.measures.mass(line.twoLift) }} each</small
                >
              </span>
            </template>
          </v-checkbox>
        </li>
      </ul>
    </section>
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
li {
  border-bottom: 1px solid var(--rule);
}
.shelf {
  margin-top: 12px;
}
.shelf h3::first-letter {
  text-transform: uppercase;
}
.says {
  font-size: 18px;
}
.says .measure {
  font-size: 22px;
}
.done {
  color: var(--soft-ink);
}
.two {
  display: block;
  font-size: 14px;
}
</style>
