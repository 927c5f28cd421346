<script setup lang="ts">
import { useTemplateRef } from 'vue'
import { useDrawing } from './useDrawing'
import { useDrawingModel } from './useDrawingModel'
import { usePostDrag } from './usePostDrag'
import { useGestures } from './useGestures'
import { usePan } from './usePan'
import ChosenPost from './ChosenPost.vue'
import DimensionLine from './DimensionLine.vue'
import DrawingLabels from './DrawingLabels.vue'
import DrawingPatterns from './DrawingPatterns.vue'
import FenceDrawing from './FenceDrawing.vue'
import GroundStrip from './GroundStrip.vue'
import HoleGrips from './HoleGrips.vue'
import MarkDrawing from './MarkDrawing.vue'
import PlumbRose from './PlumbRose.vue'
import StringsOver from './StringsOver.vue'
import { useElementSize } from '@vueuse/core'
import { useJobView } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'
import { row } from '~~/core/tables/tables'
import { px } from '~/picture/model/viewport'

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
const { pan, panning, hold, rest } = usePan(
  () => station.value,
  () => scale.value,
)
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

useGestures(frame, () => !props.still, {
  grab(target) {
    const id = target.closest('[data-post]')?.getAttribute('data-post')
    if (!props.building || !id) return false
    drag.grab(id)
    return true
  },
  pull: drag.pull,
  drop: drag.drop,
  pan: hold,
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
        <StringsOver
          :high="model.string.value"
          :low="model.lowString.value"
          :knots="model.knots.value"
          :posts="model.strings.value"
          :is-set-to="strings === true"
          :viewport="viewport"
        />
        <ChosenPost
          :section="section"
          :layers="model.layers.value"
          :pull="model.pull.value"
          :station="station"
          :viewport="viewport"
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
.held-post {
  fill: none;
  stroke: var(--string);
  stroke-width: 3;
}
.held-words {
  fill: var(--string-ink);
  font-size: 18px;
}
.string-name {
  fill: var(--string-ink);
  font-size: 14px;
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
