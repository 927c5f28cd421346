<script setup lang="ts">
import { computed } from 'vue'
import { otherSchools, spreads } from '~~/core/choose/whatIf'
import { usePreferencesStore } from '~/session/preferences'
import { anyOf } from '~/job/words'
import { useWhatIfs } from './useWhatIfs'

/** What would have to be true for another repair to be right, and how little it takes to know. */
const preferences = usePreferencesStore()
const { found, failure } = useWhatIfs()
const schools = computed(() => otherSchools(found.value ?? []))
const gusts = computed(() => spreads(found.value ?? []))
const show = (gust: number) => preferences.measures.gust(gust)
</script>

<template>
  <div>
    <p v-if="failure" class="error-text" role="alert">{{ failure }}</p>
    <div v-else-if="!found" role="status">
      <v-progress-linear indeterminate aria-label="The post is planned with one thing otherwise at a time" />
    </div>
    <template v-else>
      <p v-if="schools.length === 0">
        Nothing that was tried makes another repair the first: it hangs on none of these.
      </p>
      <ul v-else class="schools" aria-label="When another repair is right">
        <li v-for="{ way, needs, decides } in schools" :key="way.method">
          <strong>{{ way.name }}</strong
          >, if {{ anyOf(needs.map(({ when, says }) => `${when} ${anyOf(says)}`.trim())) }}.
          <span class="soft">To know: {{ decides.reading.toLowerCase() }}, {{ decides.minutes }} min.</span>
        </li>
      </ul>
      <template v-if="gusts.length">
        <h3>How far its gust moves</h3>
        <ul class="schools" aria-label="How far the gust moves with each fact">
          <li v-for="each in gusts" :key="each.key">
            {{ each.name }}: <span class="measure">{{ show(each.least) }}</span> ({{ each.leastWhen }}) to
            <span class="measure">{{ show(each.most) }}</span> ({{ each.mostWhen }})
          </li>
        </ul>
      </template>
    </template>
  </div>
</template>

<style scoped>
.schools {
  list-style: none;
  padding: 0;
}
.schools li {
  padding: 6px 0;
  border-bottom: 1.5px solid var(--rule);
}
</style>
