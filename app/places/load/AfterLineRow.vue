<script setup lang="ts">
import { computed } from 'vue'
import QuantityField from '~/controls/QuantityField.vue'
import { InputError } from '~~/core/errors'
import type { AfterLine } from '~~/core/cost/after'
import { differenceWords, figureOf, quantityWords, REASONS } from './model/afterWords'
import { useAfter } from './useAfter'

/** One thing: how much was planned, how much it came to, and why where the two are far apart. */
const { line } = defineProps<{ line: AfterLine }>()
const after = useAfter()
const note = computed(() => after.noteOf(line.key))
const unit = computed(() => (line.unit === 'each' ? '' : ` ${line.unit}`))
const says = computed(() => differenceWords(line))
const MOST = 1e6
const save = (key: 'used' | 'bought') => async (value: number | null) =>
  value !== null && (value < 0 || value > MOST)
    ? new InputError(key, value, `a number from 0 to ${MOST}`)
    : after.note(line.key, { [key]: value })
</script>

<template>
  <li>
    <div role="group" :aria-label="line.name" class="line" :class="{ off: line.needsReason }">
      <p class="name">
        {{ line.name }}
        <small
          >{{ quantityWords(line.planned.valueOf(), line.unit) }} planned<template v-if="says"
            >; {{ says }}</template
          ></small
        >
      </p>
      <QuantityField
        :label="`Used${unit}`"
        :value="note.used"
        :assumed="Number(figureOf((line.used ?? line.planned).valueOf()))"
        :save="save('used')"
      />
      <QuantityField v-if="line.isGoods" label="Bought" :value="note.bought" :save="save('bought')" />
      <v-combobox
        v-if="line.needsReason"
        class="reason"
        label="Why"
        variant="outlined"
        density="comfortable"
        :items="[...REASONS]"
        :model-value="note.reason ?? null"
        :error-messages="note.reason ? [] : ['more than a tenth apart: say why']"
        hide-details="auto"
        @update:model-value="after.note(line.key, { reason: ($event as string | null) || null })"
      />
    </div>
  </li>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 116px 116px;
  gap: 8px;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
}
.off {
  border-left: 6px solid var(--string);
  padding-left: 8px;
}
.name {
  font-size: 17px;
}
.name small {
  display: block;
  font-size: 14px;
  color: var(--soft-ink);
}
.reason {
  grid-column: 1 / -1;
}
@media (max-width: 760px) {
  .line {
    grid-template-columns: 1fr 1fr;
  }
  .name {
    grid-column: 1 / -1;
  }
}
</style>
