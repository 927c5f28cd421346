<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import LengthStepper from '~/controls/LengthStepper.vue'
import QuantityField from '~/controls/QuantityField.vue'
import LineHistory from './LineHistory.vue'
import SiteFacts from './SiteFacts.vue'
import type { InputError } from '~~/core/errors'
import type { Command } from '~~/core/edit/commands'
import { KIND_ITEMS } from '~/job/words'
import { lineEdit, type LineValue } from '~~/core/edit/keyed'

/** Facts that every post of the line shares. */
const session = useJobSession()
const view = useJobView()
const line = computed(() => view.line.value!)
const given = computed(() => session.job!.lines.find(({ id }) => id === line.value.id)!)

type LineKey = Extract<Command, { name: 'setLine' }>['key']
const set = <K extends LineKey>(key: K, value: LineValue<K>): Promise<InputError | undefined> =>
  session.edit([lineEdit({ line: line.value.id }, key, value)])
const CORNERS = [
  { key: 'cornerAtStart', says: 'a corner at the start' },
  { key: 'cornerAtEnd', says: 'a corner at the end' },
] as const
</script>

<template>
  <div>
    <div class="field-grid">
      <v-text-field
        label="Name of the line"
        :model-value="given.name ?? ''"
        :placeholder="line.id"
        @change="set('name', ($event.target as HTMLInputElement).value.trim() || null)"
      />
      <v-select
        data-fact="kind"
        label="Kind of fence"
        :items="KIND_ITEMS"
        :model-value="line.kind"
        @update:model-value="set('kind', $event)"
      />
      <LengthStepper
        data-fact="height"
        label="Height of the fence"
        :value="given.height"
        :assumed="line.height"
        :step="0.05"
        :smallest="0.3"
        :save="(value) => set('height', value)"
      />
      <LengthStepper
        data-fact="gap"
        label="Gap under it"
        :value="given.gap"
        :assumed="line.gap"
        :step="0.01"
        :smallest="0"
        :save="(value) => set('gap', value)"
      />
      <LengthStepper
        data-fact="length"
        label="Length, end to end"
        :value="given.length"
        :assumed="line.length"
        :step="0.1"
        :smallest="0.3"
        clearable
        :save="(value) => set('length', value)"
      />
      <QuantityField
        label="Solid part of its face, 0 to 1"
        :value="given.solidity"
        :assumed="line.solidity"
        :save="(value) => set('solidity', value)"
      />
      <QuantityField
        label="Years left in the rest of it"
        :value="given.remainingYears"
        :save="(value) => set('remainingYears', value)"
      />
      <LengthStepper
        label="Rod or level line at the first post"
        :value="given.levelReference"
        :step="0.01"
        :start="1.2"
        clearable
        :save="(value) => set('levelReference', value)"
      />
    </div>
    <div class="row corners">
      <v-btn
        v-for="corner in CORNERS"
        :key="corner.key"
        :aria-pressed="line[corner.key]"
        @click="set(corner.key, !line[corner.key])"
        >{{ line[corner.key] ? `✓ ${corner.says}` : corner.says }}</v-btn
      >
    </div>
    <p class="soft">A return at least as long as the fence is high takes the worst of the wind off that end.</p>
    <LineHistory :key="line.id" />
    <SiteFacts />
  </div>
</template>

<style scoped>
.corners {
  margin: 12px 0 6px;
}
</style>
