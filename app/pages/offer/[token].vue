<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue'
import { useRoute } from '#imports'
import { ESTIMATES } from '~/job/words'
import { api, linkedOfferAddress, linkedPostAddress, type Refusal } from '~/sync/api'
import { timeNow } from '~/sync/clock'
import { usePreferencesStore } from '~/session/preferences'
import { moneyWords } from '~~/core/money/money'
import type { OfferPage } from '~~/shared/contract'

/** What a customer's link opens: one offer, its options side by side, its page, and an answer. */
const token = String(useRoute().params.token)
const page = shallowRef<OfferPage>()
const failure = ref('')
const name = ref('')
const isBusy = ref(false)
const offer = computed(() => page.value?.offer)
const preferences = usePreferencesStore()
/** How far the work is, once it is agreed. */
const work = computed(() => (page.value?.state === 'accepted' ? page.value.work : []))
const postPage = (post: string) => `${linkedPostAddress(token, post)}?units=${preferences.units}`
const words = (amount: number) => moneyWords(amount, offer.value!.currency)
const isOpen = computed(() => page.value?.state === 'sent')
const said = computed(() => {
  const { answer, state } = page.value!
  if (answer)
    return answer.isAccepted
      ? `Thank you, ${answer.name}: “${answer.option}” is agreed since ${answer.at.slice(0, 10)}.`
      : `${answer.name} has declined it on ${answer.at.slice(0, 10)}.`
  return state === 'replaced'
    ? 'A newer offer has taken its place: ask for it.'
    : `It held until ${offer.value!.validUntil}.`
})

async function read(): Promise<void> {
  try {
    page.value = await api.readByLink(token)
  } catch (error) {
    const { status, message } = error as Refusal
    failure.value = status === 404 ? 'This link is over, or never was: ask for a new one.' : message
  }
}
onMounted(read)

async function answer(option?: string): Promise<void> {
  isBusy.value = true
  failure.value = ''
  try {
    page.value = await api.answerByLink(token, {
      isAccepted: option !== undefined,
      ...(option === undefined ? {} : { option }),
      name: name.value.trim(),
      checksum: page.value!.checksum,
      way: 'link',
      at: new Date(timeNow()).toISOString(),
    })
  } catch (error) {
    failure.value = (error as Refusal).message
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <main class="offer-page">
    <p v-if="failure" class="caution" role="alert">{{ failure }}</p>
    <p v-if="!page && !failure" role="status">Opening the offer …</p>
    <template v-if="page && offer">
      <h1>Offer {{ offer.number }}: {{ offer.job }}</h1>
      <p class="soft">
        {{ [offer.site, offer.by].filter(Boolean).join(', ') }}. It holds until {{ offer.validUntil }}.
      </p>
      <div class="options">
        <section v-for="each in offer.options" :key="each.name" :aria-label="each.name">
          <h2>{{ each.name }}</h2>
          <p class="figure">{{ words(each.gross) }}<small>with tax</small></p>
          <p>{{ each.visits }} {{ each.visits === 1 ? 'visit' : 'visits' }}</p>
          <ul>
            <li v-for="post in each.posts" :key="post.post">
              <strong>{{ post.post }}</strong
              >: {{ post.method.toLowerCase() }}<small>{{ post.stands }}</small>
            </li>
          </ul>
          <v-btn
            v-if="isOpen"
            block
            variant="flat"
            color="primary"
            :disabled="!name.trim()"
            :loading="isBusy"
            @click="answer(each.name)"
            >I take “{{ each.name }}”</v-btn
          >
        </section>
      </div>
      <template v-if="isOpen">
        <v-text-field v-model="name" label="Your name" autocomplete="name" />
        <v-btn variant="text" :disabled="!name.trim()" @click="answer()">I do not take it</v-btn>
      </template>
      <p v-else class="says" role="status">{{ said }}</p>
      <section v-if="work.length" aria-labelledby="work-title">
        <h2 id="work-title">The work</h2>
        <ul class="work">
          <li v-for="each in work" :key="each.post">
            <span
              ><strong>{{ each.post }}</strong>
              {{ each.done ? `finished on ${each.done.slice(0, 10)}` : 'not finished yet' }}</span
            >
            <v-btn variant="text" :href="postPage(each.post)" target="_blank" :aria-label="`The page of ${each.post}`"
              >Its page</v-btn
            >
          </li>
        </ul>
      </section>
      <template
        v-for="(sentences, title) in {
          Included: offer.included,
          'Not included': offer.excluded,
          'To be careful with': offer.cautions,
        }"
        :key="title"
      >
        <h3 v-if="sentences.length">{{ title }}</h3>
        <ul>
          <li v-for="each in sentences" :key="each">{{ each }}</li>
        </ul>
      </template>
      <v-btn :href="linkedOfferAddress(token)" target="_blank">The whole offer as a page to print</v-btn>
      <p class="soft">{{ ESTIMATES }}</p>
    </template>
  </main>
</template>

<style scoped>
.offer-page {
  max-width: 900px;
  margin: 0 auto;
  padding: 16px;
}
h1 {
  font-size: 24px;
}
.options {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(250px, 1fr));
  gap: 20px;
  margin: 12px 0;
}
.options section {
  border-top: 2.4px solid var(--ink);
  padding-top: 8px;
}
.options ul {
  list-style: none;
  padding: 0;
}
.options li {
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
h3 {
  margin-top: 14px;
}
.work {
  list-style: none;
  padding: 0;
}
.work li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  min-height: 48px;
  border-bottom: 1px solid var(--rule);
}
.says {
  font-size: 20px;
  font-weight: 600;
  margin: 16px 0;
}
small {
  display: block;
  font-size: 14px;
  color: var(--soft-ink);
}
</style>
