<script setup lang="ts" generic="K extends string">
import LengthStepper from '~/controls/LengthStepper.vue'
import type { InputError } from '~~/core/errors'

/** Measures of one thing, each typed or stepped; what nobody measured stands for its usual value. */
defineProps<{
  measures: readonly {
    key: K
    label: string
    assumed?: number
    step?: number
    start?: number
    smallest?: number
    large?: boolean
  }[]
  given: { readonly [M in K]?: number | undefined }
  put: (change: { [M in K]?: number | null }) => Promise<InputError | undefined>
}>()
const one = (key: K, value: number | null) => ({ [key]: value }) as { [M in K]?: number | null }
</script>

<template>
  <div class="field-grid">
    <LengthStepper
      v-for="each in measures"
      :key="each.key"
      :label="each.label"
      :small="!each.large"
      :value="given[each.key]"
      :assumed="each.assumed"
      :start="each.start"
      :step="each.step ?? 0.005"
      :smallest="each.smallest ?? 0"
      clearable
      :save="(value) => put(one(each.key, value))"
    />
  </div>
</template>
