<script setup lang="ts">
import { useJobSession } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'
import { commandWords, subjectWords } from '~~/core/edit/apply'

/** Two people wrote to the same thing: both values, for a person to choose. Neither is lost till then. */
const session = useJobSession()
const preferences = usePreferencesStore()
const words = { length: preferences.show }
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
          >Take theirs: {{ commandWords(conflict.theirs, words) }}</v-btn
        >
      </div>
    </div>
  </section>
  <p v-else-if="session.merged" class="merged" role="status">
    Others worked on this job too; their edits and yours are both in.
    <v-btn variant="text" @click="session.merged = false">Good</v-btn>
  </p>
  <p v-if="session.refused" class="refused" role="alert">
    Not accepted: {{ session.refused }}
    <v-btn variant="text" @click="session.refused = ''">Good</v-btn>
  </p>
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
.merged,
.refused {
  display: flex;
  align-items: center;
  justify-content: space-between;
  border-bottom: 1.5px solid var(--rule);
  margin-bottom: 10px;
}
.refused {
  color: var(--error);
  font-weight: 600;
}
</style>
