<script setup lang="ts">
import { computed, onMounted, shallowRef } from 'vue'
import { api } from '~/sync/api'
import type { WatchedOffer } from '~~/shared/contract'

/** Offers that a customer has, has taken or has let go: what each wants next. */
const emit = defineEmits<{ answered: [] }>()
const offers = shallowRef<readonly WatchedOffer[]>([])
onMounted(async () => {
  try {
    offers.value = (await api.offerWatch()).offers
  } catch {
    // Without a signal nobody has answered that this device could know of.
  }
  emit('answered')
})
const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' })
function says({ number, state, validUntil, by, option }: WatchedOffer): string {
  if (state === 'accepted') return `offer ${number}: ${by} takes “${option}”. Plan the days`
  if (state === 'declined') return `offer ${number}: ${by} does not take it`
  const until = day.format(new Date(validUntil))
  return state === 'over'
    ? `offer ${number} ended on ${until} without an answer`
    : `offer ${number} is out until ${until}`
}
const rows = computed(() => offers.value.map((each) => ({ ...each, says: says(each) })))
</script>

<template>
  <section v-if="rows.length" class="needs" aria-labelledby="offers-title">
    <h2 id="offers-title">Offers</h2>
    <ul>
      <li v-for="each in rows" :key="each.jobId">
        <NuxtLink :to="`/jobs/${each.jobId}/${each.state === 'accepted' ? 'day' : 'load'}`"
          ><strong>{{ each.job }}</strong> <span class="measure">{{ each.says }}</span></NuxtLink
        >
      </li>
    </ul>
  </section>
</template>
