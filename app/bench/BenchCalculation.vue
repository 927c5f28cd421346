<script setup lang="ts">
import { computed } from 'vue'
import { usePreferencesStore } from '~/session/preferences'
import type { Calculation } from '~~/core/calc/calculation'
import { InputError } from '~~/core/errors'
import { tablesIn } from '~~/data/tables'
import BenchField from './BenchField.vue'
import FittedPicture from '~/picture/FittedPicture.vue'
import BenchSweep from './BenchSweep.vue'
import { answerLines } from './benchWords'
import { PICTURES } from './pictures'
import { sameData } from '~~/core/sameData'

/** A named calculation: what goes in, what comes out, drawn; its source and its worked example in sight. */
const { calculation, given } = defineProps<{ calculation: Calculation; given: Readonly<Record<string, unknown>> }>()
const emit = defineEmits<{ change: [given: Record<string, unknown>] }>()
const preferences = usePreferencesStore()
const tables = computed(() => tablesIn[preferences.units])

const result = computed((): { found?: Record<string, unknown>; error?: InputError } => {
  try {
    return { found: calculation.run(given, tables.value) }
  } catch (error) {
    if (error instanceof InputError) return { error }
    throw error
  }
})
const lines = computed(() =>
  result.value.found ? answerLines(calculation, result.value.found, preferences.units) : [],
)
/** An error is said at the field that it is of, however deep in it. */
const errorAt = (key: string) => {
  const { error } = result.value
  return error && error.key.split(/[.[]/)[0] === key ? error.message : undefined
}
const elsewhere = computed(() =>
  result.value.error && !calculation.form.some(({ key }) => errorAt(key)) ? result.value.error.message : '',
)
const picture = computed(() => {
  const { found } = result.value
  const drawn = found && PICTURES[calculation.name]?.(given, found)
  return drawn && drawn.solids.length > 0 ? drawn : undefined
})
const isExample = computed(() => sameData(given, calculation.example[0]))
const example = computed(() => ({
  given: Object.entries(calculation.example[0])
    .map(([key, value]) => `${key} ${JSON.stringify(value)}`)
    .join(', '),
  found: Object.entries(calculation.example[1])
    .map(([key, value]) => `${key} ${JSON.stringify(value)}`)
    .join(', '),
}))
function set(key: string, value: unknown): void {
  const { [key]: _old, ...rest } = given
  emit('change', value === undefined ? rest : { ...rest, [key]: value })
}
</script>

<template>
  <article class="legible" :aria-label="calculation.name.replaceAll('-', ' ')">
    <h2>{{ calculation.name.replaceAll('-', ' ') }}</h2>
    <p class="says">{{ calculation.says.replaceAll('`', '') }}</p>
    <div class="sides">
      <section aria-label="What goes in">
        <div class="form">
          <BenchField
            v-for="field in calculation.form"
            :key="field.key"
            :field="field"
            :value="given[field.key]"
            :tables="tables"
            :error="errorAt(field.key)"
            @change="set(field.key, $event)"
          />
        </div>
        <v-btn v-if="!isExample" variant="text" @click="emit('change', { ...calculation.example[0] })"
          >Back to the worked example</v-btn
        >
      </section>
      <section aria-label="What comes out" aria-live="polite">
        <p v-if="elsewhere" class="error-text" role="alert">{{ elsewhere }}</p>
        <p v-else-if="result.error" class="soft">What is marked has to be put right first.</p>
        <dl v-else class="answer">
          <template v-for="each in lines" :key="each.key">
            <dt>{{ each.name }}</dt>
            <dd v-if="each.words !== undefined">
              <span class="measure">{{ each.words }}</span> <small v-if="each.says">{{ each.says }}</small>
            </dd>
            <dd v-else-if="each.rows" class="wide">
              <v-table density="compact">
                <thead>
                  <tr>
                    <th v-for="heading in each.rows.headings" :key="heading" scope="col">{{ heading }}</th>
                  </tr>
                </thead>
                <tbody>
                  <tr v-for="(cells, i) in each.rows.cells" :key="i">
                    <td v-for="(cell, at) in cells" :key="at">{{ cell }}</td>
                  </tr>
                </tbody>
              </v-table>
            </dd>
          </template>
        </dl>
        <FittedPicture v-if="picture" :picture="picture" :label="calculation.says" />
        <BenchSweep
          v-if="result.found"
          :calculation="calculation"
          :given="given"
          :found="result.found"
          :tables="tables"
        />
      </section>
    </div>
    <footer>
      <p><strong>Source:</strong> {{ calculation.source }}.</p>
      <p><strong>Worked:</strong> {{ example.given }} → {{ example.found }}.</p>
      <p class="soft">By the bare formula and the shipped tables: nothing of a job, no experience, is in it.</p>
    </footer>
  </article>
</template>

<style scoped>
article {
  font-size: 17px;
}
.says {
  margin-bottom: 12px;
}
.sides {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr);
  gap: 28px;
}
.form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 12px;
}
.answer {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 16px;
  margin: 0 0 12px;
}
dt {
  align-self: baseline;
}
dd {
  margin: 0;
}
.wide {
  grid-column: 1 / -1;
  overflow-x: auto;
}
.measure {
  font-size: 24px;
}
small {
  color: var(--soft-ink);
  font-size: 14px;
}
footer {
  border-top: 1.8px solid var(--ink);
  margin-top: 20px;
  padding: 10px 0 20px;
  font-size: 15px;
  overflow-wrap: anywhere;
}
@media (max-width: 760px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
