<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import FoldOut from '~/controls/FoldOut.vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import type { InputError } from '~~/core/errors'
import type { Post } from '~~/core/document/job'
import { bankedSoil } from '~~/core/ground/bankedSoil'
import { row } from '~~/core/tables/tables'
import { postEdit, type PostValue } from '~~/core/edit/keyed'

/** What a single post carries, and what leans on a post day and night. */
const session = useJobSession()
const view = useJobView()
const post = computed(() => view.post.value!)
const set = <K extends 'box' | 'steadyLoad'>(key: K, value: PostValue<K>): Promise<InputError | undefined> =>
  session.edit([postEdit(view.address.value, key, value)])

const setBox = (change: Partial<NonNullable<Post['box']>>) => set('box', { ...post.value.box!, ...change })
const bank = computed(() => post.value.steadyLoad?.height)
function setBank(height: number | null): Promise<InputError | undefined> {
  const load = height ? bankedSoil(height, row(view.tables.value.soils, post.value.soil)) : null
  return set('steadyLoad', load)
}
</script>

<template>
  <div v-if="post.box" class="panel-section">
    <h3>What it carries</h3>
    <div class="field-grid">
      <LengthStepper
        data-fact="box"
        label="Width of the box or sign"
        :value="post.box.width"
        :step="0.05"
        :smallest="0.05"
        :save="(value) => setBox({ width: value ?? post.box!.width })"
      />
      <LengthStepper
        label="Height of the box or sign"
        :value="post.box.height"
        :step="0.05"
        :smallest="0.05"
        :save="(value) => setBox({ height: value ?? post.box!.height })"
      />
    </div>
  </div>
  <FoldOut v-else title="Soil banked against it" class="panel-section">
    <LengthStepper
      label="Height of the bank"
      :value="bank"
      :step="0.1"
      :start="0.3"
      :smallest="0"
      clearable
      :save="setBank"
    />
    <p class="soft">Take it away before anything else: it pushes day and night.</p>
  </FoldOut>
</template>
