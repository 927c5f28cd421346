<script setup lang="ts">
import { useJobStore } from '~/job/store'
import { usePreferencesStore } from '~/session/preferences'
import { commandWords, subjectWords } from '~~/core/edit/apply'

/** Two people wrote to the same thing: both values, for a person to choose. Neither is lost till then. */
const store = useJobStore()
const preferences = usePreferencesStore()
const words = { length: preferences.show }
</script>

<template>
  <section v-if="store.conflicts.length" class="conflicts" role="alert" aria-label="Both changed the same thing">
    <h2>Somebody else changed this too</h2>
    <div v-for="(conflict, i) in store.conflicts" :key="i" class="conflict">
      <p>
        <strong>{{ subjectWords(conflict.mine) }}</strong>
      </p>
      <div class="row">
        <v-btn class="grow" @click="store.resolve(conflict, 'mine')"
          >Keep yours: {{ commandWords(conflict.mine, words) }}</v-btn
        >
        <v-btn class="grow" @click="store.resolve(conflict, 'theirs')"
          >Take theirs: {{ commandWords(conflict.theirs, words) }}</v-btn
        >
      </div>
    </div>
  </section>
  <p v-else-if="store.merged" class="merged" role="status">
    Others worked on this job too; their edits and yours are both in.
    <v-btn variant="text" @click="store.merged = false">Good</v-btn>
  </p>
  <p v-if="store.refused" class="refused" role="alert">
    Not accepted: {{ store.refused }}
    <v-btn variant="text" @click="store.refused = ''">Good</v-btn>
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
