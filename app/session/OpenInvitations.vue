<script setup lang="ts">
import { dayWords } from '~~/core/weather/dates'
import type { OpenInvitation } from '~~/shared/contract'
import { ROLE_NAMES } from '~~/shared/people'

/** Links that were made and not used: each is a way in until somebody takes it back. */
defineProps<{ invitations: readonly OpenInvitation[] }>()
const emit = defineEmits<{ takeBack: [id: string] }>()
const purpose = ({ name, role, by, expiresAt }: OpenInvitation) =>
  `${name}, ${role ? ROLE_NAMES[role].toLowerCase() : 'a new password'}, made by ${by}, until ${dayWords(Date.parse(expiresAt))}`
</script>

<template>
  <template v-if="invitations.length">
    <h3>Links not used yet</h3>
    <ul class="rows" aria-label="Links not used yet">
      <li v-for="each in invitations" :key="each.id">
        <span>{{ purpose(each) }}</span>
        <v-btn variant="text" :aria-label="`Take back the link for ${each.name}`" @click="emit('takeBack', each.id)"
          >Take it back</v-btn
        >
      </li>
    </ul>
  </template>
</template>
