<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { useSetOut } from '~/job/useSetOut'
import ChoiceBar from '~/controls/ChoiceBar.vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import { LOW_STRING } from '~~/core/resolve/resolve'

/** The posts over which both strings are pulled straight, and what keeps them off the faces. */
const session = useJobSession()
const view = useJobView()
const { line, asked, ask } = useSetOut()
const posts = computed(() => view.line.value?.posts ?? [])
const carries = (id: string) => line.value?.posts.find(({ post }) => post === id)?.carries ?? false
const toggle = (id: string, now: boolean) => {
  const { line: of } = view.address.value
  // What carried them by itself is said, so that taking one off leaves the others.
  const first = posts.value.some(({ carriesString }) => carriesString)
    ? []
    : posts.value.filter((post) => post.id !== id && carries(post.id))
  return session.edit([
    ...first.map(({ id: post }) => ({ name: 'setPost', line: of, post, key: 'carriesString', value: true }) as const),
    { name: 'setPost', line: of, post: id, key: 'carriesString', value: now ? true : null },
  ])
}
const SIDES = [
  { value: 'near', words: 'on the near face' },
  { value: 'far', words: 'on the far face' },
] as const
const AGREE = [
  { value: 'centres', words: 'middles in line' },
  { value: 'faces', words: 'faces in line' },
] as const
const FITS = [
  { value: 'minimax', words: 'smallest largest miss' },
  { value: 'least-squares', words: 'best on the whole' },
  { value: 'ends', words: 'end to end' },
] as const
const side = computed({ get: () => asked.value.side ?? 'near', set: (value) => void ask({ side: value }) })
const agree = computed({ get: () => asked.value.agree ?? 'centres', set: (value) => void ask({ agree: value }) })
const fit = computed({ get: () => asked.value.fit ?? 'minimax', set: (value) => void ask({ fit: value }) })
</script>

<template>
  <div class="choice">
    <div class="posts" role="group" aria-label="Posts that carry the strings">
      <button
        v-for="post in posts"
        :key="post.id"
        type="button"
        class="pick"
        :aria-pressed="carries(post.id)"
        @click="toggle(post.id, !carries(post.id))"
      >
        {{ post.id }}
      </button>
    </div>
    <ChoiceBar v-model="side" label="Where the strings run" :choices="SIDES" />
    <ChoiceBar v-model="agree" label="What runs straight" :choices="AGREE" />
    <ChoiceBar v-model="fit" label="How posts that stay are judged" :choices="FITS" />
    <div class="field-grid">
      <LengthStepper
        label="Spacer"
        small
        :value="asked.spacer"
        :assumed="line?.spacer"
        :step="0.001"
        :smallest="0"
        clearable
        :save="(value) => ask({ spacer: value })"
      />
      <LengthStepper
        label="Lower string over the ground"
        :value="asked.low"
        :assumed="LOW_STRING"
        :step="0.05"
        :smallest="0.02"
        clearable
        :save="(value) => ask({ low: value })"
      />
    </div>
  </div>
</template>

<style scoped>
.choice {
  display: grid;
  gap: 10px;
}
.posts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.posts .pick {
  min-width: 56px;
}
</style>
