<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { useHole } from '~/job/useHole'
import AnswerTiles from '~/controls/AnswerTiles.vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import type { Post } from '~~/core/document/job'
import type { Command } from '~~/core/edit/commands'
import { waysOut, type MetKind, type WayOut } from '~~/core/hole/waysOut'
import { tidy } from '~~/core/numeric/rounding'
import { thresholdWords } from '~~/core/plan/thresholds'
import { usePreferencesStore } from '~/session/preferences'
import { useVanStock } from '~/job/useVanStock'
import { morePhrase } from './holeWords'
import { MET_ANSWERS, MET_WORDS, SIDE_ANSWERS } from '~/job/metWords'
import { useHoleBench } from './useHoleBench'

/** The ground says no: what was met, and every way out with what it then holds. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const { commands } = useHole(session, view)
const { kept } = useHoleBench()
type Met = NonNullable<Post['met']>

const by = ref<MetKind>()
const reached = ref<number>()
const size = ref<number>()
const side = ref<Met[number]['side']>()
const met = computed<Met>(() => view.post.value!.met ?? [])
watch(
  () => view.post.value?.id,
  () => {
    by.value = reached.value = size.value = side.value = undefined
  },
)
/** Where nobody said yet, most of the way down. */
const usualDepth = computed(() => tidy(Math.round(((kept.value?.now.hole?.depth ?? 0.6) * 0.75) / 0.05) * 0.05))
const { bags } = useVanStock()
const ways = computed(() =>
  by.value && kept.value
    ? waysOut(kept.value, {
        reached: reached.value ?? usualDepth.value,
        by: by.value,
        ...(size.value === undefined ? {} : { size: size.value }),
        ...(bags.value === undefined ? {} : { bags: bags.value }),
      })
    : [],
)
const holds = ({ plan }: WayOut) => (plan ? thresholdWords(plan, preferences.measures.gust) : '')
const more = ({ more: than, plan }: WayOut) =>
  than ? morePhrase(plan?.concrete || than.bags < 0 ? than.bags : undefined, than.minutes) : ''
function bagsSay({ bagsDo, plan }: WayOut): string {
  if (bagsDo === undefined || !plan?.concrete) return ''
  return bagsDo ? 'The bags on the van do.' : `It wants ${plan.concrete.bags.count} bags: not enough on the van.`
}

const putMet = (value: Met): Command => ({
  name: 'setPost',
  ...view.address.value,
  key: 'met',
  value: value.length > 0 ? value : null,
})
async function take(way: WayOut): Promise<void> {
  const entry: Met[number] = {
    kind: by.value!,
    depth: tidy(reached.value ?? usualDepth.value),
    decision: way.decision,
    ...(side.value ? { side: side.value } : {}),
    ...(size.value === undefined ? {} : { size: size.value }),
  }
  const station: Command[] =
    way.station === undefined ? [] : [{ name: 'setPost', ...view.address.value, key: 'station', value: way.station }]
  const hole = way.change && way.plan ? commands(way.change, way.plan.method) : []
  await session.edit([putMet([...met.value, entry]), ...station, ...hole])
  by.value = undefined
}
</script>

<template>
  <div>
    <AnswerTiles
      question="What is in the way?"
      :answers="MET_ANSWERS"
      :value="by"
      @answer="by = ($event as MetKind | null) ?? undefined"
    />
    <template v-if="by">
      <div class="field-grid panel-section">
        <LengthStepper
          label="Reached"
          :value="reached"
          :assumed="usualDepth"
          :step="0.02"
          :smallest="0.05"
          :save="async (value) => void (reached = value ?? undefined)"
        />
        <LengthStepper
          label="How large it is"
          :value="size"
          :step="0.05"
          :start="0.1"
          :smallest="0.01"
          clearable
          :save="async (value) => void (size = value ?? undefined)"
        />
      </div>
      <AnswerTiles
        question="On which side?"
        :answers="SIDE_ANSWERS"
        :value="side"
        @answer="side = ($event as typeof side | null) ?? undefined"
      />
      <h3 class="panel-section">Ways out</h3>
      <ol class="ways">
        <li v-for="way in ways" :key="way.decision + (way.plan?.method ?? '')" :class="{ holds: way.holds }">
          <p class="says">{{ way.says }}</p>
          <p v-if="holds(way)">It {{ holds(way) }}{{ way.holds || way.against ? '.' : ': under the target.' }}</p>
          <p v-if="way.against" class="caution">{{ way.against }}</p>
          <p class="soft">{{ [more(way), bagsSay(way)].filter(Boolean).join('. ') }}</p>
          <v-btn
            :variant="way.holds ? 'flat' : 'outlined'"
            :color="way.holds ? 'primary' : undefined"
            @click="take(way)"
            >{{ way.decision === 'stopped' ? 'Stopped: keep it so' : 'Do this' }}</v-btn
          >
        </li>
      </ol>
    </template>
    <div v-if="met.length" class="panel-section">
      <h3>Met in this hole</h3>
      <ul class="met">
        <li v-for="(each, i) in met" :key="i">
          {{ MET_WORDS.kind[each.kind] }} at {{ preferences.show(each.depth)
          }}{{ each.side ? `, ${MET_WORDS.side[each.side]}` : ''
          }}{{ each.decision ? `: ${MET_WORDS.decision[each.decision]}` : '' }}
          <v-btn
            variant="text"
            :aria-label="`Take ${MET_WORDS.kind[each.kind]} away`"
            @click="session.edit([putMet(met.toSpliced(i, 1))])"
            >Take away</v-btn
          >
        </li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.ways {
  list-style: none;
  padding: 0;
}
.ways li {
  border-left: 5px solid var(--rule);
  padding: 4px 0 10px 10px;
  margin-bottom: 8px;
}
.ways .holds {
  border-left-color: var(--ink);
}
.says {
  font-weight: 600;
}
.met {
  list-style: none;
  padding: 0;
}
.met li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  border-bottom: 1px solid var(--rule);
}
</style>
