<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import LineStrip from '~/picture/LineStrip.vue'
import { drawnState } from '~/picture/model/standing'
import { lineTotals } from '~~/core/items/totals'
import { showMinutes } from '~~/core/units/quantity'
import { topOffset } from '~~/core/setout/lean'
import { tables } from '~~/data/tables'
import { lineStrips } from '~/picture/model/lineStrips'
import { markWords } from '~/picture/model/markModel'
import { usePreferencesStore } from '~/session/preferences'
import { ESTIMATES, DUTY_ITEMS, KIND_ITEMS, STATE_WORDS } from '~/job/words'

/** The whole line on paper: drawn in true scale, then post by post. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()

const line = computed(() => view.line.value!)
const strips = computed(() => lineStrips(line.value.length))
const wordOf = (items: readonly { value: string; title: string }[], value: string) =>
  items.find((each) => each.value === value)?.title ?? value
const rows = computed(() =>
  line.value.posts.map((post) => {
    const off = topOffset(post.observations.lean, line.value.height)
    return {
      id: post.id,
      station: preferences.show(post.station),
      duty: wordOf(DUTY_ITEMS, post.duty),
      state: STATE_WORDS[drawnState(post)],
      lean: off > 0.004 ? `${preferences.show(off)} at the top` : '',
      repair: tables.parts.methods.find(({ key }) => key === post.repair?.method)?.name ?? '',
    }
  }),
)
/** What the line comes to, over all its posts. */
const totals = computed(() =>
  lineTotals(
    view.plan.value!.posts.filter(({ line: of }) => of === line.value.id),
    (id) => line.value.posts.find((post) => post.id === id)?.repair?.method,
    view.tables.value,
  ),
)
const sums = computed(() => {
  const { volume } = preferences.measures
  const { concrete, water, stone, spoil, oldConcrete, minutes, bags } = totals.value
  return [
    ...bags.map(({ count, exact, name }) => `${count} bags of ${name} (${exact.toFixed(1)} by measure)`),
    ...[
      [concrete, 'of concrete'],
      [water, 'of water'],
      [stone, 'of stone'],
      [spoil, 'of loose spoil'],
      [oldConcrete, 'of old concrete broken out'],
    ].flatMap(([amount, of]) => ((amount as number) > 0 ? [`${volume(amount as number)} ${of}`] : [])),
    `about ${showMinutes(minutes)} of work`,
  ]
})
const print = () => window.print()
</script>

<template>
  <article class="line-sheet" aria-labelledby="line-sheet-title">
    <header class="row spread">
      <div>
        <h2 id="line-sheet-title">
          {{ line.name }}: {{ line.posts.length }} posts, {{ preferences.show(line.length) }}
        </h2>
        <p>
          {{ session.job?.name }}<template v-if="session.job?.site?.name">, {{ session.job.site.name }}</template
          >. {{ wordOf(KIND_ITEMS, line.kind) }}, {{ preferences.show(line.height) }} high.
        </p>
      </div>
      <v-btn class="no-print" @click="print">Print</v-btn>
    </header>
    <LineStrip v-for="strip in strips" :key="strip.from" :line="line" :strip="strip" />
    <p v-for="mark in line.marks ?? []" :key="mark.id" class="caution">
      At {{ preferences.show(mark.station) }}: {{ markWords(mark, preferences.show)
      }}{{ mark.note ? `; ${mark.note}` : '' }}.
    </p>
    <v-table class="posts" density="compact">
      <thead>
        <tr>
          <th scope="col">Post</th>
          <th scope="col">Tape</th>
          <th scope="col">Duty</th>
          <th scope="col">State</th>
          <th scope="col">Off plumb</th>
          <th scope="col">Repair</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id">
          <th scope="row">{{ row.id }}</th>
          <td>{{ row.station }}</td>
          <td>{{ row.duty }}</td>
          <td>{{ row.state }}</td>
          <td>{{ row.lean }}</td>
          <td>{{ row.repair }}</td>
        </tr>
      </tbody>
    </v-table>
    <section v-if="totals.posts" aria-labelledby="totals-title">
      <h3 id="totals-title">The line in all</h3>
      <p>
        {{ totals.posts }} {{ totals.posts === 1 ? 'post' : 'posts' }} to mend:
        {{ totals.repairs.map(({ name, count }) => `${count} × ${name.toLowerCase()}`).join(', ') }}.
        <template v-if="totals.proposed">For {{ totals.proposed }} of them that is proposed, not yet chosen.</template>
      </p>
      <ul>
        <li v-for="each in sums" :key="each">{{ each }}</li>
      </ul>
    </section>
    <p>{{ ESTIMATES }}</p>
  </article>
</template>

<style scoped>
.line-sheet {
  max-width: 1080px;
  margin: 0 auto;
  padding: 16px 20px 40px;
  width: 100%;
}
.posts {
  margin: 14px 0;
  background: none;
}
th,
td {
  text-align: left;
  padding: 4px 8px 4px 0;
  border-bottom: 1px solid var(--rule);
  font-weight: 500;
}
th {
  font-family: var(--measure);
  font-weight: 600;
}
tr {
  break-inside: avoid;
}
</style>
