<script setup lang="ts">
import type { LineModel } from '~/drawing/lineModel'
import { px, svgPoints, type Viewport } from '~/drawing/viewport'

/** Bays and neighbouring posts of the line, in the scale of the viewport. */
const props = defineProps<{ fence: LineModel; viewport: Viewport }>()
const emit = defineEmits<{ choose: [post: string] }>()
const scale = computed(() => props.viewport.pixelsPerMetre)
</script>

<template>
  <g>
    <g v-for="bay in fence.bays" :key="bay.key">
      <polygon v-if="bay.area.length" :points="svgPoints(bay.area, viewport)" class="cladding" />
      <line
        v-for="([low, high], i) in bay.joints"
        :key="i"
        class="joint"
        :x1="px(low[0] * scale)"
        :y1="px(viewport.groundY - low[1] * scale)"
        :x2="px(high[0] * scale)"
        :y2="px(viewport.groundY - high[1] * scale)"
      />
      <polygon v-for="(rail, i) in bay.rails" :key="`rail-${i}`" :points="svgPoints(rail, viewport)" class="rail" />
    </g>
    <g v-for="post in fence.posts" :key="post.id" class="neighbour" @click="emit('choose', post.id)">
      <DrawnShape
        v-for="shape in post.shapes"
        :key="shape.key"
        :shape="shape"
        :viewport="viewport"
        :origin="post.station"
      />
      <text :x="px(post.station * scale)" :y="viewport.groundY + 22" text-anchor="middle" class="name">
        {{ post.id }}
      </text>
    </g>
  </g>
</template>

<style scoped>
.cladding {
  fill: rgb(var(--v-theme-cladding));
}
.joint {
  stroke: rgb(var(--v-theme-joint));
  stroke-width: 1.4;
}
.rail {
  fill: rgb(var(--v-theme-rail));
  opacity: 0.8;
}
.neighbour {
  cursor: pointer;
}
</style>
