<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { useHole } from '~/job/useHole'
import LengthStepper from '~/controls/LengthStepper.vue'
import { footWidth } from '~~/core/repair/holeShape'
import { DIGGING_TOOLS, reachOf, USUAL_TOOL } from '~~/core/concrete/overdig'
import { usePreferencesStore } from '~/session/preferences'

/** Every measure of the hole, typed or stepped: what the grips on the drawing pull. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const { set } = useHole(session, view)
const hole = computed(() => view.methodInHand.value!.hole!)
/** The same functions all along: what has not changed is not drawn anew while something is pulled. */
const MEASURES = [
  'depth',
  'diameter',
  'bottomDiameter',
  'bellDiameter',
  'bellHeight',
  'stoneBed',
  'fillTop',
  'shift',
] as const
const saves = Object.fromEntries(
  MEASURES.map((measure) => [measure, (value: number | null) => set(measure, value)]),
) as Record<(typeof MEASURES)[number], (value: number | null) => ReturnType<typeof set>>
const isPoured = computed(() => view.methodInHand.value!.concrete !== undefined)
const repair = computed(() => view.post.value!.repair)

const TOOL_WORDS = { auger: 'auger', 'post-hole-digger': 'post-hole digger', spade: 'spade and bar' }
const tools = computed(() =>
  DIGGING_TOOLS.map((tool) => ({
    value: tool,
    title: `${TOOL_WORDS[tool]}, reaches ${preferences.show(reachOf(tool))}`,
  })),
)
const tool = computed(() => repair.value?.tool ?? USUAL_TOOL)
const isTooDeep = computed(() => hole.value.depth > reachOf(tool.value) + 1e-6)
const setTool = (value: (typeof DIGGING_TOOLS)[number]) =>
  session.edit([{ name: 'setRepair', ...view.address.value, key: 'tool', value }])
const stones = computed(() => Math.round((hole.value.stones ?? 0) * 100))
const STONES = [0, 10, 20, 30].map((share) => ({ value: share, title: share === 0 ? 'none' : `${share} in 100` }))
</script>

<template>
  <div class="field-grid">
    <LengthStepper label="Depth" :value="hole.depth" :step="0.05" :smallest="0.2" :save="saves.depth" />
    <LengthStepper
      :label="hole.shape === 'tapered' ? 'Width at the top' : 'Width'"
      :value="hole.diameter"
      :step="0.025"
      :smallest="0.1"
      :save="saves.diameter"
    />
    <LengthStepper
      v-if="hole.shape === 'tapered'"
      label="Width at the bottom"
      :value="footWidth(hole)"
      :step="0.025"
      :smallest="0.1"
      :save="saves.bottomDiameter"
    />
    <LengthStepper
      v-if="hole.shape === 'belled'"
      label="Width of the bell"
      :value="footWidth(hole)"
      :step="0.025"
      :smallest="0.1"
      :save="saves.bellDiameter"
    />
    <LengthStepper
      v-if="hole.shape === 'belled'"
      label="Height of the bell"
      :value="hole.bellHeight"
      :step="0.05"
      :smallest="0.05"
      :save="saves.bellHeight"
    />
    <LengthStepper label="Stone bed" :value="hole.stoneBed" :step="0.025" :smallest="0" :save="saves.stoneBed" />
    <LengthStepper label="Fill ends below ground" :value="hole.fillTop" :step="0.025" :save="saves.fillTop" />
    <LengthStepper
      label="Post off the middle, to the right"
      :value="hole.shift ?? 0"
      :step="0.01"
      :save="saves.shift"
    />
    <v-select
      v-if="isPoured"
      label="Stones wedged in"
      :items="STONES"
      :model-value="stones"
      @update:model-value="set('stones', $event ? $event / 100 : null)"
    />
    <v-select label="Dug with" :items="tools" :model-value="tool" @update:model-value="setTool($event)" />
    <v-checkbox
      v-if="isPoured"
      label="crown, sloped up to the post"
      :model-value="hole.crown === true"
      @update:model-value="set('crown', $event ? true : null)"
    />
    <v-checkbox
      label="key: a board across it near the top"
      :model-value="hole.key === true"
      @update:model-value="set('key', $event ? true : null)"
    />
  </div>
  <p v-if="isTooDeep" class="caution">
    Deeper than the {{ TOOL_WORDS[tool] }} reaches, {{ preferences.show(reachOf(tool)) }}: another tool, or wider and
    shallower.
  </p>
</template>
