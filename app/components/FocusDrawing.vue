<script setup lang="ts">
import { useElementSize, useSwipe } from '@vueuse/core'
import { tables } from '~~/data/tables'
import { row } from '~~/core/tables'
import { lineModel } from '~/drawing/lineModel'
import { sectionModel } from '~/drawing/sectionModel'
import { describeSection } from '~/drawing/describe'
import { fitViewport, px, ZOOM } from '~/drawing/viewport'
import { usePreferencesStore } from '~/stores/preferences'

/**
 * The chosen post in the middle as a full section, its neighbours left and right, in true scale.
 * `still` for a page that scrolls past it.
 */
const props = defineProps<{ still?: boolean }>()
const view = useJobView()
const preferences = usePreferencesStore()
const frame = useTemplateRef<HTMLElement>('frame')
const { width, height } = useElementSize(frame)
const zoom = ref<number>()

const viewport = computed(() =>
  fitViewport(width.value, height.value, view.line.value?.height ?? 1.8, {
    zoom: zoom.value,
    hole: view.drawnMethod.value?.hole?.depth,
  }),
)
const station = computed(() => view.post.value?.station ?? 0)
const scale = computed(() => viewport.value.pixelsPerMetre)
/** Half a screen more on each side, so that the glide shows no empty end. */
const reach = computed(() => width.value / scale.value)
const fence = computed(
  () =>
    view.line.value &&
    view.post.value &&
    lineModel(
      view.line.value,
      view.post.value.id,
      station.value - reach.value,
      station.value + reach.value,
      view.drawnMethod.value !== undefined,
    ),
)
const section = computed(
  () =>
    view.line.value &&
    view.post.value &&
    sectionModel(view.line.value, view.post.value, tables.parts, view.drawnMethod.value),
)
const words = computed(() =>
  view.post.value && section.value
    ? describeSection(view.post.value, section.value, preferences.show, view.drawnMethod.value?.name)
    : '',
)

/** A narrow drawing has no room for words beside the post; they stand in its text equivalent. */
const NARROW = 480
const notes = computed(() => (width.value < NARROW ? [] : (section.value?.notes ?? [])))
const shift = computed(() => `translate(${px(width.value / 2 - station.value * scale.value)}px, 0)`)
const stringY = computed(() => px(viewport.value.groundY - (view.line.value?.height ?? 0) * scale.value))
function changeZoom(factor: number): void {
  zoom.value = Math.min(ZOOM.most, Math.max(ZOOM.least, scale.value * factor))
}
function onWheel(event: WheelEvent): void {
  if (props.still) return
  event.preventDefault()
  changeZoom(event.deltaY < 0 ? 1.12 : 1 / 1.12)
}
useSwipe(frame, {
  threshold: 40,
  onSwipeEnd: (_event, direction) => {
    if (props.still) return
    if (direction === 'left') view.walk(1)
    if (direction === 'right') view.walk(-1)
  },
})
</script>

<template>
  <div ref="frame" class="focus-drawing" @wheel="onWheel">
    <svg v-if="width && section && fence" :width="width" :height="height" role="img" :aria-label="words">
      <DrawingPatterns />
      <GroundStrip :soil="view.post.value!.soil" :viewport="viewport" />
      <g class="glide" :style="{ transform: shift }">
        <FenceDrawing :fence="fence" :viewport="viewport" @choose="view.choose" />
      </g>
      <line x1="0" :x2="width" :y1="stringY" :y2="stringY" class="string-line" />
      <text :x="width - 10" :y="stringY - 8" text-anchor="end" class="string-name">string</text>
      <g class="glide" :style="{ transform: shift }">
        <line
          v-if="section.plumb"
          class="plumb"
          :x1="px(station * scale)"
          :x2="px(station * scale)"
          :y1="viewport.groundY"
          :y2="px(viewport.groundY - section.plumb.to[1] * scale)"
        />
        <DrawnShape
          v-for="shape in section.shapes"
          :key="shape.key"
          :shape="shape"
          :viewport="viewport"
          :origin="station"
        />
        <DimensionLine
          v-for="dimension in section.dimensions"
          :key="dimension.key"
          :dimension="dimension"
          :viewport="viewport"
          :origin="station"
        />
        <DrawingNote v-for="note in notes" :key="note.key" :note="note" :viewport="viewport" :origin="station" />
      </g>
      <text :x="12" :y="height - 12" class="name">
        {{ view.post.value?.id }} · {{ row(tables.soils, view.post.value!.soil).name.toLowerCase() }}
      </text>
    </svg>
    <div v-if="!still" class="zoom no-print">
      <v-btn aria-label="Draw larger" title="Draw larger" @click="changeZoom(1.25)">+</v-btn>
      <v-btn aria-label="Draw smaller" title="Draw smaller" @click="changeZoom(0.8)">−</v-btn>
    </div>
  </div>
</template>

<style scoped>
.focus-drawing {
  position: relative;
  width: 100%;
  height: 100%;
  overflow: hidden;
  touch-action: pan-y;
}
svg {
  display: block;
}
.string-line {
  stroke: var(--string);
  stroke-width: 1.6;
}
.string-name {
  fill: var(--string-ink);
  font-size: 14px;
}
.plumb {
  stroke: var(--string);
  stroke-width: 1.4;
  stroke-dasharray: 7 5;
}
.glide {
  transition: transform 0.28s ease-out;
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
