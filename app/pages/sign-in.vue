<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue'
import { useRoute } from '#imports'
import HeldEntries from '~/exchange/HeldEntries.vue'
import NewAccountForm from '~/session/NewAccountForm.vue'
import SignInForm from '~/session/SignInForm.vue'
import WhyOut from '~/session/WhyOut.vue'
import { session } from '~/session/account'
import { peopleApi } from '~/session/peopleApi'
import type { Refusal } from '~/sync/api'
import type { InvitationAnswer, SessionAnswer } from '~~/shared/contract'
import { ROLE_WORDS } from '~~/shared/people'

/** The way in: with an account, by an invitation, or as the first of all. */
const { query } = useRoute()
const token = typeof query.invitation === 'string' ? query.invitation : undefined
const code = typeof query.code === 'string' ? query.code : ''
const known = shallowRef<SessionAnswer | null>()
const invitation = shallowRef<InvitationAnswer>()
const failure = ref('')

onMounted(async () => {
  known.value = await session.refresh()
  if (token === undefined) return
  try {
    invitation.value = await peopleApi.invitation(token)
  } catch (error) {
    const { status, message } = error as Refusal
    failure.value =
      status === 404 ? 'This invitation was used, taken back, is over, or never was: ask for a new one.' : message
  }
})

const says = computed(() => {
  const { by, name, role, workspace, signInName } = invitation.value ?? {}
  if (signInName !== undefined) return `${name}: a new password for ${signInName} at ${workspace}.`
  return role ? `${by} invites you to ${workspace}. ${ROLE_WORDS[role]}.` : ''
})
const isFirst = computed(() => token === undefined && known.value?.hasPeople === false)
</script>

<template>
  <div class="way-in">
    <p class="brand measure">VINDEX</p>
    <main>
      <WhyOut />
      <HeldEntries />
      <template v-if="token !== undefined">
        <h1>Come in</h1>
        <p v-if="failure" class="error-text" role="alert">{{ failure }}</p>
        <template v-if="invitation">
          <p>{{ says }}</p>
          <NewAccountForm :token="token" :invitation="invitation" />
        </template>
      </template>
      <template v-else-if="isFirst">
        <h1>The first account</h1>
        <p>
          Whoever sees the terminal that the server was started from makes it: the code stands there. It leads, and
          invites the others; the jobs that are here stay.
        </p>
        <NewAccountForm :code="code" />
      </template>
      <template v-else-if="known">
        <h1>Sign in</h1>
        <SignInForm />
      </template>
      <p v-else-if="known === null" role="status">
        The server does not answer. What you entered waits on this device.
        <v-btn variant="text" to="/">To the jobs</v-btn>
      </p>
    </main>
  </div>
</template>

<style scoped>
.way-in {
  max-width: 460px;
  margin: 0 auto;
  padding: 28px 18px;
  font-size: 17px;
}
.brand {
  letter-spacing: 0.22em;
  font-size: 20px;
  margin-bottom: 18px;
}
h1 {
  margin: 0 0 12px;
}
:deep(.sign-in-form) {
  display: flex;
  flex-direction: column;
  gap: 14px;
  margin-top: 18px;
}
</style>
