<script setup lang="ts">
import { computed } from 'vue'
import { useForm } from 'vee-validate'
import { object, string } from 'yup'
import { useJobSession, useJobView } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'

/** What stops the work at this post, until a person says why it may go on. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const diagnosis = computed(() => view.postPlan.value!.diagnosis)
const cleared = computed(() => view.post.value!.judgement?.cleared)
/** Whoever is licensed and has said what is to be done has it in hand. */
const licensed = computed(() => view.post.value!.repair?.licensed?.name)
const form = useForm({
  initialValues: { note: '' },
  validationSchema: object({ note: string().trim().required('Say who was asked, or what was done.') }),
})
const [note] = form.defineField('note', { validateOnModelUpdate: false })

const clear = form.handleSubmit(async (said) => {
  const value = { note: said.note.trim(), ...preferences.signed() }
  const refused = await session.edit([{ name: 'setJudgement', ...view.address.value, key: 'cleared', value }])
  if (refused) form.setFieldError('note', refused.message)
  else form.resetForm()
})
const takeBack = () => session.edit([{ name: 'setJudgement', ...view.address.value, key: 'cleared', value: null }])
</script>

<template>
  <div v-if="diagnosis.redFlags.length" class="flags">
    <p v-for="flag in diagnosis.redFlags" :key="flag" class="red-flag" role="alert">{{ flag }}</p>
    <p v-if="cleared" class="in-hand">
      In hand<template v-if="cleared.by">, {{ cleared.by }}</template
      >: {{ cleared.note }}
      <v-btn variant="text" @click="takeBack">Take it back</v-btn>
    </p>
    <p v-else-if="licensed" class="in-hand">In hand: {{ licensed }} decides.</p>
    <form v-else class="row" novalidate @submit.prevent="clear">
      <v-text-field v-model="note" label="It is in hand, because" :error-messages="form.errors.value.note" />
      <v-btn type="submit">Go on</v-btn>
    </form>
  </div>
</template>

<style scoped>
.flags {
  display: grid;
  gap: 8px;
  margin-bottom: 12px;
}
.row {
  flex-wrap: nowrap;
  align-items: flex-start;
}
.in-hand {
  font-weight: 600;
}
</style>
