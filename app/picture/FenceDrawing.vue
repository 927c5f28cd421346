<script setup lang="ts">
import { computed } from 'vue'
import DrawnShape from './DrawnShape.vue'
import type { LineModel } from '~/picture/model/lineModel'
import { px, svgPoints, type Viewport } from '~/picture/model/viewport'

/** Bays and neighbouring posts of the line, in the scale of the viewport. */
const props = defineProps<{ fence: LineModel; chosen?: { id: string; station: number }; viewport: Viewport }>()
const emit = defineEmits<{ choose: [post: string] }>()
/** A post is narrower than a glove: this much round it takes the touch, px. */
const TOUCH = 48
const scale = computed(() => props.viewport.pixelsPerMetre)
</script>

<template>
  <g>
    <g v-for="bay in fence.bays" :key="bay.key">
      <polygon
        v-if="bay.area.length"
        :points="svgPoints(bay.area, viewport)"
        :class="bay.isMesh ? 'mesh' : 'cladding'"
      />
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
    <g
      v-for="post in fence.posts"
      :key="post.id"
      class="neighbour"
      :data-post="post.id"
      @click="emit('choose', post.id)"
    >
      <rect class="touch" :x="px(post.station * scale - TOUCH / 2)" y="0" :width="TOUCH" :height="viewport.height" />
      <DrawnShape
        v-for="shape in post.shapes"
        :key="shape.key"
        :shape="shape"
        :viewport="viewport"
        :origin="post.station"
      />
    </g>
    <rect
      v-if="chosen"
      class="touch"
      :data-post="chosen.id"
      :x="px(chosen.station * scale - TOUCH / 2)"
      y="0"
      :width="TOUCH"
      :height="viewport.height"
    />
  </g>
</template>

<style scoped>
.cladding {
  fill: rgb(var(--v-theme-cladding));
}
.mesh {
  fill: url(#mesh);
  stroke: rgb(var(--v-theme-joint));
  stroke-width: 1.4;
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
.touch {
  fill: transparent;
}
</style>
