<script setup lang="ts">
import { onMounted, provide, watchEffect } from 'vue'
import { LENGTHS } from '~/controls/measuring'
import FindBox from '~/shell/FindBox.vue'
import KeyList from '~/shell/KeyList.vue'
import { useTheme } from 'vuetify'
import { useEventListener } from '@vueuse/core'
import { useCommonKeys } from '~/shell/useKeys'
import { queue, yard } from '~/sync/device'
import { usePreferencesStore } from '~/session/preferences'

const preferences = usePreferencesStore()
const theme = useTheme()
useCommonKeys()
provide(LENGTHS, preferences)
watchEffect(() => theme.change(preferences.theme))

// What waits, of whatever job, goes out when there may be a signal again.
onMounted(() => void queue.wake())
// A browser that is short of room asks nobody before it clears what was not asked to stay.
onMounted(() => void navigator.storage?.persist?.())
useEventListener('online', queue.wake)
useEventListener('focus', queue.wake)
// Prices, soils, mixes and rules are those of the workspace.
onMounted(yard.refresh)
useEventListener('online', yard.refresh)
useEventListener('focus', yard.refresh)

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
