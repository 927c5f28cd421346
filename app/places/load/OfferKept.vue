<script setup lang="ts">
import { computed, ref } from 'vue'
import { offerAddress } from '~/sync/api'
import type { DeviceOffer } from '~/sync/storage'
import { moneyWords } from '~~/core/money/money'
import { offerChanges } from '~~/core/offer/changes'
import type { OfferState } from '~~/core/offer/answer'
import type { OfferDraft } from '~~/core/offer/offer'
import { useOffers } from './useOffers'

/** One offer as it was made: what it comes to, what became of it, its page, and a way for the customer to it. */
const { kept, before } = defineProps<{ kept: DeviceOffer; before?: OfferDraft | undefined }>()
const offers = useOffers()
const STATES: Readonly<Record<OfferState, string>> = {
  sent: 'waits for an answer',
  accepted: 'accepted',
  declined: 'declined',
  replaced: 'a newer one has taken its place',
  over: 'over: it was not answered in time',
}
const state = computed(() => (kept.state ? STATES[kept.state] : 'waits for a signal'))
const words = (amount: number) => moneyWords(amount, kept.offer.currency)
const changes = computed(() => (before ? offerChanges(before, kept.offer) : []))
const link = computed(() => (offers.link.value?.offer === kept.id ? offers.link.value.address : ''))
const takenBack = computed(() => {
  const { offer, links } = offers.takenBack.value ?? {}
  if (offer !== kept.id) return ''
  return links === 0 ? 'There was no link to it.' : 'Whoever has a link to it finds nothing there any more.'
})
const copied = ref(false)
async function copy(): Promise<void> {
  await navigator.clipboard.writeText(link.value)
  copied.value = true
}
const isOpen = computed(() => kept.state === 'sent' && kept.checksum !== undefined)
const isAnswering = ref(false)
const name = ref('')
async function answer(option?: string): Promise<void> {
  await offers.answer(kept, name.value.trim(), option)
  isAnswering.value = false
}
</script>

<template>
  <article class="offer" :aria-label="`Offer ${kept.offer.number ?? ''}`">
    <h3>
      Offer {{ kept.offer.number ?? '' }} <small>{{ state }}</small>
    </h3>
    <ul>
      <li v-for="each in kept.offer.options" :key="each.name" :class="{ taken: kept.answer?.option === each.name }">
        <span>{{ each.name }}</span> <span class="measure">{{ words(each.gross) }}</span>
      </li>
    </ul>
    <p class="soft">
      Made {{ kept.offer.madeAt.slice(0, 10) }}, holds until {{ kept.offer.validUntil
      }}<template v-if="kept.offer.customer">, for {{ kept.offer.customer }}</template
      >.
    </p>
    <p v-if="kept.answer" class="says">
      {{ kept.answer.name }}, {{ kept.answer.at.slice(0, 10) }}:
      {{ kept.answer.isAccepted ? `takes “${kept.answer.option}”` : 'does not take it' }}.
    </p>
    <ul v-if="changes.length" class="soft">
      <li v-for="each in changes" :key="each">{{ each }}</li>
    </ul>
    <div class="row">
      <v-btn v-if="kept.checksum" :href="offerAddress(offers.jobId, kept.id)" target="_blank">Open its page</v-btn>
      <v-btn v-if="isOpen" variant="text" @click="offers.makeLink(kept.id)">Link for the customer</v-btn>
      <v-btn v-if="isOpen" variant="text" @click="offers.takeBackLinks(kept.id)">Take its links back</v-btn>
      <v-btn v-if="isOpen" variant="text" :aria-expanded="isAnswering" @click="isAnswering = !isAnswering"
        >Answered here</v-btn
      >
    </div>
    <p v-if="link" class="link" role="status">
      <span>{{ link }}</span>
      <v-btn @click="copy">{{ copied ? 'Copied' : 'Copy it' }}</v-btn>
      <small>Shown once; it opens this offer alone, for thirty days.</small>
    </p>
    <p v-if="takenBack" role="status">{{ takenBack }}</p>
    <form v-if="isAnswering" class="answer" aria-label="The answer" @submit.prevent>
      <v-text-field v-model="name" label="Who answers" autocomplete="off" />
      <v-btn
        v-for="each in kept.offer.options"
        :key="each.name"
        variant="flat"
        color="primary"
        :disabled="!name.trim()"
        @click="answer(each.name)"
        >Takes “{{ each.name }}”, {{ words(each.gross) }}</v-btn
      >
      <v-btn variant="text" :disabled="!name.trim()" @click="answer()">Does not take it</v-btn>
    </form>
  </article>
</template>

<style scoped>
.offer {
  border-top: 1.8px solid var(--ink);
  margin-top: 14px;
  padding: 8px 0;
}
h3 small {
  font-weight: 400;
  font-size: 15px;
  margin-left: 8px;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  font-size: 18px;
}
.soft li {
  font-size: 15px;
}
.taken {
  font-weight: 600;
}
.link {
  display: grid;
  gap: 6px;
  overflow-wrap: anywhere;
}
.answer {
  display: grid;
  gap: 8px;
  padding: 8px 0;
}
</style>
