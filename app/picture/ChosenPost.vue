<script setup lang="ts">
import DrawnShape from './DrawnShape.vue'
import type { Metres } from '~~/core/units/types'
import type { LayerLine } from '~/picture/model/holeMarks'
import type { PullModel } from '~/picture/model/pullModel'
import type { SectionModel } from '~/picture/model/sectionModel'
import { px, type Viewport } from '~/picture/model/viewport'

/** The chosen post as a full section: what it is made of, plumb beside it, layers of its ground, what a leaf pulls. */
defineProps<{
  section: SectionModel
  layers: readonly LayerLine[]
  pull: PullModel | undefined
  station: Metres
  viewport: Viewport
}>()
</script>

<template>
  <g :transform="`translate(${px(station * viewport.pixelsPerMetre)}, ${viewport.groundY})`">
    <g v-if="pull" class="pull">
      <line
        :x1="px(pull.from[0] * viewport.pixelsPerMetre)"
        :x2="px(pull.to[0] * viewport.pixelsPerMetre)"
        :y1="px(-pull.from[1] * viewport.pixelsPerMetre)"
        :y2="px(-pull.to[1] * viewport.pixelsPerMetre)"
      />
      <polygon
        :points="
          pull.head.map(([x, y]) => `${px(x * viewport.pixelsPerMetre)},${px(-y * viewport.pixelsPerMetre)}`).join(' ')
        "
      />
    </g>
    <line v-if="section.plumb" class="plumb" :y2="px(-section.plumb.to[1] * viewport.pixelsPerMetre)" />
    <line
      v-for="layer in layers"
      :key="layer.key"
      class="layer"
      :x1="px(layer.from[0] * viewport.pixelsPerMetre)"
      :x2="px(layer.to[0] * viewport.pixelsPerMetre)"
      :y1="px(-layer.from[1] * viewport.pixelsPerMetre)"
      :y2="px(-layer.to[1] * viewport.pixelsPerMetre)"
    />
  </g>
  <DrawnShape
    v-for="shape in section.shapes"
    :key="shape.key"
    class="chosen-shape"
    :shape="shape"
    :viewport="viewport"
    :origin="station"
  />
</template>

<style scoped>
.pull {
  stroke: var(--ink);
  stroke-width: 2.4;
  pointer-events: none;
}
.plumb {
  stroke: var(--string);
  stroke-width: 1.4;
  stroke-dasharray: 7 5;
}
.layer {
  stroke: var(--umber);
  stroke-width: 2;
  stroke-dasharray: 10 5;
  pointer-events: none;
}
.chosen-shape {
  pointer-events: none;
}
</style>
