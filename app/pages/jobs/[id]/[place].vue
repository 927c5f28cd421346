<script setup lang="ts">
import { computed, useTemplateRef, watch } from 'vue'
import { definePageMeta, useRoute, useRouter } from '#imports'
import { useJobView } from '~/job/useJobView'
import CausePlace from '~/places/cause/Panel.vue'
import ConflictPanel from '~/shell/ConflictPanel.vue'
import FocusDrawing from '~/picture/FocusDrawing.vue'
import HolePlace from '~/places/hole/Panel.vue'
import LookPlace from '~/places/look/Panel.vue'
import OverviewStrip from '~/picture/OverviewStrip.vue'
import PlaceBar from '~/shell/PlaceBar.vue'
import RepairPlace from '~/places/repair/Panel.vue'
import SheetPlace from '~/places/sheet/Panel.vue'
import TopBar from '~/shell/TopBar.vue'
import WalkPlace from '~/places/walk/Panel.vue'
import { useEventListener, useMediaQuery } from '@vueuse/core'
import { postSummary } from '~~/core/document/summary'
import { PLACES, type Place } from '~/places'
import { useJobKeys } from '~/shell/useKeys'
import { useJobStore } from '~/job/store'
import { usePhotographsStore } from '~/sync/photographs'

// The drawing stays where it is while the places change beside it.
definePageMeta({
  key: (route) => `job-${String(route.params.id)}`,
  validate: (route) => PLACES.some(({ place }) => place === route.params.place),
})

const route = useRoute()
const router = useRouter()
const store = useJobStore()
const photographs = usePhotographsStore()
const view = useJobView()
useJobKeys()

const place = computed(() => router.currentRoute.value.params.place as Place | undefined)
const PANELS = { walk: WalkPlace, look: LookPlace, cause: CausePlace, repair: RepairPlace, hole: HolePlace }
const panel = computed(() => PANELS[place.value as keyof typeof PANELS])
const placeName = computed(() => PLACES.find((each) => each.place === place.value)?.name ?? '')
const onPhone = useMediaQuery('(max-width: 760px)')

const overview = computed(() => view.line.value?.posts.map(postSummary) ?? [])
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
watch(
  () => route.params.id,
  (id) => {
    if (!id) return
    void store.open(String(id))
    void photographs.open(String(id)).then(photographs.send)
  },
  { immediate: true },
)
function refresh(): void {
  void store.refresh()
  void photographs.send()
}
useEventListener('online', refresh)
useEventListener('focus', refresh)
// A signal that came back for the edits is there for the pictures too.
watch(
  () => store.reachable,
  (reachable) => reachable && void photographs.send(),
)
</script>

<template>
  <div class="job-screen">
    <p v-if="store.failure && !store.job" class="failure" role="alert">
      {{ store.failure }} <NuxtLink to="/">Back to the jobs</NuxtLink>
    </p>
    <p v-else-if="!store.job" class="failure" role="status">Opening the job …</p>
    <template v-else-if="view.post.value">
      <TopBar :place="placeName" />
      <OverviewStrip
        class="strip no-print"
        :posts="overview"
        :length="view.line.value!.length"
        :chosen="chosen"
        :label="overviewWords"
        :height="onPhone ? 40 : 78"
        @choose="choose"
      />
      <PlaceBar v-if="place" :place="place" />
      <SheetPlace v-if="place === 'sheet'" />
      <main v-else class="work">
        <FocusDrawing class="drawing" :building="place === 'walk'" />
        <div ref="panelFrame" class="panel" :data-place="place">
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
@media (max-width: 760px) {
  .work {
    grid-template-columns: 1fr;
    grid-template-rows: 34% minmax(0, 1fr);
  }
  .panel {
    border-left: 0;
    border-top: 1.8px solid var(--ink);
    padding: 12px 14px 0;
  }
}
@media print {
  .job-screen {
    height: auto;
  }
}
</style>
