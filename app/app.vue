<script setup lang="ts">
import { onMounted, provide, watchEffect } from 'vue'
import { LENGTHS } from '~/controls/measuring'
import FindBox from '~/shell/FindBox.vue'
import KeyList from '~/shell/KeyList.vue'
import { useTheme } from 'vuetify'
import { useEventListener } from '@vueuse/core'
import { useCommonKeys } from '~/shell/useKeys'
import { useRouter } from '#imports'
import { session, takeBackOwn, waitingHere } from '~/session/account'
import SignedOutBar from '~/session/SignedOutBar.vue'
import { queue, storage, tray, yard } from '~/sync/device'
import { usePreferencesStore } from '~/session/preferences'

/** Open to whoever has the way there. */
const OPEN = ['/sign-in', '/offer/']
const preferences = usePreferencesStore()
const theme = useTheme()
useCommonKeys()
provide(LENGTHS, preferences)
watchEffect(() => theme.change(preferences.theme))
// On the page itself: dialogs and lists stand outside the application's own element.
watchEffect(() => document.documentElement.style.setProperty('--figures', String(preferences.figureScale)))

// Who is signed in may have changed meanwhile.
const router = useRouter()
async function whoIsHere(): Promise<void> {
  const said = await session.refresh()
  if (said?.state !== 'out' || OPEN.some((path) => router.currentRoute.value.path.startsWith(path))) return
  // Where somebody's work lies on the device it goes on, and a bar says so; where there is nothing, this is the way in.
  const [count, jobs] = await Promise.all([waitingHere(), storage.keep(() => storage.jobs.count())])
  if (count + jobs === 0) await router.replace({ path: '/sign-in', query: { to: router.currentRoute.value.fullPath } })
}
onMounted(whoIsHere)
useEventListener('focus', whoIsHere)

// What waits, of whatever job, goes out when there may be a signal again.
onMounted(async () => {
  await takeBackOwn()
  await Promise.all([queue.wake(), tray.load(), storage.prepare()])
})
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
    <SignedOutBar />
  </v-app>
</template>
