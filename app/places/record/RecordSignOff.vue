<script setup lang="ts">
import { computed, ref } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { usePours } from '~/pours/pours'
import { usePreferencesStore } from '~/session/preferences'
import { entriesAt } from '~~/core/record/entries'
import { missingFor, signOffSteps, type Missing } from '~~/core/record/signOff'
import { momentWords } from '~~/core/weather/dates'
import { airOf } from '~~/core/weather/forecast'
import RecordTag from './RecordTag.vue'
import SignOffStep from './SignOffStep.vue'
import { useRecord } from './useRecord'

/** Every step that is not to be skipped, what is missing with a way to it, and the name under it. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const { now, weather } = usePours()
const when = (at: number) => momentWords(at, session.job?.site?.timeZone)
const { signed, add, takeBack } = useRecord()

const method = view.methodInHand
const isTaken = computed(() => view.taken.value !== undefined)
const all = computed(() => signOffSteps(view.detail.value?.steps ?? [], view.post.value?.nearMarks ?? []))
const steps = computed(() => all.value.filter(({ doNotSkip }) => doNotSkip !== undefined))
const ticks = computed(() =>
  session.job
    ? new Map(entriesAt(session.job, view.address.value, 'tick').map((each) => [each.value.step, each]))
    : new Map(),
)
const missing = computed<Missing[]>(() =>
  session.job && view.post.value
    ? missingFor({
        job: session.job,
        at: view.address.value,
        post: session.job.lines
          .find(({ id }) => id === view.address.value.line)!
          .posts.find(({ id }) => id === view.address.value.post)!,
        steps: all.value,
        now: now.value,
        tables: view.tables.value,
        ...(weather.forecast.value ? { air: airOf(weather.forecast.value) } : {}),
      })
    : [],
)
const others = computed(() => missing.value.filter(({ what }) => what !== 'step'))
const lacking = computed(() => new Set(missing.value.flatMap((each) => (each.what === 'step' ? [each.step] : []))))

const reasons = ref<Record<string, string>>({})
/** A tick that was made too early is given its reason: the old one stays beside it. */
async function explain(step: string): Promise<void> {
  const reason = reasons.value[step]?.trim()
  const before = ticks.value.get(step)
  if (reason && before) await add('tick', { step, reason }, before.id)
}
function go(each: Missing): void {
  if (each.what === 'plumb') view.goTo('record', 'built')
  else if (each.what === 'photograph') view.goTo('look')
}
const WAYS: Partial<Record<Missing['what'], string>> = { plumb: 'Read it', photograph: 'Take one' }

const refused = ref('')
async function sign(): Promise<void> {
  const name = preferences.person.trim()
  refused.value = !name
    ? 'Your name stands under it: give it first.'
    : missing.value.length > 0
      ? `${missing.value.length} ${missing.value.length === 1 ? 'thing is' : 'things are'} missing.`
      : ''
  if (!refused.value) await add('sign-off', { method: method.value!.method, name })
}
</script>

<template>
  <section class="sign-off" aria-labelledby="sign-off-title">
    <h2 id="sign-off-title">Post {{ view.post.value?.id }}: sign off</h2>
    <p v-if="!method || !isTaken" class="soft">A repair has to be chosen before it can be signed off.</p>
    <template v-else>
      <div v-if="signed" class="signed" role="status">
        <p class="figure">Signed off</p>
        <p>{{ signed.value.name }}, {{ when(Date.parse(signed.at)) }}. What comes after shows as later.</p>
        <v-btn variant="text" @click="takeBack(signed.id)">Take the signature back</v-btn>
        <RecordTag />
      </div>
      <template v-else>
        <p v-if="missing.length === 0" class="answer">Nothing is missing.</p>
        <p v-else class="answer">{{ missing.length }} missing:</p>
        <ul v-if="others.length" class="missing">
          <li v-for="each in others" :key="each.says">
            <p>{{ each.says }}</p>
            <v-btn v-if="WAYS[each.what]" @click="go(each)">{{ WAYS[each.what] }}</v-btn>
            <div v-else-if="each.what === 'too-early'" class="reason">
              <v-text-field v-model="reasons[each.step]" label="Why" hide-details />
              <v-btn @click="explain(each.step)">Keep the reason</v-btn>
            </div>
          </li>
        </ul>
        <div class="row under">
          <v-text-field v-model="preferences.person" label="Your name" hide-details autocomplete="name" />
          <v-btn variant="flat" color="primary" @click="sign">Sign it off</v-btn>
        </div>
        <p v-if="refused" class="error-text" role="alert">{{ refused }}</p>
      </template>
      <h3>Not to be skipped</h3>
      <ul class="steps">
        <SignOffStep
          v-for="step in steps"
          :key="step.key"
          :step="step"
          :tick="ticks.get(step.key)"
          :is-lacking="lacking.has(step.key)"
          @done="add('tick', { step: step.key })"
          @left="(reason) => add('tick', { step: step.key, reason, left: true })"
          @take-back="takeBack(ticks.get(step.key)!.id)"
        />
      </ul>
    </template>
  </section>
</template>

<style scoped>
.sign-off {
  padding: 16px 20px;
  max-width: 900px;
  margin: 0 auto;
  font-size: 17px;
}
.answer {
  font-size: 22px;
  font-weight: 600;
}
.missing,
.steps {
  list-style: none;
  padding: 0;
}
.missing .v-btn {
  margin: 10px 0 4px;
}
.sign-off > .error-text {
  margin: 10px 0;
}
.missing li {
  border-left: 6px solid rgb(var(--v-theme-primary));
  padding: 4px 12px;
  margin: 10px 0;
}
.under {
  margin: 14px 0;
  align-items: center;
}
.reason {
  display: flex;
  gap: 10px;
  align-items: center;
}
</style>
