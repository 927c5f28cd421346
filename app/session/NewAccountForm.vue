<script setup lang="ts">
import { computed } from 'vue'
import { useForm } from 'vee-validate'
import { object, string } from 'yup'
import { LONGEST } from '~~/core/limits'
import { peopleApi } from './peopleApi'
import { useEntering } from './useEntering'
import type { InvitationAnswer } from '~~/shared/contract'

/** Somebody new: the first of all by the code of the terminal, everybody else by an invitation. */
const {
  token = undefined,
  invitation = undefined,
  code = '',
} = defineProps<{ token?: string; invitation?: InvitationAnswer; code?: string }>()
const { isBusy, failure, failed, enter } = useEntering()
const isFirst = computed(() => token === undefined)
/** Somebody who is here already gets a new password, and keeps the rest. */
const isKnown = computed(() => invitation?.signInName !== undefined)

const LEAST = 12
const form = useForm({
  initialValues: {
    code,
    workspace: '',
    name: invitation?.name ?? '',
    signInName: invitation?.signInName ?? '',
    password: '',
  },
  validationSchema: computed(() =>
    object({
      code: isFirst.value ? string().trim().required('The code that the terminal shows.') : string(),
      workspace: isFirst.value ? string().trim().required('What the firm is called.').max(LONGEST.name) : string(),
      name: string().trim().required('What you are called.').max(LONGEST.person),
      signInName: string()
        .trim()
        .required('A name that is yours alone.')
        .matches(/^\S{3,}$/, 'Three letters at least, without blanks.'),
      password: string()
        .required('A password.')
        .min(LEAST, `${LEAST} letters at least: four or five words are easy to remember.`)
        .max(LONGEST.password, `${LONGEST.password} letters at most.`),
    }),
  ),
})
const later = { validateOnModelUpdate: false }
const [typedCode] = form.defineField('code', later)
const [workspace] = form.defineField('workspace', later)
const [name] = form.defineField('name', later)
const [signInName] = form.defineField('signInName', later)
const [password] = form.defineField('password', later)

const make = form.handleSubmit(async ({ code: withCode, workspace: called, ...who }) => {
  await enter(() =>
    isFirst.value ? peopleApi.firstLead({ ...who, code: withCode, workspace: called }) : peopleApi.join(token!, who),
  )
  if (failed.value === 'password' || failed.value === 'signInName') form.setFieldError(failed.value, failure.value)
})
</script>

<template>
  <form novalidate class="sign-in-form" @submit.prevent="make">
    <template v-if="isFirst">
      <v-text-field
        v-model="typedCode"
        label="Code from the terminal"
        autocomplete="one-time-code"
        :error-messages="form.errors.value.code"
      />
      <v-text-field
        v-model="workspace"
        label="The firm"
        autocomplete="organization"
        :error-messages="form.errors.value.workspace"
      />
    </template>
    <template v-if="!isKnown">
      <v-text-field v-model="name" label="Your name" autocomplete="name" :error-messages="form.errors.value.name" />
      <v-text-field
        v-model="signInName"
        label="Name to sign in with"
        autocomplete="username"
        autocapitalize="none"
        spellcheck="false"
        :error-messages="form.errors.value.signInName"
      />
    </template>
    <v-text-field
      v-model="password"
      :label="isKnown ? 'New password' : 'Password'"
      type="password"
      autocomplete="new-password"
      hint="Twelve letters or more: four or five words that do not belong together."
      persistent-hint
      :error-messages="form.errors.value.password"
    />
    <p v-if="failed === '' && failure" class="error-text" role="alert">{{ failure }}</p>
    <v-btn type="submit" variant="flat" color="primary" :loading="isBusy">{{
      isKnown ? 'Keep the new password' : isFirst ? 'Make the first account' : 'Join'
    }}</v-btn>
  </form>
</template>
