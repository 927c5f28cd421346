<script setup lang="ts">
import { nextTick, onMounted, ref, watch } from 'vue'
import { useJobView } from '~/job/openJob'
import PartTabs from '~/controls/PartTabs.vue'
import WalkAlike from './WalkAlike.vue'
import WalkAlong from './WalkAlong.vue'
import WalkExchange from './WalkExchange.vue'
import WalkLine from './WalkLine.vue'
import WalkPost from './WalkPost.vue'
import WalkPosts from './WalkPosts.vue'

/** Building the line: its posts, what they are, the facts of the line and what lies along it. */
const view = useJobView()

const PARTS = [
  { value: 'posts', words: 'Tape', panel: WalkPosts },
  { value: 'post', words: 'Post', panel: WalkPost },
  { value: 'alike', words: 'Alike', panel: WalkAlike },
  { value: 'line', words: 'Line', panel: WalkLine },
  { value: 'along', words: 'Marks', panel: WalkAlong },
  { value: 'exchange', words: 'Files', panel: WalkExchange },
] as const
const part = ref<(typeof PARTS)[number]['value']>('posts')

/** Brings a fact into sight that was asked for elsewhere. */
async function show(): Promise<void> {
  const fact = view.asked.value
  if (!fact) return
  view.asked.value = undefined
  part.value = partOf(fact)
  await nextTick()
  await nextTick()
  const field = document.querySelector<HTMLElement>(`[data-fact="${nameOf(fact)}"]`)
  field?.scrollIntoView({ block: 'center' })
  field?.querySelector<HTMLElement>('input, button')?.focus({ preventScroll: true })
}
onMounted(show)
watch(view.asked, show)

const ofLine = /^(site\.|line )/
const partOf = (fact: string) => (ofLine.test(fact) ? 'line' : 'post')
/** The post's own length is another thing than the line's. */
const nameOf = (fact: string) => (fact === 'length' ? 'post.length' : fact.replace(/^line \S+ /, ''))
</script>

<template>
  <section aria-labelledby="walk-title">
    <h2 id="walk-title">Walk the line: {{ view.line.value?.name }}, {{ view.line.value?.posts.length }} posts</h2>
    <PartTabs v-model="part" label="Parts of the walk" :tabs="PARTS" />
    <v-btn class="onward" block variant="flat" color="primary" @click="view.goTo('look')"
      >Look at {{ view.post.value?.id }}</v-btn
    >
  </section>
</template>

<style scoped>
.onward {
  margin: 16px 0 20px;
}
</style>
