<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from '#imports'
import { useJobInHand, type OpenJob } from '~/job/openJob'
import { WORDS } from '~/glossary/words'
import { useFinder } from './useFinder'
import { PLACES } from '~/places'
import { usePreferencesStore } from '~/session/preferences'
import { calculations } from '~~/core/calc/registry'
import { THEME_NAMES, type ThemeName } from '~/theme'

/** Find a post or do anything by its name. */
const finder = useFinder()
const openJob = useJobInHand()
const preferences = usePreferencesStore()
const router = useRouter()

interface Action {
  name: string
  run: () => unknown
}

const LIGHTS: Record<ThemeName, string> = { paper: 'Light: paper', dusk: 'Light: dusk', glare: 'Light: full sun' }
const wanted = ref('')
const marked = ref(0)

const actions = computed<Action[]>(() => [
  ...(openJob.value?.session.job ? jobActions(openJob.value) : []),
  { name: 'All jobs', run: () => router.push('/') },
  { name: 'Units: metres or feet and inches', run: preferences.switchUnits },
  { name: 'Volumes: litres or gallons', run: preferences.switchVolumes },
  {
    name: `Figures: ${preferences.isLarge ? 'as usual' : 'large'}`,
    run: () => (preferences.isLarge = !preferences.isLarge),
  },
  ...THEME_NAMES.map((theme) => ({ name: LIGHTS[theme], run: () => (preferences.theme = theme) })),
  { name: 'Yard: store, prices, mixes, tools', run: () => router.push('/yard') },
  { name: 'Bench: one calculation by itself', run: () => router.push('/bench') },
  { name: 'People: who works here, devices', run: () => router.push('/people') },
  { name: 'Practice: cases and drills', run: () => router.push('/practice') },
  { name: 'List of keys', run: () => finder.show('keys') },
  { name: 'Words of the trade', run: () => router.push('/words') },
  ...WORDS.map(({ word, also = [] }) => ({
    name: `Word, ${[word, ...also].join(', ')}`,
    run: () => router.push({ path: '/words', query: { word } }),
  })),
  ...calculations.map(({ name, says }) => ({
    name: `Bench, ${name.replaceAll('-', ' ')}: ${says.replaceAll('`', '')}`,
    run: () => router.push({ path: '/bench', query: { calc: name } }),
  })),
])
function jobActions({ session, view }: OpenJob): Action[] {
  return [
    ...PLACES.map(({ key, name, says }) => ({ name: `${name}: ${says}`, run: () => view.goTo(key) })),
    { name: 'Undo', run: session.undo },
    { name: 'Redo', run: session.redo },
    { name: 'Save the job as a file', run: () => window.location.assign(`/api/jobs/${session.id}/export`) },
    ...view.posts.value.map(({ post, line }) => ({
      name: `Post ${post.id}, ${line.name}`,
      run: () => view.choose(post.id),
    })),
  ]
}
const found = computed(() => {
  const words = wanted.value.toLowerCase().split(/\s+/).filter(Boolean)
  return actions.value.filter(({ name }) => words.every((word) => name.toLowerCase().includes(word))).slice(0, 8)
})
watch(wanted, () => (marked.value = 0))
watch(
  () => finder.open.value,
  () => (wanted.value = ''),
)

function run(action: Action | undefined): void {
  if (!action) return
  finder.hide()
  void action.run()
}
function move(by: number): void {
  marked.value = Math.min(found.value.length - 1, Math.max(0, marked.value + by))
}
</script>

<template>
  <v-dialog
    :model-value="finder.open.value === 'find'"
    width="520"
    location="top"
    aria-label="Find or do anything"
    @update:model-value="finder.hide()"
  >
    <v-card class="find">
      <v-text-field
        v-model="wanted"
        label="Find a post, or do anything"
        class="wanted"
        autofocus
        autocomplete="off"
        role="combobox"
        aria-expanded="true"
        aria-controls="found"
        :aria-activedescendant="found.length ? `found-${marked}` : undefined"
        @keydown.down.prevent="move(1)"
        @keydown.up.prevent="move(-1)"
        @keydown.enter.prevent="run(found[marked])"
        @keydown.esc="finder.hide()"
      />
      <ul id="found" role="listbox" aria-label="Found">
        <!-- eslint-disable vuejs-accessibility/click-events-have-key-events, vuejs-accessibility/interactive-supports-focus -- the field above keeps the focus, and its keys move and take the option in hand -->
        <li
          v-for="(action, i) in found"
          :id="`found-${i}`"
          :key="action.name"
          role="option"
          :aria-selected="i === marked"
          @click="run(action)"
        >
          {{ action.name }}
        </li>
        <!-- eslint-enable -->
      </ul>
      <p v-if="found.length === 0" class="soft">Nothing of that name. Try a post, a place or “undo”.</p>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.find {
  padding: 16px;
}
.wanted {
  margin-bottom: 8px;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  min-height: 48px;
  display: flex;
  align-items: center;
  padding: 0 12px;
  cursor: pointer;
  border-left: 5px solid transparent;
}
li[aria-selected='true'] {
  border-left-color: var(--string);
  background: var(--faint);
}
</style>
