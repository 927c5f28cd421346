<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useFileDialog } from '@vueuse/core'
import QuantityField from '~/controls/QuantityField.vue'
import { TOOLS } from '~~/core/document/vocabulary'
import type { Tool } from '~~/core/day/question'
import { USUAL_SETUP } from '~~/core/day/setup'
import { InputError } from '~~/core/errors'
import { takenDays } from '~~/core/day/busy'
import { DAY_MINUTES } from '~~/core/day/question'
import { MINUTE_MS } from '~~/core/weather/forecast'
import { TOOL_NAMES } from './dayWords'
import DayHours from './DayHours.vue'
import { clockWords, minutesOf } from '~/controls/timesOfDay'
import { useDay } from './useDay'

/** Tools, hours, what is hired or brought, and the weather that is allowed for. */
const day = useDay()
onMounted(day.loadBeside)
const tools = computed(() => ({ ...USUAL_SETUP.tools, ...day.setup.value.tools }) as Partial<Record<Tool, number>>)
const setTool = (tool: Tool) => async (value: number | null) => {
  if (value !== null && (!Number.isInteger(value) || value < 0 || value > 20))
    return new InputError(tool, value, 'a whole number from 0 to 20')
  return day.set('tools', { ...tools.value, [tool]: value ?? 0 })
}

type Span = { from: number; to: number }
const HIRED: readonly Tool[] = ['mixer', 'breaker', 'auger']
const hires = computed(() => day.setup.value.hires ?? [])
const hireOf = (tool: Tool): Span => hires.value.find((each) => each.tool === tool) ?? { from: 0, to: 1_440 }
function setHire(tool: Tool, end: keyof Span, text: string): void {
  const minute = minutesOf(text)
  if (minute === undefined) return
  const next = { tool, ...hireOf(tool), [end]: minute }
  const others = hires.value.filter((each) => each.tool !== tool)
  void day.set('hires', [...others, { tool, from: next.from, to: next.to }])
}
const free = computed(() => day.setup.value.free ?? [])

/** Another calendar gives its busy times alone: on days that it fills nobody comes. */
const read = ref('')
const dialog = useFileDialog({ accept: '.ics,text/calendar', multiple: false, reset: true })
dialog.onChange(async (files) => {
  const [file] = files ?? []
  if (!file) return
  try {
    const { busyTimes } = await import('~~/shared/calendar')
    const midnight = day.midnight.value
    const until = midnight + USUAL_SETUP.days * DAY_MINUTES * MINUTE_MS
    const busy = takenDays(
      busyTimes(await file.text(), until),
      midnight,
      day.setup.value.hours ?? USUAL_SETUP.hours,
      USUAL_SETUP.days,
    )
    await day.set('free', busy.length > 0 ? busy : null)
    read.value =
      busy.length > 0
        ? `${busy.length} ${busy.length === 1 ? 'day is' : 'days are'} taken already.`
        : 'Nothing in it keeps anybody away.'
  } catch (error) {
    read.value = (error as Error).message
  }
})
const toggleBeside = (id: string, is: boolean) => {
  const known = (day.setup.value.beside ?? []).filter((each) => each !== id)
  const next = is ? [...known, id] : known
  void day.set('beside', next.length > 0 ? next : null).then(day.loadBeside)
}
</script>

<template>
  <div>
    <h3>Tools</h3>
    <div class="field-grid">
      <QuantityField
        v-for="tool in TOOLS"
        :key="tool"
        :label="TOOL_NAMES[tool]"
        :value="tools[tool] ?? 0"
        :save="setTool(tool)"
      />
    </div>
    <div v-for="tool in HIRED.filter((each) => (tools[each] ?? 0) > 0)" :key="tool" class="field-grid">
      <v-text-field
        :label="`${TOOL_NAMES[tool]}: here from`"
        type="time"
        :model-value="clockWords(hireOf(tool).from)"
        @update:model-value="setHire(tool, 'from', $event)"
      />
      <v-text-field
        :label="`${TOOL_NAMES[tool]}: until`"
        type="time"
        :model-value="clockWords(hireOf(tool).to % 1440)"
        @update:model-value="setHire(tool, 'to', $event)"
      />
    </div>
    <DayHours />
    <v-checkbox
      label="Fresh concrete is covered against frost"
      hide-details
      :model-value="day.setup.value.covered ?? false"
      @update:model-value="day.set('covered', $event ? true : null)"
    />
    <v-checkbox
      label="It is shaded in the heat"
      hide-details
      :model-value="day.setup.value.shaded ?? false"
      @update:model-value="day.set('shaded', $event ? true : null)"
    />
    <div v-if="day.neighbours.value.length" class="panel-section">
      <h3>In the same days, at the same site</h3>
      <v-checkbox
        v-for="each in day.neighbours.value"
        :key="each.id"
        :label="each.name"
        hide-details
        :model-value="day.setup.value.beside?.includes(each.id) ?? false"
        @update:model-value="toggleBeside(each.id, $event === true)"
      />
    </div>
    <div class="panel-section">
      <h3>Days that are taken</h3>
      <p v-if="free.length">{{ free.length }} of the days to come.</p>
      <v-btn @click="dialog.open()">Read a calendar file</v-btn>
      <p v-if="read" role="status">{{ read }}</p>
    </div>
  </div>
</template>
