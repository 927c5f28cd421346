<script setup lang="ts">
import { computed, ref } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { calendarText } from '~~/shared/calendar'
import { saveFile } from '~/exchange/files'
import { timeNow } from '~/sync/clock'
import { usePreferencesStore } from '~/session/preferences'
import { leanTrends } from '~~/core/record/leanVisits'
import { visitEvents } from '~~/core/record/visitEvents'
import { visitsDue, VISIT_WORDS, type DueVisit } from '~~/core/record/visits'
import { dayWords } from '~~/core/weather/dates'
import LeanLine from './LeanLine.vue'
import { useRecord } from './useRecord'

/** How the lean goes on from visit to visit, and when somebody comes again. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const { signed, putVisit } = useRecord()

const zone = computed(() => session.job?.site?.timeZone)
const day = (at: number) => dayWords(at, zone.value)
const post = computed(() =>
  session.job?.lines
    .find(({ id }) => id === view.address.value.line)
    ?.posts.find(({ id }) => id === view.address.value.post),
)
const trends = computed(() =>
  session.job && post.value ? leanTrends(session.job, view.address.value, post.value) : undefined,
)
/** Over the height of a level that lies on it, as people say it. */
const HEIGHT = 1.2
const slope = (perYear: number) =>
  `${preferences.showSmall(Math.abs(perYear) * HEIGHT)} over ${preferences.show(HEIGHT)} a year`
const verdict = computed(() => {
  const found = trends.value
  if (!found || found.visits.length === 0) return 'No lean was read since it was set.'
  if (found.out) return 'Out of plumb: more than 1 in 60.'
  if (found.again) return 'It leans again.'
  if (!found.size) return 'One reading: nothing can be said yet of how it goes on.'
  return 'It stands as it was set, as far as a level can tell.'
})
const says = computed(() => {
  const size = trends.value?.size
  if (!size) return ''
  return `${slope(size.slope)}, likely between ${preferences.showSmall(Math.max(0, size.low) * HEIGHT)} and ${preferences.showSmall(Math.max(0, size.high) * HEIGHT)}.`
})

const due = computed(() => (session.job ? visitsDue(session.job) : []))
const mine = computed(() => due.value.filter(({ posts }) => posts.includes(view.address.value.post)))
const open = ref('')
/** A visit that was made; what is still open is told with it. */
const make = (visit: DueVisit) =>
  putVisit({
    ...(session.job?.visits?.some(({ id }) => id === visit.id) ? { id: visit.id } : {}),
    posts: visit.posts,
    due: new Date(visit.due).toISOString(),
    why: visit.why,
    doneAt: preferences.signed().at,
    ...(preferences.signed().by ? { by: preferences.signed().by } : {}),
    ...(visit.open.length > 0 ? { open: [...visit.open] } : {}),
  })
const WEEK = 7 * 24 * 3600e3
async function leaveOpen(): Promise<void> {
  const text = open.value.trim()
  if (!text) return
  const error = await putVisit({
    posts: [view.address.value.post],
    due: new Date(timeNow() + WEEK).toISOString(),
    why: 'return',
    open: [text],
  })
  if (!error) open.value = ''
}
const save = () =>
  saveFile('visits.ics', calendarText(visitEvents(session.job!, session.id), timeNow()), 'text/calendar')
</script>

<template>
  <section class="follow" aria-labelledby="follow-title">
    <h2 id="follow-title">Post {{ view.post.value?.id }}: come back</h2>
    <p class="answer" :class="{ 'error-text': trends?.again || trends?.out }" role="status">{{ verdict }}</p>
    <p v-if="says">{{ says }}</p>
    <p v-if="trends?.again || trends?.out">Find out why before anything is mended again: push it and see what moves.</p>
    <p v-if="trends?.again || trends?.out">
      <v-btn @click="view.goTo('look')">Look at it</v-btn>
    </p>
    <p v-if="trends?.sameSeason" class="soft">
      Readings of one time of the year were compared: nine months of clay are a season.
    </p>
    <LeanLine v-if="trends && trends.visits.length > 0" :trends="trends" />
    <p>
      <v-btn variant="flat" color="primary" @click="view.ask('lean')">Read the lean</v-btn>
    </p>
    <h3>Visits</h3>
    <p v-if="!signed && mine.length === 0" class="soft">Visits are due once the post is signed off.</p>
    <ul class="visits">
      <li v-for="visit in mine" :key="visit.id">
        <span>
          <strong>{{ day(visit.due) }}</strong
          >, {{ VISIT_WORDS[visit.why] }}: {{ visit.posts.join(', ') }}
          <span v-for="each in visit.open" :key="each" class="open">{{ each }}</span>
        </span>
        <v-btn :aria-label="`Made: ${VISIT_WORDS[visit.why]}`" @click="make(visit)">Made today</v-btn>
      </li>
    </ul>
    <form class="row" @submit.prevent="leaveOpen">
      <v-text-field v-model="open" label="Still open, for the next visit" hide-details maxlength="500" />
      <v-btn type="submit">Leave it open</v-btn>
    </form>
    <p v-if="due.length"><v-btn variant="text" @click="save">All visits into the calendar</v-btn></p>
  </section>
</template>

<style scoped>
.follow {
  padding: 16px 20px;
  max-width: 900px;
  margin: 0 auto;
  font-size: 17px;
}
.follow > p,
.follow > h3 {
  margin: 10px 0;
}
.answer {
  font-size: 24px;
  font-weight: 600;
}
.visits {
  list-style: none;
  padding: 0;
}
.visits li {
  display: flex;
  justify-content: space-between;
  gap: 14px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
}
.open {
  display: block;
}
.row {
  margin: 14px 0;
  align-items: center;
}
.row .v-input {
  flex: 1 1 240px;
}
</style>
