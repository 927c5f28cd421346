<script setup lang="ts">
import { browserSupportsWebAuthn, startRegistration } from '@simplewebauthn/browser'
import { onMounted, ref, shallowRef } from 'vue'
import { useForm } from 'vee-validate'
import { object, string } from 'yup'
import type { Refusal } from '~/sync/api'
import { LONGEST } from '~~/core/limits'
import type { DeviceAnswer, SelfAnswer } from '~~/shared/contract'
import { ROLE_WORDS } from '~~/shared/people'
import { timeNow } from '~/sync/clock'
import { storage } from '~/sync/device'
import { session, waitingHere } from './account'
import { dayWords } from '~~/core/weather/dates'
import { entries, outWords } from './deviceWords'
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

async function signOut({ id }: DeviceAnswer, isLost: boolean): Promise<void> {
  let words = ''
  await ask(async () => void (words = outWords(await peopleApi.signMineOut(id, isLost), isLost)))
  said.value = words
}

/** What waits is said before somebody signs out. */
async function leave(): Promise<void> {
  const count = await waitingHere()
  // Where nothing is kept there is nothing to stay: signing out says so itself.
  if (count > 0 && waits.value === 0 && !storage.failure.value) return void (waits.value = count)
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
      {{ entries(waits) }} {{ waits === 1 ? 'has' : 'have' }} not been sent.
      {{ waits === 1 ? 'It stays' : 'They stay' }} on this device, and {{ waits === 1 ? 'goes' : 'go' }} out when you
      sign in here again.
    </p>
    <p>
      <v-btn @click="leave">{{ waits ? 'Sign out all the same' : 'Sign out' }}</v-btn>
    </p>
    <h3>Devices</h3>
    <DeviceList :devices="own?.devices ?? []" @sign-out="signOut" />
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
