<script setup lang="ts">
import { computed } from 'vue'
import StickBars from '~/controls/StickBars.vue'
import { KEPT_OFFCUT } from '~~/core/cost/cutting'
import { KERF } from '~~/core/setout/cutList'
import { useYard } from '~/yard/useYard'
import { useCost } from './useCost'

/** What the posts are cut from: each stick to scale, with what is left of it. */
const cost = useCost()
const { preferences } = cost
const { catalogue } = useYard()
/** As a rule is said: half a metre, or twenty inches. */
const keptFrom = computed(() => (preferences.units === 'metric' ? preferences.show(KEPT_OFFCUT) : '20 in'))
/** @example '100 × 100 posts' */
const nameOf = (stock: string) =>
  `${catalogue.value.find(({ stockOf }) => stockOf === stock)?.name.split(',')[0] ?? stock}s`
const kinds = computed(() =>
  Object.entries(cost.cutting.cuts.value).map(([stock, cutting]) => ({
    stock,
    name: nameOf(stock),
    cutting,
    fromYard: cost.bill.value.offcuts
      .filter(({ offcut }) => offcut.stockOf === stock)
      .reduce((sum, { count }) => sum + count, 0),
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
    <p v-if="kind.fromYard" class="soft">{{ kind.fromYard }} of them from the yard’s offcuts, at no price.</p>
    <StickBars :bars="kind.cutting.bars" :show="preferences.show" />
    <p class="soft">
      With {{ preferences.showSmall(KERF) }} for every cut. Offcuts of {{ keptFrom }} and more go back to the yard.
    </p>
  </section>
  <p v-if="cost.cutting.failure.value" class="error-text" role="alert">{{ cost.cutting.failure.value }}</p>
</template>
