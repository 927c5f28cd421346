<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import type { Refusal } from '~/sync/api'
import type { AuditEntry } from '~~/shared/contract'
import { deedWords } from './deedWords'
import { peopleApi } from './peopleApi'

/** Who did what, the last first. What was done to a job stands in its own record. */
const entries = shallowRef<AuditEntry[]>([])
const next = ref<number>()
const failure = ref('')
async function more(before?: number): Promise<void> {
  failure.value = ''
  try {
    const page = await peopleApi.audit(before)
    entries.value = [...entries.value, ...page.entries]
    next.value = page.next
  } catch (error) {
    failure.value = (error as Refusal).message
  }
}
onMounted(() => more())
const when = (at: string) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
</script>

<template>
  <section aria-labelledby="audit-title">
    <h2 id="audit-title">Who did what</h2>
    <p v-if="failure" class="error-text" role="alert">{{ failure }}</p>
    <ul class="rows">
      <li v-for="each in entries" :key="each.number">
        <span
          ><strong>{{ each.person }}</strong> {{ deedWords(each.did)
          }}<template v-if="each.detail">: {{ each.detail }}</template></span
        >
        <span class="soft">{{ when(each.at) }}</span>
      </li>
    </ul>
    <p><v-btn v-if="next" variant="text" @click="more(next)">More</v-btn></p>
  </section>
</template>
