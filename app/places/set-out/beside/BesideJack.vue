<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import { useSetOut } from '~/job/useSetOut'
import MeasureFields from '../MeasureFields.vue'
import { jackAt } from '~~/core/plan/setOut/beside'
import { USUAL_SHIM } from '~~/core/setout/jack'
import { usePreferencesStore } from '~/session/preferences'

/** A beam lifted off its post: how far, on what, and where its middle goes. */
const view = useJobView()
const preferences = usePreferencesStore()
const { setIn } = useSetOut()
const given = computed(() => view.post.value?.jack ?? {})
const depth = computed(() => view.methodInHand.value?.hole?.depth ?? 0)
const found = computed(() => view.post.value && jackAt(view.post.value, depth.value, view.tables.value))
const put = (change: object) => setIn('jack', change)
const MEASURES = [
  { key: 'settled', label: 'The beam has come down by', assumed: 0 },
  { key: 'bedding', label: 'Mortar bed under the post', assumed: 0.01 },
  { key: 'shim', label: 'Shim over it', assumed: USUAL_SHIM, step: 0.001 },
  { key: 'stroke', label: 'The jack’s stroke', start: 0.1 },
] as const
</script>

<template>
  <div>
    <p class="caution">
      What people stand on or under is for a licensed builder or engineer: these figures are what they are asked about.
    </p>
    <template v-if="found">
      <p class="figure">
        {{ preferences.showSmall(found.lift).split(' mm')[0]
        }}<small>{{ preferences.units === 'metric' ? 'mm' : '' }} lift in all</small>
      </p>
      <p>
        {{ preferences.showSmall(found.overLift) }} of it over where the beam belongs, so that the post goes in.
        {{ preferences.measures.pull(found.load) }} rests on it: spread the prop’s foot over
        {{ preferences.show(found.side) }} square at least.
      </p>
      <p>
        Props {{ preferences.show(found.propsAway) }} from the edge of the dig at least, upright: over 5° they slip.
        Never a jack alone, never anybody under it.
      </p>
      <p v-if="found.strokeDoes === false" class="caution">
        The jack’s stroke is too short: block it up, or another jack.
      </p>
    </template>
    <p v-else>What rests on this post is said in Walk: its share of the floor or roof.</p>
    <p>
      Its middle: a plumb line from the beam, marked on two laths across the hole before the old post goes, gives it
      back.
    </p>
    <MeasureFields :measures="MEASURES" :given="given" :put="put" />
  </div>
</template>
