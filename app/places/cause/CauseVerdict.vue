<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import FoldOut from '~/controls/FoldOut.vue'
import { useJobSession, useJobView } from '~/job/openJob'
import type { Cause } from '~~/core/cause/tables'
import type { Verdict } from '~~/core/document/job'
import { tables } from '~~/data/tables'
import { usePreferencesStore } from '~/session/preferences'

/** What a person says of the cause: against the readings, or after digging. Kept beside what the readings say. */
const props = defineProps<{ verdict: 'overruled' | 'found'; title: string; action: string; noteNeeded?: boolean }>()
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()

const kept = computed<Verdict | undefined>(() => view.post.value!.judgement?.[props.verdict])
const cause = ref<Cause>()
const note = ref('')
const error = ref('')
const causeItems = tables.causes.causes.map(({ key, name }) => ({ value: key, title: name }))
const nameOf = (key: string) => tables.causes.causes.find((each) => each.key === key)?.name ?? key
watch(
  () => view.post.value?.id,
  () => {
    cause.value = undefined
    note.value = error.value = ''
  },
)

async function keep(): Promise<void> {
  if (!cause.value) return void (error.value = 'Choose the cause.')
  if (props.noteNeeded && note.value.trim() === '') return void (error.value = 'Say why.')
  const value = { cause: cause.value, note: note.value.trim(), ...preferences.signed() }
  error.value = (await put(value))?.message ?? ''
}
const put = (value: Verdict | null) =>
  session.edit([{ name: 'setJudgement', ...view.address.value, key: props.verdict, value }])
</script>

<template>
  <div class="verdict">
    <p v-if="kept" class="kept">
      <span
        ><strong>{{ title }} {{ nameOf(kept.cause).toLowerCase() }}</strong
        ><template v-if="kept.by">, {{ kept.by }}</template
        ><template v-if="kept.note">: {{ kept.note }}</template></span
      >
      <v-btn variant="text" @click="put(null)">Take it back</v-btn>
    </p>
    <FoldOut v-else :title="action">
      <div class="field-grid">
        <v-select v-model="cause" :label="title" :items="causeItems" />
        <v-text-field v-model="note" :label="noteNeeded ? 'Because' : 'Note'" />
      </div>
      <p v-if="error" class="error-text" role="alert">{{ error }}</p>
      <v-btn class="keep" @click="keep">Keep it</v-btn>
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
.keep {
  margin: 10px 0;
}
</style>
