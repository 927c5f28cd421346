<script setup lang="ts">
import { computed } from 'vue'
import GustLine from './GustLine.vue'
import type { GustRow } from './gustRows'
import { gustScaleModel } from './gustScaleModel'
import { gustUnit, oneGust } from '~~/core/units/quantity'
import { usePreferencesStore } from '~/session/preferences'

/** One horizontal scale of gusts, with the site's return periods beneath. */
const props = defineProps<{
  rows: GustRow[]
  target: number
  gust50: number
  chosen?: string
  pick?: boolean
  label: string
}>()
const emit = defineEmits<{ choose: [key: string] }>()

const preferences = usePreferencesStore()
const model = computed(() => gustScaleModel(props.rows, props.target, props.gust50, oneGust(preferences.units)))
const at = (share: number) => `${(share * 100).toFixed(2)}%`
</script>

<template>
  <div class="gust-scale" role="group" :aria-label="label">
    <GustLine
      v-for="row in rows"
      :key="row.key"
      :row="row"
      :place="model.place"
      :chosen="row.key === chosen"
      :pick="pick"
      @choose="emit('choose', row.key)"
    />
    <div class="axis" aria-hidden="true">
      <span class="names soft">gust, {{ gustUnit(preferences.units) }}<span>comes once in</span></span>
      <span class="scale">
        <span v-for="tick in model.ticks" :key="tick.words" class="tick measure" :style="{ left: at(tick.at) }">{{
          tick.words
        }}</span>
        <span
          v-for="year in model.years"
          :key="year.words"
          class="year"
          :class="year.align"
          :style="{ left: at(year.at) }"
          >{{ year.words }}</span
        >
      </span>
    </div>
    <div class="target" aria-hidden="true">
      <span class="target-line" :style="{ left: at(model.target) }"><span class="target-name">target</span></span>
    </div>
    <p class="legend soft" aria-hidden="true">△ starts to lean&ensp;▲ gives way</p>
  </div>
</template>

<style scoped>
.names {
  display: flex;
  flex-direction: column;
  line-height: 1.2;
  padding-right: 8px;
}
.gust-scale {
  position: relative;
  padding-top: 20px;
  --names: 168px;
}
.scale {
  position: relative;
  height: 48px;
}
.axis {
  display: grid;
  grid-template-columns: var(--names) 1fr;
  border: 2.4px solid transparent;
  padding: 0 14px 0 8px;
  min-height: 54px;
  align-items: start;
}
.axis .names {
  font-size: 14px;
  padding-top: 8px;
  gap: 6px;
}
.axis .scale {
  border-top: 2px solid var(--ink);
  height: 52px;
}
.tick,
.year {
  position: absolute;
  transform: translateX(-50%);
  font-size: 15px;
}
.tick {
  top: 6px;
}
.year.start {
  transform: translateX(-6px);
}
.year.end {
  transform: translateX(-100%);
}
.year {
  top: 28px;
  font-size: 14px;
}
.tick::before {
  content: '';
  position: absolute;
  left: 50%;
  top: -7px;
  height: 6px;
  width: 1.5px;
  background: var(--ink);
}
.target {
  position: absolute;
  pointer-events: none;
  top: 0;
  bottom: 74px;
  left: calc(var(--names) + 10.4px);
  right: 16.4px;
}
.target-line {
  position: absolute;
  top: 0;
  bottom: 0;
  border-left: 2.4px solid var(--string);
  margin-left: -1.2px;
}
.target-name {
  position: absolute;
  left: 6px;
  top: -4px;
  color: var(--string-ink);
  font-size: 14px;
  font-weight: 600;
}
.legend {
  font-size: 14px;
  padding-left: 8px;
}
@media (max-width: 760px) {
  .gust-scale {
    --names: 124px;
  }
  .line {
    padding: 0 10px 0 2px;
  }
  .target {
    left: calc(var(--names) + 4.4px);
    right: 12.4px;
  }
}
</style>
