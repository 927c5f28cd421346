<script setup lang="ts">
import type { OthersWait } from './account'

/** What stands in the way of somebody who wants to come in. */
defineProps<{ failure: string; others: OthersWait | undefined }>()
</script>

<template>
  <p v-if="failure" class="error-text" role="alert">{{ failure }}</p>
  <p v-if="others" class="caution" role="alert">
    {{ others.message }} It goes out when {{ others.whose || 'whoever it was' }} signs in here. Sign in once more, and
    it is thrown away for good.
  </p>
</template>
