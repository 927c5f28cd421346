<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import { dueAt, usePours } from '~/pours/pours'
import { leftWords, stageWords } from '~/pours/pourWords'
import { useTimes } from '~/pours/useTimes'

/** What is wet by what is due first, then what waits to be poured in its order. */
const view = useJobView()
const { wet, waiting, startOf, now } = usePours()
const { when } = useTimes()

const others = computed(() => wet.value.filter(({ pour }) => pour.post !== view.post.value?.id))
const queue = computed(() =>
  waiting.value.slice(0, 8).map((each) => {
    const start = startOf(each)
    return {
      ...each,
      from: start?.at == null ? 'not today' : start.waitsFor === 'nothing' ? 'now' : `at ${when(start.at)}`,
    }
  }),
)
const more = computed(() => waiting.value.length - queue.value.length)
</script>

<template>
  <div v-if="others.length || queue.length" class="panel-section">
    <template v-if="others.length">
      <h3>Wet beside it</h3>
      <ul class="posts">
        <li v-for="{ pour, minutesLeft, stage, marks } in others" :key="pour.id">
          <v-btn variant="text" block class="line" @click="view.choose(pour.post)">
            <strong class="measure">{{ pour.post }}</strong>
            <span class="measure left">{{ leftWords(minutesLeft).value }} {{ leftWords(minutesLeft).unit }}</span>
            <span>{{ stageWords(stage) }}</span>
            <span class="soft">next {{ when(dueAt({ marks, stage, milestones: [] }, now)) }}</span>
          </v-btn>
        </li>
      </ul>
    </template>
    <template v-if="queue.length">
      <h3>Still to pour, ends and gate posts first</h3>
      <ul class="posts">
        <li v-for="each in queue" :key="`${each.line} ${each.post}`">
          <v-btn variant="text" block class="line" @click="view.choose(each.post)">
            <strong class="measure">{{ each.post }}</strong>
            <span>{{
              each.bags ? `${each.bags} ${each.bags === 1 ? 'bag' : 'bags'}` : each.mix.replaceAll('-', ' ')
            }}</span>
            <span class="soft">{{ each.from }}</span>
          </v-btn>
        </li>
      </ul>
      <p v-if="more > 0" class="soft">and {{ more }} more</p>
    </template>
  </div>
</template>

<style scoped>
.posts {
  list-style: none;
  padding: 0;
}
.line :deep(.v-btn__content) {
  display: grid;
  grid-template-columns: 58px 84px 1fr auto;
  justify-items: start;
  width: 100%;
  gap: 8px;
}
.posts li:has(.line) {
  border-bottom: 1px solid var(--rule);
}
.left {
  font-size: 20px;
}
</style>
