<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { useForm } from 'vee-validate'
import { object } from 'yup'
import AnswerTiles from '~/controls/AnswerTiles.vue'
import ChoiceBar from '~/controls/ChoiceBar.vue'
import { readWith } from '~/controls/forms'
import { KIND_ITEMS } from '~/job/words'
import SmallPicture from '~/picture/SmallPicture.vue'
import { useMaking } from './useMaking'
import { EXPOSURE_TILES, PLACE_PICTURES, SHELTER_TILES, SOIL_TILES } from './placeTiles'
import { usePreferencesStore } from '~/session/preferences'
import { newJob, newJobSchema, type NewJob } from '~~/core/document/newJob'
import { doubtsOf } from '~~/core/document/doubts'
import { readBy } from '~~/core/schema/violations'
import { parseTape } from '~~/core/setout/tape'

/** A new job with one straight line: what its figures rest on first, then its fence. */
const emit = defineEmits<{ made: [id: string] }>()
const preferences = usePreferencesStore()

const { busy, failure, make: ask } = useMaking((id) => emit('made', id))

const FIELDS = [
  { key: 'name', label: 'What is it called?' },
  { key: 'tape', label: 'Posts: tape readings, or bays' },
  { key: 'height', label: 'Height of the fence' },
] as const
/** In the units of whoever makes it; a single post has no bays. */
const USUAL = {
  metric: { tape: '7 x 2.4 m', height: '1.8 m' },
  'feet-inches': { tape: '7 x 8 ft', height: '6 ft' },
} as const
const UNIT_CHOICES = [
  { value: 'metric', words: 'metres' },
  { value: 'feet-inches', words: 'feet and inches' },
] as const
/** Three things that every figure rests on; not answered, they are taken for sheltered, open upwind, firm clay. */
const place = reactive<Pick<NewJob, 'exposure' | 'shelter' | 'soil'>>({})
const kind = ref<NewJob['kind']>('close-boarded')
const isSingle = computed(() => kind.value === 'single')

const readPart = (part: Partial<NewJob>): Partial<NewJob> =>
  readBy(newJobSchema.pick(Object.keys(part) as (keyof NewJob)[]), part, 'form')
const parseHeight = (text: string) => preferences.parse(text, 'height')
const form = useForm({
  initialValues: { name: '', ...USUAL[preferences.units] },
  validationSchema: computed(() =>
    object({
      name: readWith((name) => readPart({ name })),
      tape: readWith((text) => (isSingle.value ? undefined : parseTape(text, preferences.units))),
      height: readWith((text) => readPart({ height: parseHeight(text) })),
    }),
  ),
})
// Said when somebody has done with a field, not while they type.
const fields = Object.fromEntries(
  FIELDS.map(({ key }) => [key, form.defineField(key, { validateOnModelUpdate: false, validateOnChange: true })]),
)

watch(
  () => preferences.units,
  (now, before) => {
    // What nobody has typed over follows the units.
    for (const key of ['tape', 'height'] as const)
      if (form.values[key] === USUAL[before][key]) form.setFieldValue(key, USUAL[now][key])
  },
)

/** What can be, and hardly ever is, is asked back once before it counts. */
const doubts = ref<string[]>([])
let asked = ''
const make = form.handleSubmit(async ({ height: tall, ...values }) => {
  const tape = isSingle.value ? '0' : values.tape
  const height = parseHeight(tall)
  const stations = parseTape(tape, preferences.units).map(({ station }) => station)
  const text = JSON.stringify([tape, height])
  doubts.value = asked === text ? [] : doubtsOf({ stations, height }, preferences.units)
  asked = text
  if (doubts.value.length > 0) return
  const wanted: NewJob = { ...values, tape, units: preferences.units, height, kind: kind.value, ...place }
  await ask(() => newJob(wanted))
})
</script>

<template>
  <form class="form" novalidate @submit.prevent="make">
    <AnswerTiles
      v-slot="{ value }"
      class="whole"
      question="How does the place lie?"
      :answers="EXPOSURE_TILES"
      :value="place.exposure"
      @answer="place.exposure = ($event as NewJob['exposure']) ?? undefined"
    >
      <SmallPicture :parts="PLACE_PICTURES[value] ?? []" />
    </AnswerTiles>
    <AnswerTiles
      class="whole"
      question="What stands upwind of it?"
      :answers="SHELTER_TILES"
      :value="place.shelter === undefined ? undefined : String(place.shelter)"
      @answer="place.shelter = $event === null ? undefined : Number($event)"
    />
    <AnswerTiles
      class="whole"
      question="Push a thumb into the ground"
      :answers="SOIL_TILES"
      :value="place.soil"
      @answer="place.soil = ($event as string | null) ?? undefined"
    />
    <ChoiceBar v-model="preferences.units" label="Units" :choices="UNIT_CHOICES" class="whole units" />
    <v-select v-model="kind" label="What kind of fence?" :items="KIND_ITEMS" />
    <v-text-field
      v-for="{ key, label } in FIELDS.filter((each) => !isSingle || each.key !== 'tape')"
      :key="key"
      v-model="fields[key]![0].value"
      v-bind="fields[key]![1].value"
      :label="isSingle && key === 'height' ? 'Top of the box or sign' : label"
      :error-messages="form.errors.value[key]"
      :inputmode="key === 'height' && preferences.units === 'metric' ? 'decimal' : undefined"
    />
    <p v-if="failure" class="error-text whole" role="alert">{{ failure }}</p>
    <div v-if="doubts.length" class="whole caution" role="alert">
      <p v-for="doubt in doubts" :key="doubt">{{ doubt }}</p>
      <p>Change it, or make it as it is.</p>
    </div>
    <v-btn type="submit" variant="flat" color="primary" :loading="busy">{{
      doubts.length ? 'Make it as it is' : 'Make it'
    }}</v-btn>
  </form>
</template>

<style scoped>
.whole {
  grid-column: 1 / -1;
}
.units {
  max-width: 420px;
  margin: 4px 0 8px;
}
.form {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr 1fr auto;
  gap: 12px;
  align-items: start;
  padding: 6px 0;
}
@media (max-width: 760px) {
  .form {
    grid-template-columns: 1fr 1fr;
  }
}
/* Two beside each other would cut their labels off. */
@media (max-width: 480px) {
  .form {
    grid-template-columns: 1fr;
  }
}
</style>
