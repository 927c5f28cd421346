<script setup lang="ts">
import { computed } from 'vue'
/** Where does it turn? A post, its ground and its footing, drawn small. */
const props = defineProps<{ pivot: string }>()

/** Pose of the post: lean in degrees about a height below the top edge, and what goes with it. */
const POSES: Record<
  string,
  { lean: number; about: number; footingLeans?: boolean; plate?: boolean; panel?: boolean; gap?: boolean }
> = {
  'nothing-moves': { lean: 0, about: 40 },
  'at-ground-line': { lean: 16, about: 40 },
  'in-the-soil': { lean: 14, about: 58, footingLeans: false },
  'footing-moves': { lean: 12, about: 62, footingLeans: true },
  'post-loose-in-concrete': { lean: 8, about: 62, gap: true },
  'at-plate': { lean: 14, about: 40, plate: true },
  'panel-only': { lean: 0, about: 40, panel: true },
}
const pose = computed(() => POSES[props.pivot] ?? POSES['nothing-moves']!)
const turn = computed(() => `rotate(${pose.value.lean} 40 ${pose.value.about})`)
</script>

<template>
  <svg width="84" height="72" viewBox="0 0 80 72" aria-hidden="true">
    <rect x="0" y="40" width="80" height="32" class="soil" />
    <rect
      v-if="!pose.plate && pivot !== 'in-the-soil'"
      x="29"
      y="43"
      width="22"
      height="22"
      class="footing"
      :transform="pose.footingLeans ? turn : undefined"
    />
    <rect v-if="pose.plate" x="10" y="40" width="60" height="12" class="footing" />
    <rect v-if="pose.gap" x="33" y="43" width="14" height="20" class="gap" />
    <g v-if="pivot === 'at-ground-line'">
      <rect x="36" y="40" width="8" height="22" class="post" />
      <rect x="36" y="6" width="8" height="34" class="post" :transform="turn" />
    </g>
    <rect v-else x="36" y="6" width="8" :height="pose.plate ? 34 : 56" class="post" :transform="turn" />
    <rect v-if="pose.plate" x="28" y="36" width="24" height="4" class="plate" :transform="turn" />
    <g v-if="pose.panel" class="loose-panel" transform="rotate(7 62 12)">
      <rect x="46" y="10" width="30" height="26" />
      <path d="M46 18h30M46 28h30" />
    </g>
    <line x1="0" x2="80" y1="40" y2="40" class="ground-line" />
    <path v-if="pose.lean" d="M52 10 q10 1 16 9 m-2 -7 l2 7 l-7 0" class="arrow" />
    <circle v-if="pose.lean" cx="40" :cy="pose.about" r="4" class="pivot" />
  </svg>
</template>

<style scoped>
.soil {
  fill: rgb(var(--v-theme-ground));
}
.footing {
  fill: rgb(var(--v-theme-concrete));
  stroke: var(--ink);
  stroke-width: 1;
}
.gap {
  fill: var(--paper);
}
.post {
  fill: rgb(var(--v-theme-wood));
  stroke: var(--ink);
  stroke-width: 1.2;
}
.plate {
  fill: rgb(var(--v-theme-steel));
  stroke: var(--ink);
  stroke-width: 1;
}
.loose-panel rect {
  fill: rgb(var(--v-theme-cladding));
  stroke: var(--ink);
  stroke-width: 1.2;
}
.loose-panel path,
.arrow {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
.ground-line {
  stroke: var(--ink);
  stroke-width: 2;
}
.pivot {
  fill: var(--ink);
}
</style>
