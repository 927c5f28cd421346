<script setup lang="ts">
import { computed } from 'vue'
import { saveFile } from '~/exchange/files'
import { useJobSession, useJobView } from '~/job/openJob'
import { tagDrawing } from '~~/core/report/tag'

/** A code to fix on the post: scanned, it opens this record for whoever may see it. */
const session = useJobSession()
const view = useJobView()
const post = computed(() => view.post.value?.id ?? '')
const address = computed(
  () => `${window.location.origin}/jobs/${session.id}/record?post=${encodeURIComponent(post.value)}&part=entries`,
)
const drawing = computed(() => tagDrawing(address.value, { post: post.value, job: session.job?.name ?? '' }))
const source = computed(() => `data:image/svg+xml;charset=utf-8,${encodeURIComponent(drawing.value)}`)
const save = () => saveFile(`tag-${post.value}.svg`, drawing.value, 'image/svg+xml')
</script>

<template>
  <figure class="tag">
    <img :src="source" width="180" height="222" :alt="`Code that opens the record of post ${post}: ${address}`" />
    <figcaption>
      A tag for the post. It leads to this record and grants nothing by itself.
      <v-btn class="no-print" @click="save">Save the tag</v-btn>
    </figcaption>
  </figure>
</template>

<style scoped>
.tag {
  display: flex;
  gap: 16px;
  align-items: center;
  margin: 12px 0;
}
img {
  border: 1.5px solid var(--ink);
  background: #fff;
}
figcaption {
  max-width: 260px;
}
</style>
