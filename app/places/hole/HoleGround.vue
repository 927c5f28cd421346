<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import LengthStepper from '~/controls/LengthStepper.vue'
import PullTest from '~/job/PullTest.vue'
import type { Post } from '~~/core/document/job'
import { row } from '~~/core/tables/tables'
import { tidy } from '~~/core/numeric/rounding'
import { usePreferencesStore } from '~/session/preferences'

/** The ground as the hole shows it, layer by layer, and what a pull says of it. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
type Layers = NonNullable<Post['layers']>

const post = computed(() => view.post.value!)
const layers = computed<Layers>(() => post.value.layers ?? [])
const soils = computed(() =>
  view.tables.value.soils.map(({ key, name, fieldTest }) => ({ value: key, title: name, subtitle: fieldTest })),
)
const put = (value: Layers | null) =>
  session.edit([
    { name: 'setPost', ...view.address.value, key: 'layers', value: value && value.length > 0 ? value : null },
  ])

/** Where the next one begins, and how thick a new one is taken to be until it is measured, m. */
const USUAL = 0.3
const DEEP = 2
function add(): void {
  const known = layers.value
  if (known.length === 0) {
    const { soil, saturated } = post.value
    void put([
      { bottom: USUAL, soil, ...(saturated ? { saturated } : {}) },
      { bottom: DEEP, soil },
    ])
    return
  }
  const last = known.at(-1)!
  const above = known.at(-2)?.bottom ?? 0
  void put([
    ...known.slice(0, -1),
    { ...last, bottom: tidy(above + USUAL) },
    { soil: last.soil, bottom: Math.max(DEEP, above + 2 * USUAL) },
  ])
}
const change = (i: number, to: Partial<Layers[number]>) => put(layers.value.with(i, { ...layers.value[i]!, ...to }))
const takeAway = (i: number) => put(layers.value.length <= 2 ? null : layers.value.toSpliced(i, 1))
const topOf = (i: number) => (i === 0 ? 'the ground' : preferences.show(layers.value[i - 1]!.bottom))
</script>

<template>
  <div>
    <p v-if="layers.length === 0">
      {{ row(view.tables.value.soils, post.soil).name }} all the way down, as far as anybody knows. Where the hole shows
      another soil, say at what depth.
    </p>
    <ol v-else class="layers">
      <li v-for="(layer, i) in layers" :key="i">
        <p class="measure">From {{ topOf(i) }}{{ i === layers.length - 1 ? ' down' : '' }}</p>
        <v-select
          :label="`Soil of layer ${i + 1}`"
          :items="soils"
          item-props
          :model-value="layer.soil"
          @update:model-value="change(i, { soil: $event })"
        />
        <LengthStepper
          v-if="i < layers.length - 1"
          :label="`Layer ${i + 1} ends at`"
          :value="layer.bottom"
          :step="0.05"
          :smallest="0.05"
          :save="(value) => change(i, { bottom: value ?? layer.bottom })"
        />
        <div class="row">
          <v-checkbox
            label="wet, water stands in it"
            :model-value="layer.saturated === true"
            @update:model-value="change(i, { saturated: $event ? true : undefined })"
          />
          <v-btn variant="text" :aria-label="`Take layer ${i + 1} away`" @click="takeAway(i)">Take away</v-btn>
        </div>
      </li>
    </ol>
    <v-btn @click="add">{{ layers.length === 0 ? 'It changes further down' : 'Another layer below' }}</v-btn>
    <PullTest class="panel-section" />
  </div>
</template>

<style scoped>
.layers {
  list-style: none;
  padding: 0;
  margin-bottom: 10px;
}
.layers li {
  border-left: 5px solid var(--umber);
  padding: 4px 0 8px 10px;
  margin-bottom: 8px;
}
.measure {
  font-size: 18px;
  margin-bottom: 8px;
}
</style>
