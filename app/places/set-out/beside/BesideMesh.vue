<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import { useSetOut } from '~/job/useSetOut'
import QuantityField from '~/controls/QuantityField.vue'
import MeasureFields from '../MeasureFields.vue'
import { meshAt } from '~~/core/plan/setOut/beside'
import { TAUT } from '~~/core/setout/meshSection'
import { usePreferencesStore } from '~/session/preferences'

/** A section of mesh to this post: post, rail, whole diamonds, ties, and whether it is taut. */
const view = useJobView()
const preferences = usePreferencesStore()
const { setIn } = useSetOut()
const given = computed(() => view.post.value?.mesh ?? {})
const found = computed(() => view.post.value && meshAt(view.post.value, view.line.value!))
const put = (change: object) => setIn('mesh', change)
/** As a spring balance shows 50 N. */
const pull = computed(() => preferences.measures.pull(50))
const MEASURES = computed(
  () =>
    [
      { key: 'opening', label: 'Between the two posts', start: 2.5, step: 0.01, large: true },
      { key: 'diamond', label: 'A diamond, wide', start: 0.05, step: 0.001 },
      {
        key: 'linePost',
        label: 'Line post over the ground',
        assumed: view.line.value?.height,
        step: 0.01,
        large: true,
      },
      { key: 'fitting', label: 'Rail’s end fitting asks more', assumed: 0 },
      { key: 'slabOver', label: 'Slab over the ground', assumed: 0, smallest: -1 },
      { key: 'cup', label: 'Rail cup off the post', assumed: 0 },
    ] as const,
)
</script>

<template>
  <div>
    <template v-if="found">
      <p class="figure">
        {{ preferences.parts(found.post).value
        }}<small>{{ preferences.parts(found.post).unit }} post above its slab</small>
      </p>
      <p>
        Rail {{ preferences.show(found.rail) }} between the cups. Mesh of {{ found.diamonds }} diamonds,
        {{ preferences.show(found.mesh) }}: hook it on one diamond in and stretch it
        {{ preferences.showSmall(found.stretch) }}. {{ found.ties }} ties along the rail.
      </p>
      <p>
        {{
          found.trussRod
            ? 'One side pulls alone: a truss rod from the foot of this post to the next one’s top.'
            : 'Mesh pulls on both sides: no truss rod.'
        }}
        Nuts to the inside, where nobody walks into them.
      </p>
      <p v-if="found.tension">
        {{
          found.tension === 'taut'
            ? 'It is taut.'
            : `It is slack: a pull of ${pull} at mid-bay moves it no more than ${preferences.showSmall(TAUT)}. Take up a diamond.`
        }}
      </p>
    </template>
    <p v-else>Measure the opening and one diamond.</p>
    <MeasureFields :measures="MEASURES" :given="given" :put="put" />
    <div class="field-grid">
      <QuantityField
        label="A tie at every so many diamonds"
        :value="given.every"
        :assumed="6"
        :save="(value) => put({ every: value })"
      />
      <v-checkbox
        label="mesh on one side only"
        :model-value="given.oneSided === true"
        @update:model-value="put({ oneSided: $event ? true : null })"
      />
    </div>
    <MeasureFields
      :measures="[{ key: 'moves', label: `${pull} at mid-bay move it`, start: 0.03 }]"
      :given="given"
      :put="put"
    />
  </div>
</template>
