<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, useTemplateRef, watch } from 'vue'
import { definePageMeta, useRoute, useRouter } from '#imports'
import { useEventListener, useIntervalFn, useMediaQuery } from '@vueuse/core'
import { saveFile } from '~/exchange/files'
import { provideOpenJob } from '~/job/openJob'
import { jobFileName } from '~~/core/document/fileName'
import FocusDrawing from '~/picture/FocusDrawing.vue'
import OverviewStrip from '~/picture/OverviewStrip.vue'
import { PLACES, placeOf, WET_PLACE } from '~/places'
import type { Place } from '~/places/place'
import { providePours } from '~/pours/pours'
import { useAlarms } from '~/pours/useAlarms'
import ConflictPanel from '~/shell/ConflictPanel.vue'
import FirstWalkStrip from '~/shell/FirstWalkStrip.vue'
import PlaceBar from '~/shell/PlaceBar.vue'
import DeviceNotice from '~/shell/DeviceNotice.vue'
import TopBar from '~/shell/TopBar.vue'
import WetSign from '~/shell/WetSign.vue'
import { useJobKeys } from '~/shell/useKeys'
import { pictures, queue } from '~/sync/device'
import { lineSummary } from '~~/core/document/summary'
import { tables } from '~~/data/tables'

// One page for each job: the drawing stays where it is while the places change beside it.
definePageMeta({
  key: (route) => `job-${String(route.params.id)}`,
  validate: (route) => PLACES.some(({ key }) => key === route.params.place),
})

/** Before the choice of a repair the post is drawn as it stands. */
const REPAIRED: (Place['draws'] | undefined)[] = ['repaired', 'strings', 'itself', 'own-page']

/** A job that could not be opened is asked for so often, ms. */
const TRY_AGAIN = 3_000

const router = useRouter()
const id = String(useRoute().params.id)
const place = computed(() => placeOf(router.currentRoute.value.params.place))
const open = provideOpenJob(id, () => REPAIRED.includes(place.value?.draws))
const { session, view } = open
useJobKeys(open)
const pours = providePours(open)
useAlarms(pours, (_line, post) => {
  view.choose(post)
  view.goTo(WET_PLACE)
})
void session.refresh()
void pictures.open(id)
useEventListener('online', session.refresh)
useEventListener('focus', session.refresh)
// A weak signal tells nobody that it is back.
useIntervalFn(() => session.failure && !session.job && !queue.reachable.value && session.refresh(), TRY_AGAIN)

/** Made on the device, with what waits: it needs no signal. */
const saveJob = () => saveFile(jobFileName(session.job!.name), JSON.stringify(session.job, null, 2), 'application/json')

const PANELS = new Map(PLACES.map(({ key, panel }) => [key, defineAsyncComponent(panel)]))
const DRAWINGS = new Map(
  PLACES.flatMap(({ key, drawing }) => (drawing ? [[key, defineAsyncComponent(drawing)] as const] : [])),
)
const panel = computed(() => PANELS.get(place.value?.key ?? ''))
const drawing = computed(() => DRAWINGS.get(place.value?.key ?? ''))
const onPhone = useMediaQuery('(max-width: 760px)')

const overview = computed(() => (view.keptLine.value ? lineSummary(view.keptLine.value, tables.causes) : []))
const chosen = computed(() => view.line.value?.posts.findIndex((post) => post.id === view.post.value?.id) ?? 0)
const overviewWords = computed(() => {
  const failed = overview.value.filter((post) => post.state === 'failed').length
  return `${view.line.value?.name}: ${overview.value.length} posts, ${failed} failed; post ${view.post.value?.id} chosen`
})
function choose(index: number): void {
  const post = view.line.value?.posts[index]
  if (post && post.id !== view.post.value?.id) view.choose(post.id)
}

const panelFrame = useTemplateRef<HTMLElement>('panelFrame')
watch(place, () => panelFrame.value?.scrollTo({ top: 0 }))
/** What was tapped has gone with the place before: whoever works by keyboard goes on from the new one. */
watch(
  [place, () => session.job !== undefined],
  async () => {
    await nextTick()
    if (document.activeElement === document.body) panelFrame.value?.focus({ preventScroll: true })
  },
  { flush: 'post' },
)
</script>

<template>
  <div class="job-screen">
    <p v-if="session.failure && !session.job" class="failure" role="alert">
      {{ session.failure }} <NuxtLink to="/">Back to the jobs</NuxtLink>
    </p>
    <p v-else-if="!session.job" class="failure" role="status">Opening the job …</p>
    <template v-else-if="view.post.value">
      <TopBar />
      <!-- In the place itself it stands large. -->
      <WetSign v-if="onPhone && !place?.seesToWet" block />
      <DeviceNotice :save="saveJob" />
      <OverviewStrip
        class="strip no-print"
        :posts="overview"
        :length="view.line.value!.length"
        :chosen="chosen"
        :label="overviewWords"
        :height="onPhone ? 40 : 78"
        @choose="choose"
      />
      <PlaceBar v-if="place" :place="place.key" />
      <FirstWalkStrip />
      <component :is="panel" v-if="place?.draws === 'own-page'" />
      <main v-else class="work" :class="{ itself: drawing }">
        <component :is="drawing" v-if="drawing" class="drawing" />
        <FocusDrawing
          v-else
          class="drawing"
          :building="place?.draws === 'building'"
          :strings="place?.draws === 'strings'"
          :pulls-hole="place?.hasGrips"
        />
        <div ref="panelFrame" class="panel legible" tabindex="-1" :data-place="place?.key">
          <ConflictPanel />
          <component :is="panel" />
        </div>
      </main>
    </template>
  </div>
</template>

<style scoped>
.job-screen {
  display: flex;
  flex-direction: column;
  height: 100dvh;
}
.strip {
  flex: none;
  border-bottom: 1.5px solid var(--rule);
}
.failure {
  padding: 24px;
  font-size: 18px;
}
.work {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 59fr) minmax(0, 41fr);
}
.panel {
  /* What is hidden in it must not make the page itself longer. */
  position: relative;
  overflow-y: auto;
  padding: 16px 20px 0;
  border-left: 1.8px solid var(--ink);
}
/* Whoever works by keyboard goes on from here; it is no field. */
.panel:focus-visible {
  outline: none;
}
@media (max-width: 760px) {
  .work {
    grid-template-columns: 1fr;
    grid-template-rows: 34% minmax(0, 1fr);
  }
  .work.itself {
    grid-template-rows: 40% minmax(0, 1fr);
  }
  .panel {
    border-left: 0;
    border-top: 1.8px solid var(--ink);
    padding: 12px 14px 0;
  }
}
@media print {
  .job-screen,
  .work {
    display: block;
    height: auto;
  }
  .drawing {
    display: none;
  }
  .panel {
    overflow: visible;
    border: 0;
    padding: 0;
  }
}
</style>
