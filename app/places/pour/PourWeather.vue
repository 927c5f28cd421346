<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession } from '~/job/openJob'
import QuantityField from '~/controls/QuantityField.vue'
import { usePours } from '~/pours/pours'
import { ageWords, warningWords } from '~/pours/pourWords'
import { useTimes } from '~/pours/useTimes'
import { usePreferencesStore } from '~/session/preferences'
import { mood } from '~/weather/useForecast'
import { stations } from '~~/data/stations'
import { MOODS } from '~~/core/weather/simulated'
import { HOUR_MS } from '~~/core/weather/forecast'

/** The forecast that the clocks go by, how old it is, and what it may do to what is wet. */
const session = useJobSession()
const { weather, now, warnings, clocks, temperature, setTemperature } = usePours()
const { when } = useTimes()
const preferences = usePreferencesStore()
const measures = computed(() => preferences.measures)

const hour = computed(() => weather.forecast.value?.hours.find(({ at }) => Date.parse(at) + HOUR_MS > now.value))
const coldest = computed(() => {
  const ahead = weather.forecast.value?.hours.filter(
    ({ at }) => Date.parse(at) > now.value && Date.parse(at) < now.value + 24 * HOUR_MS,
  )
  return ahead?.length
    ? ahead.reduce((least, each) => (each.temperature < least.temperature ? each : least))
    : undefined
})
const said = computed(() =>
  clocks.value.flatMap(({ pour }) =>
    (warnings.value.get(pour.id) ?? []).map((each) => ({
      key: `${pour.id} ${each.kind}`,
      post: pour.post,
      words: warningWords(each, measures.value, when),
    })),
  ),
)
const items = stations.map(({ key, name }) => ({ value: key, title: name }))
const setPlace = (value: string | null) => session.edit([{ name: 'setSite', key: 'place', value }])

const inFahrenheit = computed(() => preferences.units !== 'metric')
const shown = computed(() =>
  temperature.value === undefined || !inFahrenheit.value ? temperature.value : Math.round(temperature.value * 1.8 + 32),
)
async function save(value: number | null) {
  setTemperature(value === null ? undefined : inFahrenheit.value ? (value - 32) / 1.8 : value)
  return undefined
}
const moods = [{ value: '', title: 'as it comes' }, ...MOODS.map((each) => ({ value: each, title: each }))]
</script>

<template>
  <div class="panel-section">
    <h3>Weather</h3>
    <p v-for="each in said" :key="each.key" class="caution">
      <strong>{{ each.post }}</strong
      >: {{ each.words }}
    </p>
    <p v-if="hour">
      {{ measures.temperature(hour.temperature) }} now, gusts {{ measures.gust(hour.gust)
      }}<template v-if="coldest"
        >; coldest {{ measures.temperature(coldest.temperature) }} at {{ when(Date.parse(coldest.at)) }}</template
      >. <span class="soft">{{ ageWords(now - Date.parse(weather.forecast.value!.issuedAt)) }}.</span>
    </p>
    <p v-else-if="session.job?.site?.place">No forecast yet: type the temperature of the mix.</p>
    <p v-if="weather.failure.value && session.job?.site?.place" class="soft" role="status">
      {{ weather.failure.value }}
      <v-btn variant="text" @click="weather.refresh">Try again</v-btn>
    </p>
    <div class="field-grid">
      <v-select
        label="Forecast for"
        :items="items"
        :model-value="session.job?.site?.place"
        :menu-props="{ contentClass: 'field-menu' }"
        clearable
        @update:model-value="setPlace"
      />
      <QuantityField :label="`Mix by thermometer, ${inFahrenheit ? '°F' : '°C'}`" :value="shown" :save="save" />
    </div>
    <v-select
      v-model="mood"
      class="mood"
      label="Stand-in for a forecast: what it does"
      :items="moods"
      :menu-props="{ contentClass: 'field-menu' }"
    />
  </div>
</template>

<style scoped>
.mood {
  margin-top: 12px;
}
</style>
