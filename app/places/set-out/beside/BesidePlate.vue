<script setup lang="ts">
import { computed, ref } from 'vue'
import { useJobView } from '~/job/openJob'
import { useSetOut } from '~/job/useSetOut'
import MeasureFields from '../MeasureFields.vue'
import OldHoles from './OldHoles.vue'
import PlateDrawing from './PlateDrawing.vue'
import { plateAt, USUAL_PLATE } from '~~/core/plan/setOut/beside'
import { usePreferencesStore } from '~/session/preferences'

/** A plate on a slab with old holes: where it goes so that most of them serve again, and what is drilled anew. */
const view = useJobView()
const preferences = usePreferencesStore()
const { setIn } = useSetOut()
const given = computed(() => view.post.value?.plate ?? {})
/** Of the anchor in hand, as its part has it; the usual one where none is. */
const embedment = computed(() => {
  const { parts, methods } = { parts: view.methodInHand.value?.parts ?? [], methods: view.tables.value.parts.lists }
  const part = parts.find(({ kind }) => kind === 'anchor')
  const row = part && methods.anchor.rows.find(({ key }) => key === part.key)
  return row?.depth ?? 0.08
})
const found = computed(() => plateAt(view.post.value!, embedment.value))
const chosen = ref(0)
const pose = computed(() => found.value.poses[chosen.value] ?? found.value.poses[0])
const put = (change: object) => setIn('plate', change)
const small = (length: number) => preferences.showSmall(length)
function poseWords({ x, y, rotation, reused }: { x: number; y: number; rotation: number; reused: number }): string {
  const moved = [
    ...(Math.abs(x) < 5e-4 ? [] : [`${small(Math.abs(x))} to the ${x < 0 ? 'left' : 'right'}`]),
    ...(Math.abs(y) < 5e-4 ? [] : [`${small(Math.abs(y))} ${y < 0 ? 'towards you' : 'away'}`]),
  ]
  const fresh = found.value.question.plate.length - reused
  return `${moved.join(', ') || 'where it is wanted'}${rotation ? `, turned ${rotation}°` : ''}: ${reused} old, ${fresh} new`
}
/** A plate measured by how far apart its holes are. */
const apart = computed(() => {
  const [first] = given.value.holes ?? []
  return first && { along: -2 * first[0], across: -2 * first[1] }
})
function setApart(key: 'along' | 'across', value: number | null) {
  const { along = USUAL_PLATE.apart, across = USUAL_PLATE.apart } = apart.value ?? {}
  const [a, b] = [
    (key === 'along' ? (value ?? USUAL_PLATE.apart) : along) / 2,
    (key === 'across' ? (value ?? USUAL_PLATE.apart) : across) / 2,
  ]
  return put({
    holes: [
      [-a, -b],
      [a, -b],
      [a, b],
      [-a, b],
    ],
  })
}
const MEASURES = [
  { key: 'diameter', label: 'New holes', assumed: USUAL_PLATE.diameter, step: 0.001 },
  { key: 'edge', label: 'Anchors from an edge', assumed: USUAL_PLATE.edge },
  { key: 'shift', label: 'The post may move by', assumed: USUAL_PLATE.shift },
  { key: 'left', label: 'Slab goes on to the left', assumed: USUAL_PLATE.slab, step: 0.01 },
  { key: 'right', label: 'to the right', assumed: USUAL_PLATE.slab, step: 0.01 },
  { key: 'front', label: 'towards you', assumed: USUAL_PLATE.slab, step: 0.01 },
  { key: 'back', label: 'away from you', assumed: USUAL_PLATE.slab, step: 0.01 },
  { key: 'thickness', label: 'Plate, thick', assumed: 0, step: 0.001 },
  { key: 'shims', label: 'Shims under it', assumed: 0, step: 0.001 },
] as const
</script>

<template>
  <div>
    <PlateDrawing :question="found.question" :pose="pose" />
    <div v-if="found.poses.length > 0" class="poses" role="group" aria-label="Where the plate goes">
      <button
        v-for="(each, i) in found.poses"
        :key="i"
        type="button"
        class="pick"
        :aria-pressed="each === pose"
        @click="chosen = i"
      >
        {{ poseWords(each) }}
      </button>
    </div>
    <p v-else class="caution">
      Within {{ small(found.question.shift) }} nothing will do: an old hole or an edge is in the way of every place.
      {{
        found.leastShift === undefined
          ? 'Nor anywhere near: another plate, or another fixing.'
          : `From ${small(found.leastShift)} on it would.`
      }}
    </p>
    <p>
      Drill {{ small(found.drill) }} deep, blow the holes clean, start slowly. Fill what is not used again.
      <template v-if="found.shorter > 0"
        >The post is cut {{ small(found.shorter) }} shorter for plate and shims.</template
      >
    </p>
    <div class="field-grid">
      <MeasureFields
        :measures="[
          { key: 'along', label: 'Plate’s holes apart along', assumed: USUAL_PLATE.apart, smallest: 0.01 },
          { key: 'across', label: 'and across', assumed: USUAL_PLATE.apart, smallest: 0.01 },
        ]"
        :given="apart ?? {}"
        :put="
          (change) =>
            'along' in change ? setApart('along', change.along ?? null) : setApart('across', change.across ?? null)
        "
      />
    </div>
    <OldHoles :holes="given.old ?? []" :save="(old) => put({ old })" />
    <MeasureFields :measures="MEASURES" :given="given" :put="put" />
  </div>
</template>

<style scoped>
.poses {
  display: grid;
  gap: 6px;
  margin-bottom: 8px;
}
</style>
