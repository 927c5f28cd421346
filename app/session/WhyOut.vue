<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from '#imports'
import { whyOutWords } from './whyOutWords'

/** Why this device was signed out. */
const { query } = useRoute()
const why = computed(() => whyOutWords(query.out, query.by))
</script>

<template>
  <p v-if="why" class="caution why" role="status">{{ why }}</p>
</template>

<style scoped>
.why {
  margin-bottom: 14px;
}
</style>
