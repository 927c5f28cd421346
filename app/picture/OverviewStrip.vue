<script setup lang="ts">
import { drag, select, type D3DragEvent } from 'd3'
import { computed, useTemplateRef, watch } from 'vue'
import { useElementSize } from '@vueuse/core'
import type { PostSummary } from '~~/core/document/summary'
import { nearestPost, overviewMarks, strokeOf } from '~/picture/model/overviewModel'

/** The whole line, thin: every post's state, the chosen one framed; tap or drag to go anywhere. */
const props = defineProps<{ posts: PostSummary[]; length: number; chosen?: number; label: string; height: number }>()
const emit = defineEmits<{ choose: [index: number] }>()

const frame = useTemplateRef<HTMLElement>('frame')
const { width } = useElementSize(frame)
const groundY = computed(() => Math.round(props.height * 0.72))
const postHeight = computed(() => groundY.value - 8)
const marks = computed(() => overviewMarks(props.posts, props.length, width.value, postHeight.value))
const stroke = computed(() => strokeOf(marks.value, width.value))
const framed = computed(() => (props.chosen === undefined ? undefined : marks.value[props.chosen]))

const pull = drag<HTMLElement, unknown>()
  .filter(() => props.chosen !== undefined && marks.value.length > 0)
  .container(function () {
    return this
  })
  .on('start drag', ({ x }: D3DragEvent<HTMLElement, unknown, unknown>) => emit('choose', nearestPost(marks.value, x)))
watch(frame, (element) => element && select<HTMLElement, unknown>(element).call(pull))
</script>

<template>
  <div ref="frame" class="overview" :class="{ live: chosen !== undefined }" :style="{ height: `${height}px` }">
    <svg v-if="width" :width="width" :height="height" role="img" :aria-label="label">
      <rect x="10" :y="9" :width="Math.max(0, width - 20)" :height="groundY - 11" class="cladding" />
      <line x1="0" :x2="width" :y1="groundY" :y2="groundY" class="ground-line" />
      <g v-for="(mark, i) in marks" :key="i">
        <line
          :x1="mark.foot"
          :x2="mark.top"
          :y1="groundY"
          y2="8"
          :class="`state-${mark.state}`"
          :stroke-width="mark.state === 'unseen' ? stroke / 3 : stroke"
        />
        <line
          :x1="mark.foot"
          :x2="mark.foot"
          :y1="groundY"
          :y2="groundY + height * 0.16"
          class="footing"
          :stroke-width="stroke * 1.4"
        />
      </g>
      <rect v-if="framed" :x="framed.foot - 14" y="2" width="28" :height="height - 4" class="chosen" />
    </svg>
  </div>
</template>

<style scoped>
.overview {
  width: 100%;
  touch-action: none;
}
.live {
  cursor: pointer;
}
svg {
  display: block;
}
.cladding {
  fill: rgb(var(--v-theme-cladding));
  opacity: 0.65;
}
.ground-line {
  stroke: var(--ink);
  stroke-width: 2;
}
.footing {
  stroke: rgb(var(--v-theme-umber));
}
.state-sound {
  stroke: var(--ink);
}
.state-doubtful {
  stroke: var(--ink);
  stroke-dasharray: 7 4;
}
.state-failed {
  stroke: var(--ink);
  stroke-dasharray: 2.5 3.5;
}
.state-unseen {
  stroke: var(--ink);
}
.chosen {
  fill: none;
  stroke: var(--string);
  stroke-width: 2.4;
}
</style>
