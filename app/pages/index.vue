<script setup lang="ts">
import { ESTIMATES } from '~/job/words'
import { navigateTo } from '#imports'
import { computed, onMounted, ref } from 'vue'
import { useIntervalFn, useTimeout } from '@vueuse/core'
import ElsewhereMenu from '~/jobs/ElsewhereMenu.vue'
import JobEntry from '~/jobs/JobEntry.vue'
import StormWatch from '~/jobs/StormWatch.vue'
import WetConcrete from '~/jobs/WetConcrete.vue'
import { useStormWatch } from '~/jobs/useStormWatch'
import { timeNow } from '~/sync/clock'
import OfferWatch from '~/jobs/OfferWatch.vue'
import VisitsDue from '~/jobs/VisitsDue.vue'
import JobWays from '~/jobs/JobWays.vue'
import TrayPanel from '~/jobs/TrayPanel.vue'
import { useJobList } from '~/jobs/useJobList'
import type { ListedJob } from '~~/shared/contract'
import { session } from '~/session/account'
import FirstWalkOffer from '~/shell/FirstWalkOffer.vue'
import DeviceNotice from '~/shell/DeviceNotice.vue'

/** What needs somebody now, then every job with a sketch of its lines. */
const { jobs, needing, failure, search, away, load, more, put } = useJobList()
onMounted(load)
const { jobs: storms, isOwn, isAnswered } = useStormWatch()
const now = ref(timeNow())
useIntervalFn(() => (now.value = timeNow()), 1_000)
/** Jobs of which something was poured lately; what of it is wet or green, each says itself. */
const poured = computed(() => (jobs.value ?? []).filter(({ summary }) => (summary.pours?.length ?? 0) > 0))

/** Shown in one piece: what comes later would push away what somebody is about to hit. One that is slow comes after, ms. */
const PATIENCE = 900
const answered = ref(0)
const isLate = useTimeout(PATIENCE)
const isSettled = computed(
  () => jobs.value !== undefined && (isLate.value || (isAnswered.value && answered.value >= 2)),
)

/** The head of the page scrolls with the list: of thousands of jobs only those in sight are drawn. */
const rows = computed(() => [undefined, ...(isSettled.value ? jobs.value! : [])])
const none = computed(() => {
  if (search.value) return 'No job of that name.'
  if (failure.value)
    return 'No job is on this device yet. One that was opened here, or is made here, opens without a signal.'
  return away.value ? 'Nothing was put away in the last thirty days.' : 'No jobs yet. Make one, or open a file.'
})
/** @example 'B4, B7, B8, B13 and 1 more' */
function waitingWords({ summary: { undecided, waiting } }: ListedJob): string {
  if (!waiting) return `${undecided} ${undecided === 1 ? 'post' : 'posts'}`
  const more = undecided - waiting.length
  return waiting.join(', ') + (more > 0 ? ` and ${more} more` : '')
}
const isLast = (index: number) => index === rows.value.length - 1
const comesIntoSight = (isInSight: boolean) => void (isInSight && more())
</script>

<template>
  <div class="jobs">
    <header class="head">
      <p class="brand measure">VINDEX</p>
      <h1 class="title">Jobs</h1>
      <!-- Not in the list below: what is typed into must not scroll out of the page. -->
      <v-text-field v-model="search" class="search" type="search" label="Search the jobs" />
      <ElsewhereMenu v-model:away="away" />
      <span class="grow" />
      <JobWays @made="(id: string) => navigateTo(`/jobs/${id}/walk`)" />
    </header>
    <main class="list">
      <v-virtual-scroll :items="rows" :item-height="140" height="100%">
        <template #default="{ item: job, index }">
          <div v-if="!job" class="legible">
            <DeviceNotice />
            <p v-if="!isSettled" role="status">Reading the jobs …</p>
            <p v-if="failure" class="caution" role="alert">
              {{ failure }} <v-btn variant="text" @click="load">Try again</v-btn>
            </p>
            <p v-if="session.isOpen.value" class="soft open">
              Open to this machine alone: nobody has an account here yet.
            </p>
            <TrayPanel />
            <p v-if="isSettled && storms.length && isOwn && !search" class="soft">
              Without a signal: the wind as this device heard it last.
            </p>
            <FirstWalkOffer v-if="isSettled && !away" :jobs="jobs ?? []" />
            <div v-show="isSettled && !search && !away">
              <StormWatch :jobs="storms" :now="now" />
              <section v-if="poured.length" class="needs" aria-labelledby="wet-title">
                <h2 id="wet-title">Concrete</h2>
                <ul>
                  <WetConcrete v-for="each in poured" :key="each.id" :job="each" :now="now" />
                </ul>
              </section>
              <OfferWatch @answered="answered++" />
              <VisitsDue @answered="answered++" />
            </div>
            <section v-if="isSettled && needing.length && !search" class="needs" aria-labelledby="needs-title">
              <h2 id="needs-title">What needs you now: posts that wait for a repair</h2>
              <ul>
                <li v-for="each in needing" :key="each.id">
                  <NuxtLink :to="`/jobs/${each.id}/look`"
                    ><strong>{{ each.name }}</strong> <span class="measure">{{ waitingWords(each) }}</span></NuxtLink
                  >
                </li>
              </ul>
            </section>
            <p v-if="isSettled && jobs?.length === 0">
              {{ none }}
            </p>
            <p v-if="away">
              What is put away can come back for thirty days.
              <v-btn variant="text" @click="away = false">Back to the jobs</v-btn>
            </p>
          </div>
          <JobEntry
            v-else
            v-intersect="isLast(index) ? comesIntoSight : undefined"
            :job="job"
            :away="away"
            @put="(isAway: boolean) => put(job, isAway)"
          />
        </template>
      </v-virtual-scroll>
    </main>
    <p class="soft foot">{{ ESTIMATES }}</p>
  </div>
</template>

<style scoped>
.open {
  margin-top: 12px;
}
.jobs {
  max-width: 1180px;
  margin: 0 auto;
  padding: 0 20px;
  width: 100%;
  height: 100dvh;
  display: flex;
  flex-direction: column;
  /* The form of a new job is taller than a phone. */
  overflow-y: auto;
}
.head {
  flex: none;
  display: flex;
  align-items: center;
  gap: 12px;
  flex-wrap: wrap;
  min-height: 64px;
  border-bottom: 1.8px solid var(--ink);
  padding: 8px 0;
}
.brand {
  letter-spacing: 0.18em;
  font-size: 24px;
}
.list {
  flex: 1 0 320px;
  min-height: 0;
}
.title {
  font-size: 22px;
  margin: 0 4px 0 12px;
}
.search {
  flex: 0 1 260px;
  min-width: 150px;
}
.foot {
  flex: none;
  margin: 8px 0;
  font-size: 14px;
}
@media (max-width: 760px) {
  .jobs {
    padding: 0 14px;
  }
  .title {
    margin-right: auto;
  }
  .search {
    flex: 1 0 100%;
    order: 1;
  }
  .grow {
    display: none;
  }
  .head :deep(.ways) {
    order: 2;
  }
}
</style>
