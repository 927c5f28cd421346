<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import type { ConcretePlan } from '~~/core/plan/types'
import { orderFigure } from '~~/core/items/items'
import { row } from '~~/core/tables/tables'
import { usePreferencesStore } from '~/session/preferences'
import { waterWords } from './waterWords'

/** Bags, water, litres and spoil of a hole that is filled with concrete. */
const { concrete } = defineProps<{ concrete: ConcretePlan }>()
const view = useJobView()
const preferences = usePreferencesStore()
const measures = computed(() => preferences.measures)
const tables = computed(() => view.tables.value)
const mix = computed(() => row(tables.value.mixes, concrete.mix))
const filling = computed(() => row(tables.value.fillings, concrete.filling))
const strength = computed(() => measures.value.strength(concrete.bags.strength))
const order = computed(() => orderFigure(mix.value, concrete.bags, concrete.concrete, measures.value))
const water = computed(() => waterWords(mix.value, filling.value, concrete.bags, concrete.fill, measures.value))
</script>

<template>
  <div class="panel-section figures">
    <p class="figure">
      {{ order.value }}<small>{{ order.unit }}</small>
    </p>
    <p v-if="concrete.bags.water" class="figure">
      {{ measures.volumeParts(concrete.bags.water).value
      }}<small>{{ measures.volumeParts(concrete.bags.water).unit }} water</small>
    </p>
  </div>
  <p>
    <template v-if="concrete.holes">{{ concrete.holes }} holes alike: </template
    >{{ measures.volume(concrete.concrete) }} of concrete with {{ Math.round(concrete.overdig * 100) }} %
    over-dig<template v-if="concrete.overdigFrom"> ({{ concrete.overdigFrom }})</template
    ><template v-if="mix.supply === 'bag'"
      >, {{ concrete.bags.exactCount.toFixed(2) }} bags<template v-if="concrete.bagsFrom">
        by what nine in ten took, {{ concrete.bagsFrom }}</template
      ></template
    >.
    {{ water }}
    <template v-if="concrete.bags.short"
      >Short of it by {{ measures.volume(concrete.bags.short) }}, a hair: dig true, or let the fill end a finger
      lower.</template
    >
  </p>
  <p class="soft">
    {{ strength }} at 28 days.
    <template v-if="concrete.spoil">{{ measures.volume(concrete.spoil) }} of loose spoil. </template>
    <template v-if="concrete.oldConcrete"
      >Old concrete out: {{ measures.mass(concrete.oldConcrete.mass) }}, {{ concrete.oldConcrete.lifts }}
      {{ concrete.oldConcrete.lifts === 1 ? 'lift' : 'lifts' }}.</template
    >
  </p>
</template>
