<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import FoldOut from '~/controls/FoldOut.vue'
import { saveFile } from '~/exchange/files'
import { holeSheetSvg } from '~~/core/report/holeSheet'
import { usePreferencesStore } from '~/session/preferences'

/** The sheet of this hole to hold in the hand: on the screen, as a drawing to keep, as a page to print. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()

const svg = computed(() => {
  const method = view.methodInHand.value
  if (!session.job || !method?.hole || !view.detail.value) return undefined
  return holeSheetSvg({
    job: session.job.name,
    line: view.line.value!.name,
    post: view.postId.value!,
    method,
    target: view.target.value,
    stands: view.detail.value.stands,
    tables: view.tables.value,
    says: preferences.measures,
  })
})
const shown = computed(() => svg.value && `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg.value)}`)
const save = () => saveFile(`hole-${view.postId.value}.svg`, svg.value!, 'image/svg+xml')
const page = computed(
  () => `/api/jobs/${session.id}/hole?post=${encodeURIComponent(view.postId.value!)}&units=${preferences.units}`,
)
const isKept = computed(() => view.taken.value === view.methodInHand.value?.method)
</script>

<template>
  <FoldOut title="Sheet for the hand">
    <img v-if="shown" :src="shown" :alt="`Section of the hole of ${view.postId.value} with its dimensions`" />
    <div class="row">
      <v-btn @click="save">Save the drawing</v-btn>
      <v-btn v-if="isKept" :href="page" target="_blank" rel="noopener">Page to print</v-btn>
      <span v-else class="soft">Take the repair first, then it can be printed.</span>
    </div>
  </FoldOut>
</template>

<style scoped>
img {
  width: 100%;
  border: 1.5px solid var(--rule);
}
.row {
  margin-top: 8px;
}
</style>
