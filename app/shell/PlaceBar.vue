<script setup lang="ts">
import { onMounted, useTemplateRef, watch } from 'vue'
import { useRoute } from '#imports'
import { useJobView } from '~/job/openJob'
import { PLACES } from '~/places'

/** The places of the work in working order, pegged along the ground line. */
const props = defineProps<{ place: string }>()
const bar = useTemplateRef<HTMLElement>('bar')
/** On a narrow screen not all of them have room: the one in hand is in sight. */
const show = () => bar.value?.querySelector('[aria-current]')?.scrollIntoView({ inline: 'center', block: 'nearest' })
watch(() => props.place, show, { flush: 'post' })
onMounted(show)
const view = useJobView()
const route = useRoute()
</script>

<template>
  <nav ref="bar" class="place-bar no-print" aria-label="Places of the work">
    <NuxtLink
      v-for="each in PLACES"
      :key="each.key"
      :to="{ path: `/jobs/${route.params.id}/${each.key}`, query: route.query }"
      :aria-current="each.key === place ? 'page' : undefined"
      :title="`${each.name}: ${each.says} (${each.digit})`"
      class="place"
      >{{ each.name }}<sup aria-hidden="true">{{ each.digit }}</sup></NuxtLink
    >
    <span class="grow" />
    <div class="posts">
      <v-btn
        variant="text"
        aria-label="Post before"
        title="Post before (←)"
        :disabled="view.index.value === 0"
        @click="view.walk(-1)"
        >‹</v-btn
      >
      <span class="measure" aria-live="polite">{{ view.post.value?.id }}</span>
      <v-btn
        variant="text"
        aria-label="Next post"
        title="Next post (→)"
        :disabled="view.index.value === view.posts.value.length - 1"
        @click="view.walk(1)"
        >›</v-btn
      >
    </div>
  </nav>
</template>

<style scoped>
.place-bar {
  display: flex;
  align-items: stretch;
  height: 48px;
  border-bottom: 1.8px solid var(--rule);
  padding-left: 12px;
  flex: none;
}
.place {
  flex: none;
  white-space: nowrap;
  position: relative;
  display: flex;
  align-items: center;
  padding: 0 20px 0 12px;
  min-width: 72px;
  color: var(--ink);
  text-decoration: none;
  font-size: 17px;
}
.place::before {
  content: '';
  position: absolute;
  left: 0;
  top: 0;
  width: 2px;
  height: 10px;
  background: var(--ink);
}
.place[aria-current] {
  color: var(--string-ink);
  font-weight: 600;
}
.place[aria-current]::before {
  width: 5px;
  height: 14px;
  background: var(--string);
}
sup {
  font-size: 14px;
  margin-left: 4px;
  color: var(--soft-ink);
}
.posts {
  display: flex;
  align-items: center;
  font-size: 20px;
}
.posts .v-btn {
  font-size: 26px;
  padding: 0;
}
@media (max-width: 760px) {
  .place-bar {
    padding-left: 4px;
    overflow-x: auto;
    scrollbar-width: none;
  }
  .place {
    padding: 0 8px;
    min-width: 48px;
    font-size: 16px;
  }
  sup {
    display: none;
  }
  .posts {
    display: none;
  }
}
</style>
