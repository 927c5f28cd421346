<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { useTemplateRef } from 'vue'
import CutSticks from './CutSticks.vue'
import MassBeams from './MassBeams.vue'
import YearLines from './YearLines.vue'
import { useCost } from './useCost'

/** Mass against payload, sticks with their cuts, and what the ways to mend this post cost over the years. */
const cost = useCost()
const frame = useTemplateRef<HTMLElement>('frame')
const { width } = useElementSize(frame)
</script>

<template>
  <div ref="frame" class="load-drawing" role="region" aria-label="Vans, sticks and years, drawn" tabindex="0">
    <template v-if="width > 0">
      <MassBeams v-if="cost.loading.value.cargo.length" :width="width - 32" />
      <CutSticks />
      <YearLines v-if="cost.options.value.length" :width="width - 32" />
      <p v-if="!cost.loading.value.cargo.length && !cost.options.value.length" class="nothing">
        Choose a repair for a post first.
      </p>
    </template>
  </div>
</template>

<style scoped>
.load-drawing {
  overflow: auto;
  min-height: 0;
  padding: 12px 16px 20px;
}
.nothing {
  margin: 22% 14%;
  font-size: 18px;
  text-align: center;
}
</style>
