<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import { useSetOut } from '~/job/useSetOut'
import ChoiceBar from '~/controls/ChoiceBar.vue'
import FoldOut from '~/controls/FoldOut.vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import SunkPanel from './SunkPanel.vue'
import { usePreferencesStore } from '~/session/preferences'
import { CLEARANCE, USUAL_STEP } from '~~/core/setout/topline/topLine'
import { USUAL_CHANGE } from '~~/core/setout/topline/follow'

/** The kind of top that the line gets, what it leaves under each bay, and what a sunk panel needs. */
const view = useJobView()
const preferences = usePreferencesStore()
const { line, asked, ask } = useSetOut()
const small = (length: number) => preferences.showSmall(length)

const TOPS = [
  { value: 'carried', words: 'over the posts that carry it' },
  { value: 'level', words: 'level' },
  { value: 'straight', words: 'straight, raked' },
  { value: 'follow', words: 'follows the ground' },
  { value: 'stepped', words: 'stepped' },
] as const
const top = computed({
  get: () => asked.value.top ?? 'carried',
  set: (value) => void ask({ top: value === 'carried' ? null : value }),
})
const height = computed(() => view.line.value!.height)
/** One sentence for each thing that is wrong, with the bays that have it. */
const flags = computed(() => {
  const bays = line.value?.bays ?? []
  const named = (of: typeof bays) => of.map(({ from, to }) => `${from} to ${to}`).join(', ')
  const buried = bays.filter(({ least }) => least < 0)
  const tight = bays.filter((each) => each.tight && each.least >= 0)
  const wide = bays.filter((each) => each.wide)
  return [
    ...(buried.length > 0
      ? [
          `${named(buried)}: the ground stands up to ${small(Math.max(...buried.map(({ least }) => -least)))} up the cladding: dig it away, or raise the line.`,
        ]
      : []),
    ...(tight.length > 0
      ? [
          `${named(tight)}: only ${small(Math.min(...tight.map(({ least }) => least)))} under it at the high side: wet grass reaches the wood.`,
        ]
      : []),
    ...(wide.length > 0
      ? [
          `${named(wide)}: up to ${small(Math.max(...wide.map(({ most }) => most)))} under it at the low side: a board along the ground, or another kind of top.`,
        ]
      : []),
  ]
})
const shown = computed(() => line.value?.bays ?? [])
</script>

<template>
  <div v-if="line" class="levels">
    <h3>The top of the fence</h3>
    <ChoiceBar v-model="top" label="Kind of top" :choices="TOPS" />
    <div v-if="top === 'straight'" class="field-grid">
      <LengthStepper
        label="Height at the start"
        :value="asked.first"
        :assumed="height"
        :step="0.01"
        :smallest="0.05"
        clearable
        :save="(value) => ask({ first: value })"
      />
      <LengthStepper
        label="Height at the end"
        :value="asked.last"
        :assumed="height"
        :step="0.01"
        :smallest="0.05"
        clearable
        :save="(value) => ask({ last: value })"
      />
    </div>
    <LengthStepper
      v-else-if="top === 'follow'"
      label="Most that it bends from bay to bay, to the metre"
      small
      :value="asked.change"
      :assumed="USUAL_CHANGE"
      :step="0.005"
      :smallest="0"
      clearable
      :save="(value) => ask({ change: value })"
    />
    <LengthStepper
      v-else-if="top === 'stepped'"
      label="Steps of"
      small
      :value="asked.step"
      :assumed="USUAL_STEP"
      :step="0.005"
      :smallest="0.005"
      clearable
      :save="(value) => ask({ step: value })"
    />
    <p v-if="flags.length === 0">
      Every bay clears the ground by {{ small(CLEARANCE[0]) }} to {{ small(CLEARANCE[1]) }}.
    </p>
    <p v-for="each in flags" :key="each" class="caution">{{ each }}</p>
    <table>
      <caption class="visually-hidden">
        Tops and clearances, post by post
      </caption>
      <thead>
        <tr>
          <th scope="col">Post</th>
          <th scope="col">Ground</th>
          <th scope="col">Top over it</th>
          <th scope="col">Under the next bay</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(post, i) in line.posts" :key="post.post" :class="{ here: post.post === view.postId.value }">
          <th scope="row">{{ post.post }}</th>
          <td>{{ small(view.line.value!.posts[i]!.groundLevel ?? 0) }}</td>
          <td>{{ preferences.show(post.upper) }}</td>
          <td>
            <template v-if="shown[i]">{{ small(shown[i]!.least) }} to {{ small(shown[i]!.most) }}</template>
          </td>
        </tr>
      </tbody>
    </table>
    <FoldOut title="A panel that has sunk"><SunkPanel /> </FoldOut>
  </div>
</template>

<style scoped>
.levels {
  display: grid;
  gap: 10px;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-family: var(--measure);
  font-size: 18px;
}
th,
td {
  text-align: right;
  padding: 4px 6px;
  border-bottom: 1px solid var(--rule);
  font-weight: 500;
}
thead th {
  font-family: var(--words);
  font-size: 14px;
}
th:first-child {
  text-align: left;
}
.here {
  background: var(--faint);
}
</style>
