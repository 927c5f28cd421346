<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import { useSetOut } from '~/job/useSetOut'
import MeasureFields from '../MeasureFields.vue'
import { boxAt } from '~~/core/plan/setOut/beside'
import { row } from '~~/core/tables/tables'
import { usePreferencesStore } from '~/session/preferences'

/** A box by the road: from the kerb to the hole, and up to its plate, by what whoever delivers asks for. */
const view = useJobView()
const preferences = usePreferencesStore()
const { setIn } = useSetOut()
const given = computed(() => view.post.value?.roadside ?? {})
const found = computed(() => view.post.value && boxAt(view.post.value))
const put = (change: object) => setIn('roadside', change)
/** Of the local rules in force; of the first where none were chosen. */
const localRules = computed(() => view.tables.value.localRules)
const rule = computed(() => {
  const { rules } = view.site.value ?? {}
  return (rules === undefined ? localRules.value[0]! : row(localRules.value, rules)).roadside
})
const band = ([least, most]: readonly [number, number]) => `${preferences.show(least)} to ${preferences.show(most)}`
const wrong = computed(() => {
  const outside = (value: number | undefined, [least, most]: readonly [number, number]) =>
    value !== undefined && (value < least - 1e-6 || value > most + 1e-6)
  const { slot, setBack } = given.value
  return [
    ...(outside(slot, rule.value.slot) ? [`The slot is asked ${band(rule.value.slot)} over the road.`] : []),
    ...(outside(setBack, rule.value.setBack) ? [`The face is asked ${band(rule.value.setBack)} from the kerb.`] : []),
  ]
})
const MEASURES = [
  { key: 'setBack', label: 'Kerb to the face of the box', start: 0.175 },
  { key: 'faceToPost', label: 'Face to the middle of its post', start: 0.2 },
  { key: 'slot', label: 'Slot over the road', start: 1.1 },
  { key: 'slotAbovePlate', label: 'Slot over its plate', start: 0.1 },
  { key: 'higher', label: 'Ground here over the road', assumed: 0, smallest: -3 },
] as const
</script>

<template>
  <div>
    <template v-if="found">
      <p class="figure">
        {{ preferences.parts(found.centre).value
        }}<small>{{ preferences.parts(found.centre).unit }} kerb to hole</small>
      </p>
      <p class="figure">
        {{ preferences.parts(found.postAboveGround).value
        }}<small>{{ preferences.parts(found.postAboveGround).unit }} of post over the ground</small>
      </p>
    </template>
    <p v-else>Measure the box and the kerb: the hole and the post follow.</p>
    <p v-for="each in wrong" :key="each" class="caution">{{ each }}</p>
    <MeasureFields :measures="MEASURES" :given="given" :put="put" />
    <p class="soft">By the road: be seen, and have somebody watch the traffic. Ask whoever delivers before you dig.</p>
  </div>
</template>
