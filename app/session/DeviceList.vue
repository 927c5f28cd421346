<script setup lang="ts">
import { ref } from 'vue'
import type { DeviceAnswer } from '~~/shared/contract'
import { deviceLine } from './deviceWords'

/**
 * Devices that are signed in, and those that have not heard yet that they are not. One that is signed out keeps what
 * it has not sent; one that is lost deletes everything.
 */
defineProps<{ devices: readonly DeviceAnswer[] }>()
const emit = defineEmits<{ signOut: [device: DeviceAnswer, isLost: boolean] }>()
/** What a lost device has not sent is gone for good: asked twice. */
const sure = ref('')
function lost(device: DeviceAnswer): void {
  if (sure.value === device.id) emit('signOut', device, true)
  sure.value = sure.value === device.id ? '' : device.id
}
</script>

<template>
  <ul class="rows">
    <li v-for="each in devices" :key="each.id">
      <span
        >{{ each.says }}<strong v-if="each.isThis">, this one</strong
        ><span class="soft">{{ deviceLine(each) }}</span></span
      >
      <span v-if="!each.isThis && each.out !== 'lost'" class="ways">
        <v-btn v-if="!each.out" variant="text" @click="emit('signOut', each, false)">Sign it out</v-btn>
        <v-btn variant="text" @click="lost(each)">{{
          sure === each.id ? 'Lost: delete everything on it' : 'Lost or stolen'
        }}</v-btn>
      </span>
    </li>
  </ul>
</template>

<style scoped>
.ways {
  display: flex;
  flex-wrap: wrap;
}
</style>
