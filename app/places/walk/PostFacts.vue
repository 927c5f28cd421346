<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import AnswerTiles from '~/controls/AnswerTiles.vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import QuantityField from '~/controls/QuantityField.vue'
import SectionFields from '~/controls/SectionFields.vue'
import SmallPicture from '~/picture/SmallPicture.vue'
import type { InputError } from '~~/core/errors'
import type { Command } from '~~/core/edit/commands'
import type { Footing, FootingKind } from '~~/core/document/job'
import { smallPicture } from '~/picture/model/smallPictures'
import { DUTY_ITEMS, FOOTING_ITEMS, MATERIAL_ITEMS } from '~/job/words'
import { postEdit, type PostValue } from '~~/core/edit/keyed'

/** What the post is and stands in: facts that every figure rests on. */
const session = useJobSession()
const view = useJobView()
const post = computed(() => view.post.value!)

type PostKey = Extract<Command, { name: 'setPost' }>['key']
function set<K extends PostKey>(key: K, value: PostValue<K>): Promise<InputError | undefined> {
  return session.edit([postEdit(view.address.value, key, value)])
}

const besides = computed(() => post.value.duties.filter((duty) => duty !== post.value.duty))

const soils = computed(() => view.tables.value.soils)
const soilTiles = computed(() => soils.value.map(({ key, name }) => ({ value: key, words: name.toLowerCase() })))
const fieldTest = computed(() => {
  const soil = soils.value.find(({ key }) => key === post.value.soil)
  return soil ? `${soil.name}: ${soil.fieldTest}.` : ''
})
const footing = computed<Footing>(() => post.value.footing ?? { kind: 'unknown' })
const measured = computed(() => footing.value.kind === 'concrete' || footing.value.kind === 'stone')
function setFooting(change: Partial<Footing>): Promise<InputError | undefined> {
  return set('footing', { ...footing.value, ...change })
}
</script>

<template>
  <div class="panel-section">
    <h3>The post</h3>
    <div class="field-grid">
      <v-select
        data-fact="material"
        label="Made of"
        :items="MATERIAL_ITEMS"
        :model-value="post.material"
        @update:model-value="set('material', $event)"
      />
      <v-select
        data-fact="duty"
        label="Its duty"
        :items="DUTY_ITEMS"
        :model-value="post.duty"
        @update:model-value="set('duty', $event)"
      />
      <v-select
        label="And besides"
        multiple
        :items="DUTY_ITEMS.filter(({ value }) => value !== post.duty)"
        :model-value="besides"
        @update:model-value="set('duties', $event.length > 0 ? $event : null)"
      />
      <v-text-field
        label="Made by, or a word for its make"
        hint="Posts that share it were built together: what one shows speaks for the others."
        :model-value="post.make ?? ''"
        @change="set('make', ($event.target as HTMLInputElement).value.trim() || null)"
      />
      <SectionFields data-fact="section" :section="post.section" :save="(section) => set('section', section)" />
      <QuantityField
        data-fact="ageYears"
        label="Age, years"
        :value="post.ageYears"
        :save="(value) => set('ageYears', value)"
      />
      <LengthStepper
        data-fact="post.length"
        label="Whole length"
        :value="post.length"
        :step="0.1"
        :smallest="0.3"
        :save="(value) => set('length', value)"
      />
    </div>
  </div>
  <div class="panel-section">
    <AnswerTiles
      v-slot="{ value }"
      data-fact="soil"
      question="The soil: push a thumb or a bar into the side of the hole"
      :answers="soilTiles"
      :value="post.soil"
      @answer="typeof $event === 'string' && set('soil', $event)"
    >
      <SmallPicture :parts="smallPicture('soil', value)!" />
    </AnswerTiles>
    <p class="soft">{{ fieldTest }}</p>
    <div class="field-grid">
      <v-select
        data-fact="footing"
        label="Footing"
        :items="FOOTING_ITEMS"
        :model-value="footing.kind"
        @update:model-value="setFooting({ kind: $event as FootingKind })"
      />
      <v-btn class="wet" :aria-pressed="post.saturated" @click="set('saturated', !post.saturated)">{{
        post.saturated ? '✓ water stands in the ground' : 'ground is not saturated'
      }}</v-btn>
      <template v-if="measured">
        <LengthStepper
          label="Footing's width"
          :value="footing.diameter"
          :start="0.25"
          :step="0.05"
          :smallest="0.05"
          :save="(value) => setFooting({ diameter: value ?? undefined })"
        />
        <LengthStepper
          label="Footing's top below ground"
          :value="footing.top"
          :start="0.05"
          :step="0.05"
          :smallest="0"
          :save="(value) => setFooting({ top: value ?? undefined })"
        />
        <LengthStepper
          label="Footing's bottom below ground"
          :value="footing.bottom"
          :start="0.6"
          :step="0.05"
          :smallest="0.05"
          :save="(value) => setFooting({ bottom: value ?? undefined })"
        />
      </template>
    </div>
  </div>
</template>

<style scoped>
.wet {
  height: 52px;
}
</style>
