<script setup lang="ts">
import { computed, ref } from 'vue'
import { SERVICES } from '~~/core/cost/catalogue'
import AfterLineRow from './AfterLineRow.vue'
import { quantityWords } from './model/afterWords'
import { useAfter } from './useAfter'
import { useCost } from './useCost'

/** When the work is done: what it took against what was planned, with a reason, and what goes back to the yard. */
const after = useAfter()
const cost = useCost()
const waiting = computed(() => after.lines.value.filter(({ needsReason, reason }) => needsReason && !reason).length)
const difference = computed(() => Number(after.totals.value.used - after.totals.value.planned))

/** Something that nobody had planned. */
const more = computed(() => {
  const known = new Set(after.lines.value.map(({ key }) => key))
  return after.catalogue.value
    .filter(({ key, group }) => !known.has(key) && !SERVICES.includes(group))
    .map(({ key, name }) => ({ value: key, title: name }))
})
const picked = ref<string | null>(null)
function add(key: string | null): void {
  if (key) void after.note(key, { bought: 1 })
  picked.value = null
}
/** Tools and gear that were wanted out there and lay at home. */
const missed = computed({
  get: () => after.notes.value.filter((each) => each.missed).map(({ key }) => key),
  set: (keys: string[]) => {
    const before = new Set(missed.value)
    for (const key of keys) if (!before.has(key)) void after.note(key, { missed: true })
    for (const key of before) if (!keys.includes(key)) void after.note(key, { missed: null })
  },
})
const things = computed(() => cost.loading.value.lines.map(({ key, says }) => ({ value: key, title: says })))
const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' })
</script>

<template>
  <div v-if="after.lines.value.length">
    <p class="figure">{{ cost.words(after.totals.value.used) }}<small>before tax</small></p>
    <p class="says">
      {{ cost.words(after.totals.value.planned) }} planned<template v-if="difference"
        >, {{ cost.words(Math.abs(difference)) }} {{ difference > 0 ? 'more' : 'less' }}</template
      >.
    </p>
    <p class="soft">
      {{
        after.taken.value
          ? `Against offer ${after.taken.value.number}, “${after.taken.value.option.name}”.`
          : 'Against the bill as it stands: no offer was taken.'
      }}
    </p>
    <p v-if="waiting" class="caution" role="status">
      {{ waiting }} {{ waiting === 1 ? 'difference waits' : 'differences wait' }} for a reason.
    </p>
    <ul>
      <AfterLineRow v-for="each in after.lines.value" :key="each.key" :line="each" />
    </ul>
    <v-autocomplete
      v-model="picked"
      class="gap"
      variant="outlined"
      density="comfortable"
      label="Bought besides: what nobody had planned"
      :items="more"
      hide-details
      @update:model-value="add"
    />
    <v-autocomplete
      v-model="missed"
      class="gap"
      variant="outlined"
      density="comfortable"
      label="What was missing out there"
      :items="things"
      multiple
      chips
      closable-chips
      hide-details
    />
    <section class="gap" aria-labelledby="back-title">
      <h3 id="back-title">Back to the yard</h3>
      <p v-if="after.settledAt.value" role="status">
        Put back on {{ day.format(new Date(after.settledAt.value)) }}; it stands in the yard’s list.
      </p>
      <template v-else>
        <ul v-if="after.back.value.back.length" class="back">
          <li v-for="(each, i) in after.back.value.back" :key="i">
            <span class="measure">{{ quantityWords(each.count, each.unit) }}</span>
            {{ each.name }}
          </li>
        </ul>
        <p v-else class="soft">Nothing is left over; what lay there was used.</p>
        <v-btn v-if="after.back.value.changes.length" @click="after.putBack">Bring the yard’s list up to date</v-btn>
      </template>
    </section>
  </div>
  <p v-else class="says">Choose a repair for a post first: what it took is set against it here.</p>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
}
.gap {
  margin-top: 14px;
}
.back li {
  font-size: 18px;
  padding: 6px 0;
}
</style>
