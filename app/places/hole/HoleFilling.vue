<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { fillingSchools } from '~~/core/hole/schools'
import { takesFilling } from '~~/core/concrete/bags'
import { oldFootingWays } from '~~/core/concrete/oldFooting'
import { oldBlock } from '~~/core/repair/standing'
import FoldOut from '~/controls/FoldOut.vue'
import { usePreferencesStore } from '~/session/preferences'
import ConcreteSupply from './ConcreteSupply.vue'
import SettingToday from './SettingToday.vue'
import WaterCompared from './WaterCompared.vue'
import WaterUsed from './WaterUsed.vue'
import { useHoleBench } from './useHoleBench'

/** How the hole is filled: step by step in litres and layers, the schools side by side, and when it carries what. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const { kept } = useHoleBench()
const method = computed(() => view.methodInHand.value!)
const concrete = computed(() => method.value.concrete)
const tables = computed(() => view.tables.value)

const schools = computed(() => (kept.value ? fillingSchools(kept.value) : []))
const inHand = computed(() => {
  const key = concrete.value?.filling ?? method.value.packed?.filling
  return schools.value.find(({ filling }) => filling.key === key)
})
const mixItems = computed(() => tables.value.mixes.map(({ key, name }) => ({ value: key, title: name })))
const mix = computed(() => tables.value.mixes.find(({ key }) => key === concrete.value?.mix))
const fillingItems = computed(() =>
  tables.value.fillings
    .filter((each) => !mix.value || takesFilling(mix.value, each))
    .map((each) => ({ value: each.key, title: each.name })),
)
const setRepair = (key: 'mix' | 'filling', value: string) =>
  session.edit([{ name: 'setRepair', ...view.address.value, key, value }])

const old = computed(() => {
  const block = view.post.value && oldBlock({ post: view.post.value })
  const broken = concrete.value?.oldConcrete ?? method.value.packed?.oldConcrete
  return block && broken ? oldFootingWays(block, broken.mass, preferences.measures) : []
})
</script>

<template>
  <div>
    <div v-if="concrete" class="field-grid">
      <v-select
        label="Mix"
        :items="mixItems"
        :model-value="concrete.mix"
        @update:model-value="setRepair('mix', $event)"
      />
      <v-select
        label="Filling"
        :items="fillingItems"
        :model-value="concrete.filling"
        @update:model-value="setRepair('filling', $event)"
      />
    </div>
    <template v-if="inHand">
      <h3>{{ inHand.filling.name }}</h3>
      <ol class="steps">
        <li v-for="step in inHand.steps" :key="step">{{ step }}</li>
      </ol>
      <p class="caution">{{ inHand.filling.risk }}</p>
      <p v-if="method.hole?.stones" class="soft">
        Stones wedged hard between post and side hold it plumb while the mix is wet.
      </p>
    </template>
    <WaterCompared v-if="concrete" :concrete="concrete" />
    <WaterUsed v-if="concrete && mix?.supply === 'bag'" :concrete="concrete" :mix="mix" />
    <FoldOut title="Every way of filling, side by side" class="panel-section">
      <ul class="schools">
        <li v-for="school in schools" :key="school.filling.key" :class="{ shut: school.because }">
          <p>
            <strong>{{ school.filling.name }}</strong>
            <span v-if="school.plan.concrete">
              · {{ school.plan.concrete.bags.count }} bags, {{ preferences.measures.volume(school.water!) }} of water,
              {{ preferences.measures.strength(school.strength!) }}</span
            >
            <span v-else-if="school.plan.packed"> · {{ school.plan.packed.fill.layers }} layers</span>
          </p>
          <p class="soft">{{ school.filling.risk }}</p>
          <p v-if="school.because" class="error-text">{{ school.because }}</p>
        </li>
      </ul>
    </FoldOut>
    <SettingToday v-if="mix" :mix="mix" class="panel-section" />
    <FoldOut v-if="old.length" title="The old footing out" class="panel-section">
      <ul class="schools">
        <li v-for="way in old" :key="way.way" :class="{ shut: way.because }">
          <p>
            <strong v-if="way.first">First: </strong>{{ way.says }}
            <span class="soft">{{ way.hands === 1 ? 'one person' : 'two people' }}</span>
          </p>
          <p v-if="way.because" class="error-text">{{ way.because }}</p>
        </li>
      </ul>
    </FoldOut>
    <ConcreteSupply class="panel-section" />
  </div>
</template>

<style scoped>
.steps li {
  margin-bottom: 6px;
}
.schools {
  list-style: none;
  padding: 0;
}
.schools li {
  border-bottom: 1px solid var(--rule);
  padding: 6px 0;
}
.shut {
  color: var(--soft-ink);
}
h3 {
  margin: 10px 0 6px;
}
</style>
