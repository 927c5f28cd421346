<script setup lang="ts">
import { computed } from 'vue'
import StickBars from '~/controls/StickBars.vue'
import { KERF } from '~~/core/setout/cutList'
import { useCost } from './useCost'

/** What the posts are cut from: each stick to scale, with what is left of it. */
const cost = useCost()
const { preferences } = cost
const kinds = computed(() =>
  Object.entries(cost.cutting.cuts.value).map(([stock, cutting]) => ({
    stock,
    name: stock.replace(/^post\/post-(\d+)$/, '$1 × $1 posts'),
    cutting,
    proof: cutting.exact
      ? 'no cheaper cutting is to be had'
      : `within ${Math.max(1, Math.ceil(cutting.gap * 100))} in 100 of what no cutting can be cheaper than`,
  })),
)
</script>

<template>
  <section
    class="panel-section"
    v-for="kind in kinds"
    :key="kind.stock"
    :aria-label="`What the ${kind.name} are cut from`"
  >
    <h3>{{ kind.name }}: {{ cost.words(kind.cutting.price) }}, {{ kind.proof }}</h3>
    <StickBars :bars="kind.cutting.bars" :show="preferences.show" />
    <p class="soft">
      With {{ preferences.showSmall(KERF) }} for every cut. Offcuts of {{ preferences.show(0.5) }} and more go back to
      the yard.
    </p>
  </section>
  <p v-if="cost.cutting.failure.value" class="error-text" role="alert">{{ cost.cutting.failure.value }}</p>
</template>
