<script setup lang="ts">
import { computed } from 'vue'
import { useForm } from 'vee-validate'
import { array, object, string } from 'yup'
import { usePreferencesStore } from '~/session/preferences'
import { useYard } from '~/yard/useYard'
import { USUAL_SENTENCES } from '~~/core/offer/ofJob'
import { AS_CHOSEN, dayIn, useOffers, type WantedOption } from './useOffers'

/** An offer before it is made: which ways stand side by side, for whom, until when, and what goes without saying. */
const emit = defineEmits<{ made: []; leave: [] }>()
const offers = useOffers()
const { reckoning } = useYard()
const preferences = usePreferencesStore()

const MOST_OPTIONS = 4
const TEMPORARY = 'make-safe'
const WAY_NAMES: Readonly<Record<string, string>> = { [AS_CHOSEN]: 'For good', [TEMPORARY]: 'Propped for now' }
const ways = computed(() => [
  { value: AS_CHOSEN, title: `As chosen, ${Object.keys(offers.asChosen.value).length} posts` },
  ...offers.ways.value.map(({ method, name, posts }) => ({ value: method, title: `${name}, where it goes: ${posts}` })),
])
const nameOf = (way: string) => WAY_NAMES[way] ?? offers.ways.value.find(({ method }) => method === way)?.name ?? way

const DAY = 'a day as 2026-12-24'
const form = useForm({
  initialValues: {
    customer: '',
    validUntil: dayIn(reckoning.value.validDays),
    person: preferences.person,
    options: [{ name: nameOf(AS_CHOSEN), way: AS_CHOSEN }] as WantedOption[],
    included: USUAL_SENTENCES.included.join('\n'),
    excluded: USUAL_SENTENCES.excluded.join('\n'),
    cautions: USUAL_SENTENCES.cautions.join('\n'),
  },
  validationSchema: object({
    customer: string().max(200),
    validUntil: string()
      .required(DAY)
      .matches(/^\d{4}-\d\d-\d\d$/, DAY)
      .test('later', 'today or later', (day) => (day ?? '') >= dayIn(0)),
    options: array(object({ name: string().required('a name').max(60), way: string().required() })).test(
      'apart',
      'each with a name of its own',
      (all) => new Set(all?.map(({ name }) => name.trim())).size === all?.length,
    ),
  }),
})
const [customer] = form.defineField('customer')
const [validUntil] = form.defineField('validUntil')
const [person] = form.defineField('person')
const [options] = form.defineField('options')
const [included] = form.defineField('included')
const [excluded] = form.defineField('excluded')
const [cautions] = form.defineField('cautions')

function oneMore(): void {
  const taken = new Set(options.value.map(({ way }) => way))
  const way = ways.value.map(({ value }) => value).find((value) => !taken.has(value)) ?? AS_CHOSEN
  options.value = [...options.value, { name: nameOf(way), way }]
}
function setWay(i: number, way: string): void {
  options.value = options.value.map((each, at) => (at === i ? { name: nameOf(way), way } : each))
}
const setName = (i: number, name: string) =>
  (options.value = options.value.map((each, at) => (at === i ? { ...each, name } : each)))
const sentences = (text: string) =>
  text
    .split('\n')
    .map((each) => each.trim())
    .filter(Boolean)

const make = form.handleSubmit(async (said) => {
  preferences.person = said.person.trim()
  const isMade = await offers.make(said.options, {
    validUntil: said.validUntil,
    ...(said.customer.trim() ? { customer: said.customer.trim() } : {}),
    included: sentences(said.included),
    excluded: sentences(said.excluded),
    cautions: sentences(said.cautions),
  })
  if (isMade) emit('made')
})
const wrong = (key: 'validUntil' | 'options') => (form.errors.value[key] ? `It must be ${form.errors.value[key]}` : '')
</script>

<template>
  <form class="making" aria-label="An offer" @submit.prevent="make">
    <fieldset v-for="(each, i) in options" :key="i">
      <legend>Option {{ i + 1 }}</legend>
      <v-select
        :label="`Way of option ${i + 1}`"
        :items="ways"
        :model-value="each.way"
        @update:model-value="setWay(i, $event)"
      />
      <v-text-field
        :label="`Name of option ${i + 1}`"
        :model-value="each.name"
        @update:model-value="setName(i, $event)"
      />
      <v-btn v-if="options.length > 1" variant="text" @click="options = options.filter((_, at) => at !== i)"
        >Leave option {{ i + 1 }} out</v-btn
      >
    </fieldset>
    <p v-if="wrong('options')" class="error-text" role="alert">{{ wrong('options') }}</p>
    <v-btn v-if="options.length < MOST_OPTIONS" @click="oneMore">Another option beside it</v-btn>
    <v-text-field v-model="customer" label="For whom" autocomplete="off" />
    <v-text-field v-model="person" label="Who makes it" autocomplete="off" />
    <v-text-field
      v-model="validUntil"
      type="date"
      label="It holds until"
      :error-messages="wrong('validUntil') ? [wrong('validUntil')] : []"
    />
    <v-textarea v-model="included" label="Included, a sentence a line" rows="2" auto-grow />
    <v-textarea v-model="excluded" label="Not included, a sentence a line" rows="2" auto-grow />
    <v-textarea v-model="cautions" label="To be careful with, a sentence a line" rows="2" auto-grow />
    <div class="row">
      <v-btn type="submit" variant="flat" color="primary" :loading="offers.isBusy.value">Make the offer</v-btn>
      <v-btn variant="text" @click="emit('leave')">Leave it</v-btn>
    </div>
  </form>
</template>

<style scoped>
.making {
  display: grid;
  gap: 12px;
}
fieldset {
  border: 0;
  border-bottom: 1.5px solid var(--rule);
  padding: 0 0 10px;
  display: grid;
  gap: 10px;
}
legend {
  font-weight: 600;
  padding: 6px 0;
}
</style>
