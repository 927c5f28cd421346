<script setup lang="ts">
import { drag, select, type D3DragEvent } from 'd3'
import { computed, onScopeDispose, ref, watch } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { useHole } from '~/job/useHole'
import { usePreferencesStore } from '~/session/preferences'
import { pulledTo, type Grip, type Pulled } from '~~/core/hole/pull'
import { roundUpTo } from '~~/core/numeric/rounding'
import { WORKING_STEP, stepped } from '~~/core/units/step'
import { GRIP, type GripOnScreen } from './model/holeGrips'

/** Grips on the section of the hole: what is pulled is planned anew at once, and kept when it is let go. */
const props = defineProps<{ grips: readonly GripOnScreen[]; scale: number }>()
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const { commands, put } = useHole(session, view)

const hole = computed(() => view.methodInHand.value?.hole)

/** How near a rule or a tool draws, px. */
const NEAR = 4
const depths = computed(() =>
  (view.postPlan.value?.depthRules ?? []).flatMap(({ depth }) =>
    depth === null ? [] : [roundUpTo(depth + (hole.value?.stoneBed ?? 0), WORKING_STEP[preferences.units])],
  ),
)
function marksOf({ measure }: Grip) {
  const { toolWidths, depthStep } = view.tables.value.digging
  const strong = { depth: depths.value, diameter: toolWidths, bottomDiameter: toolWidths, bellDiameter: toolWidths }
  const step = measure === 'depth' && preferences.units === 'metric' ? depthStep / 5 : WORKING_STEP[preferences.units]
  return {
    step,
    strong: (strong as Partial<Record<Pulled, readonly number[]>>)[measure] ?? [],
    reach: NEAR / props.scale,
  }
}

const WORDS: Record<Pulled, string> = {
  depth: 'Depth of the hole',
  diameter: 'Width of the hole',
  stoneBed: 'Stone bed',
  fillTop: 'Fill ends below ground',
  bottomDiameter: 'Width at the bottom',
  bellDiameter: 'Width of the bell',
  bellHeight: 'Height of the bell',
  shift: 'Post off the middle of the hole',
}

/** The grip as it was taken hold of: a pull is measured from there. */
const held = ref<{ grip: Grip; from: number; last: number }>()
function pull(at: number): void {
  const { grip, from } = held.value!
  held.value!.last = at
  const change = pulledTo(grip, (at - from) / props.scale, marksOf(grip))
  // On the same mark as before there is nothing new.
  if (change[grip.measure] === shown) return
  shown = change[grip.measure]
  // The choice of the repair goes with it when it is kept; while it is only tried nothing but the hole changes.
  view.tryOut(commands(change).filter(({ name }) => name === 'setHole'))
}
let shown: number | null | undefined
async function drop(): Promise<void> {
  const { grip, from, last } = held.value!
  held.value = undefined
  shown = undefined
  if (last !== from) await put(pulledTo(grip, (last - from) / props.scale, marksOf(grip)))
  view.tryOut([])
}

type Pull = D3DragEvent<HTMLElement, unknown, unknown>
function onGrip(element: unknown, grip: Grip): void {
  if (!(element instanceof HTMLElement) || known.has(element)) return
  known.add(element)
  const measure = grip.measure
  const along = ({ x, y }: Pull, way: Grip['way']) => (way === 'down' ? y : x)
  select<HTMLElement, unknown>(element).call(
    drag<HTMLElement, unknown>()
      // By the page: a box would have to be laid out anew at every step.
      .container(() => document as unknown as HTMLElement)
      .on('start', (event: Pull) => {
        const now = props.grips.find((each) => each.measure === measure)!
        held.value = { grip: now, from: along(event, now.way), last: along(event, now.way) }
      })
      .on('drag', (event: Pull) => pull(along(event, held.value!.grip.way)))
      .on('end', () => void drop()),
  )
}
const known = new WeakSet<HTMLElement>()
onScopeDispose(() => view.tryOut([]))
// Another post, another hole.
watch(view.postId, () => view.tryOut([]))

const KEYS: Record<string, number> = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }
/** On the keyboard more is more, whichever way it is drawn. */
function key(event: KeyboardEvent, { measure, value, least, most }: Grip): void {
  const by = KEYS[event.key]
  if (by === undefined) return
  event.preventDefault()
  event.stopPropagation()
  const step = WORKING_STEP[preferences.units]
  const to = Math.min(most, Math.max(least, stepped(value, by * step, preferences.units)))
  void put({ [measure]: to })
}
</script>

<template>
  <div class="grips no-print">
    <svg class="leads" aria-hidden="true">
      <line v-for="grip in grips" :key="grip.measure" :x1="grip.x" :y1="grip.y" :x2="grip.toX" :y2="grip.toY" />
    </svg>
    <div
      v-for="grip in grips"
      :key="grip.measure"
      :ref="(element) => onGrip(element, grip)"
      class="grip"
      :class="[grip.way, { held: held?.grip.measure === grip.measure }]"
      role="slider"
      tabindex="0"
      :title="`${WORDS[grip.measure]}: pull, or use the arrow keys`"
      :aria-label="WORDS[grip.measure]"
      :aria-orientation="grip.way === 'down' ? 'vertical' : 'horizontal'"
      :aria-valuenow="Math.round(grip.value * 1e3)"
      :aria-valuemin="Math.round(grip.least * 1e3)"
      :aria-valuemax="Math.round(grip.most * 1e3)"
      :aria-valuetext="preferences.show(grip.value)"
      :style="{
        left: `${grip.x - GRIP / 2}px`,
        top: `${grip.y - GRIP / 2}px`,
        width: `${GRIP}px`,
        height: `${GRIP}px`,
      }"
      @keydown="key($event, grip)"
    >
      <svg viewBox="-12 -12 24 24" aria-hidden="true">
        <path d="M0 -9 l5 6 h-10 z M0 9 l5 -6 h-10 z" :transform="grip.way === 'down' ? '' : 'rotate(90)'" />
      </svg>
      <span v-if="held?.grip.measure === grip.measure" class="reading">{{ preferences.show(grip.value) }}</span>
    </div>
  </div>
</template>

<style scoped>
.grips,
.leads {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}
.leads line {
  stroke: var(--string);
  stroke-width: 1.4;
  stroke-dasharray: 3 3;
}
.grip {
  position: absolute;
  display: grid;
  place-items: center;
  pointer-events: auto;
  touch-action: none;
  cursor: ns-resize;
}
.grip.across {
  cursor: ew-resize;
}
.grip svg {
  width: 30px;
  height: 30px;
  padding: 2px;
  background: var(--paper);
  border: 2px solid var(--string);
}
.grip path {
  fill: var(--string);
}
.grip.held svg {
  background: var(--string);
}
.grip.held path {
  fill: var(--paper);
}
.reading {
  position: absolute;
  bottom: 100%;
  padding: 2px 8px;
  background: var(--paper);
  border: 1.5px solid var(--string);
  font-family: var(--measure);
  font-weight: 600;
  font-size: 22px;
  white-space: nowrap;
}
</style>
