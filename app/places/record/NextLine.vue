<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { useElementSize } from '@vueuse/core'
import { useJobView } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'
import { chanceWords } from '~~/core/weather/dates'
import type { NextPost } from '~~/core/record/nextToGo'

/** The line in true length: over each post that stands the gust that it holds, the next to go marked. */
const { posts } = defineProps<{ posts: readonly NextPost[] }>()
const view = useJobView()
const preferences = usePreferencesStore()

const frame = useTemplateRef<SVGSVGElement>('frame')
const { width } = useElementSize(frame)
const WIDTH = computed(() => Math.max(300, width.value || 1000))
const HEIGHT = 190
const GROUND = 150
const ROOM = 34
const line = computed(() => view.line.value!)
const scale = computed(() => (WIDTH.value - 2 * ROOM) / Math.max(1, line.value.posts.at(-1)!.station))
const most = computed(() => Math.max(40, ...posts.map(({ over }) => Math.min(over, 80))))
const byPost = computed(() => new Map(posts.map((each) => [each.post, each])))
const marks = computed(() =>
  line.value.posts.map((post) => {
    const found = byPost.value.get(post.id)
    const x = ROOM + post.station * scale.value
    return {
      id: post.id,
      x,
      height: found ? (Math.min(found.over, 80) / most.value) * 110 : 0,
      isNext: post.id === posts[0]?.post,
      says: found
        ? `${post.id} goes over at ${preferences.measures.gust(found.over)}, ${chanceWords(found.life)} within ${found.years} years`
        : `${post.id} is in hand`,
    }
  }),
)
</script>

<template>
  <svg
    ref="frame"
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    role="img"
    :aria-label="marks.map(({ says }) => says).join('; ')"
  >
    <line x1="0" :x2="WIDTH" :y1="GROUND" :y2="GROUND" class="ground" />
    <g v-for="mark in marks" :key="mark.id">
      <rect :x="mark.x - 5" :y="GROUND - mark.height" width="10" :height="mark.height" :class="{ next: mark.isNext }" />
      <path v-if="mark.height === 0" :d="`M${mark.x - 6} ${GROUND - 18}l12 12m0 -12l-12 12`" class="in-hand" />
      <text v-if="mark.isNext || WIDTH / marks.length > 34" :x="mark.x" :y="GROUND + 22" text-anchor="middle">
        {{ mark.id }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
}
.ground {
  stroke: var(--umber);
  stroke-width: 4;
}
rect {
  fill: rgb(var(--v-theme-wood));
  stroke: var(--ink);
}
.next {
  fill: rgb(var(--v-theme-primary));
}
.in-hand {
  stroke: var(--ink);
  stroke-width: 2;
}
text {
  font-size: 15px;
  fill: var(--ink);
}
</style>
