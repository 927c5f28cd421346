<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import ChoiceBar from '~/controls/ChoiceBar.vue'
import FoldOut from '~/controls/FoldOut.vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import QuantityField from '~/controls/QuantityField.vue'
import { InputError } from '~~/core/errors'
import { canSplice, mendingOf, type Cladding } from '~~/core/cost/cladding'

/** Rotten rail ends and boards, counted: they are no cause, but they are work and timber. */
const session = useJobSession()
const view = useJobView()
const found = computed<Cladding>(() => view.post.value?.cladding ?? {})
function put(change: { [K in keyof Cladding]?: Cladding[K] | null }) {
  const next = Object.fromEntries(
    Object.entries({ ...found.value, ...change }).filter(([, value]) => value !== null && value !== undefined),
  )
  const value = Object.keys(next).length > 0 ? next : null
  return session.edit([{ name: 'setPost', ...view.address.value, key: 'cladding', value }])
}
const count = (key: 'railEnds' | 'salvaged' | 'broken', most: number) => async (value: number | null) =>
  value !== null && (!Number.isInteger(value) || value < 0 || value > most)
    ? new InputError(key, value, `a whole number from 0 to ${most}`)
    : put({ [key]: value || null })
const WAYS = [
  { value: 'splice', words: 'splice them' },
  { value: 'new', words: 'new rails' },
] as const
const mending = computed(() => mendingOf(found.value))
const title = computed(() => {
  const { railEnds = 0, salvaged = 0, broken = 0 } = found.value
  const said = [
    ...(railEnds ? [`${railEnds} ${railEnds === 1 ? 'rail end' : 'rail ends'}`] : []),
    ...(salvaged + broken ? [`${salvaged + broken} boards`] : []),
  ]
  return said.length > 0 ? `Rails and boards here: ${said.join(', ')}` : 'Rails and boards here'
})
</script>

<template>
  <FoldOut :title="title">
    <div class="counts">
      <QuantityField label="Rail ends rotten or torn" :value="found.railEnds" :save="count('railEnds', 12)" />
      <QuantityField label="Boards that serve again" :value="found.salvaged" :save="count('salvaged', 200)" />
      <QuantityField label="Boards that are broken" :value="found.broken" :save="count('broken', 200)" />
    </div>
    <template v-if="found.railEnds">
      <LengthStepper
        label="Torn off one end"
        :value="found.torn"
        :step="0.05"
        :smallest="0"
        :save="(torn: number | null) => put({ torn })"
      />
      <ChoiceBar
        v-if="canSplice(found)"
        label="What is done with them"
        :choices="WAYS"
        :model-value="mending"
        @update:model-value="put({ mend: $event })"
      />
      <p v-else class="says">So much is torn off that a splice has nothing to hold on to: new rails.</p>
    </template>
  </FoldOut>
</template>

<style scoped>
.counts {
  display: grid;
  gap: 10px;
}
</style>
