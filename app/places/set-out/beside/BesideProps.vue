<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import { useSetOut } from '~/job/useSetOut'
import QuantityField from '~/controls/QuantityField.vue'
import MeasureFields from '../MeasureFields.vue'
import { propsAt, WORKING_GUST } from '~~/core/plan/setOut/beside'
import { usePreferencesStore } from '~/session/preferences'
import { POUND } from '~~/core/units/constants'

/** Raking props: how long, where their feet go, and what the stakes have to hold. */
const view = useJobView()
const preferences = usePreferencesStore()
const { setIn } = useSetOut()
const given = computed(() => view.post.value?.propped ?? {})
const found = computed(() => propsAt(view.line.value!, view.post.value!, view.postPlan.value!))
const put = (change: object) => setIn('propped', change)
const DEGREE = Math.PI / 180
const isMetric = computed(() => preferences.units === 'metric')
const force = (newtons: number) => preferences.measures.pull(newtons)
const W = 330
const scale = computed(() => Math.min(150 / found.value.head, 220 / found.value.foot))
const drawn = computed(() => ({ x: 70 + found.value.foot * scale.value, y: 190 - found.value.head * scale.value }))
</script>

<template>
  <div>
    <svg
      :viewBox="`0 0 ${W} 220`"
      role="img"
      :aria-label="`A prop of ${preferences.show(found.length)} with its foot ${preferences.show(found.foot)} from the post`"
    >
      <path :d="`M0 190 H${W} V220 H0 z`" class="earth" />
      <rect x="60" y="20" width="14" height="196" class="post" />
      <line x1="70" :x2="drawn.x" :y1="drawn.y" y2="190" class="prop" />
      <rect :x="drawn.x - 5" y="180" width="10" height="36" class="post" />
      <text x="84" y="212">{{ preferences.show(found.foot) }}</text>
      <text :x="(70 + drawn.x) / 2 + 12" :y="(190 + drawn.y) / 2">{{ preferences.show(found.length) }}</text>
      <text x="50" :y="drawn.y + 6" text-anchor="end">{{ preferences.show(found.head) }}</text>
    </svg>
    <p>
      {{
        found.of === 'weight'
          ? 'What leans'
          : `The wind on the loose panel at ${preferences.measures.gust(WORKING_GUST)}, over which nobody works beside it,`
      }}
      pushes {{ force(found.horizontal) }} at its head: {{ force(found.force) }} along the prop,
      {{ force(found.push) }} on its stake.
    </p>
    <p class="caution">
      Two of them at right angles, or two on one stake as an A. Never to a wall that is not sound. Which stake holds
      that is told by Make safe in Repair.
    </p>
    <MeasureFields
      :measures="[
        { key: 'head', label: 'Head of the prop', assumed: found.head, step: 0.05, smallest: 0.1, large: true },
      ]"
      :given="given"
      :put="put"
    />
    <div class="field-grid">
      <QuantityField
        label="Angle from the ground, degrees"
        :value="given.angle"
        :assumed="found.angle"
        :per="DEGREE"
        :save="(value) => put({ angle: value })"
      />
      <QuantityField
        :label="isMetric ? 'What leans weighs, kg' : 'What leans weighs, lb'"
        :value="given.mass"
        :per="isMetric ? 1 : POUND"
        :save="(value) => put({ mass: value })"
      />
    </div>
    <MeasureFields :measures="[{ key: 'offset', label: 'Its centre out of plumb' }]" :given="given" :put="put" />
  </div>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 420px;
}
.earth {
  fill: rgb(var(--v-theme-ground));
}
.post {
  fill: rgb(var(--v-theme-wood));
  stroke: var(--ink);
  stroke-width: 1.2;
}
.prop {
  stroke: var(--string);
  stroke-width: 6;
}
text {
  fill: var(--ink);
  font-family: var(--measure);
  font-size: 17px;
}
</style>
