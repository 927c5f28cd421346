<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import { useSetOut } from '~/job/useSetOut'
import LengthStepper from '~/controls/LengthStepper.vue'
import { usePreferencesStore } from '~/session/preferences'
import { buttedBoards, evenBoards, plumbChecks } from '~~/core/setout/boards'
import { sectionSize } from '~~/core/timber/section'

/** Boards over the bay after the chosen post: how many, with which gap, and where plumb is checked. */
const view = useJobView()
const preferences = usePreferencesStore()
const { asked, ask } = useSetOut()
const [BOARD, GAP] = [0.1, 0.01]
const bay = computed(() => {
  const posts = view.line.value!.posts
  const i = posts.findIndex(({ id }) => id === view.postId.value)
  const [left, right] = i < posts.length - 1 ? [posts[i], posts[i + 1]] : [posts[i - 1], posts[i]]
  if (!left || !right) return undefined
  const half = (post: typeof left) => sectionSize(post.section).along / 2
  return { from: left.id, to: right.id, clear: right.station - left.station - half(left) - half(right) }
})
const width = computed(() => asked.value.board ?? BOARD)
const boards = computed(() => {
  const { clear } = bay.value ?? { clear: 0 }
  if (clear <= width.value) return undefined
  const even = evenBoards(clear, width.value, asked.value.boardGap ?? GAP)
  return { even, butted: buttedBoards(clear, width.value), checks: plumbChecks(even.count) }
})
</script>

<template>
  <section v-if="bay" aria-labelledby="boards-title">
    <h3 id="boards-title">Boards from {{ bay.from }} to {{ bay.to }}: {{ preferences.show(bay.clear) }} clear</h3>
    <div class="field-grid">
      <LengthStepper
        label="Width of a board"
        small
        :value="asked.board"
        :assumed="BOARD"
        :step="0.005"
        :smallest="0.01"
        clearable
        :save="(value) => ask({ board: value })"
      />
      <LengthStepper
        label="Gap about"
        small
        :value="asked.boardGap"
        :assumed="GAP"
        :step="0.001"
        :smallest="0"
        clearable
        :save="(value) => ask({ boardGap: value })"
      />
    </div>
    <template v-if="boards">
      <p>
        <strong>{{ boards.even.count }} boards, {{ preferences.showSmall(boards.even.gap) }}</strong> between them and
        at both posts.
      </p>
      <p class="soft">
        Butted: {{ boards.butted.count }} whole,
        {{ boards.butted.rip > 0 ? `the last ripped to ${preferences.showSmall(boards.butted.rip)}` : 'none ripped' }}.
        Check plumb at boards {{ boards.checks.join(', ') }}.
      </p>
    </template>
  </section>
</template>
