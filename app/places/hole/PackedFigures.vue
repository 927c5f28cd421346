<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import type { PackedPlan } from '~~/core/plan/types'
import { row } from '~~/core/tables/tables'
import { usePreferencesStore } from '~/session/preferences'

/** Layers and loads of a hole that is filled with stone or soil. */
const { packed } = defineProps<{ packed: PackedPlan }>()
const view = useJobView()
const preferences = usePreferencesStore()
const measures = computed(() => preferences.measures)
const filling = computed(() => row(view.tables.value.fillings, packed.filling))
const isStone = computed(() => packed.filling === 'stone')
</script>

<template>
  <div class="panel-section figures">
    <p class="figure">
      {{ packed.fill.layers }}<small>layers of {{ measures.small(packed.fill.layerThickness!) }}, each tamped</small>
    </p>
    <p v-if="isStone" class="figure">{{ measures.mass(packed.fill.mass!) }}<small>of stone</small></p>
  </div>
  <p>
    {{ measures.volume(packed.volume) }} of {{ filling.name.toLowerCase() }} as it lies, with
    {{ Math.round(packed.overdig * 100) }} % over-dig<template v-if="packed.overdigFrom">
      ({{ packed.overdigFrom }})</template
    >. {{ filling.how }}
  </p>
  <p class="soft">
    {{ measures.volume(packed.spoil) }} of {{ isStone ? 'loose spoil' : 'soil left over' }}.
    <template v-if="packed.oldConcrete"
      >Old concrete out: {{ measures.mass(packed.oldConcrete.mass) }}, {{ packed.oldConcrete.lifts }}
      {{ packed.oldConcrete.lifts === 1 ? 'lift' : 'lifts' }}.</template
    >
  </p>
</template>
