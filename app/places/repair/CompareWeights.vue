<script setup lang="ts">
import { computed } from 'vue'
import { criteria, type ComparedWay } from '~~/core/choose/compare'
import ChoiceBar from '~/controls/ChoiceBar.vue'
import { usePreferencesStore } from '~/session/preferences'

/** What counts for this person, and the order that comes of it, with what each thing adds. */
const { compared } = defineProps<{ compared: readonly ComparedWay[] }>()
const preferences = usePreferencesStore()
const HOW_MUCH = [
  { value: '0', words: 'no' },
  { value: '1', words: 'some' },
  { value: '3', words: 'much' },
] as const
type HowMuch = (typeof HOW_MUCH)[number]['value']
const weightOf = (key: string) => String(preferences.weights[key] ?? 0) as HowMuch
function weigh(key: string, value: HowMuch): void {
  preferences.weights = { ...preferences.weights, [key]: Number(value) }
}
const order = computed(() =>
  compared.map(({ way, score, parts }) => ({
    method: way.method,
    name: way.name,
    of: Math.round(100 * score),
    parts: criteria
      .map(({ name }, i) => ({ name: name.toLowerCase(), of: Math.round(100 * parts[i]!) }))
      .filter(({ of }) => of > 0),
  })),
)
</script>

<template>
  <div>
    <div v-for="{ key, name } in criteria" :key="key" class="weight">
      <span :id="`weight-${key}`">{{ name }}</span>
      <ChoiceBar
        :label="name"
        :choices="HOW_MUCH"
        :model-value="weightOf(key)"
        @update:model-value="weigh(key, $event)"
      />
    </div>
    <ol aria-label="In your order">
      <li v-for="each in order" :key="each.method">
        <strong>{{ each.name }}</strong> <span class="measure">{{ each.of }}</span> of 100
        <span class="soft">{{ each.parts.map(({ name, of }) => `${name} ${of}`).join(', ') }}</span>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.weight {
  display: grid;
  grid-template-columns: 1fr 220px;
  align-items: center;
  gap: 8px;
}
@media (max-width: 420px) {
  .weight {
    grid-template-columns: 1fr;
  }
}
li {
  padding: 4px 0;
}
</style>
