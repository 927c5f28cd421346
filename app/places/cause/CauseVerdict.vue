<script setup lang="ts">
import { computed, watch } from 'vue'
import { useForm } from 'vee-validate'
import { array, object, string } from 'yup'
import FoldOut from '~/controls/FoldOut.vue'
import { useJobSession, useJobView } from '~/job/openJob'
import type { Cause } from '~~/core/cause/tables'
import type { Verdict } from '~~/core/document/job'
import { tables } from '~~/data/tables'
import { usePreferencesStore } from '~/session/preferences'

/** What a person says of the cause: against the readings, or after digging. Kept beside what the readings say. */
const props = defineProps<{ verdict: 'overruled' | 'found'; title: string; action: string; noteNeeded?: boolean }>()
const MOST_ALSO = 3
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()

const kept = computed<Verdict | undefined>(() => view.post.value!.judgement?.[props.verdict])
const form = useForm<{ cause?: Cause; also: Cause[]; note: string }>({
  initialValues: { cause: undefined, also: [], note: '' },
  validationSchema: object({
    cause: string().required('Choose the cause.'),
    also: array().max(MOST_ALSO, `At most ${MOST_ALSO} more.`),
    note: props.noteNeeded ? string().trim().required('Say why.') : string(),
  }),
})
const [cause] = form.defineField('cause')
const [also] = form.defineField('also')
const [note] = form.defineField('note', { validateOnModelUpdate: false })
const causeItems = tables.causes.causes.map(({ key, name }) => ({ value: key, title: name }))
/** Digging may find more than one: each counts with its share. */
const alsoItems = computed(() => causeItems.filter(({ value }) => value !== cause.value))
const namesOf = ({ cause: first, also: more = [] }: Verdict) =>
  [first, ...more].map(nameOf).join(', and ').toLowerCase()
const nameOf = (key: string) => tables.causes.causes.find((each) => each.key === key)?.name ?? key
watch(
  () => view.post.value?.id,
  () => form.resetForm(),
)

const keep = form.handleSubmit(async (said) => {
  const more = said.also.filter((each) => each !== said.cause)
  const refused = await put({
    cause: said.cause!,
    ...(more.length > 0 ? { also: more } : {}),
    note: said.note.trim(),
    ...preferences.signed(),
  })
  if (refused) form.setFieldError('note', refused.message)
})
const put = (value: Verdict | null) =>
  session.edit([{ name: 'setJudgement', ...view.address.value, key: props.verdict, value }])
</script>

<template>
  <div class="verdict">
    <p v-if="kept" class="kept">
      <span
        ><strong>{{ title }} {{ namesOf(kept) }}</strong
        ><template v-if="kept.by">, {{ kept.by }}</template
        ><template v-if="kept.note">: {{ kept.note }}</template></span
      >
      <v-btn variant="text" @click="put(null)">Take it back</v-btn>
    </p>
    <FoldOut v-else :title="action">
      <form novalidate @submit.prevent="keep">
        <div class="field-grid tops">
          <v-select v-model="cause" :label="title" :items="causeItems" :error-messages="form.errors.value.cause" />
          <v-select
            v-if="verdict === 'found'"
            v-model="also"
            label="And also"
            multiple
            :items="alsoItems"
            :error-messages="form.errors.value.also"
          />
          <v-text-field
            v-model="note"
            :label="noteNeeded ? 'Because' : 'Note'"
            :error-messages="form.errors.value.note"
          />
        </div>
        <v-btn type="submit" class="keep">Keep it</v-btn>
      </form>
    </FoldOut>
  </div>
</template>

<style scoped>
.kept {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
}
.tops {
  align-items: start;
}
.keep {
  margin: 10px 0;
}
</style>
