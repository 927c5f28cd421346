<script setup lang="ts">
import { computed, ref } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import LengthStepper from '~/controls/LengthStepper.vue'
import QuantityField from '~/controls/QuantityField.vue'
import type { InputError } from '~~/core/errors'
import type { Site } from '~~/core/document/job'
import { gust50From, WIND_FIGURES, type WindFigure } from '~~/core/wind/gust50'
import { gustUnit, oneGust } from '~~/core/units/quantity'
import { usePreferencesStore } from '~/session/preferences'
import { EXPOSURE_ITEMS, SEASON_ITEMS, SHELTER_ITEMS } from '~/job/words'
import { siteEdit, type SiteValue } from '~~/core/edit/keyed'

/** Wind, frost and local rules of the place, and who is at work. */
const session = useJobSession()
const preferences = usePreferencesStore()
const site = computed(() => session.job!.site ?? {})
const view = useJobView()
/** What the figures go by: given, by the local rules, or taken for granted. */
const counted = computed(() => view.site.value!)
const rulesItems = computed(() => view.tables.value.localRules.map(({ key, name }) => ({ value: key, title: name })))
const rulesSay = computed(() => view.tables.value.localRules.find(({ key }) => key === site.value.rules)?.says)

const set = <K extends keyof Site>(key: K, value: SiteValue<K>): Promise<InputError | undefined> =>
  session.edit([siteEdit(key, value)])

const figure = ref<WindFigure>('gust-50')
const figureItems = WIND_FIGURES.map(({ key, name }) => ({ value: key, title: name }))
/** What the map gives, turned into the figure that everything counts from. */
async function setGust(speed: number | null): Promise<InputError | undefined> {
  if (speed === null) return set('gust50', null)
  try {
    return await set('gust50', Math.round(gust50From(figure.value, speed) * 100) / 100)
  } catch (error) {
    return error as InputError
  }
}
</script>

<template>
  <div class="panel-section">
    <h3>The place</h3>
    <div class="field-grid">
      <v-text-field
        label="Name of the place"
        :model-value="site.name ?? ''"
        @change="set('name', ($event.target as HTMLInputElement).value.trim() || null)"
      />
      <v-text-field v-model="preferences.person" label="Your name, on readings" autocomplete="name" />
      <v-select
        data-fact="site.rules"
        label="Local rules"
        :items="rulesItems"
        :model-value="site.rules"
        placeholder="none chosen"
        persistent-placeholder
        :hint="rulesSay"
        :persistent-hint="rulesSay !== undefined"
        clearable
        @update:model-value="set('rules', $event ?? null)"
      />
      <v-select
        data-fact="site.exposure"
        label="How it lies"
        :items="EXPOSURE_ITEMS"
        :model-value="counted.exposure"
        @update:model-value="set('exposure', $event)"
      />
      <v-select
        data-fact="site.shelter"
        label="Shelter upwind"
        :items="SHELTER_ITEMS"
        :model-value="counted.shelter"
        @update:model-value="set('shelter', $event)"
      />
      <v-select v-model="figure" label="The wind map gives" :items="figureItems" />
      <QuantityField
        data-fact="site.gust50"
        :label="`${figure === 'gust-50' ? '50-year gust' : 'Figure of the map'}, ${gustUnit(preferences.units)}`"
        :per="preferences.units === 'metric' ? undefined : oneGust(preferences.units)"
        :value="figure === 'gust-50' ? site.gust50 : undefined"
        :assumed="counted.gust50"
        :save="setGust"
      />
      <QuantityField
        data-fact="site.targetReturnYears"
        label="Target: once in, years"
        :value="site.targetReturnYears"
        :assumed="counted.targetReturnYears"
        :save="(value) => set('targetReturnYears', value)"
      />
      <v-select
        data-fact="site.season"
        label="Worse season"
        :items="SEASON_ITEMS"
        :model-value="counted.season"
        @update:model-value="set('season', $event)"
      />
      <LengthStepper
        data-fact="site.frostDepth"
        label="Frost goes down to"
        :value="site.frostDepth"
        :assumed="counted.frostDepth"
        :step="0.05"
        :smallest="0"
        :save="(value) => set('frostDepth', value)"
      />
      <LengthStepper
        data-fact="site.minimumDepth"
        label="Least depth by local rules"
        :value="site.minimumDepth"
        :assumed="counted.minimumDepth"
        :step="0.05"
        :smallest="0"
        :save="(value) => set('minimumDepth', value)"
      />
    </div>
    <p class="soft">Hills and escarpments are not covered: the wind there is stronger.</p>
  </div>
</template>
