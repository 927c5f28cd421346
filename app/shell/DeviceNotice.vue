<script setup lang="ts">
import { clockOff } from '~/sync/clock'
import { storage } from '~/sync/device'

/**
 * What is wrong with this device, wherever something is entered: it keeps nothing, so that what is entered now is gone
 * with this page unless it is sent; or its clock is off.
 */
defineProps<{ save?: () => void }>()
const { failure } = storage
</script>

<template>
  <p v-if="failure" class="caution" role="alert">
    {{ failure }} What you enter is sent while there is a signal, and is gone when this page is closed without one.
    <v-btn v-if="save" variant="text" @click="save">Save the job as a file</v-btn>
  </p>
  <p v-if="clockOff" class="caution" role="alert">
    The clock of this device is {{ clockOff }} the server’s. What you enter gets the server’s time; put the clock right
    in the settings of the device.
  </p>
</template>
