<script setup lang="ts">
import { computed, ref } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import AnswerTiles from '~/controls/AnswerTiles.vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import SmallPicture from '~/picture/SmallPicture.vue'
import type { Mark, MarkKind } from '~~/core/document/job'
import { markWords } from '~/picture/model/markModel'
import { smallPicture } from '~/picture/model/smallPictures'
import { newIdentity } from '~/sync/identity'
import { usePreferencesStore } from '~/session/preferences'
import { MARKS, SERVICE_ITEMS } from '~/job/words'

/** What lies or stands along the line: marked before any digging. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const line = computed(() => view.line.value!)
const marks = computed(() => [...(line.value.marks ?? [])].sort((a, b) => a.station - b.station))
const inHand = ref<string>()
const mark = computed(() => marks.value.find(({ id }) => id === inHand.value))

const put = (value: Mark) => session.edit([{ name: 'putMark', line: line.value.id, mark: value.id, value }])
async function add(kind: MarkKind): Promise<void> {
  const id = newIdentity().slice(0, 12)
  // It is pegged at the post in hand, and moved from there.
  await put({
    id,
    kind,
    station: view.post.value!.station,
    offset: 0,
    ...(kind === 'service' ? { service: 'unknown' } : {}),
  })
  inHand.value = id
}
async function remove(): Promise<void> {
  await session.edit([{ name: 'putMark', line: line.value.id, mark: inHand.value!, value: null }])
  inHand.value = undefined
}
/** Said once for all of it, whichever posts it passes. */
const takeInHand = () => change({ inHand: mark.value!.inHand ? undefined : preferences.signed() })
const change = (part: Partial<Mark>) => put({ ...mark.value!, ...part })
</script>

<template>
  <div>
    <p class="caution">Before any digging: ask the marking service, look for meters, taps, lamps and valves.</p>
    <AnswerTiles
      v-slot="{ value }"
      :question="`Peg one at ${view.post.value?.id}`"
      :answers="MARKS"
      @answer="add($event as MarkKind)"
    >
      <SmallPicture :parts="smallPicture('mark', value)!" />
    </AnswerTiles>
    <ul v-if="marks.length" class="list">
      <li v-for="each in marks" :key="each.id">
        <button
          type="button"
          :aria-expanded="each.id === inHand"
          @click="inHand = each.id === inHand ? undefined : each.id"
        >
          <span class="measure">{{ preferences.show(each.station) }}</span> {{ markWords(each, preferences.show) }}
        </button>
        <div v-if="each.id === inHand && mark" class="field-grid">
          <LengthStepper
            label="Along the tape at"
            :value="mark.station"
            :step="0.1"
            :smallest="0"
            :save="(value) => change({ station: value ?? mark!.station })"
          />
          <LengthStepper
            label="A run: on to"
            :value="mark.to"
            :step="0.1"
            :start="mark.station + 1"
            :smallest="0"
            clearable
            :save="(value) => change({ to: value ?? undefined })"
          />
          <LengthStepper
            label="To the right of the line"
            :value="mark.offset"
            :step="0.1"
            :save="(value) => change({ offset: value ?? 0 })"
          />
          <v-select
            v-if="mark.kind === 'service'"
            label="What it carries"
            :items="SERVICE_ITEMS"
            :model-value="mark.service"
            @update:model-value="change({ service: $event })"
          />
          <LengthStepper
            v-if="mark.kind === 'tree' || mark.kind === 'root'"
            label="Thick"
            :value="mark.size"
            :step="0.05"
            :start="0.1"
            :smallest="0.01"
            :save="(value) => change({ size: value ?? undefined })"
          />
          <v-checkbox
            label="above the ground, or on the fence"
            :model-value="mark.above === true"
            @update:model-value="change({ above: $event ? true : undefined })"
          />
          <template v-if="mark.kind === 'service'">
            <v-checkbox
              label="stays live: support it, clip it back"
              :model-value="mark.keep === true"
              @update:model-value="change({ keep: $event ? true : undefined })"
            />
            <v-btn :aria-pressed="mark.inHand !== undefined" @click="takeInHand">{{
              mark.inHand ? `✓ in hand${mark.inHand.by ? `, says ${mark.inHand.by}` : ''}` : 'Found and marked: in hand'
            }}</v-btn>
          </template>
          <v-btn variant="text" @click="remove">Take it away</v-btn>
        </div>
      </li>
    </ul>
    <p v-else class="soft empty">Nothing marked yet.</p>
  </div>
</template>

<style scoped>
.caution {
  margin-bottom: 12px;
}
.list {
  list-style: none;
  padding: 0;
  margin-top: 14px;
}
.list li {
  border-bottom: 1.5px solid var(--rule);
  padding-bottom: 4px;
}
.list button[aria-expanded] {
  width: 100%;
  min-height: 48px;
  text-align: left;
  background: none;
  border: 0;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
.list .measure {
  display: inline-block;
  min-width: 84px;
}
.empty {
  margin-top: 12px;
}
</style>
