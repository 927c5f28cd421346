<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute, useRouter } from '#imports'
import { useMediaQuery } from '@vueuse/core'
import BenchCalculation from '~/bench/BenchCalculation.vue'
import PageHead from '~/shell/PageHead.vue'
import { usePreferencesStore } from '~/session/preferences'
import { calculations } from '~~/core/calc/registry'

/** Every named calculation by itself, without a job; what is worked out stands in the address, to be handed on. */
const route = useRoute()
const router = useRouter()
const preferences = usePreferencesStore()
const onPhone = useMediaQuery('(max-width: 760px)')
const search = ref('')

const text = (value: unknown): string => (typeof value === 'string' ? value : '')
const calculation = computed(() => calculations.find(({ name }) => name === text(route.query.calc)) ?? calculations[0]!)
/** What somebody else's address cannot say is the worked example. */
const given = computed((): Record<string, unknown> => {
  try {
    const read: unknown = JSON.parse(text(route.query.with))
    if (typeof read === 'object' && read !== null && !Array.isArray(read)) return read as Record<string, unknown>
  } catch {
    // Nothing was given, or nothing that can be read.
  }
  return { ...calculation.value.example[0] }
})
const go = (calc: string) => router.push({ query: { calc } })
const change = (put: Record<string, unknown>) =>
  router.replace({ query: { calc: calculation.value.name, with: JSON.stringify(put) } })

const named = (name: string) => name.replaceAll('-', ' ')
const shown = computed(() => {
  const words = search.value.toLowerCase().split(/\s+/).filter(Boolean)
  return calculations.filter(({ name, says }) =>
    words.every((word) => `${named(name)} ${says}`.toLowerCase().includes(word)),
  )
})
const picks = calculations.map(({ name }) => ({ value: name, title: named(name) }))
</script>

<template>
  <div class="bench">
    <PageHead title="Bench">
      <v-spacer />
      <v-btn variant="text" @click="preferences.switchUnits">{{
        preferences.units === 'metric' ? 'm' : 'ft in'
      }}</v-btn>
    </PageHead>
    <div class="body">
      <nav v-if="!onPhone" aria-label="Calculations">
        <v-text-field v-model="search" type="search" label="Search" hide-details />
        <v-list density="compact" class="names">
          <v-list-item
            v-for="{ name } in shown"
            :key="name"
            :title="named(name)"
            :active="name === calculation.name"
            :aria-current="name === calculation.name"
            @click="go(name)"
          />
        </v-list>
        <p v-if="shown.length === 0" class="soft">Nothing of that name.</p>
      </nav>
      <main>
        <v-select
          v-if="onPhone"
          label="Calculation"
          :items="picks"
          :model-value="calculation.name"
          @update:model-value="go"
        />
        <BenchCalculation :key="calculation.name" :calculation="calculation" :given="given" @change="change" />
      </main>
    </div>
  </div>
</template>

<style scoped>
.bench {
  height: 100dvh;
  display: flex;
  flex-direction: column;
  padding: 0 20px;
}
.body {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 230px minmax(0, 1fr);
}
nav {
  overflow-y: auto;
  border-right: 1.8px solid var(--ink);
  padding: 10px 12px 0 0;
}
.names {
  background: none;
}
.names :deep(.v-list-item-title) {
  font-size: 16px;
}
.names :deep(.v-list-item--active) {
  border-left: 6px solid var(--string);
}
main {
  overflow-y: auto;
  padding: 12px 0 0 20px;
}
@media (max-width: 760px) {
  .bench {
    padding: 0 12px;
  }
  .body {
    grid-template-columns: minmax(0, 1fr);
  }
  main {
    padding-left: 0;
  }
}
</style>
