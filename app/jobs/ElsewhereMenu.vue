<script setup lang="ts">
import { computed } from 'vue'
import { session } from '~/session/account'
import LightChoice from '~/shell/LightChoice.vue'

/** What there is beside the jobs, each with what it is for. */
const away = defineModel<boolean>('away', { required: true })
const places = computed(() => [
  { to: '/yard', title: 'Yard', says: 'what is in store, prices, mixes, tools' },
  { to: '/bench', title: 'Bench', says: 'one calculation by itself, with its drawing' },
  { to: '/practice', title: 'Practice', says: 'cases where nothing hangs on it' },
  { to: '/words', title: 'Words', says: 'the words of the trade, each drawn' },
  { to: '/people', title: session.person.value?.name ?? 'People', says: 'who works here, devices, signing in and out' },
])
</script>

<template>
  <v-menu content-class="field-menu">
    <template #activator="{ props: activator }">
      <v-btn v-bind="activator">Elsewhere</v-btn>
    </template>
    <v-list class="places" nav aria-label="Elsewhere" lines="two" min-width="300">
      <v-list-item v-for="each in places" :key="each.to" :to="each.to" :title="each.title" :subtitle="each.says" />
      <v-list-item
        :title="away ? 'Back to the jobs' : 'Put away'"
        subtitle="jobs that were put away, for thirty days"
        @click="away = !away"
      />
      <LightChoice @click.stop />
    </v-list>
  </v-menu>
</template>

<style scoped>
.places :deep(.v-list-item-title) {
  font-size: 18px;
  font-weight: 600;
  line-height: 1.3;
}
.places :deep(.v-list-item-subtitle) {
  font-size: 15px;
  line-height: 1.3;
  opacity: 1;
  color: var(--soft-ink);
}
</style>
