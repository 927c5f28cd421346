<script setup lang="ts">
import { ref, useTemplateRef } from 'vue'
import { useDrawing } from './useDrawing'
import { useDrawingModel } from './useDrawingModel'
import { usePostDrag } from './usePostDrag'
import { useGestures } from './useGestures'
import DimensionLine from './DimensionLine.vue'
import DrawingLabels from './DrawingLabels.vue'
import DrawingPatterns from './DrawingPatterns.vue'
import DrawnShape from './DrawnShape.vue'
import FenceDrawing from './FenceDrawing.vue'
import GroundStrip from './GroundStrip.vue'
import HoleGrips from './HoleGrips.vue'
import MarkDrawing from './MarkDrawing.vue'
import PlumbRose from './PlumbRose.vue'
import RunningTape from './RunningTape.vue'
import { useElementSize } from '@vueuse/core'
import { useJobView } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'
import { row } from '~~/core/tables/tables'
import { px, svgPoints } from '~/picture/model/viewport'

/**
 * The chosen post in the middle as a full section, its neighbours left and right, in true scale.
 * `still` for a page that scrolls past it; `building` where posts are moved and bays measured out; `pullsHole` where the
 * hole has grips to pull on; `strings` where both of them are drawn with the gaps to be read; `also` is said of it beside what is drawn.
 */
const props = defineProps<{
  still?: boolean
  building?: boolean
  pullsHole?: boolean
  strings?: boolean
  also?: string
}>()
const view = useJobView()
const preferences = usePreferencesStore()
const frame = useTemplateRef<HTMLElement>('frame')
const { width, height } = useElementSize(frame)
const { enlarge, scale } = useDrawing()

/** On a narrow drawing the post is seen from above beside its readings, px. */
const ROOM_FOR_ROSE = 480
/** Width of the frame round a post that is held, px. */
const HELD = 40
/** How far a finger holds the drawing aside, px. */
const pan = ref(0)
const panning = ref(false)
const drag = usePostDrag(() => scale.value)
const model = useDrawingModel({
  width,
  height,
  pan,
  held: drag.held,
  building: () => props.building === true,
  pulling: () => props.pullsHole === true,
  strung: () => props.strings === true,
})
const { viewport, station, section } = model

/** Held further aside than this, the drawing goes on to the next post at least, px. */
const STEP_PIXELS = 40
function rest(pixels: number): void {
  panning.value = false
  pan.value = 0
  if (Math.abs(pixels) < STEP_PIXELS) return
  const posts = view.line.value!.posts
  const middle = station.value - pixels / scale.value
  const from = posts.findIndex(({ id }) => id === view.post.value?.id)
  const near = posts.reduce(
    (best, post, i) => (Math.abs(post.station - middle) < Math.abs(posts[best]!.station - middle) ? i : best),
    0,
  )
  view.walk((near === from ? -Math.sign(pixels) : near - from) || 0)
}
useGestures(frame, () => !props.still, {
  grab(target) {
    const id = target.closest('[data-post]')?.getAttribute('data-post')
    if (!props.building || !id) return false
    drag.grab(id)
    return true
  },
  pull: drag.pull,
  drop: drag.drop,
  pan(pixels) {
    panning.value = true
    pan.value = pixels
  },
  rest,
  enlarge,
})
</script>

<template>
  <div ref="frame" class="focus-drawing" :class="{ still, building }" data-drawing>
    <svg
      v-if="width && section && model.fence.value"
      :width="width"
      :height="height"
      role="img"
      :aria-label="[model.words.value, also].filter(Boolean).join('; ')"
    >
      <DrawingPatterns />
      <g class="glide" :class="{ held: panning }" :style="{ transform: `translate(${model.shift.value}px, 0)` }">
        <GroundStrip
          :soil="view.post.value!.soil"
          :guessed="view.post.value!.isAssumed.soil"
          :ground="model.ground.value"
          :viewport="viewport"
        />
        <MarkDrawing :marks="model.marks.value" :viewport="viewport" />
        <FenceDrawing
          :fence="model.fence.value"
          :chosen="model.chosenInFence.value"
          :viewport="viewport"
          @choose="view.choose"
        />
        <rect
          v-if="drag.held.value"
          class="held-post"
          :x="px(drag.held.value.station * scale - HELD / 2)"
          y="2"
          :width="HELD"
          :height="height - 4"
        />
        <polyline :points="svgPoints(model.string.value, viewport)" class="string-line" />
        <polyline v-if="strings" :points="svgPoints(model.lowString.value, viewport)" class="string-line" />
        <RunningTape v-if="strings" :posts="model.strings.value" :viewport="viewport" />
        <circle
          v-for="[x, y] in model.knots.value"
          :key="x"
          class="string-knot"
          :cx="px(x * scale)"
          :cy="px(viewport.groundY - y * scale)"
          r="5"
        />
        <g v-if="model.pull.value" class="pull" :transform="`translate(${px(station * scale)}, ${viewport.groundY})`">
          <line
            :x1="px(model.pull.value.from[0] * scale)"
            :x2="px(model.pull.value.to[0] * scale)"
            :y1="px(-model.pull.value.from[1] * scale)"
            :y2="px(-model.pull.value.to[1] * scale)"
          />
          <polygon :points="model.pull.value.head.map(([x, y]) => `${px(x * scale)},${px(-y * scale)}`).join(' ')" />
        </g>
        <line
          v-if="section.plumb"
          class="plumb"
          :x1="px(station * scale)"
          :x2="px(station * scale)"
          :y1="viewport.groundY"
          :y2="px(viewport.groundY - section.plumb.to[1] * scale)"
        />
        <line
          v-for="layer in model.layers.value"
          :key="layer.key"
          class="layer"
          :x1="px((layer.from[0] + station) * scale)"
          :x2="px((layer.to[0] + station) * scale)"
          :y1="px(viewport.groundY - layer.from[1] * scale)"
          :y2="px(viewport.groundY - layer.to[1] * scale)"
        />
        <DrawnShape
          v-for="shape in section.shapes"
          :key="shape.key"
          class="chosen-shape"
          :shape="shape"
          :viewport="viewport"
          :origin="station"
        />
        <DimensionLine
          v-for="dimension in model.dimensions.value"
          :key="dimension.key"
          :dimension="dimension"
          :viewport="viewport"
        />
        <DrawingLabels :labels="model.labels.value" :scale="preferences.figureScale" />
      </g>
      <text
        :x="width - 10"
        :y="px(viewport.groundY - model.stringAtEdge.value * scale - 8)"
        text-anchor="end"
        class="string-name"
      >
        string
      </text>
      <text v-if="drag.held.value" x="12" y="24" class="name held-words">
        {{ drag.held.value.id }} is held: slide it along
      </text>
      <text :x="12" :y="height - 12" class="name">
        {{ view.post.value?.id }} · {{ row(view.tables.value.soils, view.post.value!.soil).name.toLowerCase()
        }}{{ view.post.value!.isAssumed.soil ? ', not tested' : '' }}
      </text>
    </svg>
    <HoleGrips v-if="model.grips.value.length > 0 && !panning" :grips="model.grips.value" :scale="scale" />
    <PlumbRose v-if="strings && width > ROOM_FOR_ROSE" class="rose no-print" />
    <div v-if="!still" class="zoom no-print">
      <v-btn aria-label="Draw larger" title="Draw larger (+)" @click="enlarge(1.25)">+</v-btn>
      <v-btn aria-label="Draw smaller" title="Draw smaller (−)" @click="enlarge(0.8)">−</v-btn>
    </div>
  </div>
</template>

<style scoped>
.focus-drawing {
  position: relative;
  width: 100%;
  height: 100%;
  overflow: hidden;
  touch-action: none;
  user-select: none;
}
.still {
  touch-action: auto;
}
svg {
  display: block;
}
.string-line {
  fill: none;
  stroke: var(--string);
  stroke-width: 1.6;
}
.held-post {
  fill: none;
  stroke: var(--string);
  stroke-width: 3;
}
.held-words {
  fill: var(--string-ink);
  font-size: 18px;
}
.string-knot {
  fill: var(--string);
}
.string-name {
  fill: var(--string-ink);
  font-size: 14px;
}
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
.glide {
  transition: transform 0.28s ease-out;
}
.glide.held {
  transition: none;
}
.rose {
  position: absolute;
  left: 10px;
  bottom: 34px;
}
.zoom {
  position: absolute;
  right: 8px;
  bottom: 8px;
  display: flex;
  gap: 6px;
}
@media (max-width: 760px) {
  .zoom {
    display: none;
  }
}
.zoom .v-btn {
  background: var(--paper);
  font-size: 22px;
  padding: 0;
  width: 48px;
}
</style>
