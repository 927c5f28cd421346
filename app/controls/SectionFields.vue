<script setup lang="ts">
import { computed } from 'vue'
import ChoiceBar from '~/controls/ChoiceBar.vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import type { InputError } from '~~/core/errors'
import { sectionSize, type Section } from '~~/core/timber/section'

/** The post's section: its shape, and the sizes that the shape asks for. */
const props = defineProps<{ section: Section; save: (section: Section) => Promise<InputError | undefined> }>()

const SHAPES = [
  { value: 'rectangle', words: 'square, sawn' },
  { value: 'round', words: 'round' },
  { value: 'tube', words: 'tube' },
  { value: 'hollow', words: 'hollow' },
] as const
/** Wall of a tube or hollow profile that nobody measured, m. */
const USUAL_WALL = 0.003

const shape = computed({
  get: () => props.section.shape,
  set: (wanted: Section['shape']) => void props.save(reshaped(wanted)),
})

/** Another shape of about the same size. */
function reshaped(wanted: Section['shape']): Section {
  const { along, across } = sectionSize(props.section)
  const wall = 'wall' in props.section ? props.section.wall : USUAL_WALL
  switch (wanted) {
    case 'rectangle':
      return { shape: 'rectangle', along, across }
    case 'round':
      return { shape: 'round', diameter: along }
    case 'tube':
      return { shape: 'tube', diameter: along, wall }
    case 'hollow':
      return { shape: 'hollow', along, across, wall }
  }
}

const SIZES = {
  along: 'Along the line',
  across: 'Across the line',
  diameter: 'Diameter',
  wall: 'Wall',
} as const
const sizes = computed(() =>
  (Object.keys(SIZES) as (keyof typeof SIZES)[])
    .filter((key) => key in props.section)
    .map((key) => ({ key, label: SIZES[key], value: (props.section as unknown as Record<string, number>)[key] })),
)
const set = (key: string) => (value: number | null) => props.save({ ...props.section, [key]: value } as Section)
</script>

<template>
  <div class="section">
    <ChoiceBar v-model="shape" label="Section of the post" :choices="SHAPES" />
    <div class="field-grid">
      <LengthStepper
        v-for="size in sizes"
        :key="size.key"
        :label="size.label"
        :value="size.value"
        :step="size.key === 'wall' ? 0.0005 : 0.005"
        :smallest="0.0005"
        :save="set(size.key)"
      />
    </div>
  </div>
</template>

<style scoped>
.section {
  grid-column: 1 / -1;
}
</style>
