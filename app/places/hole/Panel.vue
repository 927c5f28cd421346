<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import AssumedList from '~/job/AssumedList.vue'
import GustScale from '~/gust/GustScale.vue'
import ChoiceBar from '~/controls/ChoiceBar.vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import type { InputError } from '~~/core/errors'
import { takesFilling } from '~~/core/concrete/bags'
import { depthReason } from '~~/core/plan/recommend'
import { usePreferencesStore } from '~/session/preferences'
import { depthRow } from '~/gust/gustRows'
import { newPostSentence, stateSentence } from '~/job/stateWords'
import ConcreteFigures from './ConcreteFigures.vue'
import PackedFigures from './PackedFigures.vue'
import { useHole } from './useHole'

/** Depth, width, bags and water of the hole of the chosen repair. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()

const method = view.methodInHand
const hole = computed(() => method.value?.hole)
const concrete = computed(() => method.value?.concrete)
const packed = computed(() => method.value?.packed)
const { changed, set, reset } = useHole(session, view)
const SHAPES = [
  { value: 'round', words: 'round' },
  { value: 'square', words: 'square' },
] as const
const shape = computed({ get: () => hole.value!.shape, set: (wanted) => void set('shape', wanted) })
const target = computed(() => view.plan.value!.target)
const rules = computed(() => view.postPlan.value!.depthRules)
const rows = computed(() => rules.value.map((rule) => depthRow(rule, preferences.units)))
const reason = computed(() => hole.value && depthReason(hole.value, rules.value, preferences.units))

function setRepair(key: 'mix' | 'filling', value: string): Promise<InputError | undefined> {
  return session.edit([{ name: 'setRepair', ...view.address.value, key, value }])
}
const tables = computed(() => view.tables.value)
const mixItems = computed(() => tables.value.mixes.map(({ key, name }) => ({ value: key, title: name })))
const mix = computed(() => tables.value.mixes.find((each) => each.key === concrete.value?.mix))
const fillingItems = computed(() =>
  tables.value.fillings
    .filter((each) => !mix.value || takesFilling(mix.value, each))
    .map((each) => ({ value: each.key, title: each.name })),
)
const filling = computed(() => tables.value.fillings.find((each) => each.key === concrete.value?.filling))
const post = computed(() => newPostSentence(method.value!, preferences.show))
</script>

<template>
  <section aria-labelledby="hole-title">
    <h2 id="hole-title" class="visually-hidden">{{ view.post.value?.id }}: the hole</h2>
    <div v-if="!method || !hole || !(concrete || packed)" class="panel-section">
      <p>
        {{ method ? `${method.name} needs no hole.` : stateSentence(view.postPlan.value!) || 'No repair is chosen.' }}
      </p>
      <v-btn variant="flat" color="primary" @click="view.goTo('repair')">Choose the repair</v-btn>
    </div>
    <template v-else>
      <p class="soft">{{ method.name }}</p>
      <div class="figures">
        <p class="figure">
          {{ preferences.parts(hole.depth).value }}<small>{{ preferences.parts(hole.depth).unit }} deep</small>
        </p>
        <p class="figure">
          {{ preferences.parts(hole.diameter).value
          }}<small>{{ preferences.parts(hole.diameter).unit }} {{ hole.shape === 'square' ? 'square' : 'wide' }}</small>
        </p>
      </div>
      <p>{{ reason }}</p>
      <ConcreteFigures v-if="concrete" :concrete="concrete" />
      <PackedFigures v-if="packed" :packed="packed" />
      <p v-if="post">{{ post }}</p>
      <p v-for="caution in concrete?.warnings" :key="caution" class="caution">
        {{ caution }}
      </p>
      <div class="panel-section field-grid">
        <ChoiceBar v-model="shape" label="Shape of the hole" :choices="SHAPES" />
        <LengthStepper
          label="Depth"
          :value="hole.depth"
          :step="0.05"
          :smallest="0.2"
          :save="(value) => set('depth', value)"
        />
        <LengthStepper
          label="Width"
          :value="hole.diameter"
          :step="0.025"
          :smallest="0.1"
          :save="(value) => set('diameter', value)"
        />
        <LengthStepper
          label="Stone bed"
          :value="hole.stoneBed"
          :step="0.025"
          :smallest="0"
          :save="(value) => set('stoneBed', value)"
        />
        <LengthStepper
          label="Fill ends below ground"
          :value="hole.fillTop"
          :step="0.025"
          :save="(value) => set('fillTop', value)"
        />
        <v-select
          v-if="concrete"
          label="Mix"
          :items="mixItems"
          :model-value="concrete.mix"
          @update:model-value="setRepair('mix', $event)"
        />
        <v-select
          v-if="concrete"
          label="Filling"
          :items="fillingItems"
          :model-value="concrete.filling"
          @update:model-value="setRepair('filling', $event)"
        />
      </div>
      <p v-if="filling">{{ filling.how }}</p>
      <p v-if="filling" class="caution">{{ filling.risk }}</p>
      <v-btn v-if="changed" class="reset" @click="reset">Back to the recommended hole</v-btn>
      <AssumedList />
      <div class="panel-section">
        <h3>Every school of depth, to the foot of the concrete</h3>
        <GustScale
          :rows="rows"
          :target="target.gust"
          :gust50="target.gust50"
          label="Every depth rule on the scale of gusts"
        />
      </div>
      <v-btn class="onward" block variant="flat" color="primary" @click="view.goTo('sheet')">To the sheet</v-btn>
    </template>
  </section>
</template>

<style scoped>
.figures,
:deep(.figures) {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 34px;
  padding-bottom: 8px;
}
.reset {
  margin-top: 12px;
}
.onward {
  margin: 12px 0 20px;
}
@media (max-width: 760px) {
  .figures .figure,
  :deep(.figures .figure) {
    font-size: 36px;
  }
  .figures .figure small,
  :deep(.figures .figure small) {
    font-size: 15px;
    margin-left: 4px;
  }
  .figures {
    gap: 8px 20px;
  }
}
</style>
