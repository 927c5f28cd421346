<script setup lang="ts">
import { drag, select, type D3DragEvent } from 'd3'
import { computed, reactive, ref, watch } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { pictures } from '~/sync/device'
import { InputError } from '~~/core/errors'
import type { Instrument } from '~~/core/cause/observations'
import type { Photograph } from '~~/core/document/job'
import type { LeanReading } from '~~/core/setout/lean'
import { PHOTOGRAPH_ERROR, photographLean, type DrawnLine } from '~~/core/setout/photographLean'
import { usePreferencesStore } from '~/session/preferences'
import { LEVEL_LENGTH } from '~/instruments/level'

/** One line along the post and one along something plumb, on a photograph taken level with it. */
const { save } = defineProps<{
  save: (value: LeanReading | null, instrument: Instrument) => Promise<InputError | undefined>
}>()
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()

const list = computed(() => view.post.value?.photographs ?? [])
const chosen = ref<string>()
const photograph = computed(() => list.value.find(({ id }) => id === chosen.value) ?? list.value.at(-1))
const items = computed(() => list.value.map(({ id }, i) => ({ value: id, title: `Photograph ${i + 1}` })))

type End = 'post-low' | 'post-high' | 'plumb-low' | 'plumb-high'
const ENDS: readonly { end: End; words: string }[] = [
  { end: 'post-low', words: 'foot of the post' },
  { end: 'post-high', words: 'top of the post' },
  { end: 'plumb-low', words: 'lower end of what is plumb' },
  { end: 'plumb-high', words: 'upper end of what is plumb' },
]
/** Shares of the picture's width and height. */
const ends = reactive<Record<End, [number, number]>>({
  'post-low': [0.45, 0.8],
  'post-high': [0.45, 0.25],
  'plumb-low': [0.7, 0.8],
  'plumb-high': [0.7, 0.25],
})
watch(
  () => photograph.value?.id,
  () => {
    const { lines, pixelWidth = 1, pixelHeight = 1 } = photograph.value ?? {}
    if (!lines) return
    const share = ([x = 0, y = 0]: readonly number[]): [number, number] => [x / pixelWidth, y / pixelHeight]
    Object.assign(ends, {
      'post-low': share(lines.post[0]!),
      'post-high': share(lines.post[1]!),
      'plumb-low': share(lines.plumb[0]!),
      'plumb-high': share(lines.plumb[1]!),
    })
  },
  { immediate: true },
)

const inPixels = (end: End): [number, number] => [
  Math.round(ends[end][0] * photograph.value!.pixelWidth),
  Math.round(ends[end][1] * photograph.value!.pixelHeight),
]
const drawn = computed(() => ({
  post: [inPixels('post-low'), inPixels('post-high')] as DrawnLine,
  plumb: [inPixels('plumb-low'), inPixels('plumb-high')] as DrawnLine,
}))
const found = computed(() => {
  try {
    return photographLean({ ...drawn.value, height: photograph.value!.pixelHeight })
  } catch (error) {
    if (error instanceof InputError) return error
    throw error
  }
})
const words = computed(() => {
  if (found.value instanceof InputError) return ''
  const { angle, lean } = found.value
  const error = preferences.measures.small(Math.tan(PHOTOGRAPH_ERROR))
  return `${((Math.abs(angle) * 180) / Math.PI).toFixed(1)}° to the ${lean < 0 ? 'left' : 'right'}, ${preferences.measures.small(Math.abs(lean))} in every metre, give or take ${error}.`
})

async function keep(): Promise<void> {
  if (found.value instanceof InputError) return
  const offset = Math.round(found.value.lean * LEVEL_LENGTH * 1e4) / 1e4
  if (await save({ offset, over: LEVEL_LENGTH }, 'photograph')) return
  const value: Photograph = { ...photograph.value!, lines: { post: points('post'), plumb: points('plumb') } }
  await session.edit([{ name: 'putPhotograph', ...view.address.value, photograph: value.id, value }])
}
const points = (of: 'post' | 'plumb') => drawn.value[of].map(([x, y]) => [x, y])

const within = (share: number) => Math.min(1, Math.max(0, share))
function move(end: End, x: number, y: number): void {
  ends[end] = [within(x), within(y)]
}
type Pull = D3DragEvent<HTMLElement, unknown, unknown>
const known = new WeakSet<Element>()
function onEnd(element: unknown, end: End): void {
  if (!(element instanceof HTMLElement) || known.has(element)) return
  known.add(element)
  const frame = () => element.parentElement!
  select<HTMLElement, unknown>(element).call(
    drag<HTMLElement, unknown>()
      .container(frame)
      .on('drag', ({ x, y }: Pull) => move(end, x / frame().clientWidth, y / frame().clientHeight)),
  )
}
/** A step of an arrow key, share of the picture. */
const STEP = 0.002
const KEYS: Record<string, [number, number]> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
}
function key(event: KeyboardEvent, end: End): void {
  const by = KEYS[event.key]
  if (!by) return
  event.preventDefault()
  event.stopPropagation()
  move(end, ends[end][0] + by[0], ends[end][1] + by[1])
}
</script>

<template>
  <p v-if="!photograph">Add a photograph of the post first, taken level with it: at the end of this page.</p>
  <div v-else>
    <v-select
      v-if="items.length > 1"
      label="Photograph"
      :items="items"
      :model-value="photograph.id"
      @update:model-value="chosen = $event"
    />
    <p class="soft">Lay one line along the post’s edge, the other along a wall’s corner or a hanging string.</p>
    <div class="picture" :style="{ aspectRatio: `${photograph.pixelWidth} / ${photograph.pixelHeight}` }">
      <img
        :src="pictures.addressOf(session.id, photograph.id)"
        alt="The post, with two lines to lay on it"
        draggable="false"
      />
      <svg viewBox="0 0 1 1" preserveAspectRatio="none" aria-hidden="true">
        <line
          v-for="line in ['post', 'plumb'] as const"
          :key="line"
          :class="line"
          :x1="ends[`${line}-low`][0]"
          :y1="ends[`${line}-low`][1]"
          :x2="ends[`${line}-high`][0]"
          :y2="ends[`${line}-high`][1]"
        />
      </svg>
      <button
        v-for="{ end, words: name } in ENDS"
        :key="end"
        :ref="(element) => onEnd(element, end)"
        type="button"
        class="end"
        :aria-label="`${name}: drag, or the arrow keys`"
        :style="{ left: `${ends[end][0] * 100}%`, top: `${ends[end][1] * 100}%` }"
        @keydown="key($event, end)"
      ></button>
    </div>
    <p v-if="found instanceof InputError" class="error-text" role="alert">
      The {{ found.key }} line must be {{ found.range }}.
    </p>
    <p v-else role="status">{{ words }}</p>
    <v-btn :disabled="found instanceof InputError" @click="keep">Keep this reading</v-btn>
  </div>
</template>

<style scoped>
.picture {
  position: relative;
  width: 100%;
  margin: 8px 0;
  touch-action: none;
}
img,
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
line {
  stroke: var(--string);
  stroke-width: 3px;
  vector-effect: non-scaling-stroke;
}
.plumb {
  stroke-dasharray: 8 5;
}
.end {
  position: absolute;
  width: 48px;
  height: 48px;
  margin: -24px 0 0 -24px;
  border: 3px solid var(--string);
  background: none;
  touch-action: none;
  cursor: move;
}
</style>
