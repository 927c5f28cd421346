<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import { usePours } from '~/pours/pours'
import FoldOut from '~/controls/FoldOut.vue'
import PourHabits from './PourHabits.vue'
import PourNext from './PourNext.vue'
import PourSet from './PourSet.vue'
import PourStart from './PourStart.vue'
import PourWeather from './PourWeather.vue'
import PourWet from './PourWet.vue'

/** The chosen post: before it is poured, while it is wet, and while it hardens. */
const view = useJobView()
const { clockOf, planned } = usePours()
const address = computed(() => view.address.value)
const clock = computed(() => clockOf(address.value.line, address.value.post))
const wanted = computed(() =>
  planned.value.find(({ line, post }) => line === address.value.line && post === address.value.post),
)
</script>

<template>
  <section aria-labelledby="pour-title">
    <h2 id="pour-title" class="visually-hidden">{{ view.post.value?.id }}: pour</h2>
    <PourWet v-if="clock && clock.stage !== 'set'" :key="clock.pour.id" :clock="clock" />
    <PourSet v-else-if="clock" :key="clock.pour.id" :clock="clock" :again="wanted" />
    <PourStart v-else-if="wanted" :key="wanted.post" :wanted="wanted" />
    <p v-else class="says">
      <strong>{{ view.post.value?.id }}</strong> has nothing to pour: its repair is not chosen, or wants no concrete.
    </p>
    <PourNext />
    <PourWeather />
    <FoldOut title="Who is here, and how it calls out">
      <PourHabits />
    </FoldOut>
  </section>
</template>

<style scoped>
.says {
  font-size: 18px;
  margin-bottom: 10px;
}
</style>
