<script setup lang="ts">
import { usePreferencesStore } from '~/session/preferences'
import { THEME_NAMES } from '~/theme'

/** How it is to be read: by the light that there is, and from how far. */
const preferences = usePreferencesStore()
const WORDS = { paper: 'paper', dusk: 'dusk', glare: 'full sun' } as const
</script>

<template>
  <div class="light">
    <v-btn-toggle v-model="preferences.theme" mandatory aria-label="Light">
      <v-btn v-for="theme in THEME_NAMES" :key="theme" :value="theme">{{ WORDS[theme] }}</v-btn>
    </v-btn-toggle>
    <v-checkbox v-model="preferences.isLarge" label="Large figures" />
  </div>
</template>

<style scoped>
.light {
  padding: 8px 12px;
  border-top: 1.5px solid var(--rule);
}
</style>
