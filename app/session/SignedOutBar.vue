<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from '#imports'
import { session } from './account'

/** Nobody is signed in any more, or nobody has to be: said on every screen, in the way of nothing. */
const route = useRoute()
const isElsewhere = computed(() => ['/sign-in', '/offer'].some((path) => route.path.startsWith(path)))
</script>

<template>
  <p v-if="session.isOut.value && !isElsewhere" class="bar out" role="alert">
    <span>Signed out. What you enter waits on this device.</span>
    <v-btn variant="flat" color="primary" :to="{ path: '/sign-in', query: { to: route.fullPath } }">Sign in</v-btn>
  </p>
</template>

<style scoped>
.bar {
  position: fixed;
  inset: auto 0 0;
  z-index: 1500;
  display: flex;
  flex-wrap: wrap;
  justify-content: center;
  align-items: center;
  gap: 6px 14px;
  padding: 6px 14px;
  border-top: 2.4px solid var(--error);
  background: var(--paper);
  font-weight: 600;
}
</style>
