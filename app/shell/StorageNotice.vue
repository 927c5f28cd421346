<script setup lang="ts">
import { storage } from '~/sync/device'

/** Said at once, and where one is: nothing that is entered now outlives this page unless it is sent. */
defineProps<{ save?: () => void }>()
const { failure } = storage
</script>

<template>
  <p v-if="failure" class="caution" role="alert">
    {{ failure }} What you enter is sent while there is a signal, and is gone when this page is closed without one.
    <v-btn v-if="save" variant="text" @click="save">Save the job as a file</v-btn>
  </p>
</template>
