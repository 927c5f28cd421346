<script setup lang="ts">
import { browserSupportsWebAuthn, startAuthentication } from '@simplewebauthn/browser'
import { useForm } from 'vee-validate'
import { object, string } from 'yup'
import { peopleApi } from './peopleApi'
import { useEntering } from './useEntering'

/** With a name and a password, or with a passkey. */
const { isBusy, failure, enter } = useEntering()
const form = useForm({
  initialValues: { signInName: '', password: '' },
  validationSchema: object({
    signInName: string().trim().required('Your name to sign in with.'),
    password: string().required('Your password.'),
  }),
})
const [signInName] = form.defineField('signInName', { validateOnModelUpdate: false })
const [password] = form.defineField('password', { validateOnModelUpdate: false })
const hasPasskeys = browserSupportsWebAuthn()

const signIn = form.handleSubmit((who) => enter(() => peopleApi.signIn(who)))
const byPasskey = () =>
  enter(async () => {
    const optionsJSON = await peopleApi.passkeyQuestion()
    return peopleApi.passkeySignIn(await startAuthentication({ optionsJSON }))
  })
</script>

<template>
  <form novalidate class="sign-in-form" @submit.prevent="signIn">
    <v-text-field
      v-model="signInName"
      label="Name to sign in with"
      autocomplete="username webauthn"
      autocapitalize="none"
      spellcheck="false"
      :error-messages="form.errors.value.signInName"
    />
    <v-text-field
      v-model="password"
      label="Password"
      type="password"
      autocomplete="current-password"
      :error-messages="form.errors.value.password"
    />
    <p v-if="failure" class="error-text" role="alert">{{ failure }}</p>
    <div class="row">
      <v-btn type="submit" variant="flat" color="primary" :loading="isBusy">Sign in</v-btn>
      <v-btn v-if="hasPasskeys" :disabled="isBusy" @click="byPasskey">With a passkey</v-btn>
    </div>
  </form>
</template>
