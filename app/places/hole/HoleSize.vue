<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import AssumedList from '~/job/AssumedList.vue'
import FoldOut from '~/controls/FoldOut.vue'
import HowLong from '~/survive/HowLong.vue'
import GustScale from '~/gust/GustScale.vue'
import ChoiceBar from '~/controls/ChoiceBar.vue'
import { depthReason } from '~~/core/plan/recommend'
import { usePreferencesStore } from '~/session/preferences'
import { depthRow } from '~/gust/gustRows'
import { measuredSentence, newPostSentence, soakedSentence } from '~/job/stateWords'
import { thresholdWords } from '~~/core/plan/thresholds'
import { useHole } from '~/job/useHole'
import ConcreteFigures from './ConcreteFigures.vue'
import HoleCurve from './HoleCurve.vue'
import HoleSheet from './HoleSheet.vue'
import HoleSteppers from './HoleSteppers.vue'
import PackedFigures from './PackedFigures.vue'
import PriceOfDepth from './PriceOfDepth.vue'
import TargetChoice from '~/gust/TargetChoice.vue'

/** Size and shape of the hole, with what each of its measures buys. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()

const method = computed(() => view.methodInHand.value!)
const hole = computed(() => method.value.hole!)
const { changed, put, set, reset } = useHole(session, view)
const takeDepth = (depth: number) => set('depth', depth)
const SHAPES = [
  { value: 'round', words: 'round' },
  { value: 'square', words: 'square' },
  { value: 'tapered', words: 'tapered' },
  { value: 'belled', words: 'belled' },
] as const
const shape = computed({ get: () => hole.value.shape, set: (wanted) => void set('shape', wanted) })
const target = computed(() => view.target.value)
const rules = computed(() => view.postPlan.value!.depthRules)
const rows = computed(() => rules.value.map((rule) => depthRow(rule, preferences.units)))
const reason = computed(() => depthReason(hole.value, rules.value, preferences.units))
const holds = computed(() => thresholdWords(method.value, preferences.measures.gust))
const soaked = computed(() => view.detail.value?.soaked)
const measured = computed(() => measuredSentence(view.postPlan.value!))
const post = computed(() => newPostSentence(method.value, preferences.show))
const cautions = computed(() => method.value.concrete?.warnings ?? [])
</script>

<template>
  <div>
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
    <p class="holds" :class="{ under: !method.holdsTarget }">
      It {{ holds }}{{ method.holdsTarget ? '.' : ': under the target.' }}
    </p>
    <p v-if="soaked">{{ soakedSentence(soaked, preferences.measures.gust) }}</p>
    <p v-if="measured" class="soft">{{ measured }}</p>
    <p>{{ reason }}</p>
    <PriceOfDepth :take="takeDepth" />
    <ConcreteFigures v-if="method.concrete" :concrete="method.concrete" />
    <PackedFigures v-if="method.packed" :packed="method.packed" />
    <p v-if="post">{{ post }}</p>
    <p v-for="caution in cautions" :key="caution" class="caution">{{ caution }}</p>
    <h3>What it has to hold</h3>
    <TargetChoice />
    <div class="panel-section">
      <ChoiceBar v-model="shape" label="Shape of the hole" :choices="SHAPES" />
      <HoleSteppers />
      <v-btn v-if="changed" class="reset" @click="reset">Back to the recommended hole</v-btn>
    </div>
    <h3>Depth by width</h3>
    <HoleCurve :width="hole.diameter" :take="put" />
    <FoldOut title="How long it stands with this hole" class="panel-section"><HowLong only /></FoldOut>
    <AssumedList />
    <HoleSheet class="panel-section" />
    <FoldOut title="Every school of depth, to the foot of the concrete" class="panel-section">
      <GustScale
        :rows="rows"
        :target="target.gust"
        :gust50="target.gust50"
        label="Every depth rule on the scale of gusts"
      />
    </FoldOut>
    <v-btn class="onward" block variant="flat" color="primary" @click="view.goTo('record', 'work')">To the sheet</v-btn>
  </div>
</template>

<style scoped>
.holds {
  font-weight: 600;
}
.under {
  color: var(--error);
}
h3 {
  margin-top: 10px;
}
.reset {
  margin-top: 12px;
}
.onward {
  margin: 12px 0 20px;
}
</style>
