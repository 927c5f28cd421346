<script setup lang="ts">
import { ref } from 'vue'
import { useJobView } from '~/job/openJob'
import { useSetOut } from '~/job/useSetOut'
import ChoiceBar from '~/controls/ChoiceBar.vue'
import { usePreferencesStore } from '~/session/preferences'
import { ESTIMATES } from '~/job/words'
import HandPost from './HandPost.vue'
import type { SetOutPost } from '~~/core/plan/setOut/line'

/** A sheet to hold in the hand: one post a page in big figures, or the line as a table; on paper too. */
const view = useJobView()
const preferences = usePreferencesStore()
const { line, post } = useSetOut()
const way = ref<'post' | 'table'>('post')
const WAYS = [
  { value: 'post', words: 'one post' },
  { value: 'table', words: 'whole line' },
] as const
const small = (length: number | undefined) => (length === undefined ? '–' : preferences.showSmall(length))
const plumb = ({ isSet, target }: SetOutPost) => (isSet ? small(target) : '–')
const print = () => window.print()
</script>

<template>
  <div v-if="line" class="hand">
    <ChoiceBar v-model="way" class="no-print" label="Sheet" :choices="WAYS" />
    <HandPost v-if="way === 'post' && post" :post="post" class="no-print" />
    <div v-if="way === 'table'" class="table">
      <table>
        <caption class="visually-hidden">
          {{
            view.line.value!.name
          }}: what to hold a tape to, post by post
        </caption>
        <thead>
          <tr>
            <th scope="col">Post</th>
            <th scope="col">Tape</th>
            <th scope="col">Low gap</th>
            <th scope="col">High gap</th>
            <th scope="col">Top</th>
            <th scope="col">Hole reads</th>
            <th scope="col">Deep</th>
            <th scope="col">Wide</th>
            <th scope="col">Cut</th>
            <th scope="col">Off plumb</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="each in line.posts" :key="each.post">
            <th scope="row">{{ each.post }}</th>
            <td>{{ preferences.show(each.station) }}</td>
            <td>{{ small(each.gapLow) }}</td>
            <td>{{ small(each.gapHigh) }}</td>
            <td>{{ preferences.show(each.upper) }}</td>
            <td>{{ small(each.hole?.reading) }}</td>
            <td>{{ small(each.hole?.depth) }}</td>
            <td>{{ small(each.hole?.width) }}</td>
            <td>{{ small(each.cut?.length) }}</td>
            <td>{{ plumb(each) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <div class="pages" aria-hidden="true">
      <HandPost v-for="each in line.posts" :key="each.post" :post="each" class="page" />
    </div>
    <v-btn class="no-print" @click="print">Print, one post a page</v-btn>
    <p v-if="way === 'table'" class="soft no-print">{{ ESTIMATES }}</p>
  </div>
</template>

<style scoped>
.hand {
  display: grid;
  gap: 12px;
}
.table {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  font-family: var(--measure);
  font-size: 17px;
}
th,
td {
  padding: 6px 9px;
  text-align: right;
  white-space: nowrap;
  border-bottom: 1px solid var(--rule);
  font-weight: 500;
}
th:first-child {
  position: sticky;
  left: 0;
  background: var(--paper);
  text-align: left;
}
.pages {
  display: none;
}
@media print {
  .hand {
    display: block;
  }
  .pages {
    display: block;
  }
  .page:not(:last-child) {
    break-after: page;
  }
  .table {
    display: none;
  }
}
</style>
