<script setup lang="ts">
import { gustScaleModel } from '~/drawing/gustScaleModel'
import { showGust } from '~~/core/units/quantity'

export interface GustRow {
  key: string
  name: string
  /** A word below the name. */
  under?: string
  lean?: number
  over?: number
  /** The link that gives way first, when it is not the ground. */
  weakest?: string
  /** Why it is refused: drawn faint, with the reason on the line. */
  refused?: string
}

/** One horizontal scale of gusts, with the site's return periods beneath. */
const props = defineProps<{ rows: GustRow[]; target: number; gust50: number; chosen?: string; pick?: boolean; label: string }>()
const emit = defineEmits<{ choose: [key: string] }>()

const model = computed(() => gustScaleModel(props.rows, props.target, props.gust50))
const percent = (gust: number) => `${(model.value.place(gust) * 100).toFixed(2)}%`
const at = (share: number) => `${(share * 100).toFixed(2)}%`

function words(row: GustRow): string {
  const parts = [row.name, row.under]
  if (row.refused) parts.push(`refused: ${row.refused}`)
  if (row.lean !== undefined) parts.push(`starts to lean at ${showGust(row.lean)}`)
  if (row.over !== undefined) parts.push(`gives way at ${showGust(row.over)}`)
  if (row.weakest) parts.push(`weakest link: ${row.weakest}`)
  return parts.filter(Boolean).join(', ')
}
function bar(row: GustRow) {
  if (row.lean === undefined || row.over === undefined) return undefined
  const [low, high] = [Math.min(row.lean, row.over), Math.max(row.lean, row.over)].map((gust) => model.value.place(gust)) as [number, number]
  return { left: at(low), width: at(high - low) }
}
</script>

<template>
  <div class="gust-scale" role="group" :aria-label="label">
    <component
      :is="pick ? 'button' : 'div'" v-for="row in rows" :key="row.key" :type="pick ? 'button' : undefined"
      class="line" :class="{ chosen: row.key === chosen, refused: row.refused }"
      :aria-pressed="pick ? row.key === chosen : undefined" :aria-label="words(row)"
      @click="pick && emit('choose', row.key)"
    >
      <span class="names"><strong>{{ row.name }}</strong><span v-if="row.under" class="soft">{{ row.under }}</span></span>
      <span class="scale" aria-hidden="true">
        <span class="thread" />
        <span v-if="bar(row)" class="bar" :style="bar(row)" />
        <span v-if="row.lean !== undefined" class="mark lean" :style="{ left: percent(row.lean) }"><svg width="18" height="16"><path d="M9 1.5 L16.5 14.5 L1.5 14.5 Z" /></svg></span>
        <span v-if="row.over !== undefined" class="mark over" :style="{ left: percent(row.over) }"><svg width="18" height="16"><path d="M9 1.5 L16.5 14.5 L1.5 14.5 Z" /></svg></span>
        <span v-if="row.refused" class="reason">{{ row.refused }}</span>
        <span v-else-if="row.weakest && row.over !== undefined" class="weakest" :class="{ flip: model.place(row.over) > 0.55 }" :style="{ left: percent(row.over) }">{{ row.weakest }}</span>
      </span>
    </component>
    <div class="line axis" aria-hidden="true">
      <span class="names soft">gust, m/s<span>comes once in</span></span>
      <span class="scale">
        <span v-for="tick in model.ticks" :key="tick.gust" class="tick measure" :style="{ left: at(tick.at) }">{{ tick.gust }}</span>
        <span v-for="year in model.years" :key="year.words" class="year" :class="year.align" :style="{ left: at(year.at) }">{{ year.words }}</span>
      </span>
    </div>
    <div class="target" aria-hidden="true"><span class="target-line" :style="{ left: at(model.target) }"><span class="target-name">target</span></span></div>
    <p class="legend soft" aria-hidden="true">△ starts to lean&ensp;▲ gives way</p>
  </div>
</template>

<style scoped>
.gust-scale { position: relative; padding-top: 20px; --names: 168px; }
.line { display: grid; grid-template-columns: var(--names) 1fr; width: 100%; min-height: 52px; align-items: center; text-align: left; border: 2.4px solid transparent; padding: 0 14px 0 8px; font: inherit; color: inherit; background: none; }
button.line { cursor: pointer; }
.chosen { border-color: var(--string); }
.names { display: flex; flex-direction: column; line-height: 1.2; padding-right: 8px; }
.names strong { font-weight: 600; font-size: 16px; }
.names .soft { font-size: 14px; }
.refused strong { text-decoration: line-through; font-weight: 500; color: var(--soft-ink); }
.line.refused { min-height: 62px; }
.refused .scale { height: 58px; }
.refused .mark { opacity: 0.55; top: 36px; }
.refused .thread { top: 44px; }
.scale { position: relative; height: 48px; }
.thread { position: absolute; left: 0; right: 0; top: 30px; height: 1.5px; background: var(--rule); }
.bar { position: absolute; top: 28px; height: 6px; background: var(--ink); }
.refused .bar { opacity: 0.3; top: 42px; }
.mark { position: absolute; top: 22px; margin-left: -9px; }
.mark svg { display: block; stroke: var(--ink); stroke-width: 1.8; }
.lean svg { fill: var(--paper); }
.over svg { fill: var(--ink); }
.reason { position: absolute; left: 0; right: 0; top: 2px; max-height: 33px; overflow: hidden; font-size: 14px; line-height: 1.15; color: var(--soft-ink); }
.weakest { position: absolute; top: 3px; font-size: 14px; white-space: nowrap; margin-left: -6px; }
.weakest.flip { transform: translateX(-100%); margin-left: 8px; }
.axis { min-height: 54px; align-items: start; }
.axis .names { font-size: 14px; padding-top: 8px; gap: 6px; }
.axis .scale { border-top: 2px solid var(--ink); height: 52px; }
.tick, .year { position: absolute; transform: translateX(-50%); font-size: 15px; }
.tick { top: 6px; }
.year.start { transform: translateX(-6px); }
.year.end { transform: translateX(-100%); }
.year { top: 28px; font-size: 14px; }
.tick::before { content: ''; position: absolute; left: 50%; top: -7px; height: 6px; width: 1.5px; background: var(--ink); }
.target { position: absolute; pointer-events: none; top: 0; bottom: 74px; left: calc(var(--names) + 10.4px); right: 16.4px; }
.target-line { position: absolute; top: 0; bottom: 0; border-left: 2.4px solid var(--string); margin-left: -1.2px; }
.target-name { position: absolute; left: 6px; top: -4px; color: var(--string-ink); font-size: 14px; font-weight: 600; }
.legend { font-size: 14px; padding-left: 8px; }
@media (max-width: 760px) {
  .gust-scale { --names: 124px; }
  .line { padding: 0 10px 0 2px; }
  .target { left: calc(var(--names) + 4.4px); right: 12.4px; }
}
</style>
