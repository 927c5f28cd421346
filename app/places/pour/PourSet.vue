<script setup lang="ts">
import { computed, ref } from 'vue'
import { useFileDialog } from '@vueuse/core'
import { useJobView } from '~/job/openJob'
import FoldOut from '~/controls/FoldOut.vue'
import { usePhotographs } from '~/job/usePhotographs'
import { usePours } from '~/pours/pours'
import { usePourEdits } from '~/pours/usePourEdits'
import { strengthWords } from '~/pours/pourWords'
import { useTimes } from '~/pours/useTimes'
import { facesOf } from '~~/core/pour/checks'
import type { PourClock } from '~~/core/pour/clock'
import { loadsOf } from '~~/core/pour/loads'
import type { PlannedPour } from '~~/core/pour/planned'

/** A post that can no longer be moved: what may go on when, and how it is left for the night. */
const { clock, again } = defineProps<{ clock: PourClock; again: PlannedPour | undefined }>()
const view = useJobView()
const { now, weather } = usePours()
const edits = usePourEdits()
const photographs = usePhotographs()
const { when } = useTimes()

const rows = computed(() => {
  const wanted = loadsOf(view.post.value!.duties, view.line.value!.kind, again?.method)
  return clock.milestones
    .filter(({ key }) => wanted.includes(key))
    .sort((a, b) => a.at - b.at)
    .map((each) => ({ ...each, isDone: now.value >= (each.latest ?? Infinity), isLikely: now.value >= each.at }))
})
const read = computed(() => facesOf(clock.pour))
const unread = computed(() => (['across', 'along'] as const).filter((face) => (read.value[face] ?? 'eye') === 'eye'))
const FACES = { across: 'across the line', along: 'along it' } as const

const NIGHT = [
  { key: 'propped', words: 'propped both ways' },
  { key: 'covered', words: 'covered' },
  { key: 'barred', words: 'gap barred or chained' },
  { key: 'signed', words: 'sign: wet concrete' },
] as const
type Night = (typeof NIGHT)[number]['key']
const left = computed<readonly Night[]>(() => clock.pour.overnight ?? [])
function tick(key: Night): void {
  const next = left.value.includes(key) ? left.value.filter((each) => each !== key) : [...left.value, key]
  void edits.set(clock.pour.id, 'overnight', next.length > 0 ? next : null)
}
const failure = ref('')
const dialog = useFileDialog({ accept: 'image/*', multiple: false, reset: true })
dialog.onChange(async (files) => {
  const [file] = files ?? []
  failure.value = ''
  if (file)
    await photographs
      .add(file, { height: 0, note: 'left for the night' })
      .catch((error: Error) => (failure.value = error.message))
})
const hasForm = computed(() => rows.value.some(({ key }) => key === 'form'))
const beginAgain = () => again && edits.start(again, undefined, weather.forecast.value)
</script>

<template>
  <div>
    <p class="says">
      <strong>{{ clock.pour.post }}</strong> can no longer be moved, since {{ when(clock.stiff ?? clock.start) }}.
    </p>
    <p v-if="unread.length" class="caution">
      {{ unread.map((face) => FACES[face]).join(' and ') }}: not read with a level while it could be moved. Read it now
      and write it down as it is.
    </p>
    <ul class="milestones">
      <li v-for="each in rows" :key="each.key" :class="{ done: each.isDone }">
        <span class="measure">{{ each.isDone ? '✓' : when(each.latest ?? each.at) }}</span>
        <span
          >{{ each.says
          }}<small v-if="!each.isDone" class="soft"
            >{{ each.isLikely ? 'likely by now; ' : '' }}likely {{ when(each.at) }}, at the soonest
            {{ when(each.earliest) }}</small
          ></span
        >
      </li>
    </ul>
    <p v-if="rows.length === 0" class="caution">In this cold it does not harden: keep it covered and its props on.</p>
    <p v-if="clock.share !== undefined" class="soft">
      {{ strengthWords(clock.share) }}
    </p>
    <v-checkbox
      v-if="hasForm"
      label="Form off, edges trowelled, kept damp for three days"
      hide-details
      :model-value="clock.pour.formStripped !== undefined"
      @update:model-value="
        $event ? edits.setNow(clock.pour.id, 'formStripped') : edits.set(clock.pour.id, 'formStripped', null)
      "
    />
    <div class="panel-section">
      <h3>Left for the night</h3>
      <v-checkbox
        v-for="each in NIGHT"
        :key="each.key"
        :label="each.words"
        hide-details
        :model-value="left.includes(each.key)"
        @update:model-value="tick(each.key)"
      />
      <v-btn @click="dialog.open()">Photograph how it stands</v-btn>
      <p v-if="failure" class="error-text" role="alert">{{ failure }}</p>
    </div>
    <FoldOut v-if="again" title="It was taken out, and is poured anew" quiet>
      <v-btn @click="beginAgain">Start its clock anew</v-btn>
    </FoldOut>
  </div>
</template>

<style scoped>
.says {
  font-size: 18px;
}
.milestones {
  list-style: none;
  padding: 0;
}
.milestones li {
  display: grid;
  grid-template-columns: 118px 1fr;
  align-items: baseline;
  gap: 8px;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
}
.milestones .measure {
  font-size: 24px;
}
.milestones small {
  display: block;
  font-size: 14px;
}
.done {
  color: var(--soft-ink);
}
</style>
