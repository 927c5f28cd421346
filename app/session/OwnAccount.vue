<script setup lang="ts">
import { browserSupportsWebAuthn, startRegistration } from '@simplewebauthn/browser'
import { onMounted, ref, shallowRef } from 'vue'
import { useForm } from 'vee-validate'
import { object, string } from 'yup'
import type { Refusal } from '~/sync/api'
import { LONGEST } from '~~/core/limits'
import type { SelfAnswer } from '~~/shared/contract'
import { ROLE_WORDS } from '~~/shared/people'
import { timeNow } from '~/sync/clock'
import { session, waitingHere } from './account'
import { dayWords } from '~~/core/weather/dates'
import DeviceList from './DeviceList.vue'
import { peopleApi } from './peopleApi'

/** What somebody has of their own: password, passkeys, devices, and the way out. */
const own = shallowRef<SelfAnswer>()
const failure = ref('')
const said = ref('')
const waits = ref(0)
const hasPasskeys = browserSupportsWebAuthn()

/** @param says once it is done */
async function ask(work: () => Promise<unknown>, says = ''): Promise<boolean> {
  failure.value = said.value = ''
  try {
    await work()
    own.value = await peopleApi.self()
    said.value = says
    return true
  } catch (error) {
    failure.value = (error as Error).name === 'NotAllowedError' ? 'No passkey was made.' : (error as Refusal).message
    return false
  }
}
onMounted(() => ask(async () => undefined))

const form = useForm({
  initialValues: { before: '', after: '' },
  validationSchema: object({
    before: string().required('The password until now.'),
    after: string().required('The new one.').min(12, '12 letters at least.').max(LONGEST.password, 'Too long.'),
  }),
})
const [before] = form.defineField('before', { validateOnModelUpdate: false })
const [after] = form.defineField('after', { validateOnModelUpdate: false })
const change = form.handleSubmit(async (passwords) => {
  const says = 'The password is another. Your other devices are signed out.'
  if (await ask(() => peopleApi.changePassword(passwords), says)) form.resetForm()
})

const addPasskey = () =>
  ask(async () => {
    const optionsJSON = await peopleApi.newPasskeyQuestion()
    const response = await startRegistration({ optionsJSON })
    await peopleApi.addPasskey(`Made on ${dayWords(timeNow())}`, response)
  }, 'This device has a passkey now.')

/** Whoever leaves takes nothing along: what waits is said first. */
async function leave(): Promise<void> {
  const { count } = await waitingHere()
  if (count > 0 && waits.value === 0) return void (waits.value = count)
  await ask(session.leave)
}
</script>

<template>
  <section aria-labelledby="own-title">
    <h2 id="own-title">{{ session.person.value?.name }}</h2>
    <p v-if="session.person.value">{{ ROLE_WORDS[session.person.value.role] }}.</p>
    <p v-if="failure" class="error-text" role="alert">{{ failure }}</p>
    <p v-if="said" role="status">{{ said }}</p>
    <p v-if="waits" class="caution" role="alert">
      {{ waits }} {{ waits === 1 ? 'thing' : 'things' }} that you entered {{ waits === 1 ? 'has' : 'have' }} not been
      sent. Wait for a signal, or save the job as a file first: signing out throws it away.
    </p>
    <p>
      <v-btn @click="leave">{{ waits ? 'Sign out all the same' : 'Sign out' }}</v-btn>
    </p>
    <h3>Devices</h3>
    <DeviceList :devices="own?.devices ?? []" @sign-out="(id) => ask(() => peopleApi.signMineOut(id))" />
    <h3>Passkeys</h3>
    <ul v-if="own?.passkeys.length" class="rows">
      <li v-for="each in own.passkeys" :key="each.id">
        <span
          >{{ each.name
          }}<template v-if="each.usedAt">, used on {{ dayWords(Date.parse(each.usedAt)) }}</template></span
        >
        <v-btn variant="text" @click="ask(() => peopleApi.removePasskey(each.id))">Take it out</v-btn>
      </li>
    </ul>
    <p v-else class="soft">None. With one, a finger or the device's own code is enough to sign in.</p>
    <p><v-btn v-if="hasPasskeys" @click="addPasskey">Make one on this device</v-btn></p>
    <h3>Password</h3>
    <form novalidate class="field-grid" @submit.prevent="change">
      <v-text-field
        v-model="before"
        label="Until now"
        type="password"
        autocomplete="current-password"
        :error-messages="form.errors.value.before"
      />
      <v-text-field
        v-model="after"
        label="New"
        type="password"
        autocomplete="new-password"
        :error-messages="form.errors.value.after"
      />
      <v-btn type="submit">Change it</v-btn>
    </form>
  </section>
</template>
