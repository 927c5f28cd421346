<script setup lang="ts">
import { computed } from 'vue'
import { saveFile } from '~/exchange/files'
import { useJobSession } from '~/job/openJob'
import { usePours } from '~/pours/pours'
import FoldOut from '~/controls/FoldOut.vue'
import { bindingWords, breachWords, dayWords, minutesWords, savingWords, taskWords } from './dayWords'
import { clockWords } from '~/controls/timesOfDay'
import { useDay } from './useDay'
import { usePreferencesStore } from '~/session/preferences'
import { MINUTE_MS } from '~~/core/weather/forecast'
import { PAINTING, paintingTimes } from '~~/core/weather/painting'
import { dayEvents } from '~~/core/day/events'
import { readPostKey } from '~~/core/document/postKey'

/** When it is done, what that rests on, and what would make it sooner. */
const day = useDay()
const session = useJobSession()
const { weather, now } = usePours()
const { work } = day
const preferences = usePreferencesStore()

const last = computed(() => day.plan.value?.visits.at(-1))
const end = computed(
  () => last.value && `${dayWords(day.midnight.value, last.value.from, day.zone.value)} ${clockWords(last.value.to)}`,
)
const facts = computed(() => {
  const goal = day.goal.value
  if (!goal) return ''
  const visits = `${goal.visits} ${goal.visits === 1 ? 'visit' : 'visits'}`
  const over = goal.overtime > 0 ? `, ${minutesWords(goal.overtime)} of overtime` : ', no overtime'
  return `${visits}${over}, ${minutesWords(goal.idle)} of waiting among all of them`
})
const boundWords = computed(() => {
  const bound = day.bound.value
  const goal = day.goal.value
  if (!bound || !goal || day.tried.value) return ''
  if (bound.gap < 0.0005) return 'No plan can be done sooner.'
  const when = `${dayWords(day.midnight.value, bound.end, day.zone.value)} ${clockWords(bound.end)}`
  return `No plan can be done before ${when}: this one is within ${Math.max(1, Math.ceil(bound.gap * 100))} in 100 of the working time.`
})
const broken = computed(() => day.breaks.value.map((each) => breachWords(day.asked.value!, each)))
const left = computed(() => day.plan.value?.left ?? [])
const covers = computed(() => [...new Set((day.plan.value?.covers ?? []).map(({ post }) => readPostKey(post).post))])
const pins = computed(() => day.asked.value?.pins ?? [])
const knownUntil = computed(() => weather.forecast.value?.hours.at(-1)?.at)
const isBeyond = computed(
  () => last.value && knownUntil.value && day.midnight.value + last.value.to * 60_000 > Date.parse(knownUntil.value),
)
const painting = computed(() => {
  const midnight = day.midnight.value
  const isWork = (at: number) =>
    day.asked.value?.hours.flat().some(({ from, to }) => {
      const minute = (at - midnight) / MINUTE_MS
      return from <= minute && minute < to
    }) ?? false
  const [soonest] = paintingTimes(weather.forecast.value?.hours ?? [], isWork)
  if (!soonest) return 'In none of the hours that are known and worked.'
  const minute = (at: number) => (at - midnight) / MINUTE_MS
  const { from, to } = soonest
  return `Soonest ${dayWords(midnight, minute(from), day.zone.value)} ${clockWords(minute(from))} to ${clockWords(minute(to))}.`
})
async function save(): Promise<void> {
  const { calendarText } = await import('~~/shared/calendar')
  const asked = day.asked.value
  const plan = day.plan.value
  if (!asked || !plan || !session.job) return
  const { visited } = day.setup.value.planned ?? {}
  const of = { job: session.id, name: session.job.name, midnight: day.midnight.value }
  const events = dayEvents(asked, plan, visited === undefined ? of : { ...of, visited })
  saveFile('vindex-days.ics', calendarText(events, now.value), 'text/calendar')
}
</script>

<template>
  <div v-if="day.asked.value">
    <p v-if="end" class="figure done-at"><small>done</small> {{ end }}</p>
    <p v-if="facts">{{ facts }}.</p>
    <p v-if="boundWords" class="soft">{{ boundWords }}</p>
    <p v-if="isBeyond" class="soft">Past the forecast its last day goes on: look again when it is nearer.</p>
    <div class="row">
      <v-btn variant="flat" color="primary" :disabled="work.done.value !== undefined" @click="day.planAnew">{{
        day.plan.value ? (pins.length ? 'Plan the rest round it' : 'Plan it anew') : 'Plan the days'
      }}</v-btn>
      <v-btn v-if="work.done.value !== undefined" @click="work.cancel">Stop</v-btn>
      <v-btn v-if="day.plan.value" @click="save">Calendar file</v-btn>
    </div>
    <v-progress-linear
      v-if="work.done.value !== undefined"
      :model-value="work.done.value * 100"
      height="8"
      color="primary"
      aria-label="Planning"
    />
    <p v-if="work.failure.value" class="error-text" role="alert">{{ work.failure.value }}</p>
    <div v-if="broken.length" class="caution" role="status" aria-label="What it breaks">
      <p v-for="each in broken.slice(0, 6)" :key="each">{{ each }}</p>
      <p v-if="broken.length > 6">and {{ broken.length - 6 }} more</p>
    </div>
    <div v-if="left.length" class="caution" role="status" aria-label="What found no place">
      <p v-for="each in left.slice(0, 5)" :key="each.task">
        {{ taskWords(day.asked.value, each.task) }}: {{ each.why }}.
      </p>
      <p v-if="left.length > 5">and {{ left.length - 5 }} more</p>
    </div>
    <p v-if="covers.length" class="caution">Open for the night, to be covered and barred: {{ covers.join(', ') }}.</p>
    <div v-if="pins.length" class="panel-section">
      <h3>Set by hand</h3>
      <v-btn v-for="each in pins" :key="each.task" variant="text" @click="day.unpin(each.task)"
        >{{ taskWords(day.asked.value, each.task) }}, {{ clockWords(each.start) }} ✕</v-btn
      >
    </div>
    <div v-if="day.binds.value.length" class="panel-section">
      <h3>What decides the end</h3>
      <ol class="chain">
        <li v-for="each in day.binds.value" :key="each.task">{{ bindingWords(day.asked.value, each) }}</li>
      </ol>
    </div>
    <FoldOut title="Paint, stain and oil">
      <p>{{ painting }}</p>
      <p class="soft">
        {{ preferences.measures.temperature(PAINTING.celsius) }} and dry for half a day before and six hours after; the
        tin’s label comes first. Fresh treated wood dries out for some weeks before it takes anything.
      </p>
    </FoldOut>
    <FoldOut v-if="day.goal.value" title="What would save time">
      <p class="soft">One more of each, planned anew.</p>
      <v-btn :disabled="work.done.value !== undefined" @click="work.askSaves(day.asked.value!, day.goal.value!)"
        >Work it out</v-btn
      >
      <ul v-if="work.saves.value">
        <li v-for="each in work.saves.value" :key="each.more">{{ savingWords(each, day.goal.value!) }}</li>
      </ul>
      <p v-if="work.saves.value?.length === 0">Nothing of it: concrete and weather decide.</p>
    </FoldOut>
  </div>
  <p v-else-if="day.done.value.length" class="says">All of it is done.</p>
  <p v-else class="says">Choose a repair for a post first: its steps become the work of the day.</p>
</template>

<style scoped>
.done-at {
  font-size: 40px;
}
.row {
  display: flex;
  gap: 10px;
  margin: 10px 0;
  flex-wrap: wrap;
}
.chain li {
  padding: 2px 0;
}
.says {
  font-size: 18px;
}
</style>
