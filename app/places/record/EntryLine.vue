<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession } from '~/job/openJob'
import { pictures } from '~/sync/device'
import type { Happening } from '~~/core/record/timeline'
import { momentWords } from '~~/core/weather/dates'
import type { EntryWords } from './model/entryWords'

/** One thing of the record: when, what, by whom; what was taken back or put right stays, and says so. */
const { of, words, namesPost } = defineProps<{ of: Happening; words: EntryWords; namesPost: boolean }>()
const emit = defineEmits<{ putRight: []; takeBack: [] }>()
const session = useJobSession()

const STATE: Record<Happening['state'], string> = { stands: '', corrected: 'corrected', withdrawn: 'taken back' }
const when = computed(() => momentWords(of.at, session.job?.site?.timeZone))
/** Readings, pictures and pours are put right where they are made. */
const OWN = ['observation', 'choice', 'met', 'tick', 'as-built', 'minutes', 'materials', 'correction', 'sign-off']
const isOwn = computed(() => of.state === 'stands' && OWN.includes(of.kind))
const picture = computed(() => (of.kind === 'picture' ? pictures.addressOf(session.id, of.of.id) : undefined))
</script>

<template>
  <div class="entry" :class="of.state" role="listitem">
    <span class="time measure">{{ when }}</span>
    <span>
      <strong>{{ words.title }}</strong>
      <span v-if="namesPost && of.post" class="soft"> {{ of.post }}</span>
      <span v-if="of.isLater" class="later"> after the sign-off</span>
      <span class="says"
        ><s v-if="of.state !== 'stands'">{{ words.says }}</s
        ><template v-else>{{ words.says }}</template></span
      >
      <span class="soft">{{ [of.by, STATE[of.state]].filter(Boolean).join(', ') }}</span>
    </span>
    <img v-if="picture" :src="picture" width="72" height="54" loading="lazy" :alt="words.says" />
    <span v-else-if="isOwn">
      <v-btn variant="text" :aria-label="`Put right: ${words.says}`" @click="emit('putRight')">Put right</v-btn>
      <v-btn variant="text" :aria-label="`Take back: ${words.says}`" @click="emit('takeBack')">Take back</v-btn>
    </span>
  </div>
</template>

<style scoped>
.entry {
  display: grid;
  grid-template-columns: 200px 1fr auto;
  gap: 14px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
  align-items: start;
}
.says {
  display: block;
}
.later {
  font-weight: 600;
  text-decoration: underline;
}
.withdrawn,
.corrected {
  color: var(--soft-ink);
}
img {
  object-fit: cover;
  border: 1.5px solid var(--ink);
}
@media (max-width: 760px) {
  .entry {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .time {
    grid-column: 1 / -1;
  }
}
</style>
