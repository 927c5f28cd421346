<script setup lang="ts">
import { computed, ref } from 'vue'
import { dayWords } from '~~/core/weather/dates'
import type { DeviceAnswer, PersonAnswer } from '~~/shared/contract'
import { ROLE_NAMES, ROLES, type Role } from '~~/shared/people'
import DeviceList from './DeviceList.vue'

/** Somebody who works here, in one line; what can be changed about them opens below it. */
const { person } = defineProps<{ person: PersonAnswer; isOpen: boolean }>()
const emit = defineEmits<{
  open: []
  role: [role: Role]
  newWayIn: []
  leave: []
  comeBack: []
  signOut: [device: DeviceAnswer, isLost: boolean]
}>()
const roles = ROLES.map((value) => ({ value, title: ROLE_NAMES[value] }))
const says = computed(() => {
  if (person.leftAt) return `left on ${dayWords(Date.parse(person.leftAt))}`
  const seen = person.devices.filter(({ out }) => !out).map(({ seenAt }) => Date.parse(seenAt))
  const here = seen.length > 0 ? `last here on ${dayWords(Math.max(...seen))}` : 'signed in nowhere'
  return `${ROLE_NAMES[person.role].toLowerCase()}, ${here}`
})
/** What cannot be taken back lightly is asked twice. */
const isSure = ref(false)
function leave(): void {
  if (isSure.value) emit('leave')
  isSure.value = !isSure.value
}
</script>

<template>
  <li :aria-label="person.name">
    <div class="line">
      <span
        ><strong>{{ person.name }}</strong> <span class="soft">{{ says }}</span></span
      >
      <v-btn variant="text" :aria-expanded="isOpen" :aria-label="`Change ${person.name}`" @click="emit('open')">{{
        isOpen ? 'Close' : 'Change'
      }}</v-btn>
    </div>
    <div v-if="isOpen" class="changes">
      <p class="soft">Signs in as {{ person.signInName }}.</p>
      <v-btn v-if="person.leftAt" @click="emit('comeBack')">Is back</v-btn>
      <template v-else>
        <v-select
          :label="`Role of ${person.name}`"
          :items="roles"
          :model-value="person.role"
          hide-details
          @update:model-value="(to: Role) => emit('role', to)"
        />
        <div class="ways">
          <v-btn @click="emit('newWayIn')">New way in</v-btn>
          <v-btn @click="leave">{{ isSure ? 'Leaves, and every device is signed out' : 'Leaves' }}</v-btn>
        </div>
        <DeviceList :devices="person.devices" @sign-out="(device, isLost) => emit('signOut', device, isLost)" />
      </template>
    </div>
  </li>
</template>

<style scoped>
.line {
  display: flex;
  flex: 1 0 100%;
  justify-content: space-between;
  align-items: center;
  gap: 14px;
}
.changes {
  flex: 1 0 100%;
  border-left: 2.4px solid var(--ink);
  padding: 2px 0 4px 14px;
  margin-bottom: 14px;
}
.changes p {
  margin: 0 0 14px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 12px 0 4px;
}
.changes :deep(li:last-child) {
  border-bottom: none;
}
</style>
