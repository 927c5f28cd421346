<script setup lang="ts">
import { computed } from 'vue'
import { rowOfFigure, type LearntFigure } from '~~/core/record/learnt'
import { learntFrom, type LearntRow } from '~~/core/tables/learnt'
import type { YardRow } from '~~/core/yard/column'
import { tables } from '~~/data/tables'
import { useYard } from './useYard'
import { useLessons } from './useLessons'
import type { useChanging } from './useChanging'

/** What the records say beside what is in use: nothing counts before somebody took it over. */
const { rows, change } = defineProps<{ rows: readonly YardRow[]; change: ReturnType<typeof useChanging>['change'] }>()
const { catalogue } = useYard()
const { failure, figures, ownPace, lessons } = useLessons()

const soil = (key: string | undefined) => tables.soils.find((each) => each.key === key)?.name.toLowerCase()
/** A step by its key, a thing by its name in the list. */
const thing = (key: string) => catalogue.value.find((each) => each.key === key)?.name ?? key.replaceAll('-', ' ')
const KINDS = {
  'over-dig': 'Dug over the plan',
  bags: 'Filled over the plan',
  minutes: 'Time over the plan',
  spares: 'Used over the plan',
}
const nameOf = ({ kind, tool, soil: of, task }: LearntFigure) =>
  [
    KINDS[kind],
    task ? `: ${thing(task)}` : tool ? `: ${tool.replaceAll('-', ' ')}` : '',
    of ? ` in ${soil(of) ?? of}` : '',
  ].join('')
const inUse = computed(() => new Map(rows.map((row) => [row.key, row as unknown as LearntRow])))
const shown = computed(() =>
  figures.value.map((figure) => {
    const now = inUse.value.get(figure.key)
    const fresh = rowOfFigure(figure, nameOf(figure))
    return {
      figure,
      fresh,
      name: nameOf(figure),
      now,
      isNews: !now || now.median !== fresh.median || now.records !== fresh.records,
    }
  }),
)
const times = (ratio: number) => `${ratio.toFixed(2)} times`
const use = (fresh: LearntRow) =>
  change([
    {
      table: 'learnt',
      key: fresh.key,
      was: rows.find(({ key }) => key === fresh.key) ?? null,
      value: fresh as unknown as YardRow,
    },
  ])
</script>

<template>
  <section class="learnt" aria-labelledby="learnt-title">
    <h3 id="learnt-title">What your records say</h3>
    <p v-if="failure" class="soft" role="status">{{ failure }}</p>
    <p v-else-if="!lessons" role="status">Reading the records …</p>
    <p v-else-if="shown.length === 0" class="soft">
      Five records of one thing make a figure: bags and sizes as they came, minutes as they were. Until then the working
      values count.
    </p>
    <ul v-else>
      <li v-for="each in shown" :key="each.figure.key">
        <div>
          <strong>{{ each.name }}</strong
          >: {{ times(each.figure.median) }} ({{ each.figure.low.toFixed(2) }} to {{ each.figure.high.toFixed(2) }}),
          nine in ten up to {{ times(each.figure.ninety) }}, {{ learntFrom(each.figure) }}.
          <span class="soft">{{
            each.now ? `In use: ${times(each.now.median)}, ${learntFrom(each.now)}.` : 'Not in use.'
          }}</span>
        </div>
        <v-btn v-if="each.isNews" :aria-label="`Use it: ${each.name}`" @click="use(each.fresh)">Use it</v-btn>
      </li>
    </ul>
    <p v-if="ownPace.length" class="soft">
      Your own pace, which you alone see:
      <template v-for="each in ownPace" :key="each.key"
        >{{ each.task?.replaceAll('-', ' ') }} {{ times(each.median) }}, {{ learntFrom(each) }};
      </template>
    </p>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 14px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
}
.learnt {
  margin-bottom: 16px;
}
</style>
