<script setup lang="ts">
import { computed, ref, toRaw, watch, type Ref } from 'vue'
import type { LinePlan } from '~~/core/choose/wholeLine'
import { InputError } from '~~/core/errors'
import { POUND } from '~~/core/units/constants'
import FoldOut from '~/controls/FoldOut.vue'
import TargetChoice from '~/gust/TargetChoice.vue'
import ChoiceBar from '~/controls/ChoiceBar.vue'
import QuantityField from '~/controls/QuantityField.vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'
import LineAnswer from './LineAnswer.vue'
import { useLinePlan } from './useLinePlan'
import { useLineQuestion } from './useLineQuestion'

/** One method for each post of the line that waits for a repair, so that a sum is least under limits. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const question = useLineQuestion()
const { goal, ways, alike, withoutBreaker, keepsChosen, line, chosen, choice, posts, limits } = question

const GOALS = [
  { value: 'work', words: 'Least work' },
  { value: 'carried', words: 'Least to carry' },
  { value: 'breaks', words: 'Strongest' },
] as const
const WAYS = ['as many as it takes', 'one', 'two', 'three'].map((title, value) => ({ value, title }))
const inPounds = computed(() => preferences.units === 'feet-inches')

const { outcome, done, failure, start, cancel, forget } = useLinePlan()
const said = ref('')
// An answer goes with its question.
watch([goal, limits, choice], forget)
function work(): void {
  said.value = ''
  void start(toRaw(choice.value), goal.value, limits.value, view.tables.value.parts.rates.changeover)
}

/** Nothing typed is no limit. */
async function limit(of: Ref<number | undefined>, value: number | null): Promise<InputError | undefined> {
  if (value !== null && value <= 0) return new InputError('limit', value, 'more than 0, or empty for no limit')
  of.value = value ?? undefined
  return undefined
}

async function take({ ways: taken }: LinePlan): Promise<void> {
  const changed = taken.filter(({ post, method }) => chosen.value.get(post) !== method)
  const address = { name: 'chooseRepair' as const, line: line.value.id }
  const refused = await session.edit(changed.map(({ post, method }) => ({ ...address, post, value: method })))
  said.value = refused?.message ?? `Taken for ${changed.length} of them. Undo takes it back.`
}
</script>

<template>
  <div>
    <p v-if="posts.length === 0">No post of this line waits for a repair that could be chosen.</p>
    <template v-else>
      <p>
        {{ posts.length }} {{ posts.length === 1 ? 'post waits' : 'posts wait' }} for a repair: one way for each, so
        that this is best over the whole line.
      </p>
      <FoldOut title="What it has to hold"><TargetChoice /></FoldOut>
      <ChoiceBar v-model="goal" label="What shall be best" :choices="GOALS" />
      <div class="field-grid panel-section">
        <QuantityField
          label="Hours of work there are"
          :value="question.minutes.value"
          :per="60"
          :save="(value) => limit(question.minutes, value)"
        />
        <QuantityField
          :label="inPounds ? 'What can be brought, lb' : 'What can be brought, kg'"
          :value="question.carried.value"
          :per="inPounds ? POUND : 1"
          :save="(value) => limit(question.carried, value)"
        />
        <v-select v-model="ways" label="Ways of working" :items="WAYS" />
        <v-select v-model="alike" label="These shall look alike" :items="posts" multiple chips closable-chips />
      </div>
      <v-checkbox v-model="withoutBreaker" label="No breaker for old concrete" hide-details />
      <v-checkbox v-if="chosen.size > 0" v-model="keepsChosen" label="What is chosen stays" hide-details />
      <v-btn v-if="done === undefined" block variant="flat" color="primary" @click="work">Plan the line</v-btn>
      <div v-else class="row" role="status">
        <v-progress-linear :model-value="100 * done" :indeterminate="done === 0" aria-label="Planning the line" />
        <v-btn variant="text" @click="cancel">Stop here</v-btn>
      </div>
      <p v-if="failure" class="error-text" role="alert">{{ failure }}</p>
      <LineAnswer v-if="outcome" :outcome="outcome" @take="take" />
      <p role="status">{{ said }}</p>
    </template>
    <ul v-if="choice.left.length" class="panel-section" aria-label="Not planned">
      <li v-for="{ post, why } in choice.left" :key="post">
        <strong class="measure">{{ post }}</strong> is not planned. {{ why }}
      </li>
    </ul>
  </div>
</template>
