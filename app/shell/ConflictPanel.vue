<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'
import type { Conflict } from '~~/core/edit/rebase'
import { momentWords } from '~~/core/weather/dates'
import { commandWords, subjectWords } from '~~/core/edit/apply'

/** Two people wrote to the same thing: both values, for a person to choose. Neither is lost till then. */
const session = useJobSession()
const preferences = usePreferencesStore()
/** Where the device is. */
const HERE = Intl.DateTimeFormat().resolvedOptions().timeZone
const words = { length: preferences.show }

const said = computed(() => {
  if (session.refused) return `Not accepted: ${session.refused}`
  if (session.conflicts.length > 0 || !session.merged) return ''
  if (session.renamed.size > 0) {
    const names = [...session.renamed].map(([old, now]) => `your ${old} is ${now} now`)
    return `Others have added something of the same name: ${names.join(', ')}. Everything is in.`
  }
  return 'Others worked on this job too; their edits and yours are both in.'
})
/** Who it was and when, as far as the server knows. */
function takeWords({ writer }: Conflict): string {
  if (!writer) return 'Take theirs:'
  return `Take ${writer.by ? `${writer.by}’s` : 'theirs'}, ${momentWords(Date.parse(writer.at), session.job?.site?.timeZone ?? HERE)}:`
}
function heard(): void {
  if (session.refused) session.refused = ''
  else session.merged = false
}
</script>

<template>
  <section v-if="session.conflicts.length" class="conflicts" role="alert" aria-label="Both changed the same thing">
    <h2>Somebody else changed this too</h2>
    <div v-for="(conflict, i) in session.conflicts" :key="i" class="conflict">
      <p>
        <strong>{{ subjectWords(conflict.mine) }}</strong>
      </p>
      <div class="row">
        <v-btn class="grow" @click="session.resolve(conflict, 'mine')"
          >Keep yours: {{ commandWords(conflict.mine, words) }}</v-btn
        >
        <v-btn class="grow" @click="session.resolve(conflict, 'theirs')"
          >{{ takeWords(conflict) }} {{ commandWords(conflict.theirs, words) }}</v-btn
        >
      </div>
    </div>
  </section>
  <v-snackbar :model-value="said !== ''" :timeout="-1" @update:model-value="heard">
    <span :role="session.refused ? 'alert' : 'status'">{{ said }}</span>
    <template #actions><v-btn variant="text" @click="heard">Good</v-btn></template>
  </v-snackbar>
</template>

<style scoped>
.conflicts {
  border: 2.4px solid var(--error);
  padding: 12px;
  margin-bottom: 14px;
}
.conflict {
  margin-top: 8px;
}
</style>
