<script setup lang="ts">
import type { DeviceAnswer } from '~~/shared/contract'

/** Devices that are signed in. One that is signed out from here forgets what it has at its next contact. */
defineProps<{ devices: readonly DeviceAnswer[] }>()
const emit = defineEmits<{ signOut: [id: string] }>()
const when = (at: string) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
</script>

<template>
  <ul class="rows">
    <li v-for="each in devices" :key="each.id">
      <span
        >{{ each.says }}<strong v-if="each.isThis">, this one</strong
        ><span class="soft">, last here {{ when(each.seenAt) }}</span></span
      >
      <v-btn v-if="!each.isThis" variant="text" @click="emit('signOut', each.id)">Sign it out</v-btn>
    </li>
  </ul>
</template>
