<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { useHole } from '~/job/useHole'
import QuantityField from '~/controls/QuantityField.vue'
import type { Command } from '~~/core/edit/commands'
import { bestUseOfBags, makeDo, type MakeDo } from '~~/core/hole/bagsInHand'
import { liveCount, runsOut } from '~~/core/hole/live'
import { thresholdWords } from '~~/core/plan/thresholds'
import { row } from '~~/core/tables/tables'
import { usePreferencesStore } from '~/session/preferences'
import { useVanStock } from '~/job/useVanStock'
import { bagWords } from './holeWords'
import { openHoles } from './openHoles'
import { useHoleBench } from './useHoleBench'

/** The bags that are there: where they do most, and what to do in a hole that took more than it should. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const { put } = useHole(session, view)
const { kept } = useHoleBench()

const { bags: onVan, setBags } = useVanStock()
const holes = computed(() => openHoles(view.plan.value!, view.line.value!))
const wanted = computed(() => holes.value.reduce((sum, { plan }) => sum + plan.concrete!.bags.exactCount, 0))
const best = computed(() =>
  session.job && onVan.value !== undefined
    ? bestUseOfBags(
        session.job,
        view.tables.value,
        holes.value.map(({ post, plan }) => ({ post, method: plan.method })),
        onVan.value,
      )
    : undefined,
)
/** How much more than its plan the holes took that were filled. */
const over = computed(() => {
  const counts = holes.value.flatMap(({ post, plan }) => {
    const of = view.line.value!.posts.find(({ id }) => id === post)!
    const { bags, face } = of.repair?.poured ?? {}
    const mix = row(view.tables.value.mixes, plan.concrete!.mix)
    if (bags === undefined || face === undefined || mix.supply !== 'bag') return []
    return liveCount({ bags, face }, plan.hole!, plan.concrete!, mix, of.section)?.over ?? []
  })
  return counts.length > 0 ? counts.reduce((sum, each) => sum + each, 0) / counts.length : 0
})
const out = computed(() =>
  onVan.value === undefined
    ? undefined
    : runsOut(
        holes.value.map(({ post, plan }) => ({ post, bags: plan.concrete!.bags.exactCount })),
        onVan.value,
        over.value,
      ),
)
const ways = computed(() => (kept.value && onVan.value !== undefined ? makeDo(kept.value, onVan.value) : []))
const gust = ({ plan }: MakeDo) => thresholdWords(plan, preferences.measures.gust)

/** One undo takes them all back. */
function takeAll(): void {
  const line = view.line.value!.id
  const commands = best.value!.holes.flatMap(({ post, plan, depth }): Command[] => [
    { name: 'chooseRepair', line, post, value: plan.method },
    { name: 'setHole', line, post, method: plan.method, key: 'depth', value: depth },
  ])
  void session.edit(commands)
}
</script>

<template>
  <div>
    <div class="field-grid">
      <QuantityField label="Bags on the van" :value="onVan" :save="setBags" />
    </div>
    <p>
      {{ holes.length }} open {{ holes.length === 1 ? 'hole' : 'holes' }} on this line want
      {{ bagWords(wanted) }} together.
    </p>
    <p v-if="out" class="caution" role="status">
      {{ out.short }} short at {{ out.at
      }}<template v-if="over > 0.02">, as the holes are taking {{ Math.round(over * 100) }} in 100 more</template>.
    </p>
    <template v-if="best && best.holes.length">
      <h3>Where they do most</h3>
      <p v-if="best.missing" class="caution">
        Not even the least of each: {{ best.missing }} {{ best.missing === 1 ? 'bag' : 'bags' }} missing.
      </p>
      <ul class="shares">
        <li v-for="hole in best.holes" :key="hole.post">
          <strong>{{ hole.post }}</strong> {{ preferences.show(hole.depth) }} deep, {{ bagWords(hole.bags) }}:
          {{ thresholdWords(hole.plan, preferences.measures.gust) }}
        </li>
      </ul>
      <p v-if="!best.missing" class="soft">
        {{ best.used }} bags, {{ best.left }} left. The weakest is {{ best.weakest?.post }}.
      </p>
      <v-btn v-if="!best.missing" @click="takeAll">Dig them so</v-btn>
    </template>
    <template v-if="ways.length">
      <h3 class="panel-section">This hole with those bags</h3>
      <ul class="shares">
        <li v-for="way in ways" :key="way.key">
          <p>
            {{ way.says }} <span class="soft">It then {{ gust(way) }}.</span>
          </p>
          <v-btn @click="put(way.change)">Do this</v-btn>
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.shares {
  list-style: none;
  padding: 0;
}
.shares li {
  border-bottom: 1px solid var(--rule);
  padding: 6px 0;
}
h3 {
  margin-top: 10px;
}
</style>
