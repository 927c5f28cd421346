<script setup lang="ts">
import { computed } from 'vue'
import AnswerTiles from '~/controls/AnswerTiles.vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import QuantityField from '~/controls/QuantityField.vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'
import { pictures } from '~/sync/device'
import { DIGGING_TOOLS, type DiggingTool } from '~~/core/concrete/overdig'
import type { AsBuilt } from '~~/core/document/job'
import { GALLON } from '~~/core/units/constants'
import { differences, SIDES, type Difference } from '~~/core/record/asBuilt'
import { builtSolids } from '~~/core/record/builtSolids'
import SectionPicture from './SectionPicture.vue'
import { useRecord } from './useRecord'

/** How it came, over how it was planned. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const { built, add } = useRecord()

const method = view.methodInHand
const solids = computed(() => builtSolids(view.detail.value?.stands ?? [], method.value?.hole, built.value))
const off = computed(() => (method.value ? differences(method.value, built.value) : []))
const pins = computed(() =>
  (view.post.value?.photographs ?? []).map((photograph, i) => ({
    key: photograph.id,
    at: photograph.height ?? 0,
    src: pictures.addressOf(session.id, photograph.id),
    alt: `Photograph ${i + 1}`,
  })),
)
const put = (value: AsBuilt) => add('as-built', value)
const length = (of: (value: number) => AsBuilt) => async (value: number | null) =>
  value === null ? undefined : put(of(value))

const SIDE_WORDS = {
  start: 'Depth at the start side',
  end: 'Depth at the end side',
  front: 'Depth in front',
  back: 'Depth behind',
}
const WHAT: Record<Difference['what'], string> = { depth: 'deep', width: 'wide', bags: 'bags', water: 'water' }
function figure({ what }: Difference, value: number): string {
  if (what === 'bags') return String(Math.round(value * 10) / 10)
  return what === 'water' ? preferences.measures.volume(value) : preferences.show(Math.round(value * 100) / 100)
}
const more = (each: Difference) =>
  Math.abs(each.off) < 1e-9 ? 'as planned' : `${figure(each, Math.abs(each.off))} ${each.off > 0 ? 'more' : 'less'}`
const litre = computed(() => (preferences.measures.volumeParts(0).unit === 'L' ? 1e-3 : GALLON))
const tools = DIGGING_TOOLS.map((value) => ({ value, words: value.replaceAll('-', ' ') }))
const noTool = (value: string | string[] | null) =>
  void (typeof value === 'string' && put({ tool: value as DiggingTool }))
const level = { along: 'Plumb along the line, off over 1.2 m', across: 'Plumb across it, off over 1.2 m' }
const LEVEL = 1.2
</script>

<template>
  <section class="built" aria-labelledby="built-title">
    <h2 id="built-title">Post {{ view.post.value?.id }}: as built over as planned</h2>
    <p v-if="!method" class="soft">No repair is chosen or proposed here: there is nothing to build.</p>
    <div v-else class="columns">
      <div>
        <SectionPicture
          :solids="solids"
          :pins="pins"
          :label="`Post ${view.post.value?.id} as built, the planned hole dashed over it`"
        />
        <v-table v-if="off.length" class="off" density="compact">
          <caption class="visually-hidden">
            Built against planned
          </caption>
          <thead>
            <tr>
              <th scope="col">what</th>
              <th scope="col">planned</th>
              <th scope="col">built</th>
              <th scope="col">off</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="each in off" :key="each.what">
              <th scope="row">{{ WHAT[each.what] }}</th>
              <td class="measure">{{ figure(each, each.planned) }}</td>
              <td class="measure">{{ figure(each, each.built) }}</td>
              <td class="measure">{{ more(each) }}</td>
            </tr>
          </tbody>
        </v-table>
        <p v-else class="soft">Nothing was measured yet: the planned hole is drawn.</p>
      </div>
      <div>
        <h3>The hole</h3>
        <div class="fields">
          <LengthStepper
            v-for="side in SIDES"
            :key="side"
            :label="SIDE_WORDS[side]"
            :value="built.depths?.[side]"
            :assumed="method.hole?.depth"
            :step="0.05"
            :smallest="0.05"
            :save="length((value) => ({ depths: { [side]: value } }))"
          />
          <LengthStepper
            label="Width"
            :value="built.width"
            :assumed="method.hole?.diameter"
            :step="0.05"
            :smallest="0.05"
            :save="length((width) => ({ width }))"
          />
          <LengthStepper
            label="Water stood at"
            :value="built.water"
            :step="0.05"
            :start="0.5"
            :smallest="0"
            :save="length((water) => ({ water }))"
          />
        </div>
        <AnswerTiles question="Dug with" :answers="tools" :value="built.tool" @answer="noTool" />
        <h3>What went in</h3>
        <div class="fields">
          <QuantityField
            label="Bags"
            :value="built.bags"
            :assumed="method.concrete?.bags.count"
            :save="length((bags) => ({ bags }))"
          />
          <QuantityField
            :label="litre === 1e-3 ? 'Water, L' : 'Water, gal'"
            :value="built.litres"
            :per="litre"
            :save="length((litres) => ({ litres }))"
          />
          <QuantityField
            :label="litre === 1e-3 ? 'Old concrete out, L' : 'Old concrete out, gal'"
            :value="built.oldConcrete"
            :per="litre"
            :save="length((oldConcrete) => ({ oldConcrete }))"
          />
        </div>
        <h3>How it stands</h3>
        <div class="fields">
          <LengthStepper
            v-for="face in ['along', 'across'] as const"
            :key="face"
            :label="level[face]"
            :value="built.plumb?.[face]?.offset"
            :step="0.001"
            :start="0"
            small
            :save="length((offset) => ({ plumb: { [face]: { how: 'level', offset, over: LEVEL } } }))"
          />
          <LengthStepper
            label="Top over the string (under it: minus)"
            :value="built.overString"
            :step="0.005"
            :start="0"
            small
            :save="length((overString) => ({ overString }))"
          />
        </div>
      </div>
    </div>
  </section>
</template>

<style scoped>
.built {
  padding: 16px 20px;
  max-width: 1240px;
  margin: 0 auto;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 520px) minmax(0, 1fr);
  gap: 28px;
  margin-top: 12px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 12px;
  margin: 8px 0 16px;
}
.off {
  margin-top: 10px;
  background: none;
}
@media (max-width: 760px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
