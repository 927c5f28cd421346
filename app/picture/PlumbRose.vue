<script setup lang="ts">
import { computed } from 'vue'
import { liveLevel } from '~/instruments/liveLevel'
import { useJobView } from '~/job/openJob'
import { useSetOut } from '~/job/useSetOut'
import { usePreferencesStore } from '~/session/preferences'
import { plumbRose } from './model/plumbRose'

/**
 * The post seen from above: its foot a square, its top a dot, plumb and match as rings. What lies up lies away from the
 * reader; a ring more while a level is held to it.
 */
const view = useJobView()
const preferences = usePreferencesStore()
const { post } = useSetOut()
const small = (length: number) => preferences.showSmall(length)
const model = computed(
  () =>
    post.value && view.post.value && plumbRose(post.value, view.post.value.observations.lean, liveLevel.value, small),
)
</script>

<template>
  <svg v-if="model" class="rose" viewBox="-90 -90 180 196" role="img" :aria-label="model.words">
    <path d="M-84 0h168M0 -84v168" class="axis" />
    <circle r="80" class="scale" />
    <rect :x="-model.foot / 2" :y="-model.foot / 2" :width="model.foot" :height="model.foot" class="foot" />
    <circle v-if="model.match" :cx="model.match[0]" :cy="model.match[1]" r="11" class="ring match" />
    <circle r="11" class="ring" />
    <g v-if="model.top">
      <line x1="0" y1="0" :x2="model.top[0]" :y2="model.top[1]" class="lean" />
      <circle :cx="model.top[0]" :cy="model.top[1]" r="6" class="top" />
    </g>
    <circle v-if="model.live" :cx="model.live[0]" :cy="model.live[1]" r="6" class="live" />
    <text x="-86" y="-74">away</text>
    <text x="0" y="102" text-anchor="middle">{{ model.reach }} to the circle</text>
  </svg>
</template>

<style scoped>
.rose {
  width: 190px;
  height: 206px;
}
.axis {
  stroke: var(--rule);
  stroke-width: 1.2;
}
.scale {
  fill: var(--paper);
  fill-opacity: 0.82;
  stroke: var(--ink);
  stroke-width: 1.4;
}
.foot {
  fill: rgb(var(--v-theme-wood));
  fill-opacity: 0.45;
  stroke: var(--ink);
  stroke-width: 1.4;
}
.ring {
  fill: none;
  stroke: var(--string);
  stroke-width: 2.4;
}
.ring.match {
  stroke-dasharray: 5 4;
}
.lean {
  stroke: var(--ink);
  stroke-width: 2;
}
.top {
  fill: var(--ink);
}
.live {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2.4;
}
text {
  fill: var(--ink);
  font-size: 14px;
}
</style>
