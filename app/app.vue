<script setup lang="ts">
import { useTheme } from 'vuetify'
import { useCommonKeys } from '~/composables/useKeys'
import { usePreferencesStore } from '~/stores/preferences'

const preferences = usePreferencesStore()
const theme = useTheme()
useCommonKeys()
watchEffect(() => theme.change(preferences.theme))

// Tests and screen readers' scripts wait for this mark, never for a time.
onMounted(() => document.documentElement.setAttribute('data-ready', 'true'))
</script>

<template>
  <v-app>
    <NuxtPage />
    <FindBox />
    <KeyList />
  </v-app>
</template>
