<script setup lang="ts">
import LengthStepper from '~/controls/LengthStepper.vue'
import type { InputError } from '~~/core/errors'
import type { Post } from '~~/core/document/job'

/** Old holes in the slab, each by its place from the wanted middle of the post. */
type Old = NonNullable<NonNullable<Post['plate']>['old']>
const props = defineProps<{ holes: Old; save: (holes: Old | null) => Promise<InputError | undefined> }>()
const change = (i: number, hole: Partial<Old[number]>) =>
  props.save(props.holes.with(i, { ...props.holes[i]!, ...hole }))
const take = (i: number) => {
  const left = props.holes.toSpliced(i, 1)
  return props.save(left.length > 0 ? left : null)
}
const add = () => props.save([...props.holes, { at: [0.04, 0.04], diameter: 0.01, sound: true }])
</script>

<template>
  <section aria-labelledby="old-holes">
    <h3 id="old-holes">Old holes</h3>
    <div v-for="(hole, i) in holes" :key="i" class="hole" role="group" :aria-label="`Old hole ${i + 1}`">
      <div class="field-grid">
        <LengthStepper
          :label="`Hole ${i + 1}, to the right`"
          small
          :value="hole.at[0]"
          :step="0.001"
          :save="(value) => change(i, { at: [value ?? 0, hole.at[1]] })"
        />
        <LengthStepper
          :label="`Hole ${i + 1}, away`"
          small
          :value="hole.at[1]"
          :step="0.001"
          :save="(value) => change(i, { at: [hole.at[0], value ?? 0] })"
        />
        <LengthStepper
          :label="`Hole ${i + 1}, wide`"
          small
          :value="hole.diameter"
          :step="0.001"
          :smallest="0.002"
          :save="(value) => change(i, { diameter: value ?? 0.01 })"
        />
      </div>
      <v-checkbox
        label="sound: its anchor held"
        :model-value="hole.sound !== false"
        @update:model-value="change(i, { sound: $event === true })"
      />
      <v-btn variant="text" @click="take(i)">Take hole {{ i + 1 }} away</v-btn>
    </div>
    <v-btn @click="add">Add an old hole</v-btn>
  </section>
</template>

<style scoped>
.hole {
  border-bottom: 1.5px solid var(--rule);
  padding-bottom: 4px;
  margin-bottom: 6px;
}
</style>
