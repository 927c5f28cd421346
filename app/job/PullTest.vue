<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import FoldOut from '~/controls/FoldOut.vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import QuantityField from '~/controls/QuantityField.vue'
import type { InputError } from '~~/core/errors'
import type { Post } from '~~/core/document/job'
import { MOST_MOVEMENT } from '~~/core/ground/pullTest'
import { pullAdvice } from '~~/core/plan/line/measured'
import { GRAVITY, POUND_FORCE } from '~~/core/units/constants'
import { usePreferencesStore } from '~/session/preferences'
import { measuredSentence } from './stateWords'

/** A spring balance on a rope: a known pull, and how far the post moved. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
type Pull = NonNullable<Post['pulls']>[number]

const pulls = computed(() => view.post.value!.pulls ?? [])
const advice = computed(() =>
  session.job && view.postId.value ? pullAdvice(session.job, view.tables.value, view.postId.value) : undefined,
)
const says = computed(() => measuredSentence(view.postPlan.value!))
const unit = computed(() => (preferences.units === 'metric' ? 'kg' : 'lb'))
const perUnit = computed(() => (preferences.units === 'metric' ? GRAVITY : POUND_FORCE))

/** Rope and rule at the height of a chest, m. */
const CHEST = 1.2
const next = reactive<Partial<Pull>>({ height: CHEST, at: CHEST })
const refused = ref('')
const keep =
  (key: keyof Pull) =>
  (value: number | null): Promise<InputError | undefined> => {
    Object.assign(next, { [key]: value ?? undefined })
    return Promise.resolve(undefined)
  }
const isWhole = computed(() => next.force !== undefined && next.movement !== undefined)
const put = (value: Pull[]) =>
  session.edit([{ name: 'setPost', ...view.address.value, key: 'pulls', value: value.length > 0 ? value : null }])
async function add(): Promise<void> {
  const given = Object.fromEntries(Object.entries(next).filter(([, value]) => value !== undefined)) as unknown as Pull
  const wrong = await put([...pulls.value, given])
  refused.value = wrong ? wrong.message : ''
  if (wrong) return
  Object.assign(next, { force: undefined, movement: undefined, residual: undefined })
}
const words = ({ force, height, movement, at }: Pull) =>
  `${preferences.measures.pull(force)} at ${preferences.show(height)}: moved ${preferences.measures.small(movement)} at ${preferences.show(at)}`
</script>

<template>
  <FoldOut title="Pull it, and read how far it moves">
    <p v-if="advice?.because" class="caution">{{ advice.because }}</p>
    <template v-else>
      <p v-if="advice?.most">
        Rails and panels loose on both sides. Pull square to the line, up to
        <strong>{{ preferences.measures.pull(advice.most) }}</strong> at {{ preferences.show(CHEST) }}, and stop at
        {{ preferences.measures.small(MOST_MOVEMENT) }}. Two or three pulls are better than one.
      </p>
      <p class="caution">Stand aside: a rope that lets go swings.</p>
      <div class="field-grid">
        <QuantityField :label="`The balance shows, ${unit}`" :value="next.force" :per="perUnit" :save="keep('force')" />
        <LengthStepper
          label="Rope over the ground"
          :value="next.height"
          :step="0.1"
          :smallest="0.1"
          :save="keep('height')"
        />
        <LengthStepper
          label="It moved"
          :value="next.movement"
          :step="0.001"
          :start="0.003"
          :smallest="0"
          :save="keep('movement')"
        />
        <LengthStepper label="Read over the ground" :value="next.at" :step="0.1" :smallest="0" :save="keep('at')" />
        <LengthStepper
          label="Stays when let go"
          :value="next.residual"
          :step="0.001"
          :start="0"
          :smallest="0"
          clearable
          :save="keep('residual')"
        />
        <div>
          <v-checkbox v-model="next.held" label="held a whole minute" />
          <v-checkbox v-model="next.saturated" label="the ground is wet" />
        </div>
      </div>
      <p v-if="refused" class="error-text" role="alert">{{ refused }}</p>
      <v-btn :disabled="!isWhole" @click="add">Keep this pull</v-btn>
    </template>
    <ul v-if="pulls.length" class="pulls">
      <li v-for="(pull, i) in pulls" :key="i">
        {{ words(pull) }}
        <v-btn variant="text" :aria-label="`Take pull ${i + 1} away`" @click="put(pulls.toSpliced(i, 1))"
          >Take away</v-btn
        >
      </li>
    </ul>
    <p v-if="says" role="status" class="says">{{ says }}</p>
    <p class="soft">It measures how stiff the ground is; strength goes by that. Wet months lower it.</p>
  </FoldOut>
</template>

<style scoped>
.pulls {
  list-style: none;
  padding: 0;
  margin: 8px 0;
}
.pulls li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  border-bottom: 1px solid var(--rule);
}
.says {
  font-weight: 600;
  margin: 8px 0;
}
</style>
