<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import { useSetOut } from '~/job/useSetOut'
import MeasureFields from '../MeasureFields.vue'
import PavingDrawing from './PavingDrawing.vue'
import { pavingAt, USUAL_PAVING } from '~~/core/plan/setOut/beside'
import { usePreferencesStore } from '~/session/preferences'

/** Paving that the post comes up through: which units are lifted, and what is cut out of each. */
const view = useJobView()
const preferences = usePreferencesStore()
const { setIn } = useSetOut()
const given = computed(() => view.post.value?.paving ?? {})
const found = computed(() => view.post.value && pavingAt(view.post.value))
const put = (change: object) => setIn('paving', change)
const cuts = computed(() => {
  const { units = [], paving } = found.value ?? {}
  return units.map(({ cut, shape, goes, bothFaces }, i) => {
    const [wide, deep] = [cut.x[1] - cut.x[0], cut.y[1] - cut.y[0]].map(preferences.showSmall)
    const what = shape === 'arc' ? `an arc within ${wide} × ${deep}` : `${wide} × ${deep}`
    const from = `${preferences.showSmall(cut.x[0])} from its left, ${preferences.showSmall(cut.y[0])} from its near edge`
    const passes = bothFaces ? ' From both faces.' : ''
    return { key: i, name: `Unit ${i + 1}`, says: goes || !paving ? 'goes' : `cut out ${what}, ${from}.${passes}` }
  })
})
const MEASURES = computed(
  () =>
    [
      { key: 'along', label: 'A unit along the line', start: 0.4 },
      { key: 'across', label: 'A unit across it', assumed: given.value.along },
      { key: 'joint', label: 'Joint', assumed: USUAL_PAVING.joint, step: 0.001 },
      { key: 'thickness', label: 'Thick', assumed: USUAL_PAVING.thickness },
      { key: 'x', label: 'Post’s middle from a unit’s left', assumed: found.value?.standing.x },
      { key: 'y', label: 'and from its near edge', assumed: found.value?.standing.y },
      { key: 'free', label: 'Left free round the post', assumed: USUAL_PAVING.free },
      { key: 'bladeDepth', label: 'The saw cuts deep', assumed: USUAL_PAVING.bladeDepth },
    ] as const,
)
</script>

<template>
  <div>
    <template v-if="found">
      <PavingDrawing :of="found" />
      <p>
        <strong>Lift {{ found.units.length }} {{ found.units.length === 1 ? 'unit' : 'units' }}.</strong> Number them
        with chalk, and mark each cut on its face.
      </p>
      <p v-for="each in cuts" :key="each.key">
        <strong>{{ each.name }}</strong> {{ each.says }}
      </p>
      <p class="caution">Cut wet, with a mask: the dust of stone and concrete goes for the lungs.</p>
    </template>
    <p v-else>Measure one unit: the cuts follow.</p>
    <MeasureFields :measures="MEASURES" :given="given" :put="put" />
  </div>
</template>
